package lab.sassafras.app.peoplepages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.access.WhoIsHere;
import lab.sassafras.app.people.Devices;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.ComeIn;
import lab.sassafras.app.usecase.KeepPeople;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Links by which one entry, or the hand-outs of a period, are read. */
@Controller
class ReaderController {

    private final ComeIn comeIn;
    private final KeepPeople people;
    private final WhoIsHere who;
    private final EntryBook entryBook;
    private final PeriodBook periodBook;

    ReaderController(ComeIn comeIn, KeepPeople people, WhoIsHere who, EntryBook entryBook, PeriodBook periodBook) {
        this.periodBook = periodBook;
        this.comeIn = comeIn;
        this.people = people;
        this.who = who;
        this.entryBook = entryBook;
    }

    @GetMapping("/read")
    String read(Model model) {
        model.addAttribute("problem", null);
        return "read";
    }

    @PostMapping("/read")
    String reading(
            @RequestParam(defaultValue = "") String secret,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String agent =
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
        Answer<ReaderLinks.Reading> come =
                comeIn.read(secret, new ComeIn.From(request.getRemoteAddr(), Devices.inWords(agent)));
        if (come instanceof Answer.Kept<ReaderLinks.Reading> in) {
            who.comeIn(in.what().token(), request, response);
            return "redirect:" + in.what().path();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("problem", come.refusal().map(ErrorMessages::of).orElse(null));
        return "read";
    }

    /** Makes a link, and shows it this once. */
    @PostMapping("/entries/{id}/readers")
    String make(@PathVariable UUID id, Model model, HttpServletRequest request) {
        return shown(people.letRead(entry(id)).orThrow(), "this entry", "/entries/" + id + "/result", model, request);
    }

    /** Makes a link to the hand-outs of a period, and shows it this once. */
    @PostMapping("/periods/{id}/readers")
    String makeOfPeriod(@PathVariable UUID id, Model model, HttpServletRequest request) {
        String secret = people.letRead(period(id)).orThrow();
        return shown(secret, "the hand-outs of this period", "/periods/" + id + "/handouts", model, request);
    }

    @PostMapping("/periods/{id}/readers/{link}")
    String revokeOfPeriod(@PathVariable UUID id, @PathVariable UUID link) {
        people.letReadNoMore(period(id), link).orThrow();
        return "redirect:/periods/" + id + "/handouts";
    }

    private static String shown(String secret, String what, String back, Model model, HttpServletRequest request) {
        model.addAttribute("link", request.getScheme() + "://" + request.getHeader("Host") + "/read#" + secret);
        model.addAttribute("what", what);
        model.addAttribute("back", back);
        return "readers";
    }

    @PostMapping("/entries/{id}/readers/{link}")
    String revoke(@PathVariable UUID id, @PathVariable UUID link) {
        people.letReadNoMore(entry(id), link).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    private Period period(UUID id) {
        return periodBook.find(id).orElseThrow(NotFound::period);
    }

    private Entry entry(UUID id) {
        return entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }
}

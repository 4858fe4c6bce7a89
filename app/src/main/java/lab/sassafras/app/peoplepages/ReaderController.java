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
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.ComeIn;
import lab.sassafras.app.usecase.LetRead;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Links by which one entry is read. */
@Controller
class ReaderController {

    private final ComeIn comeIn;
    private final LetRead letRead;
    private final WhoIsHere who;
    private final EntryBook entryBook;

    ReaderController(ComeIn comeIn, LetRead letRead, WhoIsHere who, EntryBook entryBook) {
        this.comeIn = comeIn;
        this.letRead = letRead;
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
            return "redirect:/entries/" + in.what().entry() + "/result";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("problem", come.refusal().map(ErrorMessages::of).orElse(null));
        return "read";
    }

    /** Makes a link, and shows it this once. */
    @PostMapping("/entries/{id}/readers")
    String make(@PathVariable UUID id, Model model, HttpServletRequest request) {
        Entry entry = entry(id);
        String path = "/read#" + letRead.make(entry).orThrow();
        model.addAttribute("entry", entry);
        model.addAttribute("link", request.getScheme() + "://" + request.getHeader("Host") + path);
        return "readers";
    }

    @PostMapping("/entries/{id}/readers/{link}")
    String revoke(@PathVariable UUID id, @PathVariable UUID link) {
        letRead.revoke(entry(id), link).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    private Entry entry(UUID id) {
        return entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }
}

package lab.sassafras.app.peoplepages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.access.WhoIsHere;
import lab.sassafras.app.people.Devices;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.ComeIn;
import lab.sassafras.measure.Refused;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Coming in and leaving. */
@Controller
class DoorController {

    private final ComeIn comeIn;
    private final WhoIsHere who;
    private final FirstInstructor first;
    private final Instructors instructors;
    private final PeriodBook periodBook;
    private final boolean demo;

    DoorController(
            ComeIn comeIn,
            WhoIsHere who,
            FirstInstructor first,
            Instructors instructors,
            PeriodBook periodBook,
            Environment environment) {
        this.comeIn = comeIn;
        this.who = who;
        this.first = first;
        this.instructors = instructors;
        this.periodBook = periodBook;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @GetMapping("/door")
    String door(@RequestParam(defaultValue = "") String to, Model model) {
        return door(model, to, "", null);
    }

    @PostMapping("/door")
    String signIn(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") String to,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Answer<String> token = comeIn.signIn(name, password, from(request));
        if (token.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return door(model, to, name, ErrorMessages.of(token.refusal().get()));
        }
        return in(token, request, response, ours(to) ? to : "/");
    }

    private String door(Model model, String to, String name, @org.jspecify.annotations.Nullable String problem) {
        model.addAttribute("to", ours(to) ? to : "");
        model.addAttribute("name", name);
        model.addAttribute("problem", problem);
        return "door";
    }

    /** One button for whoever looks at the demo: as its instructor, or as a bench of its newest period. */
    @PostMapping("/door/demo")
    String demo(@RequestParam String as, HttpServletRequest request, HttpServletResponse response) {
        if (!demo) {
            throw new NotFound("There is no demo here.");
        }
        ComeIn.From from = from(request);
        Optional<Answer<String>> token = as.equals("instructor")
                ? instructors.all().stream().findFirst().map(each -> comeIn.known(each.person(), from))
                : periodBook.all().stream()
                        .filter(Period::open)
                        .map(periodBook::benches)
                        .flatMap(List::stream)
                        .findFirst()
                        .map(bench -> comeIn.known(bench, from));
        return in(token.orElseThrow(() -> new NotFound("Nobody is there yet.")), request, response, "/");
    }

    @GetMapping("/join")
    String join(Model model) {
        return join(model, "", "", null);
    }

    /** By the code alone it is said which period that is; with the name of a bench one joins. */
    @PostMapping("/join")
    String joining(
            @RequestParam(defaultValue = "") String code,
            @RequestParam Optional<String> name,
            @RequestParam(defaultValue = "false") boolean simulated,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        ComeIn.From from = from(request);
        Answer<ComeIn.Joining> looked = comeIn.looking(code, from);
        if (looked instanceof Answer.Kept<ComeIn.Joining> known) {
            model.addAttribute("period", known.what().period());
            model.addAttribute("benches", known.what().benches());
            if (name.isEmpty()) {
                return join(model, code, "", null);
            }
            Answer<String> token = comeIn.join(code, name.get(), simulated, from);
            if (token.refusal().isEmpty()) {
                return in(token, request, response, "/bench");
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return join(
                    model, code, name.get(), ErrorMessages.of(token.refusal().get()));
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return join(
                model,
                code,
                name.orElse(""),
                looked.refusal().map(ErrorMessages::of).orElse(null));
    }

    private static String join(
            Model model, String code, String name, @org.jspecify.annotations.Nullable String problem) {
        model.addAttribute("code", code);
        model.addAttribute("typed", name);
        model.addAttribute("problem", problem);
        return "join";
    }

    @GetMapping("/first")
    String first(Model model) {
        return first(model, "", "", null);
    }

    @PostMapping("/first")
    String making(
            @RequestParam(defaultValue = "") String secret,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        try {
            first.check(secret);
            return in(comeIn.first(name, password, from(request)), request, response, "/");
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return first(model, secret, name, refused.getMessage());
        }
    }

    private static String first(
            Model model, String secret, String name, @org.jspecify.annotations.Nullable String problem) {
        model.addAttribute("secret", secret);
        model.addAttribute("name", name);
        model.addAttribute("problem", problem);
        return "first";
    }

    /** Gets up from a bench; whoever is nothing but that bench leaves the house. */
    @PostMapping("/bench/leave")
    String getUp(Visitor visitor, HttpServletRequest request, HttpServletResponse response) {
        comeIn.getUp(visitor).orThrow();
        if (!visitor.instructor()) {
            who.leave(request, response);
        }
        return "redirect:/";
    }

    @PostMapping("/door/leave")
    String leave(
            Visitor visitor,
            @RequestParam(defaultValue = "false") boolean everywhere,
            HttpServletRequest request,
            HttpServletResponse response) {
        (everywhere ? comeIn.leaveEverywhere(visitor) : comeIn.leave(visitor)).orThrow();
        who.leave(request, response);
        return "redirect:/door";
    }

    private String in(Answer<String> token, HttpServletRequest request, HttpServletResponse response, String to) {
        who.comeIn(token.orThrow(), request, response);
        return "redirect:" + to;
    }

    private static ComeIn.From from(HttpServletRequest request) {
        String agent =
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
        return new ComeIn.From(request.getRemoteAddr(), Devices.inWords(agent));
    }

    /** Whether an address is one of this house: a path, and nothing that a browser takes for another's. */
    private static boolean ours(String to) {
        return to.matches("/(?![/\\\\])[^\\\\\\p{Cntrl}]{0,300}");
    }
}

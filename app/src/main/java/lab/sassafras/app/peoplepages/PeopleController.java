package lab.sassafras.app.peoplepages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.storage.RunningServer;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepPeople;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Instructors: who there is, a further one, another password, locked out or let in. */
@Controller
class PeopleController {

    private final Instructors instructors;
    private final KeepPeople keeping;
    private final PeriodBook periodBook;
    private final RunningServer server;

    PeopleController(Instructors instructors, KeepPeople keeping, PeriodBook periodBook, RunningServer server) {
        this.instructors = instructors;
        this.keeping = keeping;
        this.periodBook = periodBook;
        this.server = server;
    }

    @GetMapping("/people")
    String people(Model model) {
        return page(model, "", Optional.empty(), Optional.empty());
    }

    @PostMapping("/people")
    String add(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") Set<UUID> periods,
            Model model,
            HttpServletResponse response) {
        return done(keeping.add(name, password, periods), model, name, Optional.empty(), response);
    }

    /** What can be done to one. */
    public enum Doing {
        RESET,
        LOCK,
        UNLOCK,
        EVERYWHERE
    }

    @PostMapping("/people/{id}")
    String change(
            @PathVariable UUID id,
            @RequestParam Doing what,
            @RequestParam(defaultValue = "") String password,
            Model model,
            HttpServletResponse response) {
        Answer<Boolean> done = switch (what) {
            case RESET -> keeping.reset(id, password);
            case LOCK -> keeping.lockOut(id);
            case UNLOCK -> keeping.letIn(id);
            case EVERYWHERE -> keeping.everywhere(id);
        };
        return done(done, model, "", Optional.of(id), response);
    }

    /** By whoever can read the folder of the book: an instructor, new or with another password. */
    @PostMapping(RunningServer.INSTRUCTOR)
    ResponseEntity<String> byTheFolder(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request) {
        if (!server.obeys(request.getHeader(RunningServer.WORD))) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body("Only who can read the folder of the book may make an instructor so.");
        }
        return keeping.byTheFolder(name, password)
                .refusal()
                .map(why -> ResponseEntity.unprocessableContent().body(ErrorMessages.of(why)))
                .orElseGet(() -> ResponseEntity.ok(name.strip() + " can sign in now."));
    }

    private String done(Answer<?> done, Model model, String name, Optional<UUID> about, HttpServletResponse response) {
        if (done.refusal().isEmpty()) {
            return "redirect:/people";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(model, name, about, done.refusal().map(ErrorMessages::of));
    }

    private String page(Model model, String name, Optional<UUID> about, Optional<String> problem) {
        model.addAttribute("instructors", instructors.all());
        model.addAttribute("periods", periodBook.all());
        model.addAttribute("name", name);
        model.addAttribute("about", about.orElse(null));
        model.addAttribute("problem", problem.orElse(null));
        return "people";
    }
}

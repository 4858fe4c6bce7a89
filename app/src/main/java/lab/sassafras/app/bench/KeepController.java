package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepObservation;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the bench tells, kept as it is given; what was told before, struck out with a reason. */
@Controller
class KeepController {

    private final KeepObservation keeping;
    private final RunScreen screens;

    KeepController(KeepObservation keeping, RunScreen screens) {
        this.keeping = keeping;
        this.screens = screens;
    }

    @PostMapping("/entries/{id}/observations")
    String keep(
            @PathVariable UUID id,
            @ModelAttribute Typed typed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.entry(id);
        if (typed.striking()) {
            return strike(entry, typed, actor, response, model);
        }
        Address address = Address.read(typed.at());
        Optional<Tasks.Ask> asked = asked(entry, address, typed.role());
        if (leftOpen(entry, address, typed)) {
            return "redirect:/entries/" + id + "?after=" + written(address);
        }
        Answer<UUID> answer = keeping.keep(entry, typed.given(), actor);
        if (!(answer instanceof Answer.Kept)) {
            return again(entry, asked, Optional.of(address), typed, answer, response, model);
        }
        if (asked.filter(ask -> ask.step().aside() && !entry.sheet().tasks().done(ask))
                .isPresent()) {
            return "redirect:/entries/" + id + "?trial="
                    + RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        }
        boolean half = Role.of(typed.role()).filter(Role::half).isPresent();
        return "redirect:/entries/" + id + "?after=" + written(address) + (half ? "&way=" + typed.role() : "");
    }

    /** Keeps a note; the same question stands beside it as before. */
    @PostMapping("/entries/{id}/notes")
    String note(
            @PathVariable UUID id,
            @RequestParam UUID key,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam(defaultValue = "") String text,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.entry(id);
        Answer<Boolean> answer = keeping.note(entry, key, text, actor);
        int shown = RunScreen.trialOf(entry, Optional.of(trial), Optional.empty());
        if (answer.refusal().isEmpty()) {
            return "redirect:/entries/" + id + "?trial=" + shown;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        RunScreen.View view =
                RunScreen.View.asking(shown, new WrittenSheet(entry, shown).next(Optional.empty()), Optional.empty());
        String why = ErrorMessages.of(answer.refusal().get());
        return screens.render(entry, view.refusing(new RunScreen.Noted(text, why)), model);
    }

    /** Whether nothing was chosen from a list that may be left as it is: the work goes on, and nothing is kept. */
    private static boolean leftOpen(EntrySheet entry, Address address, Typed typed) {
        return typed.words().isEmpty()
                && typed.supersedes() == null
                && entry.experiment()
                        .slot(address.path())
                        .filter(slot -> slot.optional() && slot.field() == Slot.Field.PICK)
                        .isPresent();
    }

    private static String written(Address address) {
        return WrittenSheet.Link.encoded(address.toString());
    }

    private static Optional<Tasks.Ask> asked(EntrySheet entry, Address address, String role) {
        int trial = RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        return new WrittenSheet(entry, trial).ask(address, Role.of(role));
    }

    /** Nothing was recorded: the same question with what was typed, and why; or what is asked before it is kept. */
    private String again(
            EntrySheet entry,
            Optional<Tasks.Ask> asked,
            Optional<Address> address,
            Typed typed,
            Answer<UUID> answer,
            HttpServletResponse response,
            Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        int trial = address.isEmpty() ? 1 : RunScreen.trialOf(entry, Optional.empty(), address);
        RunScreen.View view =
                RunScreen.View.asking(trial, asked, address.isEmpty() ? Optional.empty() : Role.of(typed.role()));
        return screens.render(
                entry,
                answer.refusal()
                        .map(why -> view.refusing(typed, ErrorMessages.of(why)))
                        .orElseGet(
                                () -> view.questioning(typed, answer.question().orElse(""))),
                model);
    }

    private String strike(EntrySheet entry, Typed typed, Actor actor, HttpServletResponse response, Model model) {
        UUID struck = typed.struck();
        Optional<Tasks.Ask> asked = WrittenSheet.asking(entry, struck);
        Answer<UUID> answer = keeping.strike(entry, struck, typed.identity(), typed.reason(), actor);
        if (!(answer instanceof Answer.Kept)) {
            return again(entry, asked, asked.map(Tasks.Ask::address), typed, answer, response, model);
        }
        return "redirect:/entries/" + entry.entry().id()
                + asked.map(ask -> "?after=" + written(ask.address())).orElse("");
    }
}

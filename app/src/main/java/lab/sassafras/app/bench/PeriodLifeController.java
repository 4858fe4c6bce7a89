package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.SetUpPeriod;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The life of a lab period: who joins it, what its benches see, and until when they record. */
@Controller
class PeriodLifeController {

    private final PeriodPage page;
    private final SetUpPeriod settingUp;

    PeriodLifeController(PeriodPage page, SetUpPeriod settingUp) {
        this.page = page;
        this.settingUp = settingUp;
    }

    /** Another code, by which alone one joins from now on. */
    @PostMapping("/periods/{id}/code")
    String code(@PathVariable UUID id) {
        settingUp.renewCode(page.find(id)).orThrow();
        return "redirect:/periods/" + id;
    }

    /** Sends one tablet away. */
    @PostMapping("/periods/{id}/away/{signIn}")
    String away(@PathVariable UUID id, @PathVariable UUID signIn) {
        settingUp.sendAway(page.find(id), signIn).orThrow();
        return "redirect:/periods/" + id;
    }

    /** Takes the period a step on in its life or back, and says what its benches may see and begin. */
    @PostMapping("/periods/{id}/life")
    String life(
            @PathVariable UUID id,
            @RequestParam Optional<Period.State> state,
            @RequestParam Optional<Boolean> shared,
            @RequestParam Optional<Boolean> withholds,
            @RequestParam Optional<String> tell,
            @RequestParam Optional<Boolean> offering,
            @RequestParam Optional<Boolean> erase,
            @RequestParam(defaultValue = "") Set<String> offers,
            @RequestParam(defaultValue = "") Set<UUID> things,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "false") boolean wall,
            Actor actor,
            Model model,
            HttpServletResponse response) {
        Period period = page.find(id);
        Optional<Answer<?>> done = state.<Answer<?>>map(each -> settingUp.become(period, each, reason, actor))
                .or(() -> erase.map(any -> settingUp.eraseNames(period, reason, actor)))
                .or(() -> shared.map(each -> settingUp.share(period, each)))
                .or(() -> offering.map(any -> settingUp.offer(period, offers, things)))
                .or(() -> withholds.map(each -> settingUp.withhold(period, each)))
                .or(() -> tell.map(
                        key -> settingUp.reveal(period, Optional.of(key).filter(each -> !each.equals("all")), actor)));
        Optional<RuntimeException> refusal = done.flatMap(Answer::refusal);
        if (refusal.isEmpty()) {
            return "redirect:/periods/" + id + (wall ? "/class/projector" : "");
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("lifeProblem", ErrorMessages.of(refusal.get()));
        return page.shown(period, model, "", null);
    }
}

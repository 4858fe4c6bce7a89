package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.RunSimulated;
import lab.sassafras.simulate.Slip;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestParam;

/** An entry at the simulated bench. */
@Controller
class SimulatedController {

    private final RunScreen screens;
    private final SimulatedShown shown;
    private final RunSimulated running;

    SimulatedController(RunScreen screens, SimulatedShown shown, RunSimulated running) {
        this.screens = screens;
        this.shown = shown;
        this.running = running;
    }

    @GetMapping("/entries/{id}/simulated")
    String bench(
            @PathVariable UUID id,
            @RequestParam Optional<Integer> trial,
            @RequestAttribute(name = "leads", required = false) @Nullable Boolean leads,
            Model model) {
        EntrySheet entry = simulated(id);
        return page(entry, RunScreen.trialOf(entry, trial, Optional.empty()), Boolean.TRUE.equals(leads), null, model);
    }

    @PostMapping("/entries/{id}/simulated")
    String begin(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String speed,
            @RequestParam(defaultValue = "") String seed,
            @RequestParam(defaultValue = "") Set<String> slip,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = simulated(id);
        model.addAttribute("typedSeed", seed);
        model.addAttribute("typedSpeed", speed);
        return after(entry, 1, running.begin(entry, speed, seed, slip, actor), response, model);
    }

    @PostMapping("/entries/{id}/simulated/touch")
    String touch(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam(defaultValue = "0") int place,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = simulated(id);
        return after(entry, trial, running.touch(entry, trial, place, actor), response, model);
    }

    @PostMapping("/entries/{id}/simulated/record")
    String record(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = simulated(id);
        return after(entry, trial, running.record(entry, trial, actor), response, model);
    }

    private EntrySheet simulated(UUID id) {
        EntrySheet entry = screens.entry(id);
        if (!entry.entry().simulated()) {
            throw new NotFound("This entry is done by hands, not at the simulated bench.");
        }
        return entry;
    }

    private String after(EntrySheet entry, int trial, Answer<?> answer, HttpServletResponse response, Model model) {
        if (answer.refusal().isEmpty()) {
            return "redirect:/entries/" + entry.entry().id() + "/simulated?trial=" + trial;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(entry, trial, false, ErrorMessages.of(answer.refusal().get()), model);
    }

    private String page(EntrySheet entry, int trial, boolean leads, @Nullable String problem, Model model) {
        if (trial < 1 || trial > entry.sheet().trials()) {
            throw new NotFound("This entry has no such trial.");
        }
        model.addAttribute("entry", entry.entry());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        model.addAttribute("trial", trial);
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("problem", problem);
        model.addAttribute("speeds", List.of("real", "20 times as fast", "at once"));
        model.addAttribute(
                "slips",
                entry.experiment().scene().stream()
                        .flatMap(scene -> Slip.in(scene).stream())
                        .sorted()
                        .map(Wrong::of)
                        .toList());
        model.addAttribute("bench", shown.screen(entry, trial, leads).orElse(null));
        return "simulated";
    }

    /** What may go wrong, on request. */
    public record Wrong(String key, String words) {

        static Wrong of(Slip slip) {
            return new Wrong(slip.key(), slip.words());
        }
    }
}

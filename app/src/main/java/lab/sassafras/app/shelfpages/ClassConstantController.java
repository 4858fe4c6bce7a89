package lab.sassafras.app.shelfpages;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.LeadClass;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One constant for all runs of a class. */
@Controller
class ClassConstantController {

    private final PeriodBook periods;
    private final Shelves shelves;
    private final LeadClass leading;

    ClassConstantController(PeriodBook periods, Shelves shelves, LeadClass leading) {
        this.periods = periods;
        this.shelves = shelves;
        this.leading = leading;
    }

    /**
     * A vessel that runs of the class draw on.
     *
     * @param now  its constant in use, in words; empty without one
     * @param seen identity of its newest constant; null without one
     * @param fill water that holds for (g)
     * @param runs that draw on it
     */
    public record Used(
            UUID id, String name, String now, @Nullable UUID seen, String fill, int runs) {}

    @GetMapping("/periods/{id}/constant")
    String form(@PathVariable UUID id, Model model) {
        Period period = find(id);
        return page(period, new ShelfForm(Map.of(), period.figures()), null, model);
    }

    private String page(Period period, ShelfForm form, @Nullable String done, Model model) {
        Shelf shelf = shelves.now();
        List<Used> used = shelf.vessels().stream()
                .map(each -> used(period, shelf, each))
                .filter(each -> each.runs() > 0)
                .toList();
        model.addAttribute("period", period);
        model.addAttribute("form", form);
        model.addAttribute("used", used);
        model.addAttribute("done", done);
        return "constant";
    }

    private Used used(Period period, Shelf shelf, Vessel vessel) {
        Optional<Calibration> now = shelf.inUse(vessel);
        return new Used(
                vessel.id(),
                vessel.name(),
                now.map(each -> each.written(period.figures())).orElse("none"),
                shelf.calibrations(vessel).stream()
                        .findFirst()
                        .map(Calibration::id)
                        .orElse(null),
                now.map(each -> period.figures().plain(each.fill())).orElse(""),
                leading.drawingOn(period, vessel).size());
    }

    @PostMapping("/periods/{id}/constant")
    String change(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        String chosen = typed.getOrDefault("vessel", "");
        Optional<Vessel> vessel = Shelf.identity(chosen).flatMap(shelves.now()::vessel);
        ShelfForm form = new ShelfForm(typed, period.figures());
        if (vessel.isEmpty()) {
            form.refused("vessel", "Choose the vessel whose constant is changed.");
        }
        Optional<UUID> seen = Shelf.identity(typed.getOrDefault("seen-" + chosen, ""));
        Optional<Answer<Integer>> kept =
                form.constant().flatMap(known -> vessel.map(of -> leading.constant(period, of, known, seen, actor)));
        kept.flatMap(Answer::refusal).ifPresent(why -> form.refused("constant", ErrorMessages.of(why)));
        if (kept.isPresent() && kept.get() instanceof Answer.Kept<Integer> done) {
            return page(
                    period,
                    new ShelfForm(Map.of(), period.figures()),
                    done.what() + (done.what() == 1 ? " run draws" : " runs draw")
                            + " on it now, and whatever is begun from now on in "
                            + vessel.orElseThrow().name() + ".",
                    model);
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(period, form, null, model);
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}

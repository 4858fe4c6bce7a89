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
import lab.sassafras.app.shelf.OwnReference;
import lab.sassafras.app.shelf.OwnReferences;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What results should be, as instructors give it: the key of unknowns, and the references of a period. */
@Controller
class ReferenceController {

    private final KeepShelf keeping;
    private final OwnReferences references;
    private final Shelves shelves;
    private final PeriodBook periodBook;

    ReferenceController(KeepShelf keeping, OwnReferences references, Shelves shelves, PeriodBook periodBook) {
        this.keeping = keeping;
        this.references = references;
        this.shelves = shelves;
        this.periodBook = periodBook;
    }

    /** One as the page shows it. */
    public record Line(UUID id, String experiment, String sample, String substance, String value, String from) {

        private static Line of(OwnReference each, Figures figures) {
            return new Line(
                    each.id(),
                    Experiments.find(each.experiment())
                            .map(of -> of.words().title())
                            .orElse(each.experiment()),
                    each.sample(),
                    each.substance(),
                    each.written(figures),
                    each.source() + ", given by " + each.who());
        }
    }

    @GetMapping("/shelf/key")
    String key(Model model) {
        return page(Optional.empty(), new ShelfForm(Map.of(), figures(Optional.empty())), Optional.empty(), model);
    }

    @PostMapping("/shelf/key")
    String addToKey(@RequestParam Map<String, String> typed, Actor actor, HttpServletResponse response, Model model) {
        return add(Optional.empty(), typed, actor, response, model);
    }

    @PostMapping("/shelf/key/{row}")
    String strikeFromKey(
            @PathVariable UUID row,
            @RequestParam(defaultValue = "") String reason,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        return struck(Optional.empty(), keeping.strikeFromKey(row(row), reason, actor), response, model);
    }

    @GetMapping("/periods/{id}/references")
    String ofPeriod(@PathVariable UUID id, Model model) {
        Optional<Period> period = Optional.of(period(id));
        return page(period, new ShelfForm(Map.of(), figures(period)), Optional.empty(), model);
    }

    @PostMapping("/periods/{id}/references")
    String addToPeriod(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        return add(Optional.of(period(id)), typed, actor, response, model);
    }

    @PostMapping("/periods/{id}/references/{row}")
    String strikeFromPeriod(
            @PathVariable UUID id,
            @PathVariable UUID row,
            @RequestParam(defaultValue = "") String reason,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = period(id);
        return struck(Optional.of(period), keeping.strikeFromPeriod(period, row(row), reason, actor), response, model);
    }

    private String add(
            Optional<Period> period,
            Map<String, String> typed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        ShelfForm form = new ShelfForm(typed, figures(period));
        Optional<String> problem = form.reference()
                .flatMap(given -> period.map(of -> keeping.intoPeriod(of, given, actor))
                        .orElseGet(() -> keeping.intoKey(given, actor))
                        .refusal())
                .map(ErrorMessages::of);
        problem.ifPresent(why -> form.refused("sample", why));
        if (form.refused()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(period, form, Optional.empty(), model);
        }
        return "redirect:" + address(period);
    }

    private String struck(Optional<Period> period, Answer<Boolean> done, HttpServletResponse response, Model model) {
        if (done.refusal().isEmpty()) {
            return "redirect:" + address(period);
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(
                period, new ShelfForm(Map.of(), figures(period)), done.refusal().map(ErrorMessages::of), model);
    }

    private static String address(Optional<Period> period) {
        return period.map(of -> "/periods/" + of.id() + "/references").orElse("/shelf/key");
    }

    private String page(Optional<Period> period, ShelfForm form, Optional<String> problem, Model model) {
        List<Line> lines = shelves.now().references().stream()
                .filter(each -> each.periodId().equals(period.map(Period::id)))
                .map(each -> Line.of(each, figures(period)))
                .toList();
        model.addAttribute("period", period.orElse(null));
        model.addAttribute("address", address(period));
        model.addAttribute("lines", lines);
        model.addAttribute("form", form);
        model.addAttribute("struckProblem", problem.orElse(null));
        model.addAttribute(
                "experiments",
                Experiments.all().stream()
                        .filter(each -> period.map(of -> of.offers(each.key()))
                                .orElse(each.sampleName().isPresent()))
                        .toList());
        return "references";
    }

    private static Figures figures(Optional<Period> period) {
        return period.map(Period::figures).orElseGet(() -> new Figures(DecimalMark.POINT));
    }

    private OwnReference row(UUID id) {
        return references.find(id).orElseThrow(() -> new NotFound("There is no such reference."));
    }

    private Period period(UUID id) {
        return periodBook.find(id).orElseThrow(NotFound::period);
    }
}

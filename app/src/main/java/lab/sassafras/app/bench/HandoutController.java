package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How what a period offers is done, on pages to print. */
@Controller
class HandoutController {

    private final PeriodPage page;
    private final ReaderLinks links;

    HandoutController(PeriodPage page, ReaderLinks links) {
        this.page = page;
        this.links = links;
    }

    /** A link to read by, and when it was made. */
    public record Link(UUID id, String made) {}

    @GetMapping("/periods/{id}/handouts")
    String handouts(@PathVariable UUID id, @RequestParam Optional<String> experiment, Model model) {
        Period period = page.find(id);
        Conventions conventions = Conventions.of(period.schools());
        List<Handout> offered = Experiments.all().stream()
                .filter(each -> period.offers().isEmpty() || period.offers().contains(each.key()))
                .map(each -> Handout.of(each, conventions, period.figures()))
                .toList();
        List<Handout> wanted = offered.stream()
                .filter(each ->
                        experiment.filter(key -> !key.equals(each.key())).isEmpty())
                .toList();
        model.addAttribute("period", period);
        model.addAttribute("offered", offered);
        model.addAttribute("handouts", wanted.isEmpty() ? offered : wanted);
        model.addAttribute(
                "links",
                links.of(period).stream()
                        .map(each -> new Link(each.id(), WrittenTime.of(each.madeAt(), period.zone(), PeriodPage.DAY)))
                        .toList());
        return "handouts";
    }
}

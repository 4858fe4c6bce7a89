package lab.sassafras.app.notebook;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Entries of one experiment in a period beside each other. */
@Controller
class SideController {

    /** How long a first visit waits for what is not worked yet; the rest is said to be in hand. */
    private static final Duration A_WHILE = Duration.ofSeconds(2);

    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final EntrySummaries lines;

    SideController(PeriodBook periodBook, EntryBook entryBook, EntrySummaries lines) {
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.lines = lines;
    }

    @GetMapping("/periods/{id}/beside/{experiment}")
    String beside(@PathVariable UUID id, @PathVariable String experiment, Model model) {
        Period period = periodBook.find(id).orElseThrow(NotFound::period);
        Experiment kind =
                Experiments.find(experiment).orElseThrow(() -> new NotFound("There is no experiment of that name."));
        List<Entry> entries = entryBook.of(period).stream()
                .filter(entry -> entry.experiment().equals(kind.key()))
                .sorted(java.util.Comparator.comparing(Entry::createdAt))
                .toList();
        Map<UUID, Optional<BesideLine>> beside = lines.beside(entries, period, A_WHILE);
        Map<String, List<BesideLine>> groups = beside.values().stream()
                .flatMap(Optional::stream)
                .collect(Collectors.groupingBy(SideBySideShown::kind, LinkedHashMap::new, Collectors.toList()));
        model.addAttribute("period", period);
        model.addAttribute("title", kind.words().title());
        model.addAttribute(
                "groups",
                groups.entrySet().stream()
                        .map(each -> SideBySideShown.together(each.getKey(), each.getValue(), period.figures()))
                        .toList());
        model.addAttribute("waiting", entries.size() - beside.size());
        model.addAttribute(
                "open", beside.values().stream().filter(Optional::isEmpty).count());
        return "beside";
    }
}

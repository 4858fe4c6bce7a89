package lab.sassafras.app.classpages;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.chart.SidePicture;
import lab.sassafras.app.chart.WallPicture;
import lab.sassafras.app.notebook.SideBySideShown;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.measure.Figures;
import lab.sassafras.verdict.SideBySide;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What came out, on a wall: nobody is named, and what is withheld from the class is not told. */
@Controller
class ProjectorController {

    /** Benches a page. */
    static final int A_PAGE = 12;

    private static final Duration A_WHILE = Duration.ofSeconds(2);

    private final PeriodBook periods;
    private final EntryBook entries;
    private final EntrySummaries summaries;
    private final Revisions revisions;

    ProjectorController(PeriodBook periods, EntryBook entries, EntrySummaries summaries, Revisions revisions) {
        this.periods = periods;
        this.entries = entries;
        this.summaries = summaries;
        this.revisions = revisions;
    }

    /** How its page looks, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return "/css/projector.css";
    }

    /**
     * Results of one thing on the wall.
     *
     * @param title   what they are of
     * @param key     of the experiment
     * @param picture of one page
     * @param mean    of all, with its interval; empty of one alone
     * @param many    results
     * @param told    the reference, in words; empty where it is not told
     */
    public record Wall(String title, String key, WallPicture picture, String mean, int many, Optional<String> told) {}

    @GetMapping("/periods/{id}/class/projector")
    String page(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int which,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Period period = periods.find(id).orElseThrow(NotFound::period);
        List<Entry> all = entries.of(period);
        Map<String, List<BesideLine>> groups = summaries.beside(all, period, A_WHILE).values().stream()
                .flatMap(Optional::stream)
                .collect(Collectors.groupingBy(
                        each -> each.entry().experiment() + " " + SideBySideShown.kind(each),
                        LinkedHashMap::new,
                        Collectors.toList()));
        List<List<BesideLine>> each = new ArrayList<>(groups.values());
        int now = each.isEmpty() ? 0 : Math.floorMod(which, each.size());
        model.addAttribute("period", period);
        model.addAttribute("seen", revisions.number(period));
        model.addAttribute("which", now);
        model.addAttribute("several", each.size() > 1);
        if (!each.isEmpty()) {
            List<BesideLine> group = each.get(now);
            int pages = (group.size() + A_PAGE - 1) / A_PAGE;
            int shown = Math.floorMod(page, pages);
            model.addAttribute("page", shown);
            model.addAttribute("pages", pages);
            model.addAttribute("wall", wall(period, group, shown));
            model.addAttribute("hidden", period.withholds() && !told(period, group));
        }
        return "projector";
    }

    private boolean told(Period period, List<BesideLine> group) {
        PeriodBook.Told told = periods.told(period);
        return group.stream().map(BesideLine::entry).allMatch(told::tells);
    }

    private Wall wall(Period period, List<BesideLine> group, int page) {
        Figures figures = period.figures();
        BesideLine first = group.get(0);
        List<BesideLine> alike =
                group.stream().filter(each -> each.unit().equals(first.unit())).toList();
        double shown = first.presentation().unit(first.unit()).widthToBench(1);
        List<SidePicture.Result> all = alike.stream()
                .map(each -> new SidePicture.Result(
                        each.result().value() / shown, each.interval().half() / shown))
                .toList();
        boolean tells = !period.withholds() || told(period, group);
        SideBySide side = SideBySide.of(
                alike.stream()
                        .map(each -> new SideBySide.Given("", each.result(), each.interval()))
                        .toList(),
                first.reference(),
                first.unit(),
                figures);
        return new Wall(
                SideBySideShown.kind(first),
                first.entry().experiment(),
                WallPicture.of(
                        all.subList(page * A_PAGE, Math.min(all.size(), (page + 1) * A_PAGE)),
                        all,
                        first.reference().filter(any -> tells).map(told -> new double[] {
                            (told.value() - told.uncertainty()) / shown, (told.value() + told.uncertainty()) / shown
                        }),
                        value -> figures.plain(Math.rint(value * 1e9) / 1e9)),
                side.together()
                        .map(each -> first.presentation().written(each.weighted(), first.unit()))
                        .map(written -> written.bare() + " " + written.unit())
                        .orElse(""),
                alike.size(),
                first.reference()
                        .filter(any -> tells)
                        .map(told -> first.presentation().written(told)));
    }
}

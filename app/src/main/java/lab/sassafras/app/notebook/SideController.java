package lab.sassafras.app.notebook;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.chart.SidePicture;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.SideBySide;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Entries of one experiment in a period beside each other. */
@Controller
class SideController {

    private static final java.time.format.DateTimeFormatter HOUR =
            java.time.format.DateTimeFormatter.ofPattern("HH:mm", java.util.Locale.ENGLISH);

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

    /**
     * Entries of one thing.
     *
     * @param title    what they are of
     * @param equation the same as an equation; empty where it is none
     * @param means    weighted and plain, each with its ±
     * @param told     the reference, in words
     * @param findings in words
     * @param picture  the same, drawn
     * @param rows     one for each entry
     */
    public record Together(
            String title,
            List<Typeset.Piece> equation,
            List<Mean> means,
            Optional<String> told,
            List<Finding> findings,
            SidePicture picture,
            List<Row> rows) {}

    /**
     * A mean of all.
     *
     * @param label by which method
     * @param value with its ±
     */
    public record Mean(String label, String value) {}

    /**
     * One entry.
     *
     * @param id     of it
     * @param label  bench and time
     * @param result with its ±
     * @param off    whether it lies apart
     * @param repeat whether it is worth repeating now
     * @param row    the same, drawn
     */
    public record Row(UUID id, String label, String result, boolean off, String repeat, SidePicture.Row row) {}

    @GetMapping("/periods/{id}/beside/{experiment}")
    String beside(@PathVariable UUID id, @PathVariable String experiment, Model model) {
        Period period = periodBook.find(id).orElseThrow(() -> new NotFound("There is no lab period at that address."));
        Experiment kind =
                Experiments.find(experiment).orElseThrow(() -> new NotFound("There is no experiment of that name."));
        List<Entry> entries = entryBook.of(period).stream()
                .filter(entry -> entry.experiment().equals(kind.key()))
                .sorted(java.util.Comparator.comparing(Entry::createdAt))
                .toList();
        Map<UUID, Optional<BesideLine>> beside = lines.beside(entries, period, A_WHILE);
        Map<String, List<BesideLine>> groups = beside.values().stream()
                .flatMap(Optional::stream)
                .collect(Collectors.groupingBy(SideController::kind, LinkedHashMap::new, Collectors.toList()));
        model.addAttribute("period", period);
        model.addAttribute("title", kind.words().title());
        model.addAttribute(
                "groups",
                groups.entrySet().stream()
                        .map(each -> together(each.getKey(), each.getValue(), period.figures()))
                        .toList());
        model.addAttribute("waiting", entries.size() - beside.size());
        model.addAttribute(
                "open", beside.values().stream().filter(Optional::isEmpty).count());
        return "beside";
    }

    /** Those that were simulated stand by themselves, with a mean of their own. */
    private static String kind(BesideLine each) {
        return each.entry().simulated() ? (each.what() + ", simulated").replaceFirst("^, s", "S") : each.what();
    }

    private static String label(BesideLine each) {
        Entry entry = each.entry();
        return entry.bench().name() + ", "
                + WrittenTime.of(entry.createdAt(), entry.period().zone(), HOUR);
    }

    private static Together together(String title, List<BesideLine> all, Figures figures) {
        BesideLine first = all.get(0);
        List<BesideLine> alike =
                all.stream().filter(each -> each.unit().equals(first.unit())).toList();
        BenchUnit unit = first.unit();
        Presentation presentation = first.presentation();
        Optional<Reference> reference = first.reference();
        SideBySide side = SideBySide.of(
                alike.stream()
                        .map(each -> new SideBySide.Given(label(each), each.result(), each.interval()))
                        .toList(),
                reference,
                unit,
                figures);
        double shown = presentation.unit(unit).widthToBench(1);
        double middle = side.together()
                .map(each -> each.weighted().value())
                .orElse(side.entries().get(0).result().value());
        SidePicture picture = SidePicture.of(
                side.entries().stream()
                        .map(each -> new SidePicture.Result(
                                each.result().value() / shown, each.interval().half() / shown))
                        .toList(),
                middle / shown,
                side.scatter() / shown,
                reference.map(told -> new double[] {
                    (told.value() - told.uncertainty()) / shown, (told.value() + told.uncertainty()) / shown
                }),
                value -> figures.plain(Math.rint(value * 1e9) / 1e9));
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < alike.size(); i++) {
            SideBySide.Entry entry = side.entries().get(i);
            rows.add(new Row(
                    alike.get(i).entry().id(),
                    entry.label(),
                    written(alike.get(i).written()),
                    entry.off(),
                    entry.repeat().orElse(""),
                    picture.rows().get(i)));
        }
        return new Together(
                title,
                first.equation(),
                side.together().stream()
                        .flatMap(each -> Stream.of(
                                new Mean(
                                        "weighted mean, scatter between entries included (Paule–Mandel; Hartung–Knapp)",
                                        written(presentation.written(each.weighted(), unit))),
                                new Mean(
                                        "plain mean, s = " + figures.significant(side.scatter() / shown, 2)
                                                + ", Student’s interval",
                                        written(presentation.written(each.plain(), unit)))))
                        .toList(),
                reference.map(told -> presentation.written(told) + ", " + told.sourceInWords()),
                side.findings(),
                picture,
                rows);
    }

    private static String written(Presentation.Written written) {
        return written.bare() + " " + written.unit();
    }
}

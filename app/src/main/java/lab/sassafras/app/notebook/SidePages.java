package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.app.chart.SidePicture;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.SideBySide;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Entries of one experiment in a period beside each other. */
@Controller
class SidePages {

    private static final java.time.format.DateTimeFormatter HOUR =
            java.time.format.DateTimeFormatter.ofPattern("HH:mm", java.util.Locale.ENGLISH);

    private final LabBook book;
    private final EntrySheets sheets;

    SidePages(LabBook book, EntrySheets sheets) {
        this.book = book;
        this.sheets = sheets;
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

    /** An entry that has a result of its first sample. */
    private record Worked(Entry entry, String label, Reduction reduction, Estimate result) {}

    @GetMapping("/periods/{id}/beside/{experiment}")
    String beside(@PathVariable UUID id, @PathVariable String experiment, Model model) {
        Period period = book.period(id).orElseThrow(() -> new NotFound("There is no lab period at that address."));
        Experiment kind =
                Experiments.find(experiment).orElseThrow(() -> new NotFound("There is no experiment of that name."));
        Map<String, List<Worked>> groups = new LinkedHashMap<>();
        List<Entry> open = new ArrayList<>();
        book.entriesOf(period).stream()
                .filter(entry -> entry.experiment().equals(kind.key()))
                .sorted(java.util.Comparator.comparing(Entry::createdAt))
                .forEach(entry -> worked(entry, period)
                        .ifPresentOrElse(
                                each -> groups.computeIfAbsent(of(each), any -> new ArrayList<>())
                                        .add(each),
                                () -> open.add(entry)));
        model.addAttribute("period", period);
        model.addAttribute("title", kind.words().title());
        model.addAttribute(
                "groups",
                groups.entrySet().stream()
                        .map(each -> together(each.getKey(), each.getValue(), period.figures()))
                        .toList());
        model.addAttribute("open", open.size());
        return "beside";
    }

    private Optional<Worked> worked(Entry entry, Period period) {
        EntrySheet sheet = sheets.of(entry);
        return sheet.reduction()
                .result()
                .map(result -> new Worked(
                        entry,
                        entry.bench().name() + ", " + WrittenTime.of(entry.createdAt(), period.zone(), HOUR),
                        sheet.reduction(),
                        result));
    }

    /** What it is of: only results of one thing in one unit lie beside each other. */
    private static String of(Worked each) {
        Optional<String> vessel = each.reduction().sheet().experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? each.reduction().sheet().setting().calorimeter().map(Calorimeter::name)
                : Optional.empty();
        if (vessel.isPresent()) {
            return vessel.get();
        }
        String what = each.reduction()
                .equation()
                .map(equation -> equation.text())
                .or(() -> reference(each).map(Reference::name))
                .orElse("");
        return what.isEmpty() ? each.reduction().unknown() : what;
    }

    private static Optional<Reference> reference(Worked each) {
        return each.reduction().agreement(each.reduction().samples().get(0)).map(Agreement::reference);
    }

    private static Together together(String title, List<Worked> all, Figures figures) {
        Reduction first = all.get(0).reduction();
        List<Worked> alike = all.stream()
                .filter(each -> each.reduction().unit() == first.unit())
                .toList();
        BenchUnit unit = first.unit();
        Presentation presentation = first.presentation();
        Optional<Reference> reference = reference(alike.get(0));
        SideBySide side = SideBySide.of(
                alike.stream()
                        .map(each -> new SideBySide.Given(
                                each.label(),
                                each.result(),
                                each.reduction().samples().get(0).interval().orElseThrow()))
                        .toList(),
                reference,
                unit.symbol(),
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
                    written(alike.get(i)
                            .reduction()
                            .written(alike.get(i).reduction().samples().get(0))
                            .orElseThrow()),
                    entry.off(),
                    entry.repeat().orElse(""),
                    picture.rows().get(i)));
        }
        return new Together(
                title,
                first.equation().map(Typeset::of).orElse(List.of()),
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

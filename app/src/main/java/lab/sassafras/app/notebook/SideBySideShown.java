package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.app.chart.SidePicture;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.SideBySide;

/** Results of one thing as they are shown beside each other: each on one scale, with their mean and what that says. */
public final class SideBySideShown {

    private static final java.time.format.DateTimeFormatter HOUR =
            java.time.format.DateTimeFormatter.ofPattern("HH:mm", java.util.Locale.ENGLISH);

    private SideBySideShown() {}

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

    /** Those that were simulated stand by themselves, with a mean of their own. */
    public static String kind(BesideLine each) {
        return each.entry().simulated() ? (each.what() + ", simulated").replaceFirst("^, s", "S") : each.what();
    }

    private static String label(BesideLine each) {
        Entry entry = each.entry();
        return entry.bench().name() + ", "
                + WrittenTime.of(entry.createdAt(), entry.period().zone(), HOUR);
    }

    /**
     * {@return results of one thing}
     *
     * @param title   what they are of
     * @param all     of them
     * @param figures how numbers are written
     */
    public static Together together(String title, List<BesideLine> all, Figures figures) {
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

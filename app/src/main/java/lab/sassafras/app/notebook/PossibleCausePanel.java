package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.app.chart.CausesPicture;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.ExplainingSize;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Sample;

/**
 * The suspected errors beside their picture.
 *
 * @param title   over it
 * @param lead    how it is to be read
 * @param none    that none suffices by itself; empty where one does
 * @param picture the scale with its rows
 * @param open    shown at once
 * @param folded  behind a fold
 */
public record PossibleCausePanel(
        String title,
        String lead,
        Optional<String> none,
        CausesPicture picture,
        List<SuspectLine> open,
        List<SuspectLine> folded) {

    private static final int SHOWN = 6;

    /**
     * One suspected error.
     *
     * @param words   in words
     * @param size    a plausible one
     * @param change  of the result
     * @param verdict whether it could have done this
     * @param mark    leaf before it: done where it could have
     * @param row     the same, drawn
     */
    public record SuspectLine(
            String words, String size, String change, String verdict, String mark, CausesPicture.Row row) {}

    /** The most likely one in a few words. */
    String first() {
        return open.stream()
                .findFirst()
                .map(each -> each.words() + ", " + each.change())
                .orElse("");
    }

    static Optional<PossibleCausePanel> of(
            Reduction reduction, Sample sample, Estimate result, Presentation presentation, Figures figures) {
        List<ExplainingSize> suspects = reduction.suspects();
        if (suspects.isEmpty()) {
            return Optional.empty();
        }
        List<ExplainingSize.Row> rows = ExplainingSize.rows(suspects);
        BenchUnit unit = reduction.unit();
        double shown = presentation.unit(unit).widthToBench(1);
        boolean off = suspects.stream().anyMatch(each -> each.part().isPresent());
        CausesPicture picture = CausesPicture.of(
                result.value() / shown,
                reduction.agreement(sample).map(found -> band(found, shown)),
                rows.stream()
                        .map(ExplainingSize.Row::first)
                        .map(each -> new CausesPicture.Moved(each.change() / shown, each.reach() / shown))
                        .toList(),
                value -> figures.plain(Math.rint(value * 1e9) / 1e9));
        List<SuspectLine> lines = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            ExplainingSize each = rows.get(i).first();
            lines.add(new SuspectLine(
                    Stream.concat(Stream.of(each), rows.get(i).tied().stream())
                            .map(ExplainingSize::words)
                            .collect(Collectors.joining(", or ")),
                    size(each.error(), each, figures),
                    presentation.change(each.change(), result.uncertainty(), unit) + " "
                            + presentation.unit(unit).symbol(),
                    verdict(each, figures),
                    each.believed() ? "DONE" : "TODO",
                    picture.rows().get(i)));
        }
        return Optional.of(new PossibleCausePanel(
                off ? "Possible causes" : "Effect of possible errors",
                (off
                                ? "Each possible error in this run’s own account, at a plausible size; the most likely first, and those that move "
                                        + "the same number together."
                                : (reduction.agreement(sample).isPresent()
                                                ? "The result agrees with its reference. "
                                                : "There is nothing to compare the result with. ")
                                        + "Each possible error in this run’s own account, at a plausible size.")
                        + " The arrow goes from the result to where it would be without that error, the thin line as far "
                        + "as can be believed.",
                ExplainingSize.noneSuffices(reduction.suspects()).map(Finding::message),
                picture,
                lines.subList(0, Math.min(SHOWN, lines.size())),
                lines.subList(Math.min(SHOWN, lines.size()), lines.size())));
    }

    private static double[] band(Agreement found, double shown) {
        double middle = found.reference().value() / shown;
        double half = Math.abs(found.reference().uncertainty() / shown);
        return new double[] {middle - half, middle + half};
    }

    private static String size(double size, ExplainingSize of, Figures figures) {
        return of.unit().isEmpty() ? "" : figures.significant(Math.abs(size), 2) + " " + of.unit();
    }

    private static String verdict(ExplainingSize each, Figures figures) {
        if (each.part().isEmpty()) {
            return "";
        }
        if (!each.helps() && !each.believed()) {
            return "Goes the other way.";
        }
        if (each.unit().isEmpty()) {
            return each.believed() ? "This alone would explain it." : "This alone would not explain it.";
        }
        return each.explains().isEmpty()
                ? "No size of it would explain all."
                : size(each.explains().getAsDouble(), each, figures)
                        + (each.believed()
                                ? " would explain it all, which can be believed."
                                : " would explain it all: more than can be believed.");
    }
}

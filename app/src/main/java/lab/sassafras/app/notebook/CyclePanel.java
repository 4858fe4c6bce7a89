package lab.sassafras.app.notebook;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.chart.EnergyPicture;
import lab.sassafras.draft.CycleSum;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.substance.ChemicalEquation.Term;
import lab.sassafras.verdict.Reduction;

/**
 * Levels of energy of a reaction or of a cycle, and for a cycle the sum of its equations.
 *
 * @param rows    legs as they are added, then the target; none for a single reaction
 * @param picture the levels
 * @param change  from the first level to the last, written
 */
public record CyclePanel(List<Row> rows, EnergyPicture picture, String change) {

    /**
     * One equation of the sum.
     *
     * @param label what it is
     * @param times how often it is taken
     * @param left  of the arrow
     * @param right of the arrow
     * @param heat  of it as it is taken
     */
    public record Row(String label, String times, List<Part> left, List<Part> right, String heat) {}

    /**
     * One substance.
     *
     * @param count  how often it stands
     * @param pieces of its formula
     * @param state  s, l, g or aq
     * @param struck whether it cancels
     */
    public record Part(String count, List<Typeset.Piece> pieces, String state, boolean struck) {}

    static Optional<CyclePanel> of(Reduction reduction, Presentation presentation) {
        BenchUnit unit = BenchUnit.KILOJOULES_PER_MOLE;
        if (!reduction.unit().equals(unit) || reduction.result().isEmpty()) {
            return Optional.empty();
        }
        double result = reduction.result().orElseThrow().value();
        double u = reduction.result().orElseThrow().uncertainty();
        String shown = " " + presentation.unit(unit).symbol();
        return reduction
                .happened()
                .legs()
                .filter(legs -> !legs.times().isEmpty())
                .map(CycleSum::of)
                .map(sum -> new CyclePanel(
                        rows(sum, result, u, presentation, shown),
                        EnergyPicture.of(
                                words(sum.target().left()),
                                IntStream.range(0, sum.rows().size())
                                        .mapToObj(i -> new EnergyPicture.Taken(
                                                i == sum.rows().size() - 1
                                                        ? words(sum.target().right())
                                                        : "after "
                                                                + sum.rows()
                                                                        .get(i)
                                                                        .label()
                                                                        .split(",", 2)[0],
                                                sum.rows().get(i).heat().orElse(0)))
                                        .toList(),
                                direct(reduction, result),
                                heat -> presentation.change(heat, u, unit) + shown),
                        presentation.change(result, u, unit) + shown))
                .or(() -> reduction
                        .happened()
                        .equation()
                        .filter(any -> reduction.happened().legs().isEmpty())
                        .map(equation -> new CyclePanel(
                                List.of(),
                                EnergyPicture.of(
                                        terms(equation.reagents()),
                                        List.of(new EnergyPicture.Taken(
                                                terms(equation.products()),
                                                result * reduction.happened().timesAsWritten())),
                                        Optional.empty(),
                                        heat -> presentation.change(heat, u, unit) + shown),
                                presentation.change(
                                                result * reduction.happened().timesAsWritten(), u, unit)
                                        + shown)));
    }

    /** What was measured directly: the way round and the gap. */
    private static Optional<Double> direct(Reduction reduction, double result) {
        return reduction.trials().stream()
                .flatMap(trial -> trial.solution().stream())
                .flatMap(trial -> trial.derived().stream())
                .findFirst()
                .map(gap -> result + gap.estimate().value());
    }

    private static List<Row> rows(CycleSum sum, double result, double u, Presentation presentation, String shown) {
        List<Row> rows = new java.util.ArrayList<>(sum.rows().stream()
                .map(row -> row(
                        row,
                        row.heat().isPresent() && row.decimals() >= 0
                                ? presentation.asWritten(
                                                row.heat().getAsDouble(), row.decimals(), BenchUnit.KILOJOULES_PER_MOLE)
                                        + shown
                                : heat(row.heat(), u, presentation, shown)))
                .toList());
        rows.add(row(sum.target(), heat(OptionalDouble.of(result), u, presentation, shown)));
        return rows;
    }

    private static String heat(OptionalDouble heat, double u, Presentation presentation, String shown) {
        return heat.isEmpty() ? "" : presentation.change(heat.getAsDouble(), u, BenchUnit.KILOJOULES_PER_MOLE) + shown;
    }

    private static Row row(CycleSum.Row row, String heat) {
        return new Row(row.label(), row.times(), parts(row.left()), parts(row.right()), heat);
    }

    private static List<Part> parts(List<CycleSum.Part> parts) {
        return parts.stream()
                .map(part -> new Part(part.count(), Typeset.of(part.formula()), part.state(), part.struck()))
                .toList();
    }

    private static String words(List<CycleSum.Part> parts) {
        return parts.stream()
                .map(part -> (part.count().isEmpty() ? "" : part.count() + " ")
                        + part.formula().text())
                .collect(Collectors.joining(" + "));
    }

    private static String terms(List<Term> terms) {
        return terms.stream()
                .map(term -> (term.count() == 1 ? "" : term.count() + " ")
                        + term.formula().text())
                .collect(Collectors.joining(" + "));
    }
}

package lab.sassafras.expression;

import java.util.List;
import java.util.OptionalInt;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;

/**
 * Reads a tree by the schoolbook rule: a sum keeps the last place all its terms have, a product as many significant
 * figures as its least exact factor. Constants fixed by convention or definition count as exact. Common practice, no
 * source.
 */
public final class SignificantFigures implements Interpretation<SignificantFigures.Kept> {

    private static final int EXACT = 99;

    private final Bindings bindings;

    private SignificantFigures(Bindings bindings) {
        this.bindings = bindings;
    }

    /**
     * A number and how far it is known.
     *
     * @param value    the number
     * @param decimals last place that counts, digits after the mark; negative left of it
     */
    record Kept(double value, int decimals) {

        int figures() {
            return decimals >= EXACT || value == 0
                    ? EXACT
                    : Math.max(1, decimals + 1 + (int) Math.floor(Math.log10(Math.abs(value))));
        }

        static Kept ofFigures(double value, int figures) {
            return new Kept(value, figures >= EXACT || value == 0 ? EXACT : Figures.decimalsOf(value, figures));
        }
    }

    /**
     * {@return how many figures a result may be written with; empty where nothing read limits them}
     *
     * @param result   what is found
     * @param bindings the numbers that go into the inputs
     */
    public static OptionalInt of(Expression result, Bindings bindings) {
        int figures = result.read(new SignificantFigures(bindings)).figures();
        return figures >= EXACT ? OptionalInt.empty() : OptionalInt.of(figures);
    }

    /**
     * {@return how many figures a result may be written with whose every number was copied with so many digits and no ±
     * of its own, in the result's own unit: a sum of table values ends where they do; empty for any other}
     *
     * @param result   what is found
     * @param bindings the numbers that go into the inputs
     */
    public static OptionalInt ofDigitsAlone(Named result, Bindings bindings) {
        boolean alone = result.inputs().stream()
                .allMatch(input ->
                        input.unit().equals(result.unit()) && bindings.of(input).saysNoMoreThanItsDigits());
        return alone && !result.inputs().isEmpty() ? of(result, bindings) : OptionalInt.empty();
    }

    @Override
    public Kept input(Input input) {
        Measured measured = bindings.of(input);
        int byUncertainty = measured.uncertainty() > 0 ? Figures.decimalsFor(measured.uncertainty()) : EXACT;
        return new Kept(measured.value(), measured.decimals() >= 0 ? measured.decimals() : byUncertainty);
    }

    @Override
    public Kept constant(Constant constant) {
        return new Kept(constant.value(), EXACT);
    }

    @Override
    public Kept named(Named step, Supplier<Kept> body) {
        return body.get();
    }

    @Override
    public Kept sum(List<Kept> terms) {
        return new Kept(
                terms.stream().mapToDouble(Kept::value).sum(),
                terms.stream().mapToInt(Kept::decimals).min().orElse(EXACT));
    }

    @Override
    public Kept difference(Kept minuend, Kept subtrahend) {
        return new Kept(minuend.value - subtrahend.value, Math.min(minuend.decimals, subtrahend.decimals));
    }

    @Override
    public Kept product(List<Kept> factors) {
        return Kept.ofFigures(
                factors.stream().mapToDouble(Kept::value).reduce(1, (a, b) -> a * b),
                factors.stream().mapToInt(Kept::figures).min().orElse(EXACT));
    }

    @Override
    public Kept quotient(Kept dividend, Kept divisor) {
        return Kept.ofFigures(dividend.value / divisor.value, Math.min(dividend.figures(), divisor.figures()));
    }

    @Override
    public Kept negative(Kept body) {
        return new Kept(-body.value, body.decimals);
    }

    @Override
    public Kept least(List<Kept> parts) {
        return parts.stream()
                .min(java.util.Comparator.comparingDouble(Kept::value))
                .orElseThrow();
    }

    @Override
    public Kept root(Root root, Supplier<Kept> balance) {
        int least = root.inputs().stream()
                .map(this::input)
                .mapToInt(Kept::figures)
                .min()
                .orElse(EXACT);
        return Kept.ofFigures(new Computation(root, bindings).value(), least);
    }

    @Override
    public Kept applied(SmoothFunction function, Kept argument) {
        return new Kept(function.value(argument.value), EXACT);
    }
}

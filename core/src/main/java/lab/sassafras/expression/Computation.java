package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;

/** An expression with the numbers that go into it: its value, its exact derivatives, its uncertainty. */
public final class Computation {

    private final Tape tape;
    private final List<Measured> bound;
    private final double[] run;
    private final int which;

    /**
     * A formula with its numbers.
     *
     * @param expression the formula
     * @param bindings   the numbers that go into the inputs
     */
    public Computation(Expression expression, Bindings bindings) {
        this(Tape.of(expression), bindings);
    }

    private Computation(Tape tape, Bindings bindings) {
        this.tape = tape;
        Measured[] found = new Measured[tape.inputs().size()];
        for (int i = 0; i < found.length; i++) {
            found[i] = bindings.of(tape.inputs().get(i));
        }
        this.bound = List.of(found);
        this.run = tape.run(values());
        this.which = 0;
    }

    private Computation(Computation shared, int which) {
        this.tape = shared.tape;
        this.bound = shared.bound;
        this.run = shared.run;
        this.which = which;
    }

    /**
     * {@return several expressions with the same numbers; what they share is computed once}
     *
     * @param expressions the formulas
     * @param bindings    the numbers that go into the inputs
     */
    public static List<Computation> all(List<? extends Expression> expressions, Bindings bindings) {
        Computation shared = new Computation(Tape.of(expressions), bindings);
        return IntStream.range(0, expressions.size())
                .mapToObj(i -> new Computation(shared, i))
                .toList();
    }

    /** {@return every input that enters, in the order met} */
    public List<Input> inputs() {
        return tape.inputs();
    }

    private double[] values() {
        double[] values = new double[bound.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = bound.get(i).value();
        }
        return values;
    }

    /** {@return the value (bench unit of the expression); NaN or infinite where it has none} */
    public double value() {
        return tape.result(run, which);
    }

    /**
     * {@return the value with one input moved by a step (bench unit); the same where it does not enter}
     *
     * @param input something read, assumed or taken from the shelf
     * @param step  how far it is moved (bench unit)
     */
    public double shifted(Input input, double step) {
        double[] values = values();
        int at = at(input);
        if (at >= 0) {
            values[at] += step;
        }
        return tape.result(tape.run(values), which);
    }

    /**
     * {@return what an input is bound to (bench unit); 0 where it does not enter}
     *
     * @param input something read, assumed or taken from the shelf
     */
    public double value(Input input) {
        int at = at(input);
        return at < 0 ? 0 : bound.get(at).value();
    }

    /**
     * {@return derivative by one input (unit of the result per unit of the input); 0 where it does not enter}
     *
     * @param input something read, assumed or taken from the shelf
     */
    public double derivative(Input input) {
        int at = at(input);
        return at < 0 ? 0 : tape.derivatives(run, which)[at];
    }

    private int at(Input input) {
        for (int i = 0; i < tape.inputs().size(); i++) {
            if (tape.inputs().get(i).key().equals(input.key())) {
                return i;
            }
        }
        return -1;
    }

    /**
     * {@return value and uncertainty} An input's own part counts for itself; a shared source counts once, with the
     * sum of its ways into the result, which is where an offset cancels in a difference.
     */
    public Estimate estimate() {
        double[] slopes = tape.derivatives(run, which);
        List<Contribution> contributions = new ArrayList<>(2 * slopes.length);
        Map<Shared, Double> shared = new LinkedHashMap<>();
        double fourthPowers = 0;
        for (int i = 0; i < slopes.length; i++) {
            Input input = tape.inputs().get(i);
            Measured measured = bound.get(i);
            double slope = slopes[i];
            double own = Math.abs(slope) * measured.ownUncertainty();
            contributions.add(new Contribution(input.key(), input.label(), slope, own, null));
            fourthPowers += own * own * own * own / measured.degreesOfFreedom();
            for (Measured.Share share : measured.shares()) {
                shared.merge(share.source(), slope * share.sensitivity(), Double::sum);
            }
        }
        for (Map.Entry<Shared, Double> each : shared.entrySet()) {
            Shared source = each.getKey();
            double brings = Math.abs(each.getValue()) * source.standardUncertainty();
            contributions.add(new Contribution(source.key(), source.label(), each.getValue(), brings, source));
            fourthPowers += brings * brings * brings * brings / source.degreesOfFreedom();
        }
        double variance = 0;
        for (Contribution each : contributions) {
            variance += each.uncertainty() * each.uncertainty();
        }
        double dof = fourthPowers > 0 ? variance * variance / fourthPowers : Double.POSITIVE_INFINITY;
        return new Estimate(value(), Math.sqrt(variance), dof, contributions);
    }
}

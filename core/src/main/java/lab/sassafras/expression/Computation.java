package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;

/** An expression with the numbers that go into it: its value, its exact derivatives, its uncertainty. */
public final class Computation {

    private final Tape tape;
    private final List<Measured> bound;
    private final double[] run;

    public Computation(Expression expression, Bindings bindings) {
        this.tape = Tape.of(expression);
        this.bound = tape.inputs().stream().map(bindings::of).toList();
        this.run = tape.run(bound.stream().mapToDouble(Measured::value).toArray());
    }

    /** The value (bench unit of the expression); NaN or infinite where it has none. */
    public double value() {
        return tape.result(run);
    }

    /** Derivative by one input (unit of the result per unit of the input); 0 where it does not enter. */
    public double derivative(Input input) {
        int at = tape.inputs().stream().map(Input::key).toList().indexOf(input.key());
        return at < 0 ? 0 : tape.derivatives(run)[at];
    }

    /**
     * Value and uncertainty. An input's own part counts for itself; a shared source counts once, with the sum of its
     * ways into the result, which is where an offset cancels in a difference.
     */
    public Estimate estimate() {
        double[] slopes = tape.derivatives(run);
        List<Contribution> contributions = new ArrayList<>();
        Map<Shared, Double> shared = new LinkedHashMap<>();
        double fourthPowers = 0;
        for (int i = 0; i < slopes.length; i++) {
            Input input = tape.inputs().get(i);
            Measured measured = bound.get(i);
            double slope = slopes[i];
            double own = Math.abs(slope) * measured.ownUncertainty();
            contributions.add(new Contribution(input.key(), input.label(), slope, own, null));
            fourthPowers += Math.pow(own, 4) / measured.degreesOfFreedom();
            for (Measured.Share share : measured.shares()) {
                shared.merge(share.source(), slope * share.sensitivity(), Double::sum);
            }
        }
        for (Map.Entry<Shared, Double> each : shared.entrySet()) {
            Shared source = each.getKey();
            double brings = Math.abs(each.getValue()) * source.standardUncertainty();
            contributions.add(new Contribution(source.key(), source.label(), each.getValue(), brings, source));
            fourthPowers += Math.pow(brings, 4) / source.degreesOfFreedom();
        }
        double variance = contributions.stream().mapToDouble(each -> each.uncertainty() * each.uncertainty()).sum();
        double dof = fourthPowers > 0 ? variance * variance / fourthPowers : Double.POSITIVE_INFINITY;
        return new Estimate(value(), Math.sqrt(variance), dof, contributions);
    }
}

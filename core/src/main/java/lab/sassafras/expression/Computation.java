package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;
import org.hipparchus.analysis.differentiation.Gradient;

/** An expression with the numbers that go into it: its value, its exact derivatives, its uncertainty. */
public final class Computation {

    private final Expression expression;
    private final Bindings bindings;
    private final List<Input> inputs;

    public Computation(Expression expression, Bindings bindings) {
        this.expression = expression;
        this.bindings = bindings;
        this.inputs = List.copyOf(expression.inputs());
    }

    /** The value (bench unit of the expression); NaN or infinite where it has none. */
    public double value() {
        return expression.read(new NumberReading(input -> bindings.of(input).value()));
    }

    /** The value and its derivative by each input, in one pass. */
    private Gradient gradient() {
        Map<String, Gradient> variables = new LinkedHashMap<>();
        for (int i = 0; i < inputs.size(); i++) {
            variables.put(inputs.get(i).key(),
                    Gradient.variable(inputs.size(), i, bindings.of(inputs.get(i)).value()));
        }
        return expression.read(new DerivativeReading(inputs.size(), input -> variables.get(input.key())));
    }

    /** Derivative by one input (unit of the result per unit of the input); 0 where it does not enter. */
    public double derivative(Input input) {
        int at = inputs.indexOf(input);
        return at < 0 ? 0 : gradient().getPartialDerivative(at);
    }

    /**
     * Value and uncertainty. An input's own part counts for itself; a shared source counts once, with the sum of its
     * ways into the result, which is where an offset cancels in a difference.
     */
    public Estimate estimate() {
        Gradient gradient = gradient();
        List<Contribution> contributions = new ArrayList<>();
        Map<Shared, Double> shared = new LinkedHashMap<>();
        double fourthPowers = 0;
        for (int i = 0; i < inputs.size(); i++) {
            Input input = inputs.get(i);
            Measured measured = bindings.of(input);
            double slope = gradient.getPartialDerivative(i);
            double own = Math.abs(slope) * measured.ownUncertainty();
            contributions.add(new Contribution(input.key(), input.label(), slope, own, null));
            fourthPowers += Math.pow(own, 4) / measured.degreesOfFreedom();
            measured.shares().forEach(share ->
                    shared.merge(share.source(), slope * share.sensitivity(), Double::sum));
        }
        for (Map.Entry<Shared, Double> each : shared.entrySet()) {
            Shared source = each.getKey();
            double brings = Math.abs(each.getValue()) * source.standardUncertainty();
            contributions.add(new Contribution(source.key(), source.label(), each.getValue(), brings, source));
            fourthPowers += Math.pow(brings, 4) / source.degreesOfFreedom();
        }
        double variance = contributions.stream().mapToDouble(each -> each.uncertainty() * each.uncertainty()).sum();
        double dof = fourthPowers > 0 ? variance * variance / fourthPowers : Double.POSITIVE_INFINITY;
        return new Estimate(gradient.getValue(), Math.sqrt(variance), dof, contributions);
    }
}

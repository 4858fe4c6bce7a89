package lab.sassafras.expression;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import org.hipparchus.analysis.differentiation.Gradient;

/**
 * A second way to the derivatives, by Hipparchus {@code Gradient} forwards through the tree: shares nothing with the
 * tape.
 */
record HipparchusReading(int inputs, Function<Input, Gradient> variables) implements Interpretation<Gradient> {

    @Override
    public Gradient input(Input input) {
        return variables.apply(input);
    }

    @Override
    public Gradient constant(Constant constant) {
        return Gradient.constant(inputs, constant.value());
    }

    @Override
    public Gradient named(Named step, Supplier<Gradient> body) {
        return body.get();
    }

    @Override
    public Gradient sum(List<Gradient> terms) {
        return terms.stream().reduce(Gradient::add).orElseGet(() -> Gradient.constant(inputs, 0));
    }

    @Override
    public Gradient difference(Gradient minuend, Gradient subtrahend) {
        return minuend.subtract(subtrahend);
    }

    @Override
    public Gradient product(List<Gradient> factors) {
        return factors.stream().reduce(Gradient::multiply).orElseGet(() -> Gradient.constant(inputs, 1));
    }

    @Override
    public Gradient quotient(Gradient dividend, Gradient divisor) {
        return dividend.divide(divisor);
    }

    @Override
    public Gradient negative(Gradient body) {
        return body.negate();
    }

    @Override
    public Gradient applied(SmoothFunction function, Gradient argument) {
        double at = argument.getValue();
        return argument.compose(function.value(at), function.derivative(at));
    }

    @Override
    public Gradient least(List<Gradient> parts) {
        return parts.stream()
                .reduce((a, b) -> a.getValue() <= b.getValue() ? a : b)
                .orElseThrow();
    }

    @Override
    public Gradient root(Expression.Root root, Supplier<Gradient> balance) {
        throw new UnsupportedOperationException("checked by differences instead");
    }
}

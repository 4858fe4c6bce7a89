package lab.sassafras.expression;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/**
 * Reads a tree as a plain value.
 *
 * @param values the number of each input (bench unit)
 */
record NumberReading(Function<Input, Double> values) implements Interpretation<Double> {

    @Override
    public Double input(Input input) {
        return values.apply(input);
    }

    @Override
    public Double constant(Constant constant) {
        return constant.value();
    }

    @Override
    public Double named(Named step, Supplier<Double> body) {
        return body.get();
    }

    @Override
    public Double sum(List<Double> terms) {
        return terms.stream().mapToDouble(Double::doubleValue).sum();
    }

    @Override
    public Double difference(Double minuend, Double subtrahend) {
        return minuend - subtrahend;
    }

    @Override
    public Double product(List<Double> factors) {
        return factors.stream().reduce(1.0, (a, b) -> a * b);
    }

    @Override
    public Double quotient(Double dividend, Double divisor) {
        return dividend / divisor;
    }

    @Override
    public Double negative(Double body) {
        return -body;
    }

    @Override
    public Double applied(SmoothFunction function, Double argument) {
        return function.value(argument);
    }
}

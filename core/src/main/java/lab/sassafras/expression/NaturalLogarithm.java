package lab.sassafras.expression;

import lab.sassafras.measure.BenchUnit;

/** The natural logarithm of a pure number. */
public record NaturalLogarithm() implements SmoothFunction {

    @Override
    public Symbol symbol() {
        return new Symbol("ln", "");
    }

    @Override
    public BenchUnit argumentUnit() {
        return BenchUnit.NUMBER;
    }

    @Override
    public BenchUnit unit() {
        return BenchUnit.NUMBER;
    }

    @Override
    public double value(double argument) {
        return argument > 0 ? Math.log(argument) : Double.NaN;
    }

    @Override
    public double derivative(double argument) {
        return argument > 0 ? 1 / argument : Double.NaN;
    }
}

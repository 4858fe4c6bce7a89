package lab.sassafras.expression;

import lab.sassafras.measure.BenchUnit;

/** A function of one variable with its exact derivative. Outside its range both are NaN, which accounts report. */
public interface SmoothFunction {

    /** {@return its name as written in the working} */
    Symbol symbol();

    /** {@return unit of what it is taken at} */
    BenchUnit argumentUnit();

    /** {@return unit of its value} */
    BenchUnit unit();

    /**
     * Its value.
     *
     * @param argument what it is taken at (argument unit)
     * @return the value (unit)
     */
    double value(double argument);

    /**
     * Its derivative.
     *
     * @param argument what it is taken at (argument unit)
     * @return the slope there (unit per argument unit)
     */
    double derivative(double argument);
}

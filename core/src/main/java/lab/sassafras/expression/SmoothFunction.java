package lab.sassafras.expression;

import lab.sassafras.measure.BenchUnit;

/** A function of one variable with its exact derivative. Outside its range both are NaN, which accounts report. */
public interface SmoothFunction {

    /** Its name as written in the working. */
    Symbol symbol();

    /** Unit of its value. */
    BenchUnit unit();

    double value(double argument);

    double derivative(double argument);
}

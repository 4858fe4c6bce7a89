package lab.sassafras.expression;

import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/**
 * Where a balance is nothing between two values. Where it has one sign at both ends, or none at one of them, the piece
 * in which it changes is looked for from the lower end on.
 */
final class Bracket {

    private static final int EVALUATIONS = 200;
    private static final int PIECES = 256;

    private Bracket() {}

    /** Not a number where it is nothing nowhere between. */
    static double root(UnivariateFunction balance, double low, double high) {
        double whole = between(balance, low, high);
        return Double.isNaN(whole) ? inPieces(balance, low, high) : whole;
    }

    private static double between(UnivariateFunction balance, double low, double high) {
        try {
            return new BracketingNthOrderBrentSolver(1e-14, 1e-11, 5).solve(EVALUATIONS, balance, low, high);
        } catch (MathRuntimeException notBracketed) {
            return Double.NaN;
        }
    }

    /** Pieces of equal ratio where both ends are above nothing, as amounts are; else of equal width. */
    private static double inPieces(UnivariateFunction balance, double low, double high) {
        double before = low;
        double valueBefore = balance.value(low);
        for (int i = 1; i <= PIECES; i++) {
            double part = (double) i / PIECES;
            double here = low > 0 ? low * Math.pow(high / low, part) : low + part * (high - low);
            double value = balance.value(here);
            if (valueBefore * value <= 0) {
                return between(balance, before, here);
            }
            before = here;
            valueBefore = value;
        }
        return Double.NaN;
    }
}

package lab.sassafras.verdict;

import java.util.function.DoubleUnaryOperator;

/**
 * How likely an error of the usual spread leaves a result as far off as it is: the density of the deviation, the sizes
 * of the error falling off exponentially from none to the largest believed, each blurred by what the uncertainties of
 * result and reference allow. A cause that would have to be larger than is usual is unlikely, and so is one that would
 * usually do far more than was seen.
 */
final class Likelihood {

    private static final int POINTS = 64;
    /** A half-width in standard uncertainties. */
    private static final double NORMAL_95 = 1.96;
    /** What is believed reaches this many times beyond the middling size, if its own is smaller (no source). */
    private static final double TAIL = 3;

    private Likelihood() {}

    /**
     * {@return the density at a deviation (per unit of the result)}
     *
     * @param moves     change of the result by the size of the error
     * @param plausible size, with the sign it has
     * @param most      largest believed, as a distance
     * @param either    whether it goes the other way as well
     * @param deviation how far the result is off
     */
    static double of(
            DoubleUnaryOperator moves,
            double plausible,
            double most,
            boolean either,
            ExplainingSize.Deviation deviation) {
        double one = oneWay(moves, Math.copySign(1, plausible), Math.abs(plausible), most, deviation);
        return either
                ? 0.5 * (one + oneWay(moves, -Math.copySign(1, plausible), Math.abs(plausible), most, deviation))
                : one;
    }

    private static double oneWay(
            DoubleUnaryOperator moves, double sign, double plausible, double most, ExplainingSize.Deviation deviation) {
        double middling = Math.max(plausible, most / TAIL);
        double step = most / POINTS;
        double all = 0;
        double density = 0;
        double before = 0;
        for (int i = 0; i < POINTS; i++) {
            double weight = Math.exp(-(i + 0.5) * step / middling);
            double moved = moves.applyAsDouble(sign * (i + 1) * step);
            all += weight;
            if (Double.isFinite(moved)) {
                density += weight * at(deviation, 0.5 * (before + moved), Math.abs(moved - before));
                before = moved;
            }
        }
        return density / all;
    }

    /**
     * {@return the density of a deviation where a change of the result is known}
     *
     * @param deviation how far the result is off
     * @param moved     how far it would be off
     * @param blurred   width of a stretch that stands for all in it (unit of the result)
     */
    static double at(ExplainingSize.Deviation deviation, double moved, double blurred) {
        double u = Math.hypot(deviation.allowed() / NORMAL_95, blurred / Math.sqrt(12));
        if (u == 0) {
            return 0;
        }
        double off = (deviation.size() - moved) / u;
        return Math.exp(-0.5 * off * off) / (u * Math.sqrt(2 * Math.PI));
    }
}

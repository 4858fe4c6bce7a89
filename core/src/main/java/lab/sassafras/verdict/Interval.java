package lab.sassafras.verdict;

import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.MonteCarlo;

/**
 * A result with the interval that is to be gone by: the one that is printed with it, and judged by.
 *
 * @param value the result (its unit)
 * @param low   lower end of the 95 % interval (unit of the value)
 * @param high  upper end (unit of the value)
 * @param drawn whether it is that of random draws, because the linear one does not describe the result
 */
public record Interval(double value, double low, double high, boolean drawn) {

    /** The probability that an interval holds the value. */
    public static final double PROBABILITY = 0.95;

    /**
     * {@return Student's interval of a result}
     *
     * @param result with its uncertainty and degrees of freedom (its unit)
     */
    public static Interval of(Estimate result) {
        double half = result.halfWidth(PROBABILITY);
        return new Interval(result.value(), result.value() - half, result.value() + half, false);
    }

    /**
     * {@return the interval of random draws about a result}
     *
     * @param result with its uncertainty (its unit)
     * @param drawn  the same by random draws (unit of the result)
     */
    public static Interval of(Estimate result, MonteCarlo drawn) {
        return new Interval(result.value(), drawn.low(), drawn.high(), true);
    }

    /** {@return half its width (unit of the value)} */
    public double half() {
        return (high - low) / 2;
    }

    /**
     * {@return that of a result so many times as large}
     *
     * @param factor it is multiplied by, exact
     */
    Interval times(double factor) {
        double one = low * factor;
        double other = high * factor;
        return new Interval(value * factor, Math.min(one, other), Math.max(one, other), drawn);
    }

    /**
     * {@return how far it reaches towards another value (unit of the value)}
     *
     * @param other what it is compared with (unit of the value)
     */
    double towards(double other) {
        return Math.max(0, other > value ? high - value : value - low);
    }
}

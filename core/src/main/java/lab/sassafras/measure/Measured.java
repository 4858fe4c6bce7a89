package lab.sassafras.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * An input's value and what is known of its error: an independent part of its own, and shares of sources it has
 * in common with other inputs. Two inputs are correlated exactly as far as they share: their covariance is
 * Σ sensitivity₁ · sensitivity₂ · u(source)² (JCGM 100:2008, F.1.2.3).
 *
 * @param value             (bench unit)
 * @param ownUncertainty    standard uncertainty of the independent part (bench unit)
 * @param degreesOfFreedom  of the independent part; infinite where it is taken as known
 * @param shares            common sources with how strongly each enters
 * @param decimals          digits after the mark to show it with; negative where its uncertainty decides
 * @param shape             how the independent part is spread
 */
public record Measured(
        double value, double ownUncertainty, double degreesOfFreedom, List<Share> shares, int decimals, Shape shape) {

    /**
     * An input whose own error is spread like a bell.
     *
     * @param value             (bench unit)
     * @param ownUncertainty    standard uncertainty of the independent part (bench unit)
     * @param degreesOfFreedom  of the independent part; infinite where it is taken as known
     * @param shares            common sources with how strongly each enters
     * @param decimals          digits after the mark to show it with; negative where its uncertainty decides
     */
    public Measured(double value, double ownUncertainty, double degreesOfFreedom, List<Share> shares, int decimals) {
        this(value, ownUncertainty, degreesOfFreedom, shares, decimals, Shape.NORMAL);
    }

    /**
     * One common source in one input.
     *
     * @param source      the common source
     * @param sensitivity change of the input for a unit change of the source
     */
    public record Share(Shared source, double sensitivity) {

        /** {@return standard uncertainty this share brings (unit of the input)} */
        public double uncertainty() {
            return Math.abs(sensitivity) * source.standardUncertainty();
        }
    }

    /**
     * {@return an exact number}
     *
     * @param value the number (its own unit)
     */
    public static Measured exact(double value) {
        return independent(value, 0);
    }

    /**
     * {@return a value with an uncertainty that nothing else shares (both in the bench unit)}
     *
     * @param value       the number (its own unit)
     * @param uncertainty standard uncertainty (unit of the value)
     */
    public static Measured independent(double value, double uncertainty) {
        return new Measured(value, uncertainty, Double.POSITIVE_INFINITY, List.of(), -1);
    }

    /**
     * {@return a number that says no more than its digits: rectangular, one last digit wide (JCGM 100:2008, 4.3.7)}
     *
     * @param value     the number (bench unit)
     * @param lastDigit one unit of the last digit written (bench unit)
     * @param decimals  digits after the mark; negative where it was converted to no round number
     */
    public static Measured written(double value, double lastDigit, int decimals) {
        return new Measured(
                value, lastDigit / Math.sqrt(12), Double.POSITIVE_INFINITY, List.of(), decimals, Shape.RECTANGULAR);
    }

    /** {@return whether nobody said how well it is known: a number copied with so many digits} */
    public boolean saysNoMoreThanItsDigits() {
        boolean byItself = shape == Shape.RECTANGULAR && shares.isEmpty();
        boolean sharedByTrials = ownUncertainty == 0
                && shares.size() == 1
                && shares.get(0).source().shape() == Shape.RECTANGULAR;
        return decimals >= 0 && (byItself || sharedByTrials);
    }

    /**
     * {@return a reading on an instrument: its own part what the instrument allows, or what the digits written allow
     * where they are fewer; put right by its points of comparison, offset and gain shared}
     *
     * @param value      the number (bench unit)
     * @param lastDigit  one unit of the last digit written (bench unit)
     * @param decimals   digits after the mark; negative where it was converted to no round number
     * @param instrument read on
     */
    public static Measured read(double value, double lastDigit, int decimals, Instrument instrument) {
        double byDigits = written(value, lastDigit, decimals).ownUncertainty();
        boolean coarse = instrument.coarser(lastDigit) && byDigits > instrument.standardUncertainty();
        Instrument.Corrected corrected = instrument.corrected(value);
        return new Measured(
                corrected.value(),
                coarse ? byDigits : instrument.standardUncertainty(),
                Double.POSITIVE_INFINITY,
                corrected.shares(),
                corrected.value() == value || decimals < 0 ? decimals : decimals + 1,
                coarse || instrument.readingUncertainty() == 0 ? Shape.RECTANGULAR : Shape.NORMAL);
    }

    /**
     * {@return the same value where several results draw on one and the same input (a pinned constant, a density
     * measured once): its own part becomes a source they share}
     *
     * @param key   identity of the source
     * @param label in words, for the budget
     * @param scope how far it reaches
     */
    public Measured heldInCommon(String key, String label, Scope scope) {
        if (ownUncertainty == 0) {
            return this;
        }
        List<Share> all = new ArrayList<>(shares);
        all.add(new Share(new Shared(key, label, ownUncertainty, degreesOfFreedom, scope, shape), 1));
        return new Measured(value, 0, Double.POSITIVE_INFINITY, List.copyOf(all), decimals);
    }

    /** {@return combined standard uncertainty (bench unit)} */
    public double uncertainty() {
        double shared = shares.stream()
                .mapToDouble(share -> Math.pow(share.uncertainty(), 2))
                .sum();
        return Math.sqrt(ownUncertainty * ownUncertainty + shared);
    }
}

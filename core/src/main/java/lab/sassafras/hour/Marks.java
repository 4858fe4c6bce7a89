package lab.sassafras.hour;

import java.util.OptionalDouble;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;

/**
 * What an instructor weighs a run by. Each part is a number from 0 to 1; a mark is their weighted mean in per cent. The
 * parts are conventions of this sheet and have no source; the weights are the instructor’s.
 *
 * @param deviation    weight of how far the result lies from its reference
 * @param completeness weight of how much was read
 * @param corrections  weight of how little had to be corrected
 */
public record Marks(double deviation, double completeness, double corrections) {

    /** Largest weight. */
    public static final double MOST = 100;
    /** So many times what both intervals allow, and nothing is left of a deviation’s part. */
    private static final double FAR = 3;
    /** What a correction takes of its part. */
    private static final double EACH = 0.1;

    /**
     * Looks whether something is weighed at all.
     *
     * @param deviation    weight of how far the result lies from its reference
     * @param completeness weight of how much was read
     * @param corrections  weight of how little had to be corrected
     * @throws Refused where it is not, or a weight is none
     */
    public Marks {
        for (double each : new double[] {deviation, completeness, corrections}) {
            if (!(each >= 0 && each <= MOST)) {
                throw new Refused("A weight is a number from 0 to " + Figures.POINT.plain(MOST) + ".");
            }
        }
        if (deviation + completeness + corrections == 0) {
            throw new Refused("Give at least one of them a weight.");
        }
    }

    /**
     * {@return the mark of a run, from 0 to 100; empty where nothing that is weighed is known of it}
     *
     * @param off      deviation of its result in units of what both intervals allow; empty without a reference or a
     *                 result, and then not weighed
     * @param complete part of what is to be read that was (from 0 to 1)
     * @param times    something was corrected
     */
    public OptionalDouble of(OptionalDouble off, double complete, int times) {
        double weights = completeness + corrections + (off.isPresent() ? deviation : 0);
        double sum = completeness * complete
                + corrections * Math.max(0, 1 - EACH * times)
                + (off.isPresent() ? deviation * agreement(off.getAsDouble()) : 0);
        return weights == 0 ? OptionalDouble.empty() : OptionalDouble.of(100 * sum / weights);
    }

    /** All of it where both intervals allow the deviation, nothing from three times that on. */
    private static double agreement(double off) {
        return Math.max(0, Math.min(1, (FAR - Math.abs(off)) / (FAR - 1)));
    }
}

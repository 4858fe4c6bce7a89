package lab.sassafras.curve;

import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Figures;

/**
 * The way of reading that fits a curve, with the reason. It goes by what the curve shows: whether there is enough on
 * both sides of mixing, and whether the heat came (or the thermometer followed) before the first reading after it.
 *
 * @param way    to read it
 * @param reason in plain words
 */
public record Recommendation(CurveMethod way, String reason) {

    /** From this part of the change on, what may still come after the record is worth saying. */
    private static final double STILL_TO_COME = 0.05;
    /** So likely is it that all heat came at once where lines are carried to mixing. */
    private static final double AT_ONCE = 0.2;

    /**
     * {@return what to read a curve by}
     *
     * @param baselines of the curve
     * @param figures   how numbers are written
     */
    public static Recommendation of(Baselines baselines, Figures figures) {
        if (!baselines.enough()) {
            return new Recommendation(
                    CurveMethod.EXTREME,
                    "There are too few readings for a line before mixing and after it. What leaked until the turn is not "
                            + "given back.");
        }
        if (!baselines.loss().none() && (baselines.slow() || baselines.loss().atOnce() < AT_ONCE)) {
            return new Recommendation(CurveMethod.INTEGRAL, slow(baselines, figures) + tail(baselines, figures));
        }
        return new Recommendation(
                CurveMethod.NEWTON,
                "All heat had come by the first reading after mixing, and both sides cool toward one temperature with one "
                        + "constant of " + figures.significant(baselines.coolingTime(), 2)
                        + " s. Straight lines, which cannot bend, differ from it by "
                        + apart(baselines, CurveMethod.LINES, CurveMethod.NEWTON, figures) + ".");
    }

    private static String slow(Baselines baselines, Figures figures) {
        return "The heat came, or the thermometer followed, " + figures.significant(baselines.meanDelay(), 2)
                + " s after mixing in the mean. Extrapolated to the time of mixing, the change is given "
                + apart(baselines, CurveMethod.NEWTON, CurveMethod.INTEGRAL, figures)
                + " for a loss that had not yet begun; the area between curve and readings takes it off.";
    }

    /** Where the record may have ended before the heat did, it is said: the ± has it. */
    private static String tail(Baselines baselines, Figures figures) {
        double part = baselines.stillToCome();
        return part > STILL_TO_COME
                ? " After the last reading some " + figures.significant(100 * part, 1)
                        + " % of the change may still have been to come; the ± allows for it. A longer record would tell."
                : "";
    }

    private static String apart(Baselines baselines, CurveMethod one, CurveMethod other, Figures figures) {
        return one.of(baselines) instanceof Change first && other.of(baselines) instanceof Change second
                ? figures.signed(first.difference() - second.difference(), 2) + " °C"
                : "an unknown amount";
    }
}

package lab.sassafras.statistics;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The line through several trials, such as heat against amount, by least squares with equal weights (Hipparchus). Its
 * slope weighs trials otherwise than the mean does, and an intercept away from zero reveals an error that is the same
 * in every trial.
 *
 * @param points               how many trials
 * @param slope                (unit up per unit across)
 * @param slopeUncertainty     standard error of it
 * @param intercept            at nothing across (unit up)
 * @param interceptUncertainty standard error of it
 * @param throughZero          slope of the line made to pass through zero
 * @param throughZeroUncertainty standard error of it
 */
public record StraightLine(
        int points,
        double slope,
        double slopeUncertainty,
        double intercept,
        double interceptUncertainty,
        double throughZero,
        double throughZeroUncertainty) {

    private static final int FEWEST = 3;
    private static final double APART = 0.1;
    private static final double APART_FREELY = 0.01;
    private static final double APART_AT_ALL = 1e-6;

    /**
     * Lays the line.
     *
     * @param across of each trial (unit across)
     * @param up     of each trial, in the same order (unit up)
     * @return empty with fewer than three trials, or where all stand at nearly the same place across: within a tenth of
     *         the furthest (common practice, no source)
     */
    public static Optional<StraightLine> of(List<Double> across, List<Double> up) {
        return of(across, up, APART);
    }

    private static Optional<StraightLine> of(List<Double> across, List<Double> up, double apart) {
        if (across.size() < FEWEST || !apart(across, apart)) {
            return Optional.empty();
        }
        SimpleRegression free = new SimpleRegression(true);
        SimpleRegression bound = new SimpleRegression(false);
        for (int i = 0; i < across.size(); i++) {
            free.addData(across.get(i), up.get(i));
            bound.addData(across.get(i), up.get(i));
        }
        return Optional.of(new StraightLine(
                across.size(),
                free.getSlope(),
                free.getSlopeStdErr(),
                free.getIntercept(),
                free.getInterceptStdErr(),
                bound.getSlope(),
                bound.getSlopeStdErr()));
    }

    /**
     * Through points; empty with fewer than three, or where all stand at nearly the same place across.
     *
     * @param points at least three
     * @return the line
     */
    public static Optional<StraightLine> through(List<TrialPoint> points) {
        return of(
                points.stream().map(point -> point.across().value()).toList(),
                points.stream().map(point -> point.up().value()).toList(),
                part(points));
    }

    private static double part(List<TrialPoint> points) {
        return points.stream().allMatch(TrialPoint::meetsZero) ? APART : APART_FREELY;
    }

    /** Whether there is more than one place across, and they differ enough for a slope to mean something. */
    static boolean apart(List<TrialPoint> points) {
        return points.size() >= (points.stream().allMatch(TrialPoint::meetsZero) ? FEWEST : 2)
                && apart(
                        points.stream().map(point -> point.across().value()).toList(),
                        points.get(0).meetsZero() ? APART : APART_AT_ALL);
    }

    /** The line with equal weights. */
    static SimpleRegression leastSquares(List<TrialPoint> points) {
        SimpleRegression line = new SimpleRegression(true);
        points.forEach(point -> line.addData(point.across().value(), point.up().value()));
        return line;
    }

    /** {@return half the width of Student's 95 % interval of the intercept, with n − 2 degrees of freedom (unit up)} */
    public double interceptHalfWidth() {
        return interceptUncertainty * student();
    }

    /**
     * {@return half the width of Student's 95 % interval of the slope, with n − 2 degrees of freedom (unit up per unit
     * across)}
     */
    public double slopeHalfWidth() {
        return slopeUncertainty * student();
    }

    private double student() {
        return new TDistribution(points - 2).inverseCumulativeProbability(0.975);
    }

    /** {@return whether the intercept is more than scatter: zero lies outside its 95 % interval} */
    public boolean missesZero() {
        return Math.abs(intercept) > interceptHalfWidth();
    }

    /** Whether places across differ enough for a slope to mean something. */
    private static boolean apart(List<Double> across, double part) {
        double least = Collections.min(across);
        double most = Collections.max(across);
        return most - least >= part * Math.max(Math.abs(least), Math.abs(most)) && most > least;
    }
}

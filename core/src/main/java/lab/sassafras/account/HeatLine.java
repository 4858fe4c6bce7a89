package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The line of heat against amount through several trials, by least squares with equal weights (Hipparchus). Its slope
 * weighs trials otherwise than the mean per mole does, and an intercept away from zero reveals an error that is the same
 * in every trial.
 *
 * @param points               how many trials
 * @param slope                (unit of heat per unit of amount)
 * @param slopeUncertainty     standard error of it
 * @param intercept            heat at no amount (unit of heat)
 * @param interceptUncertainty standard error of it
 * @param throughZero          slope of the line made to pass through zero
 * @param throughZeroUncertainty standard error of it
 */
public record HeatLine(
        int points,
        double slope,
        double slopeUncertainty,
        double intercept,
        double interceptUncertainty,
        double throughZero,
        double throughZeroUncertainty) {

    private static final int FEWEST = 3;

    /**
     * Lays the line.
     *
     * @param amounts of each trial
     * @param heats   of each trial, in the same order
     * @return empty with fewer than three trials, or where all amounts are the same
     */
    public static Optional<HeatLine> of(List<Double> amounts, List<Double> heats) {
        if (amounts.size() < FEWEST || amounts.stream().distinct().count() < 2) {
            return Optional.empty();
        }
        SimpleRegression free = new SimpleRegression(true);
        SimpleRegression bound = new SimpleRegression(false);
        for (int i = 0; i < amounts.size(); i++) {
            free.addData(amounts.get(i), heats.get(i));
            bound.addData(amounts.get(i), heats.get(i));
        }
        return Optional.of(new HeatLine(
                amounts.size(),
                free.getSlope(),
                free.getSlopeStdErr(),
                free.getIntercept(),
                free.getInterceptStdErr(),
                bound.getSlope(),
                bound.getSlopeStdErr()));
    }

    /** Through the trials that have an amount: mol against kJ. */
    public static Optional<HeatLine> through(List<Solution> trials) {
        if (trials.size() < FEWEST) {
            return Optional.empty();
        }
        List<Solution.Point> points =
                trials.stream().flatMap(trial -> trial.point().stream()).toList();
        return of(
                points.stream().map(point -> point.amount().value()).toList(),
                points.stream().map(point -> point.heat().value() / 1000).toList());
    }

    /** Whether the intercept is more than scatter: further from zero than twice its standard error. */
    public boolean missesZero() {
        return Math.abs(intercept) > 2 * interceptUncertainty;
    }
}

package lab.sassafras.statistics;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Estimate;

/**
 * What one trial came to.
 *
 * @param estimate its result (unit of the result)
 * @param point    where it stands on a line through several; empty where no line is drawn
 * @param amount   what the result grows with, where it is not per anything
 */
public record TrialResult(Estimate estimate, Optional<TrialPoint> point, Optional<Double> amount) {

    /** Relative difference from which two amounts are unlike. Common practice, no source. */
    private static final double UNLIKE = 0.02;

    /**
     * {@return whether the results grow with amounts that differ, so that their mean says nothing}
     *
     * @param trials those that count
     */
    public static boolean unlike(List<TrialResult> trials) {
        if (trials.stream().allMatch(each -> each.amount().isEmpty())) {
            return false;
        }
        DoubleSummaryStatistics amounts = trials.stream()
                .flatMap(each -> each.amount().stream())
                .mapToDouble(Double::doubleValue)
                .summaryStatistics();
        return amounts.getMax() - amounts.getMin() > UNLIKE * amounts.getMax();
    }
}

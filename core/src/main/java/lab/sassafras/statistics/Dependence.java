package lab.sassafras.statistics;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Estimate;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Whether the results of several trials follow something in which the trials differ, such as their temperature. Then
 * they are no repeats of one thing, and their scatter about a mean is no uncertainty.
 *
 * @param change      of the result from the least to the most of it, by the line (unit of the result)
 * @param uncertainty standard uncertainty of that change (unit of the result)
 */
public record Dependence(double change, double uncertainty) {

    /** So many standard uncertainties make a change more than chance. */
    private static final double BEYOND = 2;

    /**
     * Looks for it.
     *
     * @param results of the trials (unit of the result)
     * @param across  what they differ in, in the same order (any unit)
     * @return empty with fewer than two trials, or where they do not differ in it
     */
    public static Optional<Dependence> of(List<Estimate> results, List<Double> across) {
        double[] weights = weights(results);
        double sum = Arrays.stream(weights).sum();
        double middle = 0;
        double mean = 0;
        for (int i = 0; i < weights.length; i++) {
            middle += weights[i] * across.get(i) / sum;
            mean += weights[i] * results.get(i).value() / sum;
        }
        double squares = 0;
        double products = 0;
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < weights.length; i++) {
            double off = across.get(i) - middle;
            squares += weights[i] * off * off;
            products += weights[i] * off * (results.get(i).value() - mean);
            low = Math.min(low, across.get(i));
            high = Math.max(high, across.get(i));
        }
        if (weights.length < 2 || !(high - low > 1e-9 * Math.max(Math.abs(low), Math.abs(high)))) {
            return Optional.empty();
        }
        double slope = products / squares;
        double left = 0;
        for (int i = 0; i < weights.length; i++) {
            double off = results.get(i).value() - mean - slope * (across.get(i) - middle);
            left += weights[i] * off * off;
        }
        double uncertainty = (high - low) * Math.max(own(results, squares), scatter(weights.length, left / squares));
        return Optional.of(new Dependence(slope * (high - low), uncertainty));
    }

    /** By what each trial has of its own; all alike where one has nothing. */
    private static double[] weights(List<Estimate> results) {
        boolean known = results.stream().allMatch(each -> each.ownUncertainty() > 0);
        return results.stream()
                .mapToDouble(each -> known ? 1 / (each.ownUncertainty() * each.ownUncertainty()) : 1)
                .toArray();
    }

    private static double own(List<Estimate> results, double squares) {
        return results.stream().allMatch(each -> each.ownUncertainty() > 0) ? 1 / Math.sqrt(squares) : 0;
    }

    /** What the slope is uncertain by, by the scatter about the line; two trials leave none to judge by. */
    private static double scatter(int n, double ofSlope) {
        return n < 3
                ? 0
                : Math.sqrt(ofSlope / (n - 2)) * new TDistribution(n - 2).inverseCumulativeProbability(0.975) / BEYOND;
    }

    /** {@return whether the results follow it by more than chance and the ± of each explain} */
    public boolean beyondChance() {
        return uncertainty > 0 && Math.abs(change) > BEYOND * uncertainty;
    }
}

package lab.sassafras.statistics;

import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Grubbs' test for one outlier among trials, two-sided at 5 % (F. E. Grubbs, Technometrics 11 (1969) 1, memory). Used
 * from six trials on: with three, any near pair makes the third look like one.
 *
 * @param index    of the trial furthest from the mean, from 0
 * @param distance of it from the mean, in standard deviations
 * @param critical distance from which it is called an outlier
 */
public record Grubbs(int index, double distance, double critical) {

    /** Fewest trials the test is used from. */
    public static final int FEWEST = 6;

    private static final double LEVEL = 0.05;

    /**
     * {@return the test; empty with fewer than six trials or without any scatter}
     *
     * @param values one of each trial (same unit)
     */
    public static Optional<Grubbs> of(List<Double> values) {
        int n = values.size();
        if (n < FEWEST) {
            return Optional.empty();
        }
        double mean = values.stream().mapToDouble(Double::doubleValue).average().orElse(0);
        double s = Math.sqrt(values.stream()
                        .mapToDouble(each -> (each - mean) * (each - mean))
                        .sum()
                / (n - 1));
        if (s == 0) {
            return Optional.empty();
        }
        int furthest = 0;
        for (int i = 1; i < n; i++) {
            furthest = Math.abs(values.get(i) - mean) > Math.abs(values.get(furthest) - mean) ? i : furthest;
        }
        return Optional.of(new Grubbs(furthest, Math.abs(values.get(furthest) - mean) / s, critical(n)));
    }

    /** The distance from which one of n trials is called an outlier. */
    static double critical(int n) {
        double t = new TDistribution(n - 2).inverseCumulativeProbability(1 - LEVEL / (2 * n));
        return (n - 1) / Math.sqrt(n) * Math.sqrt(t * t / (n - 2 + t * t));
    }

    /** {@return whether the test calls it an outlier} */
    public boolean outlier() {
        return distance > critical;
    }
}

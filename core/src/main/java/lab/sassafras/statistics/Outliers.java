package lab.sassafras.statistics;

import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Which of several values lie so far out that chance does not put them there, by the generalized extreme studentized
 * deviate (B. Rosner, Technometrics 25 (1983) 165, memory): the furthest is taken away, one after another, and all are
 * outliers up to the last that was further than its limit. Two that hide each other are found so. The level of each
 * step is such that honest values have any outlier in one case of twenty: at 5 % a step it would be one in twelve.
 */
public final class Outliers {

    /** Fewest values outliers are looked for among: below, two that lie near make any third look like one. */
    public static final int FEWEST = 6;

    private static final int MOST_PART = 3;

    private Outliers() {}

    /**
     * {@return places of the outliers, in order; none with fewer than six values, and never more than a third}
     *
     * @param values of one thing (same unit)
     */
    public static List<Integer> among(List<Double> values) {
        int n = values.size();
        if (n < FEWEST) {
            return List.of();
        }
        boolean[] away = new boolean[n];
        int[] order = new int[n / MOST_PART];
        int found = 0;
        for (int step = 1; step <= order.length; step++) {
            double mean = IntStream.range(0, n)
                    .filter(i -> !away[i])
                    .mapToDouble(values::get)
                    .average()
                    .orElse(0);
            double s = Math.sqrt(IntStream.range(0, n)
                            .filter(i -> !away[i])
                            .mapToDouble(i -> (values.get(i) - mean) * (values.get(i) - mean))
                            .sum()
                    / (n - step));
            int furthest = IntStream.range(0, n)
                    .filter(i -> !away[i])
                    .reduce((one, other) ->
                            Math.abs(values.get(other) - mean) > Math.abs(values.get(one) - mean) ? other : one)
                    .orElseThrow();
            if (Math.abs(values.get(furthest) - mean) > critical(n, step) * s) {
                found = step;
            }
            order[step - 1] = furthest;
            away[furthest] = true;
        }
        return IntStream.of(order).limit(found).sorted().boxed().toList();
    }

    /** How many standard deviations the furthest of what is left at a step may lie out. */
    static double critical(int n, int step) {
        int left = n - step;
        double t = new TDistribution(left - 1).inverseCumulativeProbability(1 - level(n) / (2 * (left + 1)));
        return left * t / Math.sqrt((left - 1 + t * t) * (left + 1));
    }

    /** Level of one step that makes 5 % of all, by 60,000 draws for each n from 6 to 40. */
    static double level(int n) {
        return n < 14 ? 0.03 : Math.min(0.046, 0.033 + 0.0007 * (n - 14));
    }
}

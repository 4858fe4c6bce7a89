package lab.sassafras.statistics;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Shared;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;

/**
 * Entries of one thing taken together, which may differ by more than each knows of itself: a scatter between them is
 * found with the weights (R. C. Paule and J. Mandel, J. Res. NBS 87 (1982) 377, memory), and their mean is as uncertain
 * as they lie about it, with Student's factor (J. Hartung and G. Knapp, Statistics in Medicine 20 (2001) 3875, memory).
 * What they share counts once.
 *
 * @param weighted  mean, each weighed by its own u and the scatter between them
 * @param plain     mean with equal weights, by the scatter of the values
 * @param between   standard deviation between entries, beside what each knows of itself (bench unit)
 * @param scattered whether that is more than chance (5 %)
 */
public record BetweenEntries(Estimate weighted, Estimate plain, double between, boolean scattered) {

    private static final int ROUNDS = 60;
    private static final double CHANCE = 0.95;

    /**
     * Takes entries together.
     *
     * @param entries at least two, in each of which only what reaches beyond it is shared
     * @return what they come to
     */
    public static BetweenEntries of(List<Estimate> entries) {
        double[] own = entries.stream()
                .mapToDouble(each -> each.ownUncertainty() * each.ownUncertainty())
                .toArray();
        double[] even = new double[own.length];
        Arrays.fill(even, 1);
        // where one knows nothing of its own error, all weigh alike
        boolean known = Arrays.stream(own).allMatch(each -> each > 0);
        double scatter = known ? scatter(entries, own) : squares(entries, even) / (own.length - 1);
        return new BetweenEntries(
                mean(entries, known ? weights(own, scatter) : even, "scatter between entries, weighted"),
                mean(entries, even, "scatter between entries"),
                Math.sqrt(scatter),
                known
                        && squares(entries, weights(own, 0))
                                > new ChiSquaredDistribution(own.length - 1).inverseCumulativeProbability(CHANCE));
    }

    private static double[] weights(double[] own, double scatter) {
        return Arrays.stream(own).map(each -> 1 / (each + scatter)).toArray();
    }

    private static double middle(List<Estimate> entries, double[] weights) {
        double sum = 0;
        double all = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * entries.get(i).value();
            all += weights[i];
        }
        return sum / all;
    }

    private static double squares(List<Estimate> entries, double[] weights) {
        double mean = middle(entries, weights);
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * Math.pow(entries.get(i).value() - mean, 2);
        }
        return sum;
    }

    /** The variance between entries with which their weighted squares are as many as their degrees of freedom. */
    private static double scatter(List<Estimate> entries, double[] own) {
        int degrees = own.length - 1;
        if (squares(entries, weights(own, 0)) <= degrees) {
            return 0;
        }
        double low = 0;
        double high = squares(entries, Arrays.stream(own).map(any -> 1).toArray());
        for (int round = 0; round < ROUNDS; round++) {
            double tried = (low + high) / 2;
            if (squares(entries, weights(own, tried)) > degrees) {
                low = tried;
            } else {
                high = tried;
            }
        }
        return high;
    }

    private static Estimate mean(List<Estimate> entries, double[] weights, String scatter) {
        int n = entries.size();
        double all = 0;
        Map<Shared, Double> shared = new LinkedHashMap<>();
        for (double each : weights) {
            all += each;
        }
        for (int i = 0; i < n; i++) {
            double part = weights[i] / all;
            entries.get(i).contributions().stream()
                    .filter(each -> !each.ofTrial())
                    .forEach(each -> shared.merge(each.source(), part * each.sensitivity(), Double::sum));
        }
        List<Contribution> contributions = new ArrayList<>();
        contributions.add(
                new Contribution("scatter", scatter, 1, Math.sqrt(squares(entries, weights) / ((n - 1) * all)), null));
        shared.forEach((source, slope) -> contributions.add(new Contribution(
                source.key(), source.label(), slope, Math.abs(slope) * source.standardUncertainty(), source)));
        return Estimate.of(middle(entries, weights), contributions, n - 1);
    }
}

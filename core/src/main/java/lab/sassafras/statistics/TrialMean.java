package lab.sassafras.statistics;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Shared;

/**
 * Several trials of one thing taken together.
 *
 * <p>What the trials share (a thermometer's offset, a pinned constant) is counted once, with its mean sensitivity,
 * and not divided by √n. The rest is either the scatter, s/√n, or what the instruments allow, whichever is larger:
 * two trials that agree by luck do not make a certain mean.
 *
 * @param values   result of each trial (bench unit)
 * @param estimate the mean with its uncertainty
 * @param scatter  sample standard deviation s (bench unit); empty for one trial
 */
public record TrialMean(List<Double> values, Estimate estimate, OptionalDouble scatter) {

    static Optional<Estimate> combined(List<TrialResult> trials) {
        return trials.isEmpty() || TrialResult.unlike(trials)
                ? Optional.empty()
                : Optional.of(
                        of(trials.stream().map(TrialResult::estimate).toList()).estimate());
    }

    /**
     * Takes trials together.
     *
     * @param trials at least one
     * @return what it becomes
     * @throws IllegalArgumentException without any trial
     */
    public static TrialMean of(List<Estimate> trials) {
        if (trials.isEmpty()) {
            throw new IllegalArgumentException("a mean needs a trial");
        }
        int n = trials.size();
        if (n == 1) {
            return new TrialMean(List.of(trials.get(0).value()), trials.get(0), OptionalDouble.empty());
        }
        double mean = trials.stream().mapToDouble(Estimate::value).sum() / n;
        double s = Math.sqrt(trials.stream()
                        .mapToDouble(t -> Math.pow(t.value() - mean, 2))
                        .sum()
                / (n - 1));
        double instruments = Math.sqrt(trials.stream()
                        .mapToDouble(t -> Math.pow(t.ownUncertainty(), 2))
                        .sum())
                / n;
        double fromScatter = s / Math.sqrt(n);
        boolean scattered = fromScatter >= instruments;
        double own = scattered ? fromScatter : instruments;

        List<Contribution> contributions = new ArrayList<>();
        contributions.addAll(
                scattered
                        ? List.of(new Contribution("scatter", "scatter between trials", 1, own, null))
                        : readings(trials));
        sharedSlopes(trials)
                .forEach((source, slope) -> contributions.add(new Contribution(
                        source.key(),
                        source.label(),
                        slope / n,
                        Math.abs(slope / n) * source.standardUncertainty(),
                        source)));
        return new TrialMean(
                trials.stream().map(Estimate::value).toList(),
                Estimate.of(mean, contributions, scattered ? n - 1 : Double.POSITIVE_INFINITY),
                OptionalDouble.of(s));
    }

    /** The same reading of every trial taken together, by its words. */
    private static List<Contribution> readings(List<Estimate> trials) {
        Map<String, Double> squares = new LinkedHashMap<>();
        trials.forEach(trial -> trial.contributions().stream()
                .filter(Contribution::ofTrial)
                .forEach(c -> squares.merge(c.label(), c.uncertainty() * c.uncertainty(), Double::sum)));
        return squares.entrySet().stream()
                .map(each -> new Contribution(
                        "readings:" + each.getKey(),
                        each.getKey(),
                        1,
                        Math.sqrt(each.getValue()) / trials.size(),
                        null))
                .toList();
    }

    private static Map<Shared, Double> sharedSlopes(List<Estimate> trials) {
        Map<Shared, Double> slopes = new LinkedHashMap<>();
        trials.forEach(trial -> trial.contributions().stream()
                .filter(c -> !c.ofTrial())
                .forEach(c -> slopes.merge(c.source(), c.sensitivity(), Double::sum)));
        return slopes;
    }
}

package lab.sassafras.calibration;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.statistics.TrialMean;

/**
 * What a calibration found, ready to be adopted.
 *
 * @param mean of the trials that were not left out (J/°C)
 * @param fill mean mass the calorimeter held (g)
 */
public record FoundConstant(TrialMean mean, double fill) {

    /** From the solved trials; empty without any. */
    public static Optional<FoundConstant> of(List<Solution> trials) {
        if (trials.isEmpty()) {
            return Optional.empty();
        }
        double fill = trials.stream()
                .flatMap(trial -> trial.fill().stream())
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        return Optional.of(new FoundConstant(
                TrialMean.of(trials.stream().map(Solution::estimate).toList()), fill));
    }
}

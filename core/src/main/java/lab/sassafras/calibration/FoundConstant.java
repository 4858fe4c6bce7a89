package lab.sassafras.calibration;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;

/**
 * What a calibration found, ready to be adopted.
 *
 * @param constant the result of the trials that were not left out (J/°C)
 * @param trials   how many
 * @param fill     mean mass the calorimeter held (g)
 */
public record FoundConstant(Estimate constant, int trials, double fill) {

    /**
     * Takes the trials together.
     *
     * @param result what they come to; empty where they do not suffice
     * @param solved those that count
     * @return what it becomes
     */
    public static Optional<FoundConstant> of(Optional<Estimate> result, List<Solution> solved) {
        double fill = solved.stream()
                .flatMap(trial -> trial.fill().stream())
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        return result.map(constant -> new FoundConstant(constant, solved.size(), fill));
    }
}

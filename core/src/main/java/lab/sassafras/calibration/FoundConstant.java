package lab.sassafras.calibration;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.VesselKind;

/**
 * What a calibration found, ready to be adopted.
 *
 * @param constant the result of the trials that were not left out (J/°C)
 * @param trials   how many
 * @param fill     mean mass the calorimeter held (g)
 */
public record FoundConstant(Estimate constant, int trials, double fill) {

    /** From this many times what a vessel of its kind can hold, a constant is not taken over. No source. */
    private static final double TIMES = 5;

    /**
     * {@return why it cannot be the constant of such a vessel, whatever anybody says; empty where it can be adopted}
     *
     * @param kind    of vessel
     * @param figures how numbers are written
     */
    public Optional<String> cannotBe(VesselKind kind, Figures figures) {
        double half = constant.halfWidth(0.95);
        String value = figures.byUncertainty(constant.value(), half) + " ± " + figures.uncertainty(half) + " J/°C";
        if (constant.value() + half < 0) {
            return Optional.of("A constant of " + value
                    + " is negative beyond its ±, and no vessel gives heat while it warms. It cannot be adopted: look "
                    + "for the reading that makes it so.");
        }
        if (constant.value() > TIMES * kind.largest()) {
            return Optional.of(
                    "A constant of " + value + " is more than five times what " + kind.one()
                            + " can hold. It cannot be adopted: look for the reading that makes it so, or for the wrong vessel.");
        }
        return Optional.empty();
    }

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

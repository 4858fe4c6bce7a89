package lab.sassafras.verdict;

import lab.sassafras.expression.Estimate;
import lab.sassafras.substance.Reference;

/**
 * The result beside a reference value.
 *
 * @param reference    the handbook value
 * @param percentError 100 · (result − reference) ÷ reference
 * @param distance     |result − reference| in combined standard uncertainties
 */
public record Agreement(Reference reference, double percentError, double distance) {

    static Agreement of(Estimate result, Reference reference) {
        double difference = result.value() - reference.value();
        return new Agreement(
                reference,
                Estimate.percent(reference.value(), result.value()),
                Math.abs(difference) / Math.hypot(result.uncertainty(), reference.uncertainty()));
    }

    /** {@return whether the two differ by no more than two combined standard uncertainties} */
    public boolean agrees() {
        return distance <= 2;
    }

    /** {@return as a person would say it} */
    public String words() {
        return agrees()
                ? "agrees within the uncertainty (2 u)"
                : "differs by more than the uncertainty explains (over 2 u)";
    }
}

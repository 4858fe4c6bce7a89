package lab.sassafras.verdict;

import lab.sassafras.expression.Estimate;
import lab.sassafras.substance.Reference;

/**
 * The result beside a reference value, judged by the interval that is printed: the two agree where their difference is
 * no more than both intervals allow together (the E_n number of ISO 13528, memory).
 *
 * @param reference    the handbook value
 * @param percentError 100 · (result − reference) ÷ reference
 * @param difference   result less reference (unit of the result)
 * @param allowed      √(U² + U(reference)²), each the half width of a 95 % interval (unit of the result)
 */
public record Agreement(Reference reference, double percentError, double difference, double allowed) {

    /** Half the width of a normal 95 % interval in standard uncertainties. */
    private static final double NORMAL = 1.96;

    static Agreement of(Interval result, Reference reference) {
        return new Agreement(
                reference,
                Estimate.percent(reference.value(), result.value()),
                result.value() - reference.value(),
                Math.hypot(result.towards(reference.value()), NORMAL * reference.uncertainty()));
    }

    /** {@return how often the difference holds what both intervals allow; infinite where they allow nothing} */
    public double times() {
        return Math.abs(difference) / allowed;
    }

    /** {@return whether the two differ by no more than both intervals allow} */
    public boolean agrees() {
        return Math.abs(difference) <= allowed;
    }

    /**
     * {@return whether it is too far off to be left alone: a quarter of the reference whatever the uncertainty, or a
     * twentieth where that is five times what the intervals allow (common practice, no source)}
     */
    public boolean gross() {
        double off = Math.abs(percentError);
        return off > 25 || off > 5 && times() > 5;
    }

    /** {@return as a person would say it} */
    public String words() {
        return agrees()
                ? "agrees within the uncertainty (95 %)"
                : "differs by more than the uncertainty explains (95 %)";
    }
}

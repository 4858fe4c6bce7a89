package lab.sassafras.substance;

import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;

/**
 * A handbook value with where it comes from.
 *
 * @param key         identity
 * @param name        in words
 * @param value       (unit)
 * @param uncertainty standard uncertainty (unit)
 * @param unit        a bench unit
 * @param source      the publication
 * @param opened      false where the number was set down from memory of that source
 */
public record Reference(
        String key, String name, double value, double uncertainty, BenchUnit unit, String source, boolean opened) {

    /** {@return the source as the page names it, and whether nobody looked it up there} */
    public String sourceInWords() {
        return opened ? source : source + ", not verified against the source";
    }

    /** {@return as an input of an account, one and the same wherever it enters} */
    public Measured asInput() {
        return Measured.independent(value, uncertainty).heldInCommon("shelf:" + key, name, Scope.EVERYWHERE);
    }
}

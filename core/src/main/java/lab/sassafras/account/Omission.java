package lab.sassafras.account;

import java.util.Optional;
import lab.sassafras.expression.Bindings;

/**
 * Something the school in force would count in its own way, and cannot, for want of a value.
 *
 * @param code    stable name of what is said
 * @param message in words
 */
public record Omission(String code, String message) implements Remark {

    /**
     * {@return a part that cannot be a party of its own, for want of its specific heat}
     *
     * @param part in words
     */
    public static Omission ofParty(String part) {
        return new Omission(
                "party.omitted",
                "The shelf has no specific heat for the " + part + ", so it cannot be a party of its "
                        + "own and is left out, as if the water alone changed temperature. Count the whole "
                        + "solution, or measure its specific heat.");
    }

    /**
     * {@return a solution whose property no table has}
     *
     * @param property such as specific heat
     * @param instead  what is taken in its place
     */
    public static Omission ofTable(String property, String instead) {
        return new Omission(
                "solution.no-table",
                "The shelf has no table of the " + property + " of this solution by its concentration, so " + instead
                        + " is taken. Measure it, or choose another way.");
    }

    /** {@return a known fuel the school in force goes by, which lacks} */
    public static Omission ofKnownFuel() {
        return new Omission(
                "combustion.uncorrected",
                "Nothing corrects this result yet: no run of a known fuel under the same can is named, or the shelf has no heat "
                        + "for it. It stands as it reached water and can.");
    }

    @Override
    public Optional<Finding> on(Bindings bindings) {
        return Optional.of(Finding.note(code, message));
    }
}

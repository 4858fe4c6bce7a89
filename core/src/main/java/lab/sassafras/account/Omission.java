package lab.sassafras.account;

import java.util.Optional;
import lab.sassafras.expression.Bindings;

/**
 * A part that the school in force would make a party of its own, and cannot, for want of its specific heat.
 *
 * @param part in words
 */
public record Omission(String part) implements Remark {

    @Override
    public Optional<Finding> on(Bindings bindings) {
        return Optional.of(Finding.note(
                "party.omitted",
                "The shelf has no specific heat for the " + part + ", so it cannot be a party of its "
                        + "own and is left out, as if the water alone changed temperature. Count the whole "
                        + "solution, or measure its specific heat."));
    }
}

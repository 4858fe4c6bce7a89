package lab.sassafras.sheet;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.Measured;
import lab.sassafras.slot.Address;

/**
 * What a sheet is to tell. Usually every input is observed and the experiment's own unknown is sought; else one of the
 * inputs is, the result being what it is to come to, and others may only be expected.
 *
 * @param sought    the input that is sought; empty where it is the experiment's own unknown
 * @param result    what the result is to come to; empty where that is what is sought
 * @param expected  inputs nobody observed, whose values are expected
 * @param blueprint whether nobody reads numbers from the sheet, and nothing on it counts as missing
 */
public record Aim(Optional<Address> sought, Optional<Measured> result, Set<Address> expected, boolean blueprint) {

    /** The experiment's own unknown, by what was observed. */
    static final Aim USUAL = new Aim(Optional.empty(), Optional.empty(), Set.of(), false);

    /** The books alone. */
    static final Aim BLUEPRINT = new Aim(Optional.empty(), Optional.empty(), Set.of(), true);

    /**
     * Keeps a copy of what could change.
     *
     * @param sought    the input that is sought; empty where it is the experiment's own unknown
     * @param result    what the result is to come to; empty where that is what is sought
     * @param expected  inputs nobody observed, whose values are expected
     * @param blueprint whether nobody reads numbers from the sheet, and nothing on it counts as missing
     */
    public Aim {
        expected = Set.copyOf(expected);
    }

    /** How an input is known. */
    public enum Known {
        /** Somebody read it. */
        OBSERVED,
        /** Nobody read it yet; it is supposed to be so. */
        EXPECTED,
        /** It is what the books are solved for. */
        SOUGHT
    }

    /**
     * {@return how the input at an address is known, where it is}
     *
     * @param address where it stands
     */
    public Known of(Address address) {
        return seeks(address) ? Known.SOUGHT : expected.contains(address) ? Known.EXPECTED : Known.OBSERVED;
    }

    /**
     * {@return whether the input at an address is what the books are solved for}
     *
     * @param address where it stands
     */
    public boolean seeks(Address address) {
        return sought.filter(address::equals).isPresent();
    }

    Aim at(Address input, Measured comesTo) {
        return new Aim(Optional.of(input), Optional.of(comesTo), expected, blueprint);
    }

    Aim expecting(Address input) {
        Set<Address> all = new HashSet<>(expected);
        all.add(input);
        return new Aim(sought, result, all, blueprint);
    }
}

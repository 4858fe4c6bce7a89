package lab.sassafras.substance;

import java.util.OptionalInt;

/**
 * A heat of solution with the dilution it holds at.
 *
 * @param formula   of exactly what dissolves: a hydrate is another thing than the salt without its water
 * @param waters    moles of water to each mole; empty at infinite dilution
 * @param reference the value (kJ/mol)
 */
public record Dissolution(ChemicalFormula formula, OptionalInt waters, Reference reference) {

    /** {@return the dilution in words} */
    public String dilution() {
        return words(waters);
    }

    static String words(OptionalInt waters) {
        return waters.isPresent() ? waters.getAsInt() + " mol of water to each mole" : "infinite dilution";
    }

    /** How far a dilution lies from this one, as a ratio; infinite counts as 10 000. */
    double distance(double benchWaters) {
        return Math.abs(Math.log(waters.orElse(10_000) / benchWaters));
    }
}

package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;

/** What a result is judged against. */
public sealed interface Yardstick {

    /** {@return whether a run that is done well comes to its reference, and not to a part of it} */
    default boolean expected() {
        return true;
    }

    /** Nothing to judge by. */
    record None() implements Yardstick {}

    /** What a vessel of its kind can hold. */
    record OfVessel() implements Yardstick {}

    /** One value on the reference shelf, by its key there. */
    record OfProperty(String property) implements Yardstick {}

    /** The heat of solution on the shelf for the formula in this slot. */
    record OfDissolving(String formula) implements Yardstick {}

    /**
     * The heat of a reaction, from the formation enthalpies on the shelf where every substance of its equation has one.
     *
     * @param equation path of the equation
     * @param strength path of the answer that says whether acid and base are both strong; empty where that is no
     *                 question
     * @param poured   solutions that are poured together, for the dilution before and after
     */
    record OfReaction(String equation, Optional<String> strength, List<Poured> poured) implements Yardstick {}

    /**
     * A solution that is poured.
     *
     * @param formula       path of what is dissolved
     * @param concentration path of its concentration
     * @param amount        path of how much is poured
     */
    record Poured(String formula, String concentration, String amount) {}

    /**
     * The tabulated heat of combustion of the fuel in this slot.
     *
     * @param formula path of the formula of the fuel
     * @param water   path of the answer whether the water formed is liquid or gas; liquid where it lacks
     * @param unburnt keys of suspects by which some of what was weighed as fuel never burnt
     * @param kept    keys of suspects by which heat was kept back by what was left
     */
    record OfCombustion(String formula, String water, List<String> unburnt, List<String> kept) implements Yardstick {

        /** Under a can a third to a half of the tabulated heat is what is usual. */
        @Override
        public boolean expected() {
            return false;
        }
    }

    /**
     * The tabulated heat of combustion of the sample in this slot, carried to constant volume.
     *
     * @param formula path of the formula of the sample
     * @param state   path of the answer whether it is solid or liquid
     */
    record InBomb(String formula, String state) implements Yardstick {}

    /**
     * The heat of the equation a cycle makes, from the formation enthalpies on the shelf.
     *
     * @param at where the cycle stands
     */
    record OfCycle(Legs.At at) implements Yardstick {}

    /**
     * A further result of the same books that was made from tabulated values typed beside it.
     *
     * @param symbol as it is written
     */
    record OfTold(String symbol) implements Yardstick {}

    /** The liquids on the reference shelf; {@code known} is the path of the slot that says which it is, where told. */
    record OfLiquids(String known) implements Yardstick {}

    /**
     * The solids on the reference shelf, with what was seen of the sample.
     *
     * @param known    path of the slot that says what it is, where that is told
     * @param colour   path of the colour seen
     * @param magnetic path of the magnet's answer
     * @param density  path of its density
     */
    record OfSolids(String known, String colour, String magnetic, String density) implements Yardstick {}
}

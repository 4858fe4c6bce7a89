package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import lab.sassafras.draft.CycleReactions;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;

/**
 * What a result is judged by, said in plain parts: a reference with its ± and source, what is plausible, what it may
 * be. The judging is the verdict's. An experiment may bring one of its own.
 */
@FunctionalInterface
public interface Yardstick {

    /** Nothing to judge by. */
    Yardstick NONE = judged -> Parts.NONE;

    /**
     * {@return what a result stands beside}
     *
     * @param judged the result with where it comes from
     */
    Parts parts(Judged judged);

    /** {@return whether a run that is done well comes to its reference, and not to a part of it} */
    default boolean expected() {
        return true;
    }

    /** {@return which part of its reference a run usually comes to, with what that differs by} */
    default Measured usualPart() {
        return Measured.exact(1);
    }

    /**
     * {@return the equation of what happened, where one was written or follows from what was named}
     *
     * @param sheet what was read
     */
    default Optional<ChemicalEquation> equation(Sheet sheet) {
        return Optional.empty();
    }

    /**
     * {@return the reactions of a cycle with what they make; empty where it is none, or something lacks}
     *
     * @param sheet what was read
     */
    default Optional<CycleReactions> cycle(Sheet sheet) {
        return Optional.empty();
    }

    /** {@return where a part of the heat is lost without being on any account; empty where all of it is expected} */
    default Optional<Losses> losses() {
        return Optional.empty();
    }

    /**
     * Suspects by which a part of the heat was lost.
     *
     * @param unburnt keys of those by which some of what was weighed never burnt
     * @param kept    keys of those by which heat was kept back by what was left
     */
    record Losses(List<String> unburnt, List<String> kept) {}
}

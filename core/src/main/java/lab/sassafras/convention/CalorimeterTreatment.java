package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.account.HeatTerm;

/** A way of dealing with the calorimeter. */
public interface CalorimeterTreatment extends Convention {

    /** What the vessel must have on record for this school to say anything of its own. */
    enum Needs {
        /** Nothing. */
        NOTHING,
        /** A constant. */
        CONSTANT,
        /** A constant and the fill it was found at. */
        CONSTANT_AND_FILL,
        /** Mass and material, which come with the run. */
        MATERIAL
    }

    /** {@return what the vessel must have on record} */
    Needs needs();

    /**
     * {@return the liquid and the vessel as parties} Where the vessel lacks what is needed, the liquid alone.
     *
     * @param cup      what is on record of the vessel
     * @param contents what it held
     * @param answers  what was read for it; asked only where the school needs it
     */
    List<HeatTerm> parties(Cup cup, Contents contents, ConventionPlace.Answers answers);

    @Override
    default boolean applies(Evidence evidence) {
        return evidence.vesselServes(needs());
    }

    /** {@return whether the vessel is a party at all} */
    default boolean counted() {
        return needs() != Needs.NOTHING;
    }
}

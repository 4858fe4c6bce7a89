package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.account.Party;

/** A way of dealing with the calorimeter. */
public interface CalorimeterTreatment extends School {

    /** What the vessel must have on record for this school to say anything of its own. */
    enum Needs {
        NOTHING,
        CONSTANT,
        CONSTANT_AND_FILL,
        MATERIAL
    }

    Needs needs();

    /** The liquid and the vessel as parties. Where the vessel lacks what is needed, the liquid alone. */
    List<Party> parties(Cup cup, Contents contents);

    default boolean counted() {
        return needs() != Needs.NOTHING;
    }
}

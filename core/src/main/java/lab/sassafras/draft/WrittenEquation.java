package lab.sassafras.draft;

import java.util.List;
import lab.sassafras.account.Finding;
import lab.sassafras.slot.Address;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;

/**
 * The equation in a slot, asked how often something stands in it. What does not go together with the rest of the sheet
 * becomes a finding at the slot, and counts as once.
 *
 * @param equation as read
 * @param at       the slot
 * @param findings takes what is wrong
 */
record WrittenEquation(ChemicalEquation equation, Address at, List<Finding> findings) {

    /** How often a reagent is taken. */
    int taken(ChemicalFormula reagent) {
        return equation.reagent(reagent)
                .map(ChemicalEquation.Term::count)
                .orElseGet(() -> equation.formed(reagent) > 0
                        ? wrong(
                                "equation.backwards",
                                reagent.text()
                                        + " stands only to the right of the arrow, so the equation is written "
                                        + "backwards "
                                        + "for this run, and every sign would be the wrong way round. Write what "
                                        + "was put together on the left.")
                        : wrong(
                                "equation.without-reagent",
                                reagent.text() + " does not stand in the equation " + equation.text()
                                        + ". Write it there as it is written here."));
    }

    private int wrong(String code, String message) {
        findings.add(Finding.refuse(code, message).at(at.toString()));
        return 1;
    }
}

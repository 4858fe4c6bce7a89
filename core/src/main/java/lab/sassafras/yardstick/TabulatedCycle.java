package lab.sassafras.yardstick;

import java.util.Optional;
import lab.sassafras.draft.CycleReactions;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.Reference;

/**
 * The heat of the equation a cycle makes, from the formation enthalpies on the shelf.
 *
 * @param at where the cycle stands
 */
public record TabulatedCycle(CycleReactions.At at) implements Yardstick {

    @Override
    public Optional<CycleReactions> cycle(Sheet sheet) {
        return CycleReactions.of(sheet, at);
    }

    @Override
    public Optional<ChemicalEquation> equation(Sheet sheet) {
        return cycle(sheet).filter(each -> each.target().times() == 1).map(CycleReactions::equation);
    }

    /** Judged only where every reaction of it has a ± and not all come from the table the reference is made of. */
    @Override
    public Parts parts(Judged judged) {
        ProcessHeat heat = new ProcessHeat(judged);
        Optional<CycleReactions> legs = cycle(judged.sheet());
        Optional<Reference> reference = legs.flatMap(known -> judged.shelf()
                .formation()
                .heat(known.equation())
                .map(made -> heat.scaled(made, 1.0 / known.target().times())));
        String unjudged = legs.map(TabulatedCycle::unjudged).orElse("");
        if (reference.isEmpty() || unjudged.isEmpty()) {
            return heat.beside(reference);
        }
        heat.note(
                "cycle.unjudged",
                unjudged + " The overall reaction and "
                        + judged.figures().signed(reference.get().value(), 1)
                        + " kJ/mol from formation enthalpies differ by "
                        + judged.figures()
                                .signed(
                                        judged.result().value()
                                                - reference.get().value(),
                                        2)
                        + " kJ/mol.");
        return heat.beside(Optional.empty());
    }

    private static String unjudged(CycleReactions legs) {
        if (legs.circular()) {
            return "Every reaction of it comes from the same table as the reference would, so that comparing them "
                    + "would be going round in a circle.";
        }
        return legs.knownWithoutUncertainty()
                ? "A reaction typed from a table has no ± of its own, so nothing is judged."
                : "";
    }
}

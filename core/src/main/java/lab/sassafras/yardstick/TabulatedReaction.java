package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;

/**
 * The heat of a reaction, from the formation enthalpies on the shelf where every substance of its equation has one.
 *
 * @param written  path of the equation
 * @param strength path of the answer that says whether acid and base are both strong; empty where that is no question
 * @param poured   solutions that are poured together, for the dilution before and after
 */
public record TabulatedReaction(String written, Optional<String> strength, List<Poured> poured) implements Yardstick {

    /**
     * A solution that is poured.
     *
     * @param formula       path of what is dissolved
     * @param concentration path of its concentration
     * @param amount        path of how much is poured
     */
    public record Poured(String formula, String concentration, String amount) {}

    @Override
    public Optional<ChemicalEquation> equation(Sheet sheet) {
        return sheet.stated(written, 1).map(ChemicalEquation::read);
    }

    @Override
    public Parts parts(Judged judged) {
        return new ReactionHeat(judged, this, equation(judged.sheet()).orElseThrow()).parts();
    }
}

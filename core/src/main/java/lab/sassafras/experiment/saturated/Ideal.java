package lab.sassafras.experiment.saturated;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.expression.Bindings;

/**
 * That concentrations stand for activities.
 *
 * @param ions whether what dissolves falls into two ions
 */
record Ideal(boolean ions) implements Remark {

    @Override
    public Optional<Finding> on(Bindings bindings) {
        return Optional.of(
                Finding.note(
                        "equilibrium.ideal",
                        "Concentrations stand for activities here: "
                                + (ions
                                        ? "K is the square of the concentration, the formula falling into two ions. In solutions as "
                                                + "strong as a saturated one the ions hinder each other, and K is too large for it."
                                        : "K is the concentration by 1 mol/L. In solutions as strong as a saturated one that is rough.")));
    }
}

package lab.sassafras.draft;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Figures;

/**
 * What several liquids poured together make.
 *
 * @param volume  of all, taken to add (mL)
 * @param moles   of what is dissolved (mol)
 * @param figures how numbers are written
 */
record PouredTogether(Expression volume, Expression moles, Figures figures) implements Remark {

    @Override
    public Optional<Finding> on(Bindings bindings) {
        double millilitres = new Computation(volume, bindings).value();
        double amount = new Computation(moles, bindings).value();
        return Optional.of(Finding.note(
                "poured.together",
                "Poured together they make " + figures.significant(millilitres, 3) + " mL of "
                        + figures.significant(1000 * amount / millilitres, 3) + " mol/L, volumes taken to add."));
    }
}

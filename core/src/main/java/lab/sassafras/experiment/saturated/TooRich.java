package lab.sassafras.experiment.saturated;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Saturation;

/**
 * Whether a solution is denser or richer than a saturated one can be: then undissolved solid was counted as dissolved.
 *
 * @param limit   what a saturated one holds
 * @param solute  taken for dissolved (g)
 * @param solvent water (g)
 * @param volume  of the solution (mL)
 * @param celsius its temperature (°C)
 * @param figures how numbers are written
 */
record TooRich(
        Saturation limit, Expression solute, Expression solvent, Expression volume, Expression celsius, Figures figures)
        implements Remark {

    /** Over the limit by this much is no scatter of readings any more. Common practice, no source. */
    private static final double OVER_DENSE = 1.04;

    private static final double OVER_RICH = 1.10;

    @Override
    public Optional<Finding> on(Bindings bindings) {
        double grams = value(solute, bindings);
        double water = value(solvent, bindings);
        double density = (grams + water) / value(volume, bindings);
        double rich = 100 * grams / water;
        double most = limit.gramsAt(value(celsius, bindings));
        boolean dense = density > OVER_DENSE * limit.density();
        boolean richer = water > 0 && rich > OVER_RICH * most;
        if (!dense && !richer) {
            return Optional.empty();
        }
        String what = dense
                ? "The solution would be of " + figures.significant(density, 3) + " g/mL; a saturated one of "
                        + limit.name() + " has about " + figures.significant(limit.density(), 3)
                : "There would be " + figures.significant(rich, 3) + " g to 100 g of water; of " + limit.name()
                        + " about " + figures.significant(most, 3) + " g dissolve at this temperature";
        return Optional.of(Finding.question(
                "equilibrium.too-rich",
                what + " (" + limit.source()
                        + ", memory). Undissolved solid was counted as dissolved, or the volume was "
                        + "read without it: K is too large."));
    }

    private static double value(Expression expression, Bindings bindings) {
        return new Computation(expression, bindings).value();
    }
}

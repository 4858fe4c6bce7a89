package lab.sassafras.experiment.cycle;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Figures;

/**
 * Whether the way round comes to what was measured directly, judged by the uncertainty of the difference, in which what
 * both share cancels.
 *
 * @param gap     measured directly, less the way round (kJ/mol)
 * @param figures how numbers are written
 */
record Closure(Expression gap, Figures figures) implements Remark {

    private static final double PROBABILITY = 0.95;

    @Override
    public Optional<Finding> on(Bindings bindings) {
        Estimate estimate = new Computation(gap, bindings).estimate();
        double half = estimate.halfWidth(PROBABILITY);
        if (!estimate.finite()) {
            return Optional.empty();
        }
        String size = figures.signed(estimate.value(), Figures.decimalsFor(half)) + " ± " + figures.uncertainty(half)
                + " kJ/mol (95 %)";
        return Optional.of(
                Math.abs(estimate.value()) <= half
                        ? Finding.note(
                                "cycle.closes",
                                "The cycle closes within its uncertainty: measured directly, less the way round, is "
                                        + size + ".")
                        : Finding.question(
                                "cycle.open",
                                "The cycle does not close: measured directly, less the way round, is " + size
                                        + ", more than the uncertainties of all reactions allow. Look at the reaction whose own verdict "
                                        + "is worst, at the dilutions, and at what the runs do not share."));
    }
}

package lab.sassafras.verdict;

import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.MonteCarlo;

/**
 * A result by random draws, and whether the linear one may stand. What is tested is the linear formula alone: every
 * source is drawn as if its uncertainty were known well, and the ends are held against 1.96 u (JCGM 101:2008, 8.1). Few
 * degrees of freedom are no failure of the formula: where it is borne out, Student's factor by Welch and Satterthwaite
 * stands, and otherwise the draws have Student's distributions themselves.
 *
 * @param draws          of the result: by Student's distributions where the linear one is not borne out
 * @param bearsOutLinear whether the linear one is borne out
 */
public record Drawn(MonteCarlo draws, boolean bearsOutLinear) {

    /**
     * Draws; empty where the result has no uncertainty, or a draw is no number.
     *
     * @param linear the result by the law of propagation
     */
    static Optional<Drawn> of(Expression result, Estimate linear, Bindings bindings, int draws) {
        if (!(linear.uncertainty() > 0)) {
            return Optional.empty();
        }
        MonteCarlo formula = MonteCarlo.ofFormula(result, bindings, draws);
        boolean borneOut = formula.finite() && formula.bearsOut(linear);
        return Optional.of(borneOut ? formula : MonteCarlo.of(result, bindings, draws))
                .filter(MonteCarlo::finite)
                .map(drawn -> new Drawn(drawn, borneOut));
    }

    /**
     * The interval to go by: Student's of the linear result where that is borne out, and otherwise that of the draws.
     */
    Interval interval(Estimate linear) {
        return bearsOutLinear ? Interval.of(linear) : Interval.of(linear, draws);
    }

    /** The interval of a value that nothing is worked out from: a reading, or the mean of several results. */
    static Interval interval(Optional<Drawn> drawn, Estimate linear) {
        return drawn.map(each -> each.interval(linear)).orElseGet(() -> Interval.of(linear));
    }
}

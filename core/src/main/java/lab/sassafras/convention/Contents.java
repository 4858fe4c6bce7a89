package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.expression.Expression;

/**
 * What the vessel held before, and how it went.
 *
 * @param parties      the liquid in it
 * @param mass         of the liquid (g)
 * @param specificHeat of the liquid (J/(g·°C))
 * @param start        of the vessel (°C)
 * @param blended      start of the liquids taken together, weighted by what they take (°C)
 * @param end          (°C)
 */
public record Contents(
        List<HeatTerm> parties,
        Expression mass,
        Expression specificHeat,
        Expression start,
        Expression blended,
        Expression end) {

    /**
     * Keeps copies of what could change.
     *
     * @param parties      the liquid in it
     * @param mass         of the liquid (g)
     * @param specificHeat of the liquid (J/(g·°C))
     * @param start        of the vessel (°C)
     * @param blended      start of the liquids taken together, weighted by what they take (°C)
     * @param end          (°C)
     */
    public Contents {
        parties = List.copyOf(parties);
    }

    /**
     * {@return one liquid, which starts as warm as its vessel}
     *
     * @param parties      everything that took or gave heat
     * @param mass         of the liquid (g)
     * @param specificHeat of the liquid (J/(g·°C))
     * @param start        own temperature before (°C)
     * @param end          common temperature after (°C)
     */
    public static Contents of(
            List<HeatTerm> parties, Expression mass, Expression specificHeat, Expression start, Expression end) {
        return new Contents(parties, mass, specificHeat, start, start, end);
    }
}

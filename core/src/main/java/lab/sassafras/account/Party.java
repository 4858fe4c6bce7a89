package lab.sassafras.account;

import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/**
 * One member of a heat balance.
 *
 * @param key   short name, unique in its ledger
 * @param label in words
 * @param heat  what it took up (J), as a named step
 * @param start its temperature before (°C)
 * @param end   its temperature after (°C)
 */
public record Party(String key, String label, Named heat, Optional<Expression> start, Optional<Expression> end) {

    /**
     * A body that warms or cools without changing: q = m c (T_f − T_i).
     *
     * @param mass         (g)
     * @param specificHeat (J/(g·°C))
     * @param start        own temperature before (°C)
     * @param end          common temperature after (°C)
     */
    public static Party body(String key, String label, Expression mass, Expression specificHeat, Expression start,
                             Expression end) {
        return of(key, label, new Expression.Product(java.util.List.of(mass, specificHeat, end.minus(start))), start, end);
    }

    /**
     * The vessel with its thermometer: q = C (T_f − T_i).
     *
     * @param heatCapacity of the vessel without its contents (J/°C)
     * @param start        temperature of what it held (°C)
     * @param end          common temperature after (°C)
     */
    public static Party vessel(String key, String label, Expression heatCapacity, Expression start, Expression end) {
        return of(key, label, heatCapacity.times(end.minus(start)), start, end);
    }

    private static Party of(String key, String label, Expression heat, Expression start, Expression end) {
        Named step = heat.named(new Symbol("q", label), BenchUnit.JOULES);
        return new Party(key, label, step, Optional.of(start), Optional.of(end));
    }

    /** The same party with its heat found another way. */
    Party withHeat(Expression found) {
        return new Party(key, label, found.named(heat.symbol(), BenchUnit.JOULES), start, end);
    }
}

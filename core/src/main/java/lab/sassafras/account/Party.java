package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Sum;
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
 * @param demand what must hold for its heat to be this one
 */
public record Party(String key, String label, Named heat, Optional<Expression> start, Optional<Expression> end,
                    Optional<Demand> demand) {

    /**
     * A change of state runs to its end only on one side of its temperature.
     *
     * @param above     what must be the warmer (°C)
     * @param below     what must be the colder (°C)
     * @param otherwise what is said where it is not, in plain words
     */
    public record Demand(Expression above, Expression below, String otherwise) {
    }

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
        Expression product = new Expression.Product(List.of(mass, specificHeat, end.minus(start)));
        return of(key, label, product, start, end);
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

    private static Expression heat(String of, Expression mass, Expression specificHeat, Expression change) {
        return new Expression.Product(List.of(mass, specificHeat, change)).named(new Symbol("q", of), BenchUnit.JOULES);
    }

    private static Party of(String key, String label, Expression heat, Expression start, Expression end) {
        Named step = heat.named(new Symbol("q", label), BenchUnit.JOULES);
        return new Party(key, label, step, Optional.of(start), Optional.of(end), Optional.empty());
    }

    /**
     * A body that warms to its melting point, melts whole, and warms on: q = m [c_s (T_m − T_i) + L + c_l (T_f − T_m)].
     *
     * @param mass   (g)
     * @param solid  specific heat before melting (J/(g·°C))
     * @param fusion heat of fusion (J/g)
     * @param liquid specific heat after melting (J/(g·°C))
     * @param start  own temperature before (°C)
     * @param melts  melting point (°C)
     * @param end    common temperature after (°C)
     */
    public static Party melting(String key, String label, Expression mass, Expression solid, Expression fusion,
                                Expression liquid, Expression start, Expression melts, Expression end) {
        Expression warming = heat(label + " warming", mass, solid, melts.minus(start));
        Expression after = heat(label + " water", mass, liquid, end.minus(melts));
        return of(key, label, new Sum(List.of(warming, mass.times(fusion), after)), start, end).demanding(new Demand(end, melts, "The final temperature is not above "
                + "the melting point, so not all of the " + label + " can have melted, and how much did is not known. Use more or "
                + "warmer water."));
    }

    /**
     * A vapour that condenses whole and cools on: q = m [c_l (T_f − T_b) − L_v].
     *
     * @param mass         (g)
     * @param vaporization heat of vaporization (J/g)
     * @param liquid       specific heat of the condensate (J/(g·°C))
     * @param boils        temperature it condenses at (°C)
     * @param end          common temperature after (°C)
     */
    public static Party condensing(String key, String label, Expression mass, Expression vaporization, Expression liquid,
                                   Expression boils, Expression end) {
        Expression after = heat(label + " water", mass, liquid, end.minus(boils));
        return of(key, label, after.minus(mass.times(vaporization)), boils, end).demanding(new Demand(boils, end, "The final temperature is not below "
                + "the boiling point, so not all of the " + label + " can have condensed. Use more or colder water."));
    }

    /** A process with a heat of its own, such as dissolving or a reaction: its heat is what is given (J). */
    public static Party process(String key, String label, Expression heat) {
        return new Party(key, label, heat.named(new Symbol("q", label), BenchUnit.JOULES), Optional.empty(), Optional.empty(),
                Optional.empty());
    }

    private Party demanding(Demand more) {
        return new Party(key, label, heat, start, end, Optional.of(more));
    }

    /** The same party with its heat found another way. */
    Party withHeat(Expression found) {
        return new Party(key, label, found.named(heat.symbol(), BenchUnit.JOULES), start, end, demand);
    }
}

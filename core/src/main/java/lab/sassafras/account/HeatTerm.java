package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
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
 * @param demands what must hold for its heat to be this one
 * @param stages  what its heat is made of, where it changes state on the way; none otherwise
 */
public record HeatTerm(
        String key,
        String label,
        Named heat,
        Optional<Expression> start,
        Optional<Expression> end,
        List<Demand> demands,
        List<Stage> stages) {

    /**
     * One part of the way of something that changes state.
     *
     * @param words what happens, such as melting
     * @param heat  taken up by it (J)
     */
    public record Stage(String words, Expression heat) {}

    /**
     * A party whose heat is of one piece.
     *
     * @param key   stable name
     * @param label in words
     * @param heat  what it takes up (J)
     * @param start its temperature before (°C)
     * @param end   its temperature after (°C)
     */
    public HeatTerm(String key, String label, Named heat, Optional<Expression> start, Optional<Expression> end) {
        this(key, label, heat, start, end, List.of(), List.of());
    }

    /**
     * What must lie above what: a change of state runs to its end only on one side of its temperature.
     *
     * @param code      stable name of what is said, for files and tests
     * @param above     what must be more
     * @param below     what must be less (same unit)
     * @param otherwise what is said where it is not, in plain words
     */
    public record Demand(String code, Expression above, Expression below, String otherwise) {}

    /**
     * {@return a body that warms or cools without changing: q = m c (T_f − T_i)}
     *
     * @param key          stable name
     * @param label        in words
     * @param mass         (g)
     * @param specificHeat (J/(g·°C))
     * @param start        own temperature before (°C)
     * @param end          common temperature after (°C)
     */
    public static HeatTerm body(
            String key, String label, Expression mass, Expression specificHeat, Expression start, Expression end) {
        Expression product = new Expression.Product(List.of(mass, specificHeat, change(label, start, end)));
        return of(key, label, product, start, end);
    }

    /**
     * {@return the vessel with its thermometer: q = C (T_f − T_i)}
     *
     * @param key          stable name
     * @param label        in words
     * @param heatCapacity of the vessel without its contents (J/°C)
     * @param start        temperature of what it held (°C)
     * @param end          common temperature after (°C)
     */
    public static HeatTerm vessel(String key, String label, Expression heatCapacity, Expression start, Expression end) {
        return of(key, label, heatCapacity.times(change(label, start, end)), start, end);
    }

    /** The change of temperature as a line of its own, called after where it began. */
    private static Expression change(String label, Expression start, Expression end) {
        String from = start instanceof Input input
                ? input.symbol().word()
                : start instanceof Named named ? named.symbol().word() : "";
        return end.minus(start)
                .named(new Symbol(Symbol.CHANGE, from.isEmpty() ? label : from), BenchUnit.DEGREES_CELSIUS);
    }

    private static Expression heat(String of, Expression mass, Expression specificHeat, Expression change) {
        return new Expression.Product(List.of(mass, specificHeat, change)).named(new Symbol("q", of), BenchUnit.JOULES);
    }

    private static HeatTerm of(String key, String label, Expression heat, Expression start, Expression end) {
        Named step = heat.named(new Symbol("q", label), BenchUnit.JOULES);
        return new HeatTerm(key, label, step, Optional.of(start), Optional.of(end));
    }

    /**
     * {@return a body that warms to its melting point, melts, and warms on: q = m c_s (T_m − T_i) + m′ [L + c_l (T_f −
     * T_m)]} Where all of it melts, m′ is m and it ends above its melting point.
     *
     * @param key    stable name
     * @param label  in words
     * @param mass   (g)
     * @param melted how much of it melted (g)
     * @param change of which it is
     * @param solid  specific heat before melting (J/(g·°C))
     * @param liquid specific heat after melting (J/(g·°C))
     * @param start  own temperature before (°C)
     * @param end    common temperature after (°C)
     */
    public static HeatTerm melting(
            String key,
            String label,
            Expression mass,
            Expression melted,
            Change change,
            Expression solid,
            Expression liquid,
            Expression start,
            Expression end) {
        Expression warming = heat(label + " warming", mass, solid, change.at().minus(start));
        Expression melting = melted.times(change.heat());
        Expression after = heat("meltwater", melted, liquid, end.minus(change.at()));
        HeatTerm party = of(key, label, new Sum(List.of(warming, melting, after)), start, end)
                .through(new Stage("warming", warming), new Stage("melting", melting), new Stage("meltwater", after));
        return melted != mass
                ? party
                : party.demanding(new Demand(
                        "melting.incomplete",
                        end,
                        change.at(),
                        "The final temperature is not above the melting "
                                + "point, so not all of the " + label
                                + " can have melted, and how much did is not known. Use more or warmer water, "
                                + "or weigh what is left."));
    }

    /**
     * {@return a vapour that condenses and cools on: q = m′ [c_l (T_f − T_b) − L_v], with m′ what condensed} Where
     * all of it did, it ends below its boiling point.
     *
     * @param key       stable name
     * @param label     in words
     * @param mass      (g)
     * @param condensed how much of it condensed (g)
     * @param change    of which it is
     * @param liquid    specific heat of the condensate (J/(g·°C))
     * @param end       common temperature after (°C)
     */
    public static HeatTerm condensing(
            String key,
            String label,
            Expression mass,
            Expression condensed,
            Change change,
            Expression liquid,
            Expression end) {
        Expression after = heat("condensate", condensed, liquid, end.minus(change.at()));
        Expression condensing = condensed.times(change.heat());
        HeatTerm party = of(key, label, after.minus(condensing), change.at(), end)
                .through(new Stage("condensing", condensing.negated()), new Stage("condensate", after));
        return condensed != mass
                ? party
                : party.demanding(new Demand(
                        "condensing.incomplete",
                        change.at(),
                        end,
                        "The final temperature is not below "
                                + "the boiling point, so not all of the " + label
                                + " can have condensed. Use more or colder water, or say how much "
                                + "came through uncondensed."));
    }

    /**
     * A change of state.
     *
     * @param at   temperature it happens at (°C)
     * @param heat taken up by it from the lower state to the higher (J/g)
     */
    public record Change(Expression at, Expression heat) {}

    /**
     * {@return a process with a heat of its own, such as dissolving or a reaction: its heat is what is given (J)}
     *
     * @param key   stable name
     * @param label in words
     * @param heat  what it takes up (J)
     */
    public static HeatTerm process(String key, String label, Expression heat) {
        return new HeatTerm(
                key, label, heat.named(new Symbol("q", label), BenchUnit.JOULES), Optional.empty(), Optional.empty());
    }

    /**
     * {@return the same party, which is so only where the demand is met}
     *
     * @param more what must hold besides
     */
    public HeatTerm demanding(Demand more) {
        return new HeatTerm(
                key,
                label,
                heat,
                start,
                end,
                Stream.concat(demands.stream(), Stream.of(more)).toList(),
                stages);
    }

    /** The same party with its heat found another way. */
    HeatTerm withHeat(Expression found) {
        return new HeatTerm(key, label, found.named(heat.symbol(), BenchUnit.JOULES), start, end, demands, stages);
    }

    /** The same party with the unknown replaced by what it was found to be. */
    HeatTerm with(Input unknown, Expression found) {
        return new HeatTerm(
                        key,
                        label,
                        (Named) heat.with(unknown, found),
                        start.map(each -> each.with(unknown, found)),
                        end.map(each -> each.with(unknown, found)),
                        demands,
                        stages)
                .demandingOf(unknown, found);
    }

    private HeatTerm through(Stage... more) {
        return new HeatTerm(key, label, heat, start, end, demands, List.of(more));
    }

    /** The same party with the unknown replaced in what it demands and what its heat is made of. */
    private HeatTerm demandingOf(Input unknown, Expression found) {
        return demands.isEmpty() && stages.isEmpty()
                ? this
                : new HeatTerm(
                        key,
                        label,
                        heat,
                        start,
                        end,
                        demands.stream()
                                .map(demand -> new Demand(
                                        demand.code(),
                                        demand.above().with(unknown, found),
                                        demand.below().with(unknown, found),
                                        demand.otherwise()))
                                .toList(),
                        stages.stream()
                                .map(stage ->
                                        new Stage(stage.words(), stage.heat().with(unknown, found)))
                                .toList());
    }
}

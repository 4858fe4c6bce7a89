package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Sum;
import lab.sassafras.expression.Linear;

/**
 * Heats that sum to zero, with exactly one thing unknown.
 *
 * @param trial   which trial, from 1
 * @param parties everything that took or gave heat
 * @param unknown what is sought; it stands in the heat of one party or more
 * @param bounds  where an unknown that does not enter in a straight line is looked for
 * @param beside  what is said beside it
 */
public record HeatBalance(int trial, List<HeatTerm> parties, Input unknown, Optional<Bounds> bounds, Beside beside)
        implements SingleAccount<HeatBalance> {

    /**
     * Between which values an unknown is looked for.
     *
     * @param low  lower end (unit of the unknown)
     * @param high upper end (unit of the unknown)
     */
    public record Bounds(double low, double high) {}

    /**
     * Keeps copies of what could change.
     *
     * @param trial   which trial, from 1
     * @param parties everything that took or gave heat
     * @param unknown what is sought; it stands in the heat of one party or more
     * @param bounds  where an unknown that does not enter in a straight line is looked for
     * @param beside  what is said beside it
     */
    public HeatBalance {
        parties = List.copyOf(parties);
    }

    /**
     * {@return plain books}
     *
     * @param trial   which trial, from 1
     * @param parties everything that took or gave heat
     * @param unknown what is sought
     */
    public static HeatBalance of(int trial, List<HeatTerm> parties, Input unknown) {
        return new HeatBalance(trial, parties, unknown, Optional.empty(), Beside.NOTHING);
    }

    @Override
    public HeatBalance with(Beside other) {
        return new HeatBalance(trial, parties, unknown, bounds, other);
    }

    /**
     * {@return the same, whose unknown is looked for between two values where it enters in no straight line}
     *
     * @param low  lower end (unit of the unknown)
     * @param high upper end (unit of the unknown)
     */
    public HeatBalance between(double low, double high) {
        return new HeatBalance(trial, parties, unknown, Optional.of(new Bounds(low, high)), beside);
    }

    @Override
    public Account seeking(Input input, Bounds between) {
        return Turned.balance(this, input, between);
    }

    /**
     * The books solved; empty where the unknown enters in no straight line and nothing says where to look for it.
     *
     * @throws IllegalStateException where no party holds the unknown: a fault in the program
     */
    @Override
    public Optional<Solved> solved() {
        List<HeatTerm> carriers = new ArrayList<>();
        List<Expression> others = new ArrayList<>();
        for (HeatTerm party : parties) {
            if (party.heat().contains(unknown)) {
                carriers.add(party);
            } else {
                others.add(party.heat());
            }
        }
        if (carriers.isEmpty()) {
            throw new IllegalStateException("no party holds the unknown " + unknown.key());
        }
        return carriers.size() == 1 ? throughItsParty(carriers.get(0), others) : throughTheSum();
    }

    /** The carrier's heat is minus the sum of the others, and the unknown follows from it. */
    private Optional<Solved> throughItsParty(HeatTerm carrier, List<Expression> others) {
        Linear split = Linear.in(unknown, carrier.heat());
        if (!split.straight() || split.coefficient().isEmpty()) {
            return crooked();
        }
        HeatTerm balanced = carrier.withHeat(new Sum(others).negated());
        Expression numerator = split.rest()
                .<Expression>map(rest -> balanced.heat().minus(rest))
                .orElse(balanced.heat());
        Named result = numerator.over(split.coefficient().get()).named(unknown.symbol(), unknown.unit());
        List<HeatTerm> known = new ArrayList<>(parties);
        known.set(parties.indexOf(carrier), balanced.with(unknown, result));
        return Optional.of(new Solved(result, known, split.coefficient(), balanced.heat(), carrier.key()));
    }

    /** All heats together are zero; the unknown enters several of them. */
    private Optional<Solved> throughTheSum() {
        Linear split = Linear.in(unknown, sum());
        if (!split.straight() || split.coefficient().isEmpty()) {
            return crooked();
        }
        Named result = Linear.opposite(split.rest().orElse(Expression.number(0, "0")))
                .over(split.coefficient().get())
                .named(unknown.symbol(), unknown.unit());
        return Optional.of(new Solved(result, known(result), split.coefficient(), result, ""));
    }

    private Optional<Solved> crooked() {
        return bounds.map(range -> {
            Named result = new Expression.Root(unknown, sum(), range.low(), range.high())
                    .named(unknown.symbol(), unknown.unit());
            return new Solved(result, known(result), Optional.empty(), result, "");
        });
    }

    private Expression sum() {
        return new Sum(parties.stream().<Expression>map(HeatTerm::heat).toList());
    }

    private List<HeatTerm> known(Named result) {
        return parties.stream().map(party -> party.with(unknown, result)).toList();
    }
}

package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
 * @param fill    mass the calorimeter held in all, for comparing with other runs (g)
 * @param derived further results that follow
 * @param amount  what the heat of the party with the unknown is drawn against over several trials (mol)
 * @param bounds  where an unknown that does not enter in a straight line is looked for
 * @param answer  what is reported where the unknown is only a means to it
 * @param remarks what is to be said once the numbers are in
 */
public record Ledger(
        int trial,
        List<Party> parties,
        Input unknown,
        Optional<Expression> fill,
        List<Derived> derived,
        Optional<Named> amount,
        Optional<Bounds> bounds,
        Optional<Named> answer,
        List<Remark> remarks)
        implements Account {

    /** Between which values an unknown is looked for (its unit). */
    public record Bounds(double low, double high) {}

    public Ledger {
        parties = List.copyOf(parties);
        derived = List.copyOf(derived);
        remarks = List.copyOf(remarks);
    }

    public static Ledger of(int trial, List<Party> parties, Input unknown) {
        return new Ledger(
                trial,
                parties,
                unknown,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    public Ledger holding(Expression fill) {
        return new Ledger(trial, parties, unknown, Optional.of(fill), derived, amount, bounds, answer, remarks);
    }

    public Ledger giving(Derived... more) {
        return new Ledger(trial, parties, unknown, fill, List.of(more), amount, bounds, answer, remarks);
    }

    public Ledger against(Named moles) {
        return new Ledger(trial, parties, unknown, fill, derived, Optional.of(moles), bounds, answer, remarks);
    }

    public Ledger between(double low, double high) {
        return new Ledger(
                trial, parties, unknown, fill, derived, amount, Optional.of(new Bounds(low, high)), answer, remarks);
    }

    public Ledger answering(Named value) {
        return new Ledger(trial, parties, unknown, fill, derived, amount, bounds, Optional.of(value), remarks);
    }

    public Ledger remarking(List<? extends Remark> more) {
        return new Ledger(
                trial,
                parties,
                unknown,
                fill,
                derived,
                amount,
                bounds,
                answer,
                Stream.concat(remarks.stream(), more.stream()).toList());
    }

    /** Whether the school in force asks for a party these books cannot have. */
    public boolean omits() {
        return remarks.stream().anyMatch(Omission.class::isInstance);
    }

    /**
     * The books solved; empty where the unknown enters in no straight line and nothing says where to look for it.
     *
     * @throws IllegalStateException where no party holds the unknown: a fault in the program
     */
    Optional<Solved> solved() {
        List<Party> carriers = new ArrayList<>();
        List<Expression> others = new ArrayList<>();
        for (Party party : parties) {
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
    private Optional<Solved> throughItsParty(Party carrier, List<Expression> others) {
        Linear split = Linear.in(unknown, carrier.heat());
        if (!split.straight() || split.coefficient().isEmpty()) {
            return crooked();
        }
        Party balanced = carrier.withHeat(new Sum(others).negated());
        Expression numerator = split.rest()
                .<Expression>map(rest -> balanced.heat().minus(rest))
                .orElse(balanced.heat());
        Named result = numerator.over(split.coefficient().get()).named(unknown.symbol(), unknown.unit());
        List<Party> known = new ArrayList<>(parties);
        known.set(parties.indexOf(carrier), balanced.demandingOf(unknown, result));
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
        return new Sum(parties.stream().<Expression>map(Party::heat).toList());
    }

    private List<Party> known(Named result) {
        return parties.stream().map(party -> party.with(unknown, result)).toList();
    }

    /**
     * @param result      the unknown as an expression of the inputs
     * @param parties     all parties with their heats free of the unknown
     * @param coefficient what multiplies the unknown; empty where it was found by bracketing
     * @param base        what further results are made from: the heat of the one party that holds the unknown, or
     *                    the unknown itself where several do
     * @param through     key of the one party whose heat is found through the balance; empty where several hold the unknown
     */
    record Solved(Named result, List<Party> parties, Optional<Expression> coefficient, Named base, String through) {

        /** Everything that must hold. */
        List<Party.Demand> demands() {
            return parties.stream().allMatch(party -> party.demands().isEmpty())
                    ? List.of()
                    : parties.stream()
                            .flatMap(party -> party.demands().stream())
                            .toList();
        }
    }
}

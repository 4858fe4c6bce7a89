package lab.sassafras.account;

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
 * @param unknown what is sought; it stands in the heat of one party
 * @param fill    mass the calorimeter held in all, for comparing with other runs (g)
 * @param derived further results that follow
 */
public record Ledger(int trial, List<Party> parties, Input unknown, Optional<Expression> fill, List<Derived> derived)
        implements Account {

    public Ledger {
        parties = List.copyOf(parties);
        derived = List.copyOf(derived);
        if (parties.stream().filter(party -> contains(party, unknown)).count() != 1) {
            throw new IllegalArgumentException("exactly one party must hold the unknown " + unknown.key());
        }
    }

    private static boolean contains(Party party, Input unknown) {
        return party.heat().inputs().stream().anyMatch(input -> input.key().equals(unknown.key()));
    }

    /** The party whose heat holds the unknown. */
    public Party carrier() {
        return parties.stream().filter(party -> contains(party, unknown)).findFirst().orElseThrow();
    }

    /**
     * The books solved: the carrier's heat is minus the sum of the others, and the unknown follows from it. Empty
     * where the unknown does not enter in a straight line.
     */
    Optional<Solved> solved() {
        List<Expression> others = parties.stream().filter(party -> !contains(party, unknown))
                .<Expression>map(Party::heat).toList();
        Linear split = Linear.in(unknown, carrier().heat());
        if (!split.straight() || split.coefficient().isEmpty()) {
            return Optional.empty();
        }
        Party balanced = carrier().withHeat(new Sum(others).negated());
        Expression numerator = split.rest().<Expression>map(rest -> balanced.heat().minus(rest)).orElse(balanced.heat());
        Named result = numerator.over(split.coefficient().get()).named(unknown.symbol(), unknown.unit());
        List<Party> known = parties.stream().map(party -> contains(party, unknown) ? balanced : party).toList();
        return Optional.of(new Solved(result, known, split.coefficient().get(),
                derived.stream().map(each -> each.of(balanced.heat())).toList()));
    }

    /**
     * @param result      the unknown as an expression of the inputs
     * @param parties     all parties with their heats free of the unknown
     * @param coefficient what multiplies the unknown
     * @param derived     the further results, in the order declared
     */
    record Solved(Named result, List<Party> parties, Expression coefficient, List<Named> derived) {
    }
}

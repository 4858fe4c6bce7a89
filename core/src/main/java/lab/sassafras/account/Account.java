package lab.sassafras.account;

import java.util.List;
import lab.sassafras.expression.Expression.Input;

/**
 * What one trial (or sample) amounts to: books that can be solved, or a list of what is still to be read.
 */
public sealed interface Account permits Ledger, Cases, Tally, Account.Incomplete {

    /** Which trial it belongs to, from 1. */
    int trial();

    /** Something not yet read, by address and in words. */
    record Missing(String address, String label) {
    }

    /**
     * Books that cannot be drawn up.
     *
     * @param missing  what is still to be read
     * @param findings why what was given does not go together
     */
    record Incomplete(int trial, List<Missing> missing, List<Finding> findings) implements Account {
        public Incomplete {
            missing = List.copyOf(missing);
            findings = List.copyOf(findings);
        }
    }

    /** Whether another account balances the same heats for the same unknown, whatever else is read off it. */
    default boolean balancesAs(Account other) {
        if (this instanceof Ledger one && other instanceof Ledger two) {
            return one.unknown().equals(two.unknown()) && one.parties().equals(two.parties()) && one.answer().equals(two.answer());
        }
        return equals(other);
    }

    /** What is sought, where the books could be drawn up. */
    default java.util.Optional<Input> sought() {
        if (this instanceof Ledger ledger) {
            return java.util.Optional.of(ledger.unknown());
        }
        if (this instanceof Cases cases) {
            return cases.cases().get(0).sought();
        }
        return this instanceof Tally tally ? java.util.Optional.of(tally.unknown()) : java.util.Optional.empty();
    }
}

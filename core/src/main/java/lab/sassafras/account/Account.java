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
    record Missing(String address, String label) {}

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

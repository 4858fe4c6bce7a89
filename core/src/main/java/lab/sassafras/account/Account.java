package lab.sassafras.account;

import java.util.List;

/**
 * What one trial (or sample) amounts to: books that can be solved, or a list of what is still to be read.
 */
public sealed interface Account permits Ledger, Account.Incomplete {

    /** Which trial it belongs to, from 1. */
    int trial();

    /** Something not yet read, by address and in words. */
    record Missing(String address, String label) {
    }

    /** Books that cannot be drawn up yet. */
    record Incomplete(int trial, List<Missing> missing) implements Account {
        public Incomplete {
            missing = List.copyOf(missing);
        }
    }
}

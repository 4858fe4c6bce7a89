package lab.sassafras.account;

import java.util.List;

/**
 * Books that stand in one of several ways, such as ice that melts whole, melts in part or freezes water: which one it
 * was is not known beforehand. The first whose answer meets its own demands is the one.
 *
 * @param trial which trial, from 1
 * @param cases in the order tried
 */
public record Cases(int trial, List<Ledger> cases) implements Account {

    public Cases {
        cases = List.copyOf(cases);
    }
}

package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Linear;

/**
 * Books turned round: another input is sought, and what was sought is an input of its own, to be given. Where the
 * sought one enters in a straight line it is written out; else it is looked for between two values.
 */
final class Turned {

    private Turned() {}

    /** A balance: the heats still sum to zero, whichever of its inputs is not known. */
    static Account balance(HeatBalance books, Input sought, HeatBalance.Bounds between) {
        if (books.beside().answer().isPresent()) {
            return formula(books, sought, between);
        }
        return books.parties().stream().anyMatch(party -> party.heat().contains(sought))
                ? new HeatBalance(
                        books.trial(), books.parties(), sought, Optional.of(between), SingleAccount.Beside.NOTHING)
                : without(books.trial(), sought);
    }

    /** What is reported, less what it is to be, is nothing. */
    static Account formula(SingleAccount<?> books, Input sought, HeatBalance.Bounds between) {
        Optional<Named> reported =
                books.beside().answer().or(() -> books.solved().map(SingleAccount.Solved::result));
        return reported.filter(each -> each.contains(sought))
                .<Account>map(each -> DirectFormula.of(
                        books.trial(), solved(each.minus(given(books, each)), sought, between), sought))
                .orElseGet(() -> without(books.trial(), sought));
    }

    /** The number what is reported is to come to. */
    private static Expression given(SingleAccount<?> books, Named reported) {
        return new Input(
                books.unknown().key(), reported.symbol(), books.unknown().label(), reported.unit());
    }

    private static Expression solved(Expression balance, Input sought, HeatBalance.Bounds between) {
        Linear split = Linear.in(sought, balance);
        return split.straight() && split.coefficient().isPresent()
                ? Linear.opposite(split.rest().orElseGet(() -> Expression.number(0, "0")))
                        .over(split.coefficient().get())
                : new Expression.Root(sought, balance, between.low(), between.high());
    }

    private static Account without(int trial, Input sought) {
        return new Account.Incomplete(
                trial,
                List.of(),
                List.of(Finding.question(
                        "account.no-part",
                        "The result does not depend on “" + sought.label() + "”, so it cannot say how much that is.")));
    }
}

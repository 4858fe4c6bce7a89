package lab.sassafras.account;

import java.util.List;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;

/**
 * Books without a balance: the unknown is the sum of known parts.
 *
 * @param trial   which trial, from 1
 * @param parts   what is added up (unit of the unknown)
 * @param unknown what is sought
 */
public record Tally(int trial, List<Expression> parts, Input unknown) implements Account {

    public Tally {
        parts = List.copyOf(parts);
    }

    Expression.Named total() {
        return new Expression.Sum(parts).named(unknown.symbol(), unknown.unit());
    }
}

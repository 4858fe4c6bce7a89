package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/**
 * Books without a balance: the unknown is told by one expression, such as a sum of known parts.
 *
 * @param trial   which trial, from 1
 * @param value   the unknown as an expression of the inputs (unit of the unknown)
 * @param unknown what is sought
 * @param beside  what is said beside it
 */
public record DirectFormula(int trial, Expression value, Input unknown, Beside beside)
        implements SingleAccount<DirectFormula> {

    /**
     * {@return the unknown alone}
     *
     * @param trial   which trial, from 1
     * @param value   the unknown as an expression of the inputs (unit of the unknown)
     * @param unknown what is sought
     */
    public static DirectFormula of(int trial, Expression value, Input unknown) {
        return new DirectFormula(trial, value, unknown, Beside.NOTHING);
    }

    @Override
    public DirectFormula with(Beside other) {
        return new DirectFormula(trial, value, unknown, other);
    }

    @Override
    public Account seeking(Input input, HeatBalance.Bounds between) {
        return Turned.formula(this, input, between);
    }

    @Override
    public List<HeatTerm> parties() {
        return List.of();
    }

    @Override
    public Optional<Solved> solved() {
        Named result = value.named(unknown.symbol(), unknown.unit());
        return Optional.of(new Solved(result, List.of(), Optional.empty(), result, ""));
    }
}

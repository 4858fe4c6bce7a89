package lab.sassafras.expression;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/** Rebuilds a tree with one input replaced by what it was found to be. */
final class Substitution extends Rebuilding {

    private final Input sought;
    private final Expression found;

    Substitution(Input sought, Expression found) {
        this.sought = sought;
        this.found = found;
    }

    @Override
    public Expression input(Input input) {
        return input.key().equals(sought.key()) ? found : input;
    }

    @Override
    public Expression named(Named step, Supplier<Expression> body) {
        return step.inputs().stream().anyMatch(input -> input.key().equals(sought.key()))
                ? super.named(step, body)
                : step;
    }
}

package lab.sassafras.expression;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/** Rebuilds a tree with one named step taken for a number that is put in, to see how the rest hangs on it. */
final class StepAsInput extends Rebuilding {

    private final Named sought;
    private final Input number;

    StepAsInput(Named sought, Input number) {
        this.sought = sought;
        this.number = number;
    }

    @Override
    public Expression named(Named step, Supplier<Expression> body) {
        return step.symbol().equals(sought.symbol()) ? number : super.named(step, body);
    }
}

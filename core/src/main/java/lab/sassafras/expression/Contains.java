package lab.sassafras.expression;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;

/** Whether an input stands anywhere in a tree. */
record Contains(String key) implements Interpretation<Boolean> {

    @Override
    public Boolean input(Input input) {
        return input.key().equals(key);
    }

    @Override
    public Boolean constant(Constant constant) {
        return false;
    }

    @Override
    public Boolean named(Named step, Supplier<Boolean> body) {
        return body.get();
    }

    @Override
    public Boolean sum(List<Boolean> terms) {
        return terms.contains(true);
    }

    @Override
    public Boolean difference(Boolean minuend, Boolean subtrahend) {
        return minuend || subtrahend;
    }

    @Override
    public Boolean product(List<Boolean> factors) {
        return factors.contains(true);
    }

    @Override
    public Boolean quotient(Boolean dividend, Boolean divisor) {
        return dividend || divisor;
    }

    @Override
    public Boolean negative(Boolean body) {
        return body;
    }

    @Override
    public Boolean least(List<Boolean> parts) {
        return parts.contains(true);
    }

    @Override
    public Boolean root(Root root, Supplier<Boolean> balance) {
        return !root.unknown().key().equals(key) && balance.get();
    }

    @Override
    public Boolean applied(SmoothFunction function, Boolean argument) {
        return argument;
    }
}

package lab.sassafras.expression;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;

/** A reading that makes nothing of a tree but passes every node, for collecting. */
interface Walk extends Interpretation<Void> {

    @Override
    default Void input(Input input) {
        return null;
    }

    @Override
    default Void constant(Constant constant) {
        return null;
    }

    @Override
    default Void named(Named step, Supplier<Void> body) {
        return body.get();
    }

    @Override
    default Void sum(List<Void> terms) {
        return null;
    }

    @Override
    default Void difference(Void minuend, Void subtrahend) {
        return null;
    }

    @Override
    default Void product(List<Void> factors) {
        return null;
    }

    @Override
    default Void quotient(Void dividend, Void divisor) {
        return null;
    }

    @Override
    default Void negative(Void body) {
        return null;
    }

    @Override
    default Void least(List<Void> parts) {
        return null;
    }

    @Override
    default Void root(Root root, Supplier<Void> balance) {
        return balance.get();
    }

    @Override
    default Void applied(SmoothFunction function, Void argument) {
        return null;
    }
}

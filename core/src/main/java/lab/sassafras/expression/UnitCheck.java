package lab.sassafras.expression;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;
import lab.sassafras.measure.UnitProduct;

/**
 * Reads a tree by its units: only like is added to like, and what is named has the unit it is named with, in kind and
 * in size. A formula that fails is a fault in the program, found before anybody reads a number from it.
 */
public final class UnitCheck implements Interpretation<UnitCheck.Has> {

    private UnitCheck() {}

    /**
     * The unit a part has.
     *
     * @param unit    of it
     * @param nothing whether it is a nought, which has any unit
     */
    record Has(UnitProduct unit, boolean nothing) {

        static Has of(UnitProduct unit) {
            return new Has(unit, false);
        }
    }

    /** A formula whose units do not go together. */
    public static final class Fault extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        Fault(String message) {
            super(message);
        }
    }

    /**
     * Checks a tree.
     *
     * @param expression the formula
     * @throws Fault naming the step where units do not go together
     */
    public static void check(Expression expression) {
        expression.read(new UnitCheck());
    }

    @Override
    public Has input(Input input) {
        return Has.of(input.unit().product());
    }

    @Override
    public Has constant(Constant constant) {
        return new Has(constant.unit().product(), constant.value() == 0);
    }

    @Override
    public Has named(Named step, Supplier<Has> body) {
        Has has = body.get();
        UnitProduct wanted = step.unit().product();
        if (!has.nothing() && !has.unit().sameAs(wanted)) {
            throw new Fault(step.symbol().text() + " is named in " + step.unit().symbol() + " (" + wanted
                    + "), and its parts make " + has.unit());
        }
        return Has.of(wanted);
    }

    @Override
    public Has sum(List<Has> terms) {
        List<Has> counting = terms.stream().filter(each -> !each.nothing()).toList();
        for (Has each : counting) {
            if (!each.unit().sameAs(counting.get(0).unit())) {
                throw new Fault(each.unit() + " is added to " + counting.get(0).unit());
            }
        }
        return counting.isEmpty() ? new Has(UnitProduct.ONE, true) : counting.get(0);
    }

    @Override
    public Has difference(Has minuend, Has subtrahend) {
        return sum(List.of(minuend, subtrahend));
    }

    @Override
    public Has product(List<Has> factors) {
        return new Has(
                factors.stream().map(Has::unit).reduce(UnitProduct.ONE, UnitProduct::times),
                factors.stream().anyMatch(Has::nothing));
    }

    @Override
    public Has quotient(Has dividend, Has divisor) {
        return new Has(dividend.unit().over(divisor.unit()), dividend.nothing());
    }

    @Override
    public Has negative(Has body) {
        return body;
    }

    @Override
    public Has least(List<Has> parts) {
        return sum(parts);
    }

    @Override
    public Has root(Root root, Supplier<Has> balance) {
        Has zero = balance.get();
        if (zero.nothing()) {
            throw new Fault("a balance of nothing has no root");
        }
        return Has.of(root.unknown().unit().product());
    }

    @Override
    public Has applied(SmoothFunction function, Has argument) {
        if (!argument.unit().sameAs(function.argumentUnit().product())) {
            throw new Fault(function.symbol().text() + " takes "
                    + function.argumentUnit().symbol() + " and is given " + argument.unit());
        }
        return Has.of(function.unit().product());
    }
}

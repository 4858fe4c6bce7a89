package lab.sassafras.expression;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/** Rebuilds a tree as it was; those that change something override how it is rebuilt. */
abstract class Rebuilding implements Interpretation<Expression> {

    @Override
    public Expression input(Input input) {
        return input;
    }

    @Override
    public Expression constant(Constant constant) {
        return constant;
    }

    @Override
    public Expression named(Named step, Supplier<Expression> body) {
        return new Named(step.symbol(), step.unit(), body.get());
    }

    @Override
    public Expression sum(List<Expression> terms) {
        return new Expression.Sum(terms);
    }

    @Override
    public Expression difference(Expression minuend, Expression subtrahend) {
        return minuend.minus(subtrahend);
    }

    @Override
    public Expression product(List<Expression> factors) {
        return new Expression.Product(factors);
    }

    @Override
    public Expression quotient(Expression dividend, Expression divisor) {
        return dividend.over(divisor);
    }

    @Override
    public Expression negative(Expression body) {
        return body.negated();
    }

    @Override
    public Expression least(List<Expression> parts) {
        return new Expression.Least(parts);
    }

    @Override
    public Expression root(Expression.Root root, Supplier<Expression> balance) {
        return new Expression.Root(root.unknown(), balance.get(), root.low(), root.high());
    }

    @Override
    public Expression applied(SmoothFunction function, Expression argument) {
        return new Expression.Applied(function, argument);
    }
}

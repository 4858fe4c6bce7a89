package lab.sassafras.expression;

import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/**
 * A tree split in one unknown: rest + coefficient · unknown. An absent part is zero.
 *
 * @param straight    false where the unknown enters in any other way (then the parts mean nothing)
 * @param rest        what does not contain the unknown
 * @param coefficient what multiplies it
 */
public record Linear(boolean straight, Optional<Expression> rest, Optional<Expression> coefficient) {

    /** Splits a tree; linearity is found by walking it, not assumed. */
    public static Linear in(Input unknown, Expression expression) {
        return expression.read(new Split(unknown));
    }

    private static final Linear CROOKED = new Linear(false, Optional.empty(), Optional.empty());

    private static Linear known(Expression rest) {
        return new Linear(true, Optional.of(rest), Optional.empty());
    }

    private boolean free() {
        return straight && coefficient.isEmpty();
    }

    private Expression restOrZero() {
        return rest.orElseGet(() -> Expression.number(0, "0"));
    }

    private Linear each(UnaryOperator<Expression> change) {
        return straight ? new Linear(true, rest.map(change), coefficient.map(change)) : CROOKED;
    }

    private Linear with(Linear other, BinaryOperator<Expression> join, UnaryOperator<Expression> alone) {
        if (!straight || !other.straight) {
            return CROOKED;
        }
        return new Linear(true, joined(rest, other.rest, join, alone),
                joined(coefficient, other.coefficient, join, alone));
    }

    private static Optional<Expression> joined(Optional<Expression> one, Optional<Expression> other,
            BinaryOperator<Expression> join, UnaryOperator<Expression> alone) {
        if (one.isEmpty()) {
            return other.map(alone);
        }
        return other.isEmpty() ? one : Optional.of(join.apply(one.get(), other.get()));
    }

    private record Split(Input unknown) implements Interpretation<Linear> {

        @Override
        public Linear input(Input input) {
            return input.key().equals(unknown.key())
                    ? new Linear(true, Optional.empty(), Optional.of(Expression.number(1, "1")))
                    : known(input);
        }

        @Override
        public Linear constant(Constant constant) {
            return known(constant);
        }

        @Override
        public Linear named(Named step, Supplier<Linear> body) {
            Linear split = body.get();
            return split.free() ? known(step) : split;
        }

        @Override
        public Linear sum(List<Linear> terms) {
            return terms.stream().reduce((a, b) -> a.with(b, Expression::plus, UnaryOperator.identity()))
                    .orElse(new Linear(true, Optional.empty(), Optional.empty()));
        }

        @Override
        public Linear difference(Linear minuend, Linear subtrahend) {
            return minuend.with(subtrahend, Expression::minus, Expression::negated);
        }

        @Override
        public Linear product(List<Linear> factors) {
            return factors.stream().reduce(this::times).orElseGet(() -> known(Expression.number(1, "1")));
        }

        private Linear times(Linear one, Linear other) {
            if (one.free() && one.rest.isPresent()) {
                return other.each(part -> isOne(part) ? one.restOrZero() : one.restOrZero().times(part));
            }
            return other.free() ? one.each(part -> isOne(part) ? other.restOrZero() : part.times(other.restOrZero()))
                    : CROOKED;
        }

        @Override
        public Linear quotient(Linear dividend, Linear divisor) {
            return divisor.free() ? dividend.each(part -> part.over(divisor.restOrZero())) : CROOKED;
        }

        @Override
        public Linear negative(Linear body) {
            return body.each(Expression::negated);
        }

        @Override
        public Linear applied(SmoothFunction function, Linear argument) {
            return argument.free() ? known(new Expression.Applied(function, argument.restOrZero())) : CROOKED;
        }

        private static boolean isOne(Expression part) {
            return part instanceof Constant constant && constant.value() == 1.0;
        }
    }
}

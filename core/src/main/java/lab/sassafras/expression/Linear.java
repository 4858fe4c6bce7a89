package lab.sassafras.expression;

import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Negative;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Expression.Sum;

/**
 * A tree split in one unknown: rest + coefficient · unknown. An absent part is zero.
 *
 * @param straight    false where the unknown enters in any other way (then the parts mean nothing)
 * @param rest        what does not contain the unknown
 * @param coefficient what multiplies it
 */
public record Linear(boolean straight, Optional<Expression> rest, Optional<Expression> coefficient) {

    /**
     * Splits a tree; linearity is found by walking it, not assumed.
     *
     * @param unknown    what is sought
     * @param expression the formula
     * @return the parts
     */
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
        return new Linear(
                true, joined(rest, other.rest, join, alone), joined(coefficient, other.coefficient, join, alone));
    }

    private static Optional<Expression> joined(
            Optional<Expression> one,
            Optional<Expression> other,
            BinaryOperator<Expression> join,
            UnaryOperator<Expression> alone) {
        if (one.isEmpty()) {
            return other.map(alone);
        }
        return other.isEmpty() ? one : Optional.of(join.apply(one.get(), other.get()));
    }

    /**
     * {@return minus an expression, with a minus in front of a product or of a whole sum pulled out, as a person would
     * write it}
     *
     * @param body what is subtracted
     */
    public static Expression negated(Expression body) {
        Expression plain = signed(body);
        return plain instanceof Negative negative ? negative.body() : plain.negated();
    }

    /**
     * {@return minus a sum, term by term, what comes out positive first: as a person would bring it to the other
     * side}
     *
     * @param rest what stands beside it
     */
    public static Expression opposite(Expression rest) {
        List<Expression> terms = rest instanceof Sum sum ? sum.terms() : List.of(rest);
        List<Expression> flipped = terms.stream()
                .filter(term -> !nothing(term))
                .map(Linear::negated)
                .toList();
        List<Expression> plus =
                flipped.stream().filter(term -> !(term instanceof Negative)).toList();
        List<Expression> minus = flipped.stream()
                .filter(Negative.class::isInstance)
                .map(term -> ((Negative) term).body())
                .toList();
        if (plus.isEmpty()) {
            return negated(minus.size() == 1 ? minus.get(0) : new Sum(minus));
        }
        Expression all = plus.size() == 1 ? plus.get(0) : new Sum(plus);
        for (Expression each : minus) {
            all = all.minus(each);
        }
        return all;
    }

    private static boolean nothing(Expression term) {
        return term instanceof Product product && product.factors().stream().anyMatch(Linear::zero);
    }

    private static boolean zero(Expression factor) {
        return factor instanceof Constant constant && constant.value() == 0
                || factor instanceof Negative minus && zero(minus.body());
    }

    private static Expression sum(Expression one, Expression other) {
        return one instanceof Sum first
                ? new Sum(
                        Stream.concat(first.terms().stream(), Stream.of(other)).toList())
                : one.plus(other);
    }

    private static Expression difference(Expression one, Expression other) {
        return signed(other) instanceof Negative negative ? one.plus(negative.body()) : one.minus(other);
    }

    private static Expression signed(Expression body) {
        if (body instanceof Product product
                && product.factors().stream().filter(Negative.class::isInstance).count() == 1) {
            return new Product(product.factors().stream()
                            .map(each -> each instanceof Negative minus ? minus.body() : each)
                            .toList())
                    .negated();
        }
        if (body instanceof Sum sum && sum.terms().stream().map(Linear::signed).allMatch(Negative.class::isInstance)) {
            return new Sum(sum.terms().stream()
                            .map(Linear::signed)
                            .map(each -> ((Negative) each).body())
                            .toList())
                    .negated();
        }
        return body;
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
            return terms.stream()
                    .reduce((a, b) -> a.with(b, Linear::sum, UnaryOperator.identity()))
                    .orElse(new Linear(true, Optional.empty(), Optional.empty()));
        }

        @Override
        public Linear difference(Linear minuend, Linear subtrahend) {
            return minuend.with(subtrahend, Linear::difference, Linear::negated);
        }

        @Override
        public Linear product(List<Linear> factors) {
            return factors.stream().reduce(this::times).orElseGet(() -> known(Expression.number(1, "1")));
        }

        private Linear times(Linear one, Linear other) {
            if (one.free() && one.rest.isPresent()) {
                return other.each(part -> isOne(part) ? one.restOrZero() : product(one.restOrZero(), part));
            }
            return other.free()
                    ? one.each(part -> isOne(part) ? other.restOrZero() : product(part, other.restOrZero()))
                    : CROOKED;
        }

        private static Expression product(Expression one, Expression other) {
            return one instanceof Product first
                    ? new Product(Stream.concat(first.factors().stream(), Stream.of(other))
                            .toList())
                    : one.times(other);
        }

        @Override
        public Linear quotient(Linear dividend, Linear divisor) {
            return divisor.free() ? dividend.each(part -> part.over(divisor.restOrZero())) : CROOKED;
        }

        @Override
        public Linear negative(Linear body) {
            return body.each(Linear::negated);
        }

        @Override
        public Linear applied(SmoothFunction function, Linear argument) {
            return argument.free() ? known(new Expression.Applied(function, argument.restOrZero())) : CROOKED;
        }

        @Override
        public Linear least(List<Linear> parts) {
            return parts.stream().allMatch(Linear::free)
                    ? known(new Expression.Least(
                            parts.stream().map(Linear::restOrZero).toList()))
                    : CROOKED;
        }

        @Override
        public Linear root(Expression.Root root, Supplier<Linear> balance) {
            return root.inputs().stream().anyMatch(input -> input.key().equals(unknown.key())) ? CROOKED : known(root);
        }

        private static boolean isOne(Expression part) {
            return part instanceof Constant constant && constant.value() == 1.0;
        }
    }
}

package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lab.sassafras.measure.BenchUnit;

/** A formula as a tree. Immutable; equal parts may be shared. */
public sealed interface Expression {

    /**
     * Reads the tree from the leaves up.
     *
     * @param <T>            what the tree is read as
     * @param interpretation how the tree is read
     * @return as read
     */
    <T> T read(Interpretation<T> interpretation);

    /**
     * {@return the sum with another}
     *
     * @param other the other one
     */
    default Expression plus(Expression other) {
        return new Sum(List.of(this, other));
    }

    /**
     * {@return the difference from another}
     *
     * @param other the other one
     */
    default Expression minus(Expression other) {
        return new Difference(this, other);
    }

    /**
     * {@return the product with another}
     *
     * @param other the other one
     */
    default Expression times(Expression other) {
        return new Product(List.of(this, other));
    }

    /**
     * {@return the quotient by another}
     *
     * @param divisor what is divided by
     */
    default Expression over(Expression divisor) {
        return new Quotient(this, divisor);
    }

    /** {@return minus this} */
    default Expression negated() {
        return new Negative(this);
    }

    /**
     * {@return this expression as a step of the working with a name of its own}
     *
     * @param symbol as written in the working
     * @param unit   of the number
     */
    default Named named(Symbol symbol, BenchUnit unit) {
        return new Named(symbol, unit, this);
    }

    /**
     * {@return the same tree with an input replaced by what it was found to be}
     *
     * @param sought the input replaced
     * @param found  what stands in its place
     */
    default Expression with(Input sought, Expression found) {
        return read(new Substitution(sought, found));
    }

    /**
     * {@return whether an input stands anywhere in it}
     *
     * @param input looked for
     */
    default boolean contains(Input input) {
        return read(new Contains(input.key()));
    }

    /**
     * {@return a pure number, written so}
     *
     * @param value the number (its own unit)
     * @param text  as kept
     */
    static Expression number(double value, String text) {
        return new Constant(value, text, BenchUnit.NUMBER);
    }

    /**
     * {@return half the sum of two}
     *
     * @param one   one way
     * @param other the other one
     */
    static Expression mean(Expression one, Expression other) {
        return one.plus(other).over(number(2, "2"));
    }

    /** {@return the inputs met, in the order of reading} */
    default Set<Input> inputs() {
        Set<Input> met = new LinkedHashSet<>();
        read(new Leaves(met));
        return met;
    }

    /**
     * Something read, assumed or taken from the shelf.
     *
     * @param key    identity in the bindings
     * @param symbol as written in the working
     * @param label  in words, for the budget
     * @param unit   the bench unit its value is in
     */
    record Input(String key, Symbol symbol, String label, BenchUnit unit) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.input(this);
        }
    }

    /**
     * A number fixed by a convention or by arithmetic, written the way people write it.
     *
     * @param value (unit)
     * @param text  with a decimal point
     */
    record Constant(double value, String text, BenchUnit unit) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.constant(this);
        }
    }

    /** A step of the working: its body has a symbol and a unit. */
    record Named(Symbol symbol, BenchUnit unit, Expression body) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.named(this, () -> body.read(interpretation));
        }
    }

    /** Several added. */
    record Sum(List<Expression> terms) implements Expression {
        /**
         * Keeps copies of what could change.
         *
         * @param terms what is added
         */
        public Sum {
            terms = List.copyOf(terms);
        }

        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.sum(each(terms, interpretation));
        }
    }

    /** One less another. */
    record Difference(Expression minuend, Expression subtrahend) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.difference(minuend.read(interpretation), subtrahend.read(interpretation));
        }
    }

    /** Several multiplied. */
    record Product(List<Expression> factors) implements Expression {
        /**
         * Keeps copies of what could change.
         *
         * @param factors what is multiplied
         */
        public Product {
            factors = List.copyOf(factors);
        }

        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.product(each(factors, interpretation));
        }
    }

    /** One divided by another. */
    record Quotient(Expression dividend, Expression divisor) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.quotient(dividend.read(interpretation), divisor.read(interpretation));
        }
    }

    /** Minus one. */
    record Negative(Expression body) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.negative(body.read(interpretation));
        }
    }

    /** A smooth function of one argument, such as the specific heat of water at a temperature. */
    record Applied(SmoothFunction function, Expression argument) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.applied(function, argument.read(interpretation));
        }
    }

    /**
     * The least of several, such as the reagent that runs out first. Where two are equal it has a kink, and its
     * derivative is that of the first.
     */
    record Least(List<Expression> parts) implements Expression {
        /**
         * Keeps copies of what could change.
         *
         * @param parts how many parts of each repeated group, at least 1
         */
        public Least {
            parts = List.copyOf(parts);
        }

        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.least(each(parts, interpretation));
        }
    }

    /**
     * The value of an unknown at which a balance is zero, where the unknown does not enter in a straight line. Found
     * by bracketing (Hipparchus, nth-order Brent); NaN where the balance keeps its sign between the bounds.
     *
     * @param unknown what is sought; it is no input of this node
     * @param balance what is to be zero
     * @param low     lower bound (unit of the unknown)
     * @param high    upper bound (unit of the unknown)
     */
    record Root(Input unknown, Expression balance, double low, double high) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.root(this, () -> balance.read(interpretation));
        }
    }

    private static <T> List<T> each(List<Expression> parts, Interpretation<T> interpretation) {
        List<T> read = new ArrayList<>(parts.size());
        for (Expression part : parts) {
            read.add(part.read(interpretation));
        }
        return read;
    }
}

package lab.sassafras.expression;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lab.sassafras.measure.BenchUnit;

/** A formula as a tree. Immutable; equal parts may be shared. */
public sealed interface Expression {

    /** Reads the tree from the leaves up. */
    <T> T read(Interpretation<T> interpretation);

    default Expression plus(Expression other) {
        return new Sum(List.of(this, other));
    }

    default Expression minus(Expression other) {
        return new Difference(this, other);
    }

    default Expression times(Expression other) {
        return new Product(List.of(this, other));
    }

    default Expression over(Expression divisor) {
        return new Quotient(this, divisor);
    }

    default Expression negated() {
        return new Negative(this);
    }

    /** This expression as a step of the working with a name of its own. */
    default Named named(Symbol symbol, BenchUnit unit) {
        return new Named(symbol, unit, this);
    }

    static Expression number(double value, String text) {
        return new Constant(value, text, BenchUnit.NUMBER);
    }

    static Expression mean(Expression one, Expression other) {
        return one.plus(other).over(number(2, "2"));
    }

    /** The inputs met, in the order of reading. */
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

    record Sum(List<Expression> terms) implements Expression {
        public Sum {
            terms = List.copyOf(terms);
        }

        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.sum(terms.stream().map(term -> term.read(interpretation)).toList());
        }
    }

    record Difference(Expression minuend, Expression subtrahend) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.difference(minuend.read(interpretation), subtrahend.read(interpretation));
        }
    }

    record Product(List<Expression> factors) implements Expression {
        public Product {
            factors = List.copyOf(factors);
        }

        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.product(factors.stream().map(factor -> factor.read(interpretation)).toList());
        }
    }

    record Quotient(Expression dividend, Expression divisor) implements Expression {
        @Override
        public <T> T read(Interpretation<T> interpretation) {
            return interpretation.quotient(dividend.read(interpretation), divisor.read(interpretation));
        }
    }

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
}

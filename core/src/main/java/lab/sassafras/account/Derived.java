package lab.sassafras.account;

import java.util.function.UnaryOperator;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/**
 * A further result that follows from the heat of the party that holds the unknown, such as the heat per gram; where
 * several parties hold it, from the unknown itself.
 *
 * @param label  in words
 * @param symbol as written in the working
 * @param unit   of the result
 * @param from   makes it from that heat (J), or from the unknown
 */
public record Derived(String label, Symbol symbol, BenchUnit unit, UnaryOperator<Expression> from) {

    /** Symbol of the heat of an equation as it is written. */
    public static final Symbol AS_WRITTEN = Symbol.of("ΔH:as written");

    /** {@return whether it is the heat of the equation as it is written} */
    public boolean asWritten() {
        return symbol.equals(AS_WRITTEN);
    }

    Named of(Expression heat) {
        return from.apply(heat).named(symbol, unit);
    }
}

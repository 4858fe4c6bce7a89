package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/** A way of saying where a solid from a bath starts. */
public interface BathStart extends Convention {

    /**
     * {@return starting temperature of the solid (°C)}
     *
     * @param bath    what it stood in
     * @param read    asks for the bath as read or assumed at the bench (°C); asked only where the school needs it
     * @param answers what was read for it; asked only where the school needs it
     */
    Expression start(Bath bath, Supplier<Expression> read, ConventionPlace.Answers answers);
}

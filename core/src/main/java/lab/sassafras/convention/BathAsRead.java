package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/** The solid starts at the temperature of its bath, as read. */
public record BathAsRead() implements BathStart {

    private static final Said SAID = new Said(
            "as-read", "bath as read", "The solid has stood in the bath long enough to be as warm as the bath reads.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Expression start(Bath bath, Supplier<Expression> read, ConventionPlace.Answers answers) {
        return read.get();
    }
}

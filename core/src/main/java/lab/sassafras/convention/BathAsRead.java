package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/** The solid starts at the temperature of its bath, as read. */
public record BathAsRead() implements BathStart {

    @Override
    public String key() {
        return "as-read";
    }

    @Override
    public String words() {
        return "bath as read";
    }

    @Override
    public String explanation() {
        return "The solid has stood in the bath long enough to be as warm as the bath reads.";
    }

    @Override
    public Expression start(Bath bath, Supplier<Expression> read, Supplier<Expression> pressure) {
        return read.get();
    }
}

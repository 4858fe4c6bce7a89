package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/** A value somebody typed, from whatever handbook lies on the bench. Far from every accepted value it is questioned. */
public record TypedWaterHeat() implements WaterHeat {

    @Override
    public String key() {
        return "typed";
    }

    @Override
    public String words() {
        return "a value typed from a handbook";
    }

    @Override
    public String explanation() {
        return "A value typed with the run; one more than 0.3 % from every accepted value is questioned.";
    }

    @Override
    public WaterHeat with(Supplier<Expression> typed) {
        return new Bound(typed);
    }

    @Override
    public Expression specificHeat(String what, Expression start, Expression end) {
        throw new IllegalStateException("a typed value must be asked for first");
    }

    private record Bound(Supplier<Expression> typed) implements WaterHeat {

        @Override
        public String key() {
            return "typed";
        }

        @Override
        public String words() {
            return new TypedWaterHeat().words();
        }

        @Override
        public String explanation() {
            return new TypedWaterHeat().explanation();
        }

        @Override
        public Expression specificHeat(String what, Expression start, Expression end) {
            return typed.get();
        }
    }
}

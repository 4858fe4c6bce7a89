package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/** A value somebody typed, from whatever handbook lies on the bench. Far from every accepted value it is questioned. */
public record TypedWaterHeat() implements WaterHeat {

    private static final Said SAID = new Said(
            "typed",
            "a value typed from a handbook",
            "A value typed with the run; one more than 0.3 % from every accepted value is questioned.");

    @Override
    public Said said() {
        return SAID;
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
        public Said said() {
            return SAID;
        }

        @Override
        public Expression specificHeat(String what, Expression start, Expression end) {
            return typed.get();
        }
    }
}

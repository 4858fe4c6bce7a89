package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;

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

    /** The value, from a handbook. */
    public static final ConventionPlace VALUE = ConventionPlace.first(
                    "constants", "water", BenchUnit.JOULES_PER_GRAM_DEGREE)
            .accepting(List.of(4.18, 4.184, 4.1855, 4.186));

    @Override
    public List<ConventionPlace> places() {
        return List.of(VALUE);
    }

    @Override
    public WaterHeat with(ConventionPlace.Answers answers) {
        return new Bound(answers);
    }

    @Override
    public Expression specificHeat(String what, Expression start, Expression end) {
        throw new IllegalStateException("a typed value must be asked for first");
    }

    private record Bound(ConventionPlace.Answers answers) implements WaterHeat {

        @Override
        public Said said() {
            return SAID;
        }

        @Override
        public Expression specificHeat(String what, Expression start, Expression end) {
            return answers.at(VALUE);
        }
    }
}

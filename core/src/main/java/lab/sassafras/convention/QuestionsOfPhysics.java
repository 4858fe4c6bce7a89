package lab.sassafras.convention;

import java.util.List;

/** Questions whose answer changes the number. */
public final class QuestionsOfPhysics implements Questions {

    @Override
    public List<Question<?>> questions() {
        return List.of(
                Question.WATER,
                Question.SOLUTION,
                Question.CALORIMETER,
                Question.CHANGE,
                Question.MASS,
                Question.DENSITY,
                Question.BATH,
                Question.BASIS,
                Question.BURNING);
    }
}

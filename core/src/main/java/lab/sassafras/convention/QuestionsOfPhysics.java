package lab.sassafras.convention;

import java.util.List;

/** Questions whose answer changes the number. */
public final class QuestionsOfPhysics implements ConventionQuestions {

    @Override
    public List<ConventionQuestion<?>> questions() {
        return List.of(
                ConventionQuestion.WATER,
                ConventionQuestion.SOLUTION,
                ConventionQuestion.CALORIMETER,
                ConventionQuestion.CHANGE,
                ConventionQuestion.MASS,
                ConventionQuestion.DENSITY,
                ConventionQuestion.BATH,
                ConventionQuestion.BASIS,
                ConventionQuestion.BURNING);
    }
}

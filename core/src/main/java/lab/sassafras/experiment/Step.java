package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.School;

/**
 * One step at the bench: it fills one slot. Its words, and the caution for the hand, stand in the block of words
 * under the same path.
 *
 * @param path      group and slot it fills
 * @param minutes   how long it usually takes, 0 where it is done at once
 * @param condition when it is asked at all; always when empty
 * @param under     the schools that need it; always when empty
 * @param aside     whether it is only offered, and shown once it was taken up
 */
public record Step(String path, int minutes, Optional<Condition> condition, Optional<Under> under, boolean aside) {

    /** Asked only where a choice was answered in one of these ways. */
    public record Condition(String path, List<String> answers) {}

    /** Asked only where one of these schools is in force. */
    public record Under(Question<? extends School> question, List<String> schools) {

        boolean holds(Conventions conventions) {
            return schools.contains(conventions.in(question).key());
        }
    }

    public static Step of(String path) {
        return new Step(path, 0, Optional.empty(), Optional.empty(), false);
    }

    /** A step nobody needs to take, such as writing down a prediction. */
    public static Step aside(String path) {
        return new Step(path, 0, Optional.empty(), Optional.empty(), true);
    }

    public Step taking(int minutes) {
        return new Step(path, minutes, condition, under, aside);
    }

    public Step when(String choice, String... answers) {
        return new Step(path, minutes, Optional.of(new Condition(choice, List.of(answers))), under, aside);
    }

    public Step under(Question<? extends School> question, String... schools) {
        return new Step(path, minutes, condition, Optional.of(new Under(question, List.of(schools))), aside);
    }
}

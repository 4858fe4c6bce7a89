package lab.sassafras.experiment;

import java.util.Optional;

/**
 * One step at the bench: it fills one slot. Its words, and the caution for the hand, stand in the block of words
 * under the same path.
 *
 * @param path      group and slot it fills
 * @param minutes   how long it usually takes, 0 where it is done at once
 * @param condition when it is asked at all; always when empty
 */
public record Step(String path, int minutes, Optional<Condition> condition) {

    /** Asked only where a choice was answered so. */
    public record Condition(String path, String answer) {
    }

    public static Step of(String path) {
        return new Step(path, 0, Optional.empty());
    }

    public Step taking(int minutes) {
        return new Step(path, minutes, condition);
    }

    public Step when(String choice, String answer) {
        return new Step(path, minutes, Optional.of(new Condition(choice, answer)));
    }
}

package lab.sassafras.declaration;

import java.util.List;
import java.util.Optional;

/**
 * Between what a reading can lie at all, for a reason of physics. One outside is recorded and questioned; the reason
 * stands under {@code bound.key} among the words.
 *
 * @param key  stable name
 * @param path group and slot of the reading
 * @param low  lowest it can be (bench unit of the slot)
 * @param high highest it can be (bench unit of the slot)
 * @param when the answer under which it holds; always when empty
 */
public record Bound(String key, String path, double low, double high, Optional<Step.Condition> when) {

    /**
     * {@return one that always holds}
     *
     * @param key  stable name
     * @param path group and slot of the reading
     * @param low  lowest it can be (bench unit of the slot)
     * @param high highest it can be (bench unit of the slot)
     */
    public static Bound of(String key, String path, double low, double high) {
        return new Bound(key, path, low, high, Optional.empty());
    }

    /**
     * {@return the same, where a choice was answered so}
     *
     * @param choice path of the choice
     * @param answer the answer
     */
    public Bound when(String choice, String answer) {
        return new Bound(key, path, low, high, Optional.of(new Step.Condition(choice, List.of(answer))));
    }
}

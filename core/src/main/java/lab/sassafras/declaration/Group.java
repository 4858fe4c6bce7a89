package lab.sassafras.declaration;

import java.util.List;
import lab.sassafras.slot.Slot;

/** Slots that belong together and are repeated together. */
public record Group(String key, Cardinality cardinality, List<Slot> slots) {

    /**
     * Keeps copies of what could change.
     *
     * @param key         what it is struck out by
     * @param cardinality how often they stand
     * @param slots       that stand together
     */
    public Group {
        slots = List.copyOf(slots);
    }

    /**
     * {@return slots that stand once}
     *
     * @param key   stable name
     * @param slots that stand together
     */
    public static Group once(String key, Slot... slots) {
        return new Group(key, Cardinality.ONCE, List.of(slots));
    }

    /**
     * {@return slots that stand in every trial}
     *
     * @param key   stable name
     * @param slots that stand together
     */
    public static Group perTrial(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_TRIAL, List.of(slots));
    }

    /**
     * {@return slots that stand once for each sample}
     *
     * @param key   stable name
     * @param slots that stand together
     */
    public static Group perSample(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_SAMPLE, List.of(slots));
    }

    /**
     * {@return slots that stand as often as the bench says}
     *
     * @param key   stable name
     * @param slots that stand together
     */
    public static Group perPart(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_PART, List.of(slots));
    }
}

package lab.sassafras.experiment;

import java.util.List;

/** Slots that belong together and are repeated together. */
public record Group(String key, Cardinality cardinality, List<Slot> slots) {

    public Group {
        slots = List.copyOf(slots);
    }

    public static Group once(String key, Slot... slots) {
        return new Group(key, Cardinality.ONCE, List.of(slots));
    }

    public static Group perTrial(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_TRIAL, List.of(slots));
    }

    public static Group perSample(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_SAMPLE, List.of(slots));
    }

    public static Group perPart(String key, Slot... slots) {
        return new Group(key, Cardinality.PER_PART, List.of(slots));
    }
}

package lab.sassafras.app.record;

import java.util.Map;

/**
 * Everything kept of one entry.
 *
 * @param opened how many trials and parts were opened, by what they are; what stands once is not named
 */
public record EntryRows(Observations observations, Decisions decisions, Map<String, Integer> opened) {

    /** Of an entry in which nothing was written yet. */
    public static final EntryRows NONE =
            new EntryRows(new Observations(java.util.List.of()), new Decisions(java.util.List.of()), Map.of());

    public EntryRows {
        opened = Map.copyOf(opened);
    }

    /** How many there are of a thing, at least 1. */
    public int opened(String what) {
        return Math.max(1, opened.getOrDefault(what, 1));
    }
}

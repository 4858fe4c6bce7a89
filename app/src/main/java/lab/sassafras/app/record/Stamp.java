package lab.sassafras.app.record;

import java.util.UUID;

/**
 * How much was kept of an entry. Rows are only ever added, so equal stamps mean that nothing changed; counts, and not
 * the
 * highest sequence, because that stays the same while an earlier row is committed after a later one.
 */
public record Stamp(UUID entry, long observations, long decisions, long openings, long chunks) {

    /** How much that is in all: it only grows. */
    public long number() {
        return observations + decisions + openings + chunks;
    }
}

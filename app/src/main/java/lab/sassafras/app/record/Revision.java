package lab.sassafras.app.record;

import java.util.UUID;

/**
 * How much was kept of an entry. Rows are only ever added, so equal stamps mean that nothing changed; counts, and not
 * the highest sequence, because that stays the same while an earlier row is committed after a later one. What may be
 * called or settled otherwise stands in it as it is.
 *
 * @param openings trials and parts opened, and instruments taken in hand
 * @param around name of its bench and conventions of its period
 */
public record Revision(UUID entry, long observations, long decisions, long openings, long chunks, String around) {

    /** How much that is in all: it only grows. */
    public long number() {
        return observations + decisions + openings + chunks;
    }
}

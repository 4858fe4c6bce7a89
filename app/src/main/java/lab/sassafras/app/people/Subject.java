package lab.sassafras.app.people;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;

/**
 * What a right is asked about.
 *
 * @param entry  identity of the entry, where it is one
 * @param bench  whose entry it is
 * @param period it belongs to; empty for what concerns the house
 */
public record Subject(Optional<UUID> entry, Optional<Bench> bench, Optional<Period> period) {

    /** What concerns no period. */
    public static final Subject HOUSE = new Subject(Optional.empty(), Optional.empty(), Optional.empty());

    /** An entry of a bench. */
    public static Subject of(Entry entry) {
        return new Subject(Optional.of(entry.id()), Optional.of(entry.bench()), Optional.of(entry.period()));
    }

    /** A period as a whole. */
    public static Subject of(Period period) {
        return new Subject(Optional.empty(), Optional.empty(), Optional.of(period));
    }
}

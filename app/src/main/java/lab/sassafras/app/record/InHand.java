package lab.sassafras.app.record;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lab.sassafras.measure.InstrumentKind;

/**
 * Which instrument is in hand where, in one entry: what it was begun with holds at all places, and the last row that
 * speaks of a place counts there from its moment on.
 *
 * @param begun by kind, at all places
 * @param rows  in the order they were added
 */
public record InHand(Map<InstrumentKind, UUID> begun, List<InstrumentInHand> rows) {

    /** Every instrument that is or was in hand. */
    public Stream<UUID> all() {
        return Stream.concat(begun.values().stream(), rows.stream().map(InstrumentInHand::instrumentId));
    }

    /** The row that counts at a place for a kind; empty where it is as the entry was begun. */
    public Optional<InstrumentInHand> row(String place, InstrumentKind kind) {
        return rows.stream().filter(each -> each.at(place, kind)).reduce((earlier, later) -> later);
    }

    /** The instrument in hand at a place now. */
    public Optional<UUID> at(String place, InstrumentKind kind) {
        return row(place, kind).map(InstrumentInHand::instrumentId).or(() -> Optional.ofNullable(begun.get(kind)));
    }

    /** The instrument that was in hand at a place at a moment. */
    public Optional<UUID> at(String place, InstrumentKind kind, Instant moment) {
        return new InHand(
                        begun,
                        rows.stream()
                                .filter(each -> !each.madeAt().isAfter(moment))
                                .toList())
                .at(place, kind);
    }
}

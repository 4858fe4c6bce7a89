package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Slot;
import org.springframework.stereotype.Component;

/**
 * What a value that a hand gives passes on its way into the book: ticks, then the sheet that takes it, then the book.
 */
@Component
class WayIn {

    private final ObservationBook observationBook;
    private final EntrySheets sheets;

    WayIn(ObservationBook observationBook, EntrySheets sheets) {
        this.observationBook = observationBook;
        this.sheets = sheets;
    }

    /** The sheet of an entry as it would be with values yet to be kept, open to whatever a place may name. */
    SheetEditing filling(EntrySheet entry, Address at) {
        return entry.readback().filling(sheets.open(entry, slot(entry, at)));
    }

    /** {@return the place of that address} @throws Refused where the experiment has none */
    static Slot slot(EntrySheet entry, Address at) {
        return entry.experiment()
                .slot(at.path())
                .orElseThrow(() -> new Refused("This experiment has no place of that name."));
    }

    /** Refuses where what must be ticked off before a trial is mixed is not. */
    static void beforeMixing(EntrySheet entry, int trial) {
        entry.experiment().mixing().ifPresent(path -> Ticks.check(entry, Address.of(path, trial)));
    }

    /**
     * A value as the sheet takes it; what it corrects is struck out first, where it can be read and still stands.
     *
     * @throws Refused where it cannot stand there
     */
    static Line taken(SheetEditing filling, Value value, Actor actor) {
        GivenValue given =
                new GivenValue(value.text(), value.unit(), value.instrument(), value.uncertainty(), actor.name());
        return value.corrects()
                .filter(filling::stands)
                .map(old -> filling.correct(old, UUID.randomUUID(), value.at(), value.role(), given))
                .orElseGet(() -> filling.take(UUID.randomUUID(), value.at(), value.role(), given));
    }

    /** Keeps a value as the sheet took it. */
    UUID kept(EntrySheet entry, Value value, Line line, Actor actor) {
        return observationBook
                .keep(
                        value.key(),
                        entry.entry().id(),
                        new Observation.Given(
                                value.at().toString(),
                                value.role().key(),
                                line.text(),
                                line.unit().map(unit -> unit.symbol()).orElse(null),
                                line.instrument().map(each -> UUID.fromString(each.key())),
                                line.uncertainty().isPresent() && value.uncertainty() != null
                                        ? value.uncertainty().strip()
                                        : null,
                                actor.name(),
                                value.corrects(),
                                value.reason()))
                .id();
    }

    /** Strikes a kept value out and puts nothing in its place. */
    UUID struck(UUID key, Observation struck, String reason, Actor actor) {
        return observationBook
                .keep(
                        key,
                        struck.entryId(),
                        new Observation.Given(
                                struck.address(),
                                struck.role(),
                                "",
                                null,
                                Optional.empty(),
                                null,
                                actor.name(),
                                Optional.of(struck.id()),
                                reason))
                .id();
    }

    /** What stands at an address, the last of several. */
    static Optional<Observation> standing(EntrySheet entry, Address address) {
        return entry.observations().standingAt(address.toString()).stream().reduce((earlier, later) -> later);
    }
}

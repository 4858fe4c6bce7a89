package lab.sassafras.declaration;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;

/**
 * A place where an instrument of a kind is read: a group of slots, or a channel of readings on a clock.
 *
 * @param group as declared
 * @param kind  of instrument
 * @param slots what is read there on it
 */
public record ReadingPlace(Group group, InstrumentKind kind, List<Slot> slots) {

    /**
     * {@return the places of an experiment, in the order it declares them}
     *
     * @param declaration of the experiment
     * @param kinds       of instrument, those it brings among them
     */
    public static List<ReadingPlace> of(Declaration declaration, List<InstrumentKind> kinds) {
        List<ReadingPlace> places = new ArrayList<>();
        for (Group group : declaration.groups()) {
            if (CommonPlaces.PREDICTION.startsWith(group.key() + "/")) {
                continue;
            }
            for (InstrumentKind kind : kinds) {
                List<Slot> read = group.slots().stream()
                        .filter(slot -> readOn(slot, kind))
                        .toList();
                if (!read.isEmpty()) {
                    places.add(new ReadingPlace(group, kind, read));
                }
            }
        }
        return List.copyOf(places);
    }

    private static boolean readOn(Slot slot, InstrumentKind kind) {
        if (slot.field() == Slot.Field.TRACE) {
            return kind.equals(InstrumentKind.THERMOMETER);
        }
        return slot.field() == Slot.Field.NUMBER
                && Stream.of(Role.READ, Role.VOLUME)
                        .filter(slot.roles()::contains)
                        .flatMap(role -> slot.unit(role).stream())
                        .anyMatch(unit -> unit.dimension().equals(kind.dimension()));
    }
}

package lab.sassafras.sheet;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;

/**
 * A sheet being filled: values come in and are struck out one after another, each at the same cost however many stand.
 * What would leave something behind that cannot be is refused; a filling that refused is not used any further.
 */
public final class SheetEditing {

    private final Places places;
    private final Map<Object, Line> standing = new LinkedHashMap<>();

    /**
     * Nothing filled yet.
     *
     * @param experiment what kind of run it is
     * @param setting    what surrounds the readings
     */
    public SheetEditing(Declaration experiment, Setting setting) {
        this.places = new Places(experiment, setting);
    }

    /** Puts a line back that was taken in before. */
    void add(Object key, Line line) {
        standing.put(key, line);
        places.add(line);
    }

    /**
     * {@return whether something of that name stands}
     *
     * @param key what it is struck out by
     */
    public boolean stands(Object key) {
        return standing.containsKey(key);
    }

    /**
     * Takes a value in.
     *
     * @param key     what it is struck out by later
     * @param address where it stands
     * @param role    what the value is to its slot
     * @param given   what was typed
     * @return what it becomes
     * @throws Refused where it cannot stand there, or where something else could not stand any more
     */
    public Line take(Object key, Address address, Role role, GivenValue given) {
        return changed(Optional.empty(), Optional.of(address), () -> taken(key, address, role, given));
    }

    /**
     * Strikes a value out and puts nothing in its place.
     *
     * @param key what it is struck out by
     */
    public void strike(Object key) {
        Line struck = struck(key);
        changed(Optional.of(struck), Optional.empty(), () -> {
            places.remove(struck);
            return struck;
        });
    }

    /**
     * Strikes a value out and takes another in for it; only what both together leave behind counts.
     *
     * @param old     what is struck out
     * @param key     what it is struck out by
     * @param address where it stands
     * @param role    what the value is to its slot
     * @param given   what was typed
     * @return what it became
     */
    public Line correct(Object old, Object key, Address address, Role role, GivenValue given) {
        Line struck = struck(old);
        return changed(Optional.of(struck), Optional.of(address), () -> {
            places.remove(struck);
            return taken(key, address, role, given);
        });
    }

    private Line struck(Object key) {
        Line struck = standing.remove(key);
        if (struck == null) {
            throw new Refused("That value does not stand, and cannot be struck out.");
        }
        return struck;
    }

    private Line taken(Object key, Address address, Role role, GivenValue given) {
        Line line = new Admission(places).accept(address, role, given);
        add(key, line);
        return line;
    }

    private Line changed(Optional<Line> struck, Optional<Address> taken, java.util.function.Supplier<Line> change) {
        boolean renames = struck.map(Line::address)
                .filter(places::names)
                .or(() -> taken.filter(places::names))
                .isPresent();
        boolean negative =
                struck.filter(line -> places.negativePair(line.address())).isPresent();
        Map<Address, Boolean> stood = new HashMap<>();
        if (renames) {
            places.addresses().stream().filter(this::perSample).forEach(address -> stood.put(address, stands(address)));
        }
        Line line = change.get();
        struck.map(Line::address)
                .filter(address -> !negative && places.negativePair(address))
                .ifPresent(address -> {
                    throw new Refused("Without it, full (" + text(address, Role.GROSS) + ") would be less than empty ("
                            + text(address, Role.TARE)
                            + "), and a mass by difference cannot be negative. Strike out the other one first.");
                });
        stood.forEach((address, before) -> {
            if (before && places.holds(address) && !stands(address)) {
                throw new Refused("With that, trial " + address.index() + " would be of the same sample as trial "
                        + places.firstOfSample(address.index()) + ", and “"
                        + places.experiment().words().label(address.path())
                        + "”, recorded for it alone, would have no place. Strike that out first.");
            }
        });
        return line;
    }

    private boolean perSample(Address address) {
        return places.experiment()
                .group(address.group())
                .filter(group -> group.cardinality() == Cardinality.PER_SAMPLE)
                .isPresent();
    }

    private boolean stands(Address address) {
        return places.experiment()
                .group(address.group())
                .filter(group -> places.stands(group, address.index()))
                .isPresent();
    }

    private String text(Address address, Role role) {
        return places.line(address, role).map(Line::text).orElse("");
    }

    /** {@return the sheet as it stands now} */
    public Sheet sheet() {
        return new Sheet(places.experiment(), List.copyOf(standing.values()), places.setting());
    }
}

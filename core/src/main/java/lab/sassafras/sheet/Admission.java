package lab.sassafras.sheet;

import lab.sassafras.declaration.Declaration;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;

/**
 * The door every new value comes in by, from a page or a file: what cannot be is refused with a plain message, the rest
 * becomes a line. Nothing is guessed and nothing is rounded. What is stored already does not come this way again; it is
 * read back by {@link SheetReader}, which never refuses.
 */
public final class Admission {

    private final Places places;

    /**
     * A door to a sheet.
     *
     * @param sheet what was read
     */
    public Admission(Sheet sheet) {
        this(sheet.places());
    }

    Admission(Places places) {
        this.places = places;
    }

    /**
     * {@return accepts a value}
     *
     * @param address where it stands
     * @param role    what the value is to its slot
     * @param given   what was typed
     * @throws Refused where it cannot stand in that place
     */
    public Line accept(Address address, Role role, GivenValue given) {
        places.experiment()
                .group(address.group())
                .filter(group -> !places.stands(group, address.index()))
                .ifPresent(group -> {
                    throw new Refused(
                            "There is no number " + address.index() + " of " + address.group() + " in this entry.");
                });
        Line line = line(places.experiment(), places.setting(), address, role, given);
        places.experiment().slot(address.path()).orElseThrow().admit(line, places.setting());
        refuseNegativeDifference(line);
        return line;
    }

    /** What a text says in the slot at an address, whether it is new or stored. */
    static Line line(Declaration experiment, Setting setting, Address address, Role role, GivenValue given) {
        Slot slot = experiment
                .slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place called " + address + "."));
        if (!slot.roles().contains(role)) {
            throw new Refused(
                    "“" + experiment.words().label(address.path()) + "” cannot be given as " + role.key() + ".");
        }
        return slot.read(address, role, given, setting);
    }

    private void refuseNegativeDifference(Line line) {
        if (!line.role().half()) {
            return;
        }
        Role other = line.role() == Role.GROSS ? Role.TARE : Role.GROSS;
        places.line(line.address(), other).ifPresent(partner -> {
            Line gross = line.role() == Role.GROSS ? line : partner;
            Line tare = line.role() == Role.GROSS ? partner : line;
            if (gross.value() < tare.value()) {
                throw new Refused("Full (" + gross.text() + ") is less than empty (" + tare.text()
                        + "). A mass by difference cannot be negative: check which is which.");
            }
        });
    }
}

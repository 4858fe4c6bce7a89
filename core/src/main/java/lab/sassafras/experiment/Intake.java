package lab.sassafras.experiment;

import java.util.Optional;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/**
 * The door every new value comes in by, from a page or a file: what cannot be is refused with a plain message, the rest
 * becomes a line. Nothing is guessed and nothing is rounded. What is stored already does not come this way again; it is
 * read back by {@link Readback}, which never refuses.
 */
public final class Intake {

    private static final int LONGEST_NAME = 40;

    private final Places places;
    private final Reading reading;

    public Intake(Sheet sheet) {
        this(sheet.places());
    }

    Intake(Places places) {
        this.places = places;
        this.reading = new Reading(places.experiment(), places.setting());
    }

    /**
     * What was given for a slot.
     *
     * @param text        as typed
     * @param unit        symbol of its unit; null or empty where none was given
     * @param instrument  read on, if any
     * @param uncertainty as typed, for an assumed value; null otherwise
     * @param who         the bench
     */
    public record Given(String text, String unit, Optional<Instrument> instrument, String uncertainty, String who) {}

    /**
     * Accepts a value.
     *
     * @throws Refused where it cannot stand in that place
     */
    public Line accept(Address address, Role role, Given given) {
        places.experiment()
                .group(address.group())
                .filter(group -> !places.stands(group, address.index()))
                .ifPresent(group -> {
                    throw new Refused(
                            "There is no number " + address.index() + " of " + address.group() + " in this entry.");
                });
        Line line = reading.line(address, role, given);
        Slot slot = places.experiment().slot(address.path()).orElseThrow();
        if (slot instanceof Slot.Name) {
            Names.checked(line.text(), "A name", LONGEST_NAME);
        } else if (slot instanceof Slot.Vessel
                && !places.setting().calorimeters().containsKey(line.text())) {
            throw new Refused("“" + line.text() + "” is not a vessel that can be used here.");
        } else if (slot instanceof Slot.Reference
                && !places.setting().references().containsKey(line.text())) {
            throw new Refused("“" + line.text() + "” is not an entry that can be used here.");
        }
        refuseNegativeDifference(line);
        return line;
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

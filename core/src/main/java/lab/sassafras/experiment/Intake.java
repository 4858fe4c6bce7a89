package lab.sassafras.experiment;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.ReferenceShelf;

/**
 * The door every value comes in by, from a page or a file: what cannot be is refused with a plain message, the rest
 * becomes a line. Nothing is guessed and nothing is rounded.
 */
public final class Intake {

    private static final int LONGEST_NAME = 40;

    private final Sheet sheet;

    public Intake(Sheet sheet) {
        this.sheet = sheet;
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
    public record Given(String text, String unit, Optional<Instrument> instrument, String uncertainty, String who) {
    }

    /**
     * Accepts a value.
     *
     * @throws Refused where it cannot stand in that place
     */
    public Line accept(Address address, Role role, Given given) {
        Slot slot = sheet.experiment().slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place called " + address + "."));
        Group group = sheet.experiment().group(address.group()).orElseThrow();
        if (sheet.indices(group).noneMatch(index -> index == address.index())) {
            throw new Refused("There is no number " + address.index() + " of " + address.group() + " in this entry.");
        }
        if (!slot.roles().contains(role)) {
            throw new Refused("“" + sheet.experiment().words().label(address.path()) + "” cannot be given as "
                    + role.key() + ".");
        }
        return slot instanceof Slot.Quantity quantity ? number(address, role, quantity, given)
                : word(address, slot, given);
    }

    private Line number(Address address, Role role, Slot.Quantity slot, Given given) {
        TypedNumber typed = TypedNumber.read(given.text(), sheet.setting().figures().mark());
        Dimension dimension = slot.unit(role).dimension();
        BenchUnit unit = unit(slot.unit(role), given.unit());
        double value = unit.toBench(typed.value());
        dimension.floor().ifPresent(floor -> {
            if (value < floor) {
                throw new Refused(floor == 0 ? "A " + dimension.word() + " cannot be negative."
                        : "Nothing is colder than " + Figures.POINT.fixed(floor, 2) + " °C.");
            }
        });
        dimension.ceiling().ifPresent(ceiling -> {
            if (value > ceiling) {
                throw new Refused("A " + dimension.word() + " cannot be more than " + Figures.POINT.plain(ceiling) + " "
                        + slot.unit(role).symbol() + ".");
            }
        });
        Optional<Instrument> instrument = role == Role.ASSUMED ? Optional.empty() : given.instrument();
        instrument.filter(each -> each.unit().dimension() != dimension).ifPresent(wrong -> {
            throw new Refused(wrong.name() + " reads " + wrong.unit().dimension().word() + ", not " + dimension.word() + ".");
        });
        Line line = new Line(address, role, typed.text(), value, decimals(typed, unit), Optional.of(unit), instrument,
                role == Role.ASSUMED ? assumedUncertainty(slot, given, unit) : OptionalDouble.empty(), given.who());
        refuseNegativeDifference(line);
        return line;
    }

    private static BenchUnit unit(BenchUnit usual, String symbol) {
        if (symbol == null || symbol.isBlank()) {
            throw new Refused("The unit is missing. Say which unit the number is in, such as "
                    + usual.symbol() + ".");
        }
        return usual.sameDimension().stream().filter(unit -> unit.symbol().equals(symbol)).findFirst()
                .orElseThrow(() -> new Refused("“" + symbol + "” is not a unit of " + usual.dimension().word()
                        + " used here. Use " + usual.symbol() + "."));
    }

    private static int decimals(TypedNumber typed, BenchUnit unit) {
        double places = -Math.log10(unit.widthToBench(typed.lastDigit()));
        return Math.abs(places - Math.rint(places)) < 1e-9 ? (int) Math.max(0, Math.rint(places)) : -1;
    }

    private OptionalDouble assumedUncertainty(Slot.Quantity slot, Given given, BenchUnit unit) {
        String text = given.uncertainty();
        if (text == null || text.isBlank()) {
            throw new Refused("An assumed value needs a ±: how far off may it be? "
                    + slot.assumed().map(each -> Figures.POINT.significant(each.uncertainty(), 2) + " "
                    + slot.unit().symbol() + " is common here.").orElse(""));
        }
        double value = unit.widthToBench(TypedNumber.read(text, sheet.setting().figures().mark()).value());
        if (value < 0) {
            throw new Refused("The ± of an assumed value cannot be negative.");
        }
        return OptionalDouble.of(value);
    }

    private void refuseNegativeDifference(Line line) {
        if (!line.role().half()) {
            return;
        }
        Role other = line.role() == Role.GROSS ? Role.TARE : Role.GROSS;
        sheet.line(line.address(), other).ifPresent(partner -> {
            Line gross = line.role() == Role.GROSS ? line : partner;
            Line tare = line.role() == Role.GROSS ? partner : line;
            if (gross.value() < tare.value()) {
                throw new Refused("Full (" + gross.text() + ") is less than empty (" + tare.text()
                        + "). A mass by difference cannot be negative: check which is which.");
            }
        });
    }

    private Line word(Address address, Slot slot, Given given) {
        String text = given.text() == null ? "" : given.text().strip();
        if (text.isEmpty()) {
            throw new Refused("Nothing was given. Choose or type an answer.");
        }
        if (slot instanceof Slot.Formula) {
            ChemicalFormula.read(text);
        } else if (slot instanceof Slot.Equation) {
            ChemicalEquation.read(text);
        } else if (slot instanceof Slot.Name && text.length() > LONGEST_NAME) {
            throw new Refused("A name has at most " + LONGEST_NAME + " characters.");
        } else if (slot instanceof Slot.Vessel && !sheet.setting().calorimeters().containsKey(text)) {
            throw new Refused("“" + text + "” is not a vessel that can be used here.");
        } else if (slot instanceof Slot.Choice choice && !choice.options().contains(text)) {
            throw new Refused("“" + text + "” is not one of the answers: " + String.join(", ", choice.options()) + ".");
        } else if (slot instanceof Slot.FromShelf shelf && ReferenceShelf.standard().find(text)
                .filter(each -> each.kind().solid() == shelf.solid()).isEmpty()) {
            throw new Refused("“" + text + "” is not a " + (shelf.solid() ? "solid" : "liquid") + " on the reference shelf.");
        } else if (slot instanceof Slot.Moment) {
            refuseUnlessInstant(text);
        } else if (slot instanceof Slot.Reference && !sheet.setting().references().containsKey(text)) {
            throw new Refused("“" + text + "” is not an entry that can be used here.");
        }
        return new Line(address, Role.STATED, text, 0, -1, Optional.empty(), Optional.empty(), OptionalDouble.empty(),
                given.who());
    }

    private static void refuseUnlessInstant(String text) {
        try {
            Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw new Refused("“" + text + "” is not an instant such as 2026-02-03T18:40:00Z.");
        }
    }
}

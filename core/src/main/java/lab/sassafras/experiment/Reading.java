package lab.sassafras.experiment;

import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;

/** What a typed text says in a slot, whatever else stands on the sheet. */
final class Reading {

    private final Experiment experiment;
    private final Setting setting;

    Reading(Experiment experiment, Setting setting) {
        this.experiment = experiment;
        this.setting = setting;
    }

    /** @throws Refused where the text says nothing in that slot and role */
    Line line(Address address, Role role, Intake.Given given) {
        Slot slot = experiment
                .slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place called " + address + "."));
        if (!slot.roles().contains(role)) {
            throw new Refused(
                    "“" + experiment.words().label(address.path()) + "” cannot be given as " + role.key() + ".");
        }
        return slot instanceof Slot.Quantity quantity
                ? number(address, role, quantity, given)
                : word(address, slot, given);
    }

    private Line number(Address address, Role role, Slot.Quantity slot, Intake.Given given) {
        TypedNumber typed = TypedNumber.read(given.text(), setting.figures().mark());
        Dimension dimension = slot.unit(role).dimension();
        BenchUnit unit = unit(slot.unit(role), given.unit());
        double value = unit.toBench(typed.value());
        refuseBeyond(dimension, value, slot.unit(role));
        Optional<Instrument> instrument = role == Role.ASSUMED ? Optional.empty() : given.instrument();
        instrument.filter(each -> each.unit().dimension() != dimension).ifPresent(wrong -> {
            throw new Refused(
                    wrong.name() + " reads " + wrong.unit().dimension().word() + ", not " + dimension.word() + ".");
        });
        return new Line(
                address,
                role,
                typed.text(),
                value,
                decimals(typed, unit),
                Optional.of(unit),
                instrument,
                role == Role.ASSUMED ? assumedUncertainty(slot, given, unit) : OptionalDouble.empty(),
                given.who());
    }

    private static void refuseBeyond(Dimension dimension, double value, BenchUnit unit) {
        dimension.floor().ifPresent(floor -> {
            if (value < floor) {
                throw new Refused(
                        floor == 0
                                ? "A " + dimension.word() + " cannot be negative."
                                : "Nothing is colder than " + Figures.POINT.fixed(floor, 2) + " °C.");
            }
        });
        dimension.ceiling().ifPresent(ceiling -> {
            if (value > ceiling) {
                throw new Refused("A " + dimension.word() + " cannot be more than " + Figures.POINT.plain(ceiling) + " "
                        + unit.symbol() + ".");
            }
        });
    }

    private static BenchUnit unit(BenchUnit usual, String symbol) {
        if (symbol == null || symbol.isBlank()) {
            throw new Refused("The unit is missing. Say which unit the number is in, such as " + usual.symbol() + ".");
        }
        return usual.sameDimension().stream()
                .filter(unit -> unit.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new Refused((symbol.length() > 20 ? "That" : "“" + symbol + "”")
                        + " is not a unit of " + usual.dimension().word() + " used here. Use " + usual.symbol() + "."));
    }

    private static int decimals(TypedNumber typed, BenchUnit unit) {
        double places = -Math.log10(unit.widthToBench(typed.lastDigit()));
        return Math.abs(places - Math.rint(places)) < 1e-9 ? (int) Math.max(0, Math.rint(places)) : -1;
    }

    private OptionalDouble assumedUncertainty(Slot.Quantity slot, Intake.Given given, BenchUnit unit) {
        String text = given.uncertainty();
        if (text == null || text.isBlank()) {
            throw new Refused("An assumed value needs a ±: how far off may it be? "
                    + slot.assumed()
                            .map(each -> Figures.POINT.significant(each.uncertainty(), 2) + " "
                                    + slot.unit().symbol() + " is common here.")
                            .orElse(""));
        }
        double value = unit.widthToBench(
                TypedNumber.read(text, setting.figures().mark()).value());
        if (value < 0) {
            throw new Refused("The ± of an assumed value cannot be negative.");
        }
        return OptionalDouble.of(value);
    }

    private Line word(Address address, Slot slot, Intake.Given given) {
        String text = given.text() == null ? "" : given.text().strip();
        if (text.isEmpty()) {
            throw new Refused("Nothing was given. Choose or type an answer.");
        }
        if (slot instanceof Slot.Formula) {
            ChemicalFormula.read(text);
        } else if (slot instanceof Slot.Equation) {
            ChemicalEquation.read(text);
        } else if (slot instanceof Slot.Choice choice && !choice.options().contains(text)) {
            throw new Refused("“" + text + "” is not one of the answers: " + String.join(", ", choice.options()) + ".");
        } else if (slot instanceof Slot.FromShelf shelf
                && setting.shelf()
                        .find(text)
                        .filter(each -> each.kind().solid() == shelf.solid())
                        .isEmpty()) {
            throw new Refused(
                    "“" + text + "” is not a " + (shelf.solid() ? "solid" : "liquid") + " on the reference shelf.");
        } else if (slot instanceof Slot.Moment) {
            BookTime.instant(text);
        }
        return new Line(
                address,
                Role.STATED,
                text,
                0,
                -1,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                given.who());
    }
}

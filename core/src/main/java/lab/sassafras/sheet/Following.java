package lab.sassafras.sheet;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.declaration.Group;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.ChemicalEquation;

/**
 * What a value says of other places by itself: an equation that names its states names what is dissolved and what is
 * solid, and a vessel weighed again was weighed before with what was in it. It is kept together with the value, so that
 * nobody gives the same thing twice; only what was observed is used, and nothing that stands is touched.
 */
public final class Following {

    private final Sheet sheet;

    private Following(Sheet sheet) {
        this.sheet = sheet;
    }

    /**
     * What goes with a value.
     *
     * @param at         where it stands
     * @param role       what it is to its slot
     * @param text       as it is kept
     * @param unit       of its number; empty for words
     * @param instrument read on; empty where none was named
     */
    public record Value(
            Address at, Role role, String text, Optional<BenchUnit> unit, Optional<Instrument> instrument) {}

    /**
     * {@return what goes with a value}
     *
     * @param sheet with the value
     * @param line  the value
     */
    public static List<Value> of(Sheet sheet, Line line) {
        Following following = new Following(sheet);
        return Stream.concat(following.reagents(line).stream(), following.weighedBefore(line).stream())
                .toList();
    }

    /**
     * {@return why a value stands though nobody gave it by itself, in a few words; empty where somebody may have}
     *
     * @param sheet what was read
     * @param line  the value
     */
    public static Optional<String> why(Sheet sheet, Line line) {
        Following following = new Following(sheet);
        return sheet.experiment().slot(line.address().path()).flatMap(slot -> {
            if (line.role() == Role.STATED) {
                return slot.chosenFrom()
                        .flatMap(from -> following.only(from, line.address().index()))
                        .filter(line.text()::equals)
                        .map(any -> "as the equation says");
            }
            return line.role() == Role.TARE && !slot.weighedOnto().isEmpty()
                    ? following
                            .before(slot, line.address().index())
                            .filter(value -> value.text().equals(line.text()))
                            .map(any -> "as weighed before")
                    : Optional.empty();
        });
    }

    private List<Value> reagents(Line line) {
        List<Value> values = new ArrayList<>();
        for (Group group : sheet.experiment().groups()) {
            for (Slot slot : group.slots()) {
                Address at = Address.of(
                        group.key() + "/" + slot.key(), line.address().index());
                slot.chosenFrom()
                        .filter(from -> from.equation().equals(line.address().path())
                                && sheet.line(at, Role.STATED).isEmpty())
                        .flatMap(from -> only(from, line.address().index()))
                        .ifPresent(formula ->
                                values.add(new Value(at, Role.STATED, formula, Optional.empty(), Optional.empty())));
            }
        }
        return values;
    }

    /** The one reagent that can be meant; empty where there are several, or no equation. */
    private Optional<String> only(Slot.ChosenFrom from, int index) {
        return sheet.stated(from.equation(), index)
                .map(ChemicalEquation::read)
                .map(from.kind()::among)
                .filter(terms -> terms.size() == 1)
                .map(terms -> terms.get(0).formula().text());
    }

    private Optional<Value> weighedBefore(Line line) {
        return sheet.experiment()
                .slot(line.address().path())
                .filter(slot -> line.role() == Role.GROSS
                        && sheet.line(line.address(), Role.TARE).isEmpty())
                .flatMap(slot -> before(slot, line.address().index()))
                .filter(value -> value.unit().equals(line.unit()))
                .map(value -> new Value(line.address(), Role.TARE, value.text(), value.unit(), value.instrument()));
    }

    /**
     * What the vessel weighed with what was in it before: the full weighing of the first, or what was added to the
     * tared vessel, and whatever was put to it.
     */
    private Optional<Value> before(Slot slot, int trial) {
        List<Line> parts = new ArrayList<>();
        for (String path : slot.weighedOnto()) {
            Address at = sheet.address(path, trial);
            Optional<Line> read = parts.isEmpty()
                    ? sheet.line(at, Role.GROSS).or(() -> sheet.line(at, Role.READ))
                    : sheet.line(at, Role.READ);
            if (read.isEmpty()) {
                return Optional.empty();
            }
            parts.add(read.get());
        }
        if (parts.isEmpty() || parts.stream().map(Line::unit).distinct().count() > 1) {
            return Optional.empty();
        }
        Line first = parts.get(0);
        BigDecimal sum = parts.stream()
                .map(each -> new BigDecimal(each.text().replace(',', '.').replace('−', '-')))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return Optional.of(new Value(
                first.address(),
                first.role(),
                parts.size() == 1
                        ? first.text()
                        : sum.toPlainString()
                                .replace('.', sheet.setting().figures().mark().sign()),
                first.unit(),
                first.instrument()));
    }

    /**
     * {@return whether a vessel that is weighed again was weighed before}
     *
     * @param sheet what was read
     * @param at    of the place that is asked
     */
    public static boolean weighedBefore(Sheet sheet, Address at) {
        return sheet.experiment()
                .slot(at.path())
                .flatMap(slot -> new Following(sheet).before(slot, at.index()))
                .isPresent();
    }
}

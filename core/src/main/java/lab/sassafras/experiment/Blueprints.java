package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.UnitCheck;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.VesselKind;

/**
 * The books an experiment draws up, looked at without any reading: under every school, for every answer to its choices,
 * however its masses are got. Units that do not go together are found here, at start, and not by whoever reads the
 * number.
 */
public final class Blueprints {

    private final Experiment experiment;
    private final List<Address> choices;

    private Blueprints(Experiment experiment) {
        this.experiment = experiment;
        this.choices = addresses()
                .filter(each -> slot(each).field() == Slot.Field.CHOICE)
                .toList();
    }

    /**
     * Checks the units of every expression a number is read from.
     *
     * @param experiment what kind of run it is
     * @throws IllegalStateException naming experiment, school and step where units do not go together
     */
    public static void check(Experiment experiment) {
        new Blueprints(experiment).check();
    }

    private void check() {
        Conventions standard = Conventions.standard();
        for (List<Line> answers : answers()) {
            for (Role way : List.of(Role.READ, Role.GROSS, Role.VOLUME)) {
                check(standard, with(answers, way));
            }
        }
        List<Line> first = answers().get(0);
        standard.variants(experiment.conventions()).forEach(variant -> {
            check(variant.conventions(), with(first, Role.READ));
            check(variant.conventions(), first);
        });
    }

    private void check(Conventions conventions, List<Line> lines) {
        Setting setting = Setting.plain(Figures.POINT)
                .with(conventions)
                .with(new Calorimeter(
                        "cup",
                        VesselKind.FOAM_CUP,
                        Optional.of(new Calorimeter.Pinned("any", lab.sassafras.measure.Measured.exact(1), 1, "any"))));
        Sheet sheet = Sheet.blueprint(experiment, lines, setting);
        for (Account account : experiment.accounts(sheet, conventions)) {
            account.expressions().forEach(expression -> {
                try {
                    UnitCheck.check(expression);
                } catch (UnitCheck.Fault fault) {
                    throw new IllegalStateException(
                            experiment.key() + " under " + conventions.named() + ": " + fault.getMessage(), fault);
                }
            });
        }
    }

    /** Every answer to each choice, the others answered first. */
    private List<List<Line>> answers() {
        List<List<Line>> all = new ArrayList<>();
        all.add(choices.stream().map(each -> stated(each, options(each).get(0))).toList());
        for (Address varied : choices) {
            for (Address beside : choices) {
                for (String answer : options(varied)) {
                    for (String other : options(beside)) {
                        all.add(choices.stream()
                                .map(each -> stated(
                                        each,
                                        each.equals(varied)
                                                ? answer
                                                : each.equals(beside)
                                                        ? other
                                                        : options(each).get(0)))
                                .toList());
                    }
                }
            }
        }
        return all.stream().distinct().toList();
    }

    /** The answers, with every quantity read in a way, where it may be got so. */
    private List<Line> with(List<Line> answers, Role way) {
        List<Line> lines = new ArrayList<>(answers);
        addresses().filter(each -> slot(each).field() == Slot.Field.NUMBER).forEach(each -> {
            boolean open = slot(each).roles().contains(way);
            lines.add(number(each, open ? way : Role.READ));
            if (open && way == Role.GROSS) {
                lines.add(number(each, Role.TARE));
            }
        });
        return lines;
    }

    private Stream<Address> addresses() {
        return experiment.groups().stream()
                .flatMap(group -> group.slots().stream().map(slot -> Address.of(group.key() + "/" + slot.key(), 1)));
    }

    private Slot slot(Address address) {
        return experiment.slot(address.path()).orElseThrow();
    }

    private List<String> options(Address address) {
        return slot(address).options(experiment.words(), address.path(), Setting.plain(Figures.POINT)).stream()
                .map(Slot.Option::value)
                .toList();
    }

    private static Line stated(Address address, String answer) {
        return new Line(
                address, Role.STATED, answer, 0, -1, 0, Optional.empty(), Optional.empty(), OptionalDouble.empty(), "");
    }

    private Line number(Address address, Role role) {
        return new Line(
                address, role, "1", 1, 0, 1, slot(address).unit(role), Optional.empty(), OptionalDouble.of(0), "");
    }
}

package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.Formation;
import lab.sassafras.substance.HalvedEquation;
import lab.sassafras.substance.Hess;
import org.hipparchus.fraction.BigFraction;

/**
 * The legs of a cycle as they stand on a sheet, with what they make.
 *
 * @param target  what is to be made
 * @param legs    in order
 * @param outcome how they make it, or what does not cancel
 */
public record CycleReactions(HalvedEquation target, List<Leg> legs, Hess.Outcome outcome) {

    private static final String FROM_SHELF = "from the shelf";
    private static final String FROM_TABLE = "from a table";
    private static final String FROM_TABLE_WITH_ITS = "from a table, with its ±";

    /**
     * One leg.
     *
     * @param index         which part, from 1
     * @param label         in words
     * @param equation      of it
     * @param times         how many moles of what its heat is per belong to the equation
     * @param heat          of the equation as it is written (kJ/mol); empty where it is not known yet
     * @param concentration of its equation in what was in the vessel in the end (mol/kg); empty where it is not known
     * @param decimals      digits after the mark its heat has where it was written down; negative where its ± decides
     * @param rows          of the shelf its heat is made of; empty where it is from elsewhere
     */
    public record Leg(
            int index,
            String label,
            HalvedEquation equation,
            double times,
            OptionalDouble heat,
            OptionalDouble concentration,
            int decimals,
            List<Formation.Taken> rows) {}

    /**
     * Where the parts of a cycle stand.
     *
     * @param target path of the equation to be made
     * @param group  key of the group of legs
     */
    public record At(String target, String group) {}

    /**
     * {@return the legs; empty while the target or a leg lacks}
     *
     * @param sheet what was read
     * @param at    where they stand
     */
    public static Optional<CycleReactions> of(Sheet sheet, At at) {
        Optional<HalvedEquation> target = sheet.stated(at.target(), 1).flatMap(CycleReactions::read);
        List<Leg> legs = new ArrayList<>();
        for (int i = 1; i <= Math.min(sheet.places().parts(at.group()), Hess.MOST); i++) {
            leg(sheet, at.group(), i).ifPresent(legs::add);
        }
        return target.filter(
                        any -> !legs.isEmpty() && legs.size() == sheet.places().parts(at.group()))
                .map(equation -> new CycleReactions(
                        equation,
                        List.copyOf(legs),
                        Hess.combine(
                                legs.stream()
                                        .map(each -> each.equation().whole())
                                        .toList(),
                                equation.whole())));
    }

    /**
     * {@return the legs of a cycle with what they make; empty while anything lacks. Legs that do not make it are a
     * finding}
     *
     * @param draft the books being drawn up
     * @param at    where they stand
     */
    public static Optional<CycleReactions> of(AccountBuilder draft, At at) {
        Sheet sheet = draft.sheet();
        Optional<CycleReactions> legs = of(sheet, at);
        if (sheet.stated(at.target(), 1).isEmpty()) {
            draft.lacks(Address.of(at.target(), 1));
        }
        withoutEquation(sheet, at)
                .forEach(i -> draft.findings()
                        .add(Finding.question(
                                        "cycle.no-equation",
                                        "Leg " + i
                                                + " names a run of which no equation tells what happened, or whose result is not per "
                                                + "mole of it. Choose another, or type the reaction.")
                                .at(Address.of(at.group() + "/run", i).toString())));
        if (sheet.places().parts(at.group()) > Hess.MOST) {
            draft.findings()
                    .add(Finding.question(
                            "cycle.too-many",
                            "A cycle has at most " + Hess.MOST + " legs here. Leave out those that are not needed."));
        }
        legs.ifPresent(each -> each.unknownToShelf()
                .forEach(leg -> draft.findings()
                        .add(Finding.question("cycle.not-on-shelf", lacks(sheet, leg))
                                .at(Address.of(at.group() + "/equation", leg.index())
                                        .toString()))));
        legs.filter(each -> each.outcome() instanceof Hess.Outcome.NotMade)
                .ifPresent(each -> draft.findings()
                        .add(Finding.question(
                                        "cycle.not-made",
                                        "However these legs are turned and multiplied, they do not make "
                                                + each.equation().text()
                                                + ". What does not cancel: "
                                                + String.join(", ", ((Hess.Outcome.NotMade) each.outcome()).left())
                                                + ". A reaction that forms or uses it lacks, or it is in another state there.")
                                .at(Address.of(at.target(), 1).toString())));
        return legs;
    }

    /** Legs that name an entry of which no equation tells, from 1. */
    private static List<Integer> withoutEquation(Sheet sheet, At at) {
        return IntStream.rangeClosed(1, sheet.places().parts(at.group()))
                .filter(i -> sheet.stated(Address.of(at.group() + "/from", i))
                                .filter("entry"::equals)
                                .isPresent()
                        && sheet.stated(Address.of(at.group() + "/run", i)).isPresent()
                        && leg(sheet, at.group(), i).isEmpty())
                .boxed()
                .toList();
    }

    private static Optional<Leg> leg(Sheet sheet, String group, int index) {
        Address equation = Address.of(group + "/equation", index);
        if (sheet.stated(Address.of(group + "/from", index))
                .filter("entry"::equals)
                .isPresent()) {
            return sheet.stated(Address.of(group + "/run", index))
                    .map(sheet.setting().references()::get)
                    .flatMap(run -> run.process()
                            .flatMap(process -> read(process.equation())
                                    .map(read -> new Leg(
                                            index,
                                            run.label(),
                                            read,
                                            process.times(),
                                            run.value()
                                                    .map(value -> OptionalDouble.of(value.value() * process.times()))
                                                    .orElse(OptionalDouble.empty()),
                                            process.concentration(),
                                            -1,
                                            List.of()))));
        }
        boolean shelf = sheet.stated(Address.of(group + "/from", index))
                .filter("shelf"::equals)
                .isPresent();
        Optional<HalvedEquation> read = sheet.stated(equation).flatMap(CycleReactions::read);
        return shelf
                ? read.map(each -> onShelf(sheet, index, each))
                : read.map(each -> typed(sheet, group, index, each));
    }

    private static Leg typed(Sheet sheet, String group, int index, HalvedEquation equation) {
        Optional<Line> heat = sheet.reading(Address.of(group + "/heat", index));
        return new Leg(
                index,
                heat.filter(each -> each.uncertainty().isPresent()).isPresent() ? FROM_TABLE_WITH_ITS : FROM_TABLE,
                equation,
                1,
                heat.map(line -> OptionalDouble.of(line.value())).orElse(OptionalDouble.empty()),
                OptionalDouble.empty(),
                heat.map(Line::decimals).orElse(-1),
                List.of());
    }

    private static String lacks(Sheet sheet, Leg leg) {
        return sheet.setting().withheld()
                ? "The heats of the shelf are withheld in this period. Take a run, or type the heat of this reaction."
                : "The shelf lacks the formation enthalpy of "
                        + String.join(
                                ", ",
                                sheet.setting()
                                        .shelf()
                                        .formation()
                                        .lacking(leg.equation().whole()))
                        + ". Type the heat of this reaction from a table.";
    }

    /** Heat of an equation as it is written, from formation enthalpies of one set. */
    private static Leg onShelf(Sheet sheet, int index, HalvedEquation equation) {
        if (sheet.setting().withheld()) {
            return new Leg(
                    index, FROM_SHELF, equation, 1, OptionalDouble.empty(), OptionalDouble.empty(), -1, List.of());
        }
        Formation formation = sheet.setting().shelf().formation();
        List<Formation.Taken> rows = formation.rows(equation.whole());
        return new Leg(
                index,
                FROM_SHELF,
                equation,
                1,
                formation
                        .heat(equation.whole())
                        .map(heat -> OptionalDouble.of(heat.value() / equation.times()))
                        .orElse(OptionalDouble.empty()),
                OptionalDouble.empty(),
                rows.stream()
                        .filter(each -> each.row().uncertainty() > 0)
                        .mapToInt(each -> each.row().decimals())
                        .min()
                        .orElse(-1),
                rows);
    }

    private static Optional<HalvedEquation> read(String text) {
        try {
            return Optional.of(HalvedEquation.read(text));
        } catch (Refused unread) {
            return Optional.empty();
        }
    }

    /**
     * {@return how often each leg as it is written is taken for the target as it is written; empty where they do not
     * make it}
     */
    public List<BigFraction> times() {
        if (!(outcome instanceof Hess.Outcome.Made made)) {
            return List.of();
        }
        List<BigFraction> whole = made.ways().get(0);
        List<BigFraction> times = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            times.add(whole.get(i).multiply(legs.get(i).equation().times()).divide(target.times()));
        }
        return times;
    }

    /** {@return legs taken from the shelf for which it has no heat} */
    public List<Leg> unknownToShelf() {
        return legs.stream()
                .filter(each -> each.label().equals(FROM_SHELF) && each.heat().isEmpty())
                .toList();
    }

    /** {@return whether a heat was typed from a table, of which nobody said how well it is known} */
    public boolean knownWithoutUncertainty() {
        return legs.stream().anyMatch(each -> each.label().equals(FROM_TABLE));
    }

    /** {@return whether every heat comes from the very table a reference would be made from} */
    public boolean circular() {
        return legs.stream().allMatch(each -> each.label().equals(FROM_SHELF));
    }

    /** {@return the equation to be made} */
    public ChemicalEquation equation() {
        return target.whole();
    }
}

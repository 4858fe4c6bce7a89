package lab.sassafras.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;

/**
 * Whether a value is worth asking about before it is kept: it lies outside what it usually is, what its instrument
 * shows or what can be at all, or is unlike the same place of the trial before. It is a question and never a refusal.
 */
public final class InputCheck {

    /** Part of the usual range by which two trials may differ without being asked about. No source. */
    private static final double UNLIKE = 0.5;
    /** Two trials without a usual range: from this ratio on they are unlike. No source. */
    private static final double TIMES = 2;
    /** Two temperatures without a usual range (°C). No source. */
    private static final double DEGREES = 15;

    private final Sheet sheet;
    private final Line line;
    private final Slot slot;
    private final Figures figures;

    private InputCheck(Sheet sheet, Line line, Slot slot) {
        this.sheet = sheet;
        this.line = line;
        this.slot = slot;
        this.figures = sheet.setting().figures();
    }

    /**
     * {@return the question to ask before a value is kept, in a sentence; empty where there is nothing to ask}
     *
     * @param sheet what was read before
     * @param line  the new value
     */
    public static Optional<String> about(Sheet sheet, Line line) {
        return sheet.experiment()
                .slot(line.address().path())
                .filter(slot -> slot.field() == Slot.Field.NUMBER)
                .flatMap(slot -> new InputCheck(sheet, line, slot).question());
    }

    /**
     * {@return what was typed and what it is read as, to be confirmed; empty where they are the same}
     *
     * @param sheet what was read before
     * @param line  as read
     * @param typed as typed
     */
    public static Optional<String> readBack(Sheet sheet, Line line, String typed) {
        Optional<Slot> slot = sheet.experiment()
                .slot(line.address().path())
                .filter(any -> any.field() == Slot.Field.WORDS && line.role() == Role.STATED);
        List<Finding> asked =
                slot.map(any -> any.questions(line, "", sheet.setting())).orElse(List.of());
        if (!asked.isEmpty()) {
            return Optional.of(asked.get(0).message());
        }
        if (slot.isEmpty() || line.text().equals(typed.strip())) {
            return Optional.empty();
        }
        String name = sheet.setting().shelf().spelling().known().getOrDefault(line.text(), "");
        return Optional.of("“" + typed.strip() + "” is read as " + line.text()
                + (name.isEmpty() || name.equalsIgnoreCase(typed.strip()) ? "" : ", " + name)
                + ". Is that what is meant?");
    }

    /**
     * {@return why a value cannot be at all: beyond what can be read there, or what its instrument shows; empty where
     * it can}
     *
     * @param sheet it stands on, or would
     * @param line  the value
     */
    static Optional<String> cannotBe(Sheet sheet, Line line) {
        return sheet.experiment()
                .slot(line.address().path())
                .filter(slot -> slot.field() == Slot.Field.NUMBER)
                .map(slot -> new InputCheck(sheet, line, slot))
                .flatMap(check -> check.impossible().or(check::offInstrument));
    }

    private Optional<String> question() {
        return Stream.of(impossible(), offInstrument(), unusual(), ofAnother(), unlike())
                .flatMap(Optional::stream)
                .findFirst()
                .map(why -> figures.typed(line.text()) + symbol(line.unit()) + "? " + why);
    }

    private Optional<String> impossible() {
        return sheet.experiment().bounds().stream()
                .filter(bound -> SheetFindings.crosses(sheet, bound, line))
                .findFirst()
                .map(bound -> capital(sheet.experiment().words().get("bound." + bound.key())));
    }

    private Optional<String> offInstrument() {
        return line.instrument()
                .filter(instrument -> !instrument.covers(line.value()))
                .map(instrument -> capital(instrument.name()) + " reads " + figures.plain(instrument.low()) + " to "
                        + figures.plain(instrument.high()) + " "
                        + instrument.unit().symbol() + ".");
    }

    private Optional<String> unusual() {
        return line.role().half()
                ? Optional.empty()
                : slot.usual()
                        .filter(range -> range.outside(line.value()) > 0)
                        .map(range -> "Usual here is " + figures.plain(range.low()) + " to "
                                + figures.plain(range.high()) + symbol(slot.unit(line.role())) + ".");
    }

    /** A share typed while a mass that comes before it is not weighed yet, and which it would rather be. */
    private Optional<String> ofAnother() {
        boolean share = slot.unit(line.role()).equals(Optional.of(BenchUnit.PERCENT)) && line.role() == Role.READ;
        return !share
                ? Optional.empty()
                : sheet.tasks().asks(Math.max(1, line.address().index())).stream()
                        .takeWhile(ask ->
                                !ask.address().path().equals(line.address().path()))
                        .filter(ask -> !ask.step().aside() && !sheet.tasks().done(ask))
                        .filter(ask -> sheet.experiment()
                                .slot(ask.address().path())
                                .filter(other -> other.byDifference()
                                        && other.usual()
                                                .filter(range -> range.outside(line.value()) == 0)
                                                .isPresent())
                                .isPresent())
                        .findFirst()
                        .map(ask -> "“"
                                + sheet.experiment().words().label(ask.address().path())
                                + "” is not weighed yet. Is this its mass, or a share in per cent?");
    }

    private Optional<String> unlike() {
        return before().filter(other -> isUnlike(other.value()))
                .map(other -> "Trial " + other.address().index() + " had " + figures.typed(other.text())
                        + symbol(other.unit()) + " here.");
    }

    /** What stands in the same place, got the same way, in the nearest trial before. */
    private Optional<Line> before() {
        int trial = line.address().index();
        boolean perTrial = sheet.experiment()
                .group(line.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .isPresent();
        List<Line> earlier = sheet.lines().stream()
                .filter(each -> each.address().path().equals(line.address().path())
                        && each.role() == line.role()
                        && each.address().index() < trial)
                .toList();
        return perTrial
                ? earlier.stream()
                        .reduce((one, other) ->
                                other.address().index() >= one.address().index() ? other : one)
                : Optional.empty();
    }

    private boolean isUnlike(double other) {
        double apart = Math.abs(line.value() - other);
        if (slot.usual().isPresent()) {
            Slot.Range range = slot.usual().get();
            return apart > UNLIKE * (range.high() - range.low());
        }
        if (slot.unit(line.role())
                .filter(unit -> unit.dimension().equals(Dimension.TEMPERATURE))
                .isPresent()) {
            return apart > DEGREES;
        }
        double small = Math.min(Math.abs(line.value()), Math.abs(other));
        return Math.max(Math.abs(line.value()), Math.abs(other)) > TIMES * small && apart > 0;
    }

    private static String symbol(Optional<BenchUnit> unit) {
        return unit.map(each -> " " + each.symbol()).orElse("");
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}

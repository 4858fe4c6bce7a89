package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import lab.sassafras.curve.Reading;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.TraceUse;

/** A plan laid down on a sheet: what nobody read yet stands there with the ± of what it will be read on. */
final class PlanSheet {

    private static final BenchUnit DEGREES = BenchUnit.DEGREES_CELSIUS;
    /** What a curve that is foreseen is named by. */
    static final String CLOCK = "00000000-0000-0000-0000-000000000001";

    /** Of a thermometer of which nothing is said (°C). */
    private static final double STEP = 0.1;

    private final Plan plan;

    PlanSheet(Plan plan) {
        this.plan = plan;
    }

    /** The sheet as it will stand before the final temperature is read. */
    Sheet begun() {
        List<Line> lines = new ArrayList<>();
        plan.had().forEach((path, one) -> lines.add(line(path, one)));
        return new Sheet(plan.experiment(), lines, plan.setting());
    }

    /**
     * The sheet as it will stand once all is read, where that is foreseen.
     *
     * @throws Refused in plain words where it is not known
     */
    Sheet whole(Foresight.Seen seen) {
        List<Line> lines = new ArrayList<>(begun().lines());
        seen.readings()
                .forEach(each -> lines.add(line(each.path(), new Plan.Had(Role.READ, each.text(), each.unit(), ""))));
        if (seen.timed().isEmpty()) {
            return new Sheet(plan.experiment(), lines, plan.setting());
        }
        Foresight.Timed timed = seen.timed().get();
        List<Reading> readings = timed.curve().stream()
                .map(each -> new Reading(each.seconds(), each.temperature()))
                .toList();
        Setting logged = plan.setting()
                .logging(Map.of(CLOCK, new Logged("the clock", readings, on(timed.path(), Optional.of(DEGREES)))));
        lines.add(new Admission(new Sheet(plan.experiment(), List.of(), logged.writing(Figures.POINT)))
                .accept(
                        Plan.at(timed.path()),
                        Role.STATED,
                        new GivenValue(TraceUse.from(CLOCK, timed.from()).text(), null, Optional.empty(), null, "")));
        return new Sheet(plan.experiment(), lines, logged);
    }

    /** The sheet of so many trials that all go alike, each as this one. */
    Sheet repeated(int trials, Sheet whole) {
        List<Line> lines = new ArrayList<>();
        whole.lines().forEach(line -> {
            boolean again = plan.experiment()
                    .group(line.address().group())
                    .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                    .isPresent();
            IntStream.rangeClosed(1, again ? trials : 1)
                    .mapToObj(trial -> again ? in(trial, line) : line)
                    .forEach(lines::add);
        });
        return new Sheet(plan.experiment(), lines, whole.setting().repeated(trials));
    }

    private static Line in(int trial, Line line) {
        return new Line(
                Address.of(line.address().path(), trial),
                line.role(),
                line.text(),
                line.value(),
                line.decimals(),
                line.lastDigit(),
                line.unit(),
                line.instrument(),
                line.uncertainty(),
                line.who());
    }

    /**
     * What a place is expected to hold, with the uncertainty of what it will be read on.
     *
     * @throws Refused in plain words where it cannot stand there
     */
    Line line(String path, Plan.Had one) {
        // a plan is written with points, whatever a period writes
        Sheet empty = new Sheet(plan.experiment(), List.of(), plan.setting().writing(Figures.POINT));
        Line typed = new Admission(empty)
                .accept(
                        Plan.at(path),
                        one.role(),
                        new GivenValue(
                                one.text(),
                                one.unit().isEmpty() ? null : one.unit(),
                                Optional.empty(),
                                one.uncertainty().isEmpty() ? null : one.uncertainty(),
                                ""));
        return one.role() == Role.READ || one.role() == Role.VOLUME ? expected(typed) : typed;
    }

    private Line expected(Line typed) {
        Optional<Instrument> on = on(typed.address().path(), typed.unit());
        return new Line(
                typed.address(),
                typed.role(),
                typed.text(),
                typed.value(),
                on.map(Instrument::decimals).orElse(typed.decimals()),
                on.map(Instrument::resolution).orElse(typed.lastDigit()),
                typed.unit(),
                on,
                typed.uncertainty(),
                "");
    }

    /** The final temperature at the value it is expected to have. */
    Line ending(double temperature) {
        Optional<Instrument> on = on(plan.span().end(), Optional.of(BenchUnit.DEGREES_CELSIUS));
        double step = on.map(Instrument::resolution).orElse(STEP);
        return new Line(
                Plan.at(plan.span().end()),
                Role.READ,
                "",
                temperature,
                on.map(Instrument::decimals).orElse(1),
                step,
                Optional.of(BenchUnit.DEGREES_CELSIUS),
                on,
                OptionalDouble.empty(),
                "");
    }

    private Optional<Instrument> on(String path, Optional<BenchUnit> unit) {
        Optional<Dimension> dimension = unit.map(BenchUnit::dimension);
        if (plan.apart().containsKey(path)) {
            return Optional.of(plan.apart().get(path));
        }
        return plan.reads().entrySet().stream()
                .filter(each ->
                        dimension.filter(each.getKey().dimension()::equals).isPresent())
                .map(Map.Entry::getValue)
                .findFirst();
    }
}

package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;

/**
 * What is had for one trial of an experiment.
 *
 * @param experiment that is planned
 * @param setting    what surrounds it: the vessel with its constant, the handbook
 * @param had        by the path of a slot, in the order of the work
 * @param reads      instruments it is read on, by kind
 * @param apart      places that are read on an instrument of their own, by path
 * @param lab        what the lab allows and has
 */
public record Plan(
        Experiment experiment,
        Setting setting,
        Map<String, Had> had,
        Map<InstrumentKind, Instrument> reads,
        Map<String, Instrument> apart,
        Lab lab) {

    /** A slot’s number in a plan is no further from what one weighs out than this (a part of it; no source). */
    private static final double ROUND = 0.05;
    /** The usual run of each experiment, which is always the same. */
    private static final Map<Experiment, Bench.Played> USUAL = new ConcurrentHashMap<>();

    private static final BenchUnit DEGREES = BenchUnit.DEGREES_CELSIUS;
    /** What a curve that is foreseen is named by. */
    private static final String CLOCK = "00000000-0000-0000-0000-000000000001";

    /** Of a thermometer of which nothing is said (°C). */
    private static final double STEP = 0.1;

    /**
     * Keeps copies of what could change.
     *
     * @param experiment that is planned
     * @param setting    what surrounds it: the vessel with its constant, the handbook
     * @param had        by the path of a slot, in the order of the work
     * @param reads      instruments it is read on, by kind
     * @param apart      places that are read on an instrument of their own, by path
     * @param lab        what the lab allows and has
     */
    public Plan {
        had = Collections.unmodifiableMap(new LinkedHashMap<>(had));
        reads = Map.copyOf(reads);
        apart = Map.copyOf(apart);
    }

    /**
     * One thing that is had.
     *
     * @param role        it will have on the sheet
     * @param text        as one types it
     * @param unit        symbol of its unit; empty for a word
     * @param uncertainty standard uncertainty of what a label says, as one types it; empty elsewhere
     */
    public record Had(Role role, String text, String unit, String uncertainty) {

        /** {@return whether it is a number one may change} */
        public boolean number() {
            return role != Role.STATED;
        }

        /**
         * {@return the same of another amount}
         *
         * @param other as one types it
         */
        public Had of(String other) {
            return new Had(role, other, unit, uncertainty);
        }
    }

    /** {@return whether a run of an experiment can be planned: what it will come to is reckoned or foreseen}
     *
     * @param experiment one of them
     */
    public static boolean possible(Experiment experiment) {
        return runs(experiment) || experiment.foresight().isPresent();
    }

    /** {@return whether a final temperature is expected of it, and a run of it is simulated}
     *
     * @param experiment one of them
     */
    public static boolean runs(Experiment experiment) {
        return experiment.span().isPresent() && experiment.scene().isPresent();
    }

    /**
     * {@return what an experiment is usually done with}
     *
     * @param experiment that is planned
     * @param setting    what surrounds it
     * @param reads      instruments it is read on, by kind
     * @throws Refused where nothing of it can be planned
     */
    public static Plan usual(Experiment experiment, Setting setting, Map<InstrumentKind, Instrument> reads) {
        if (!possible(experiment)) {
            throw new Refused("“" + experiment.words().title() + "” has nothing that could be expected.");
        }
        if (experiment.foresight().isPresent()) {
            return new Plan(experiment, setting, foreseen(experiment, setting), reads, Map.of(), Lab.USUAL);
        }
        Bench.Played played = USUAL.computeIfAbsent(experiment, Plan::played);
        Map<String, Had> had = new LinkedHashMap<>();
        Map<String, Double> gross = new LinkedHashMap<>();
        for (Bench.Written each : played.written()) {
            switch (each.way()) {
                case GROSS -> gross.put(each.path(), Double.parseDouble(each.text()));
                case TARE ->
                    had.put(
                            each.path(),
                            new Had(
                                    Role.READ,
                                    Round.about(
                                            gross.getOrDefault(each.path(), 0.0) - Double.parseDouble(each.text()),
                                            ROUND),
                                    each.unit(),
                                    ""));
                case STATED -> had.put(each.path(), new Had(Role.STATED, each.text(), "", ""));
                case ASSUMED ->
                    had.put(each.path(), new Had(Role.ASSUMED, each.text(), each.unit(), each.uncertainty()));
                case VOLUME -> had.put(each.path(), new Had(Role.VOLUME, rounded(each), each.unit(), ""));
                case READ -> had.put(each.path(), new Had(Role.READ, rounded(each), each.unit(), ""));
            }
        }
        experiment.span().ifPresent(span -> had.remove(span.end()));
        experiment.sampleName().ifPresent(had::remove);
        played.known()
                .ifPresent(what -> named(experiment, setting, had)
                        .forEach(path -> had.put(path, new Had(Role.STATED, what, "", ""))));
        return new Plan(experiment, setting, had, reads, Map.of(), Lab.USUAL);
    }

    private static Map<String, Had> foreseen(Experiment experiment, Setting setting) {
        Map<String, Had> had = new LinkedHashMap<>();
        experiment
                .foresight()
                .orElseThrow()
                .usual(repeats(experiment)
                        .map(group -> setting.parts().getOrDefault(group, 1))
                        .orElse(1))
                .forEach(each -> had.put(each.path(), new Had(each.role(), each.text(), each.unit(), "")));
        return had;
    }

    /**
     * {@return the group of which a run has several parts; empty where none repeats}
     *
     * @param experiment one of them
     */
    public static Optional<String> repeats(Experiment experiment) {
        return experiment.groups().stream()
                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                .map(Group::key)
                .findFirst();
    }

    private static Bench.Played played(Experiment experiment) {
        return Bench.usual(1, experiment.takes().get(0).typical())
                .atOnce(experiment.scene().orElseThrow());
    }

    /** Where it is said which substance of the shelf it is, and the usual run does not. */
    private static List<String> named(Experiment experiment, Setting setting, Map<String, Had> had) {
        return experiment.procedure().stream()
                .filter(step -> step.offer() == Step.Offer.ASKED && !had.containsKey(step.path()))
                .map(Step::path)
                .filter(path -> experiment
                        .slot(path)
                        .filter(slot -> slot.field() == Slot.Field.PICK
                                && slot.elsewhere().isEmpty()
                                && !slot.options(experiment.words(), path, setting)
                                        .isEmpty())
                        .isPresent())
                .toList();
    }

    /** As one weighs it out, pours it, or sets it. */
    private static String rounded(Bench.Written each) {
        boolean amount = BenchUnit.of(each.unit())
                .filter(unit -> unit.dimension().equals(Dimension.MASS)
                        || unit.dimension().equals(Dimension.VOLUME)
                        || unit.dimension().equals(Dimension.TEMPERATURE))
                .isPresent();
        return !amount ? each.text() : Round.about(Double.parseDouble(each.text()), ROUND);
    }

    /**
     * {@return the same with another amount or substance in one place; a substance as its place reads it, so that a
     * name is as good as a formula}
     *
     * @param path of the slot
     * @param text as one types it
     * @throws Refused where no such substance can stand there
     */
    public Plan with(String path, String text) {
        Had typed = one(path).of(text);
        Map<String, Had> other = new LinkedHashMap<>(had);
        other.put(path, typed.number() ? typed : typed.of(line(path, typed).text()));
        return new Plan(experiment, setting, other, reads, apart, lab);
    }

    /**
     * Looks whether what is had in one place can stand there.
     *
     * @param path of the slot
     * @throws Refused in plain words where it cannot
     */
    public void check(String path) {
        line(path, one(path));
    }

    /**
     * {@return what is had in one place}
     *
     * @param path of the slot
     * @throws Refused where the plan has no such place
     */
    public Had one(String path) {
        return Optional.ofNullable(had.get(path))
                .orElseThrow(() -> new Refused("This plan has no place called " + path + "."));
    }

    /**
     * {@return the same read on another instrument}
     *
     * @param other instrument
     */
    public Plan with(Instrument other) {
        Map<InstrumentKind, Instrument> all = new LinkedHashMap<>(reads);
        all.put(other.kind(), other);
        return new Plan(experiment, setting, had, all, apart, lab);
    }

    /**
     * {@return the same, one place being read on an instrument of its own}
     *
     * @param path of the place
     * @param on   instrument
     */
    public Plan with(String path, Instrument on) {
        one(path);
        Map<String, Instrument> all = new LinkedHashMap<>(apart);
        all.put(path, on);
        return new Plan(experiment, setting, had, reads, all, lab);
    }

    /** {@return the same, everything of a kind being read on one instrument} */
    Plan together() {
        return new Plan(experiment, setting, had, reads, Map.of(), lab);
    }

    /**
     * {@return the same in another lab}
     *
     * @param other what it allows and has
     */
    public Plan with(Lab other) {
        return new Plan(experiment, setting, had, reads, apart, other);
    }

    /** {@return temperatures that are read before the end: each may have a thermometer of its own} */
    public List<String> readApart() {
        return amounts().stream()
                .filter(path -> temperature(path) && one(path).role() == Role.READ)
                .toList();
    }

    /**
     * {@return the same in another vessel}
     *
     * @param vessel with its constant
     */
    public Plan with(Calorimeter vessel) {
        return new Plan(experiment, setting.with(vessel), had, reads, apart, lab);
    }

    /** {@return the temperatures between which the contents go} */
    public Span span() {
        return experiment.span().orElseThrow();
    }

    /**
     * {@return the slot something is had for; empty where there is none}
     *
     * @param path of it; of a further part with its number
     */
    public Optional<Slot> slot(String path) {
        return experiment.slot(at(path).path());
    }

    /**
     * {@return what a place is called}
     *
     * @param path of it; of a further part with its number
     */
    public String label(String path) {
        Address at = at(path);
        boolean part = experiment
                .group(at.group())
                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                .isPresent();
        return experiment.words().label(at.path()) + (part ? " " + at.index() : "");
    }

    /** {@return the schools in force} */
    public Conventions conventions() {
        return setting.conventions();
    }

    /** {@return where amounts and temperatures stand that one may change, in order} */
    public List<String> amounts() {
        return had.entrySet().stream()
                .filter(each -> each.getValue().number())
                .map(Map.Entry::getKey)
                .toList();
    }

    /**
     * {@return the number in one place (bench unit); empty where there is none}
     *
     * @param path of the slot
     */
    public OptionalDouble amount(String path) {
        Had one = had.get(path);
        return one == null || !one.number()
                ? OptionalDouble.empty()
                : OptionalDouble.of(line(path, one).value());
    }

    /** {@return all amounts and temperatures that are had, by the path of a slot (bench unit)} */
    public Map<String, Double> wished() {
        Map<String, Double> wished = new LinkedHashMap<>();
        amounts().forEach(path -> wished.put(path, amount(path).orElseThrow()));
        return wished;
    }

    /** {@return the substance that is taken, where it is of one of several; empty elsewhere} */
    public String taken() {
        return Purpose.Apart.place(this).map(place -> one(place).text()).orElse("");
    }

    /**
     * {@return whether a temperature stands there}
     *
     * @param path of the slot
     */
    public boolean temperature(String path) {
        return of(path, Dimension.TEMPERATURE);
    }

    /**
     * {@return whether anything is read on instruments of a kind}
     *
     * @param kind of instrument
     */
    public boolean reads(InstrumentKind kind) {
        return amounts().stream().anyMatch(path -> of(path, kind.dimension()))
                || kind.dimension().equals(Dimension.TEMPERATURE)
                        && experiment.curves().size() > 0;
    }

    /**
     * {@return whether an answer can be planned: nothing is asked after it that this plan does not have}
     *
     * @param path   of the question
     * @param answer to it
     */
    boolean allows(String path, String answer) {
        Address at = at(path);
        return experiment.foresight().stream().allMatch(each -> each.foresees(at.path(), answer))
                && experiment.procedure().stream()
                        .filter(step -> step.condition()
                                .filter(when -> when.path().equals(at.path())
                                        && when.answers().contains(answer))
                                .isPresent())
                        .allMatch(step -> had.containsKey(step.path())
                                || had.containsKey(
                                        Address.of(step.path(), at.index()).toString()));
    }

    /**
     * {@return whether a hand chooses how much there is}
     *
     * @param path of an amount
     */
    public boolean chosen(String path) {
        return experiment.foresight().stream().allMatch(each -> each.chosen(path));
    }

    /**
     * {@return what there is to choose in a place, of an answer those that can be planned}
     *
     * @param path of the slot
     */
    public List<Slot.Option> options(String path) {
        return slot(path)
                .filter(slot -> slot.field() == Slot.Field.PICK || slot.field() == Slot.Field.CHOICE)
                .map(slot -> slot.options(experiment.words(), at(path).path(), setting).stream()
                        .filter(each -> allows(path, each.value()))
                        .toList())
                .orElse(List.of());
    }

    /** Whether a hand weighs, measures or sets it. */
    boolean weighed(String path) {
        return of(path, Dimension.MASS) || of(path, Dimension.VOLUME) || of(path, Dimension.TEMPERATURE);
    }

    private boolean of(String path, Dimension dimension) {
        return Optional.ofNullable(had.get(path))
                .flatMap(each -> BenchUnit.of(each.unit()))
                .filter(unit -> unit.dimension().equals(dimension))
                .isPresent();
    }

    /** The address of a slot in the first trial. */
    static Address at(String path) {
        return path.contains("[") ? Address.read(path) : Address.of(path, 1);
    }

    /** The sheet as it will stand before the final temperature is read. */
    Sheet sheet() {
        List<Line> lines = new ArrayList<>();
        had.forEach((path, one) -> lines.add(line(path, one)));
        return new Sheet(experiment, lines, setting);
    }

    /**
     * The sheet as it will stand once all is read, where that is foreseen.
     *
     * @throws Refused in plain words where it is not known
     */
    Sheet sheet(Foresight.Seen seen) {
        List<Line> lines = new ArrayList<>(sheet().lines());
        seen.readings().forEach(each -> lines.add(line(each.path(), new Had(Role.READ, each.text(), each.unit(), ""))));
        if (seen.timed().isEmpty()) {
            return new Sheet(experiment, lines, setting);
        }
        Foresight.Timed timed = seen.timed().get();
        List<Reading> readings = timed.curve().stream()
                .map(each -> new Reading(each.seconds(), each.temperature()))
                .toList();
        Setting logged = setting.logging(
                Map.of(CLOCK, new Logged("the clock", readings, on(timed.path(), Optional.of(DEGREES)))));
        lines.add(new Admission(new Sheet(experiment, List.of(), logged.writing(Figures.POINT)))
                .accept(
                        at(timed.path()),
                        Role.STATED,
                        new GivenValue(TraceUse.from(CLOCK, timed.from()).text(), null, Optional.empty(), null, "")));
        return new Sheet(experiment, lines, logged);
    }

    /**
     * {@return what will be read of it, where that is foreseen}
     *
     * @throws Refused in plain words where it is not known
     */
    Optional<Foresight.Seen> seen() {
        if (experiment.foresight().isEmpty()) {
            return Optional.empty();
        }
        Map<String, String> words = new LinkedHashMap<>();
        had.forEach((path, one) -> words.put(path, one.text()));
        return experiment
                .foresight()
                .map(each -> each.of(new Foresight.Had(
                        wished(), words, setting, Optional.ofNullable(reads.get(InstrumentKind.THERMOMETER)))));
    }

    /** The sheet once a final temperature is read. */
    Sheet ended(double temperature) {
        return sheet().supposing().with(ending(temperature));
    }

    /** The sheet of so many trials that all go alike, each as this one. */
    Sheet sheet(int trials, Sheet whole) {
        List<Line> lines = new ArrayList<>();
        whole.lines().forEach(line -> {
            boolean again = experiment
                    .group(line.address().group())
                    .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                    .isPresent();
            IntStream.rangeClosed(1, again ? trials : 1)
                    .mapToObj(trial -> again ? in(trial, line) : line)
                    .forEach(lines::add);
        });
        return new Sheet(experiment, lines, whole.setting().repeated(trials));
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
    private Line line(String path, Had one) {
        // a plan is written with points, whatever a period writes
        Sheet empty = new Sheet(experiment, List.of(), setting.writing(Figures.POINT));
        Line typed = new Admission(empty)
                .accept(
                        at(path),
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
        Optional<Instrument> on = on(span().end(), Optional.of(BenchUnit.DEGREES_CELSIUS));
        double step = on.map(Instrument::resolution).orElse(STEP);
        return new Line(
                at(span().end()),
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
        if (apart.containsKey(path)) {
            return Optional.of(apart.get(path));
        }
        return reads.entrySet().stream()
                .filter(each ->
                        dimension.filter(each.getKey().dimension()::equals).isPresent())
                .map(Map.Entry::getValue)
                .findFirst();
    }
}

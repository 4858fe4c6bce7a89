package lab.sassafras.plan;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;

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
        return UsualPlan.of(experiment, setting, reads);
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
        other.put(
                path,
                typed.number()
                        ? typed
                        : typed.of(new PlanSheet(this).line(path, typed).text()));
        return new Plan(experiment, setting, other, reads, apart, lab);
    }

    /**
     * Looks whether what is had in one place can stand there.
     *
     * @param path of the slot
     * @throws Refused in plain words where it cannot
     */
    public void check(String path) {
        new PlanSheet(this).line(path, one(path));
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
                : OptionalDouble.of(new PlanSheet(this).line(path, one).value());
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

    /** The sheet as it will stand before the final temperature is read. */
    Sheet sheet() {
        return new PlanSheet(this).begun();
    }

    /** The sheet as it will stand once all is read, where that is foreseen. */
    Sheet sheet(Foresight.Seen seen) {
        return new PlanSheet(this).whole(seen);
    }

    /** The sheet once a final temperature is read. */
    Sheet ended(double temperature) {
        return sheet().supposing().with(ending(temperature));
    }

    /** The final temperature at the value it is expected to have. */
    Line ending(double temperature) {
        return new PlanSheet(this).ending(temperature);
    }
}

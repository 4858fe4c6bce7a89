package lab.sassafras.declaration;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionPlace;
import lab.sassafras.convention.ConventionPlace.When;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.QuantitySlot;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Slots;

/**
 * Places that come with a question of convention rather than with an experiment: each school declares its own, and they
 * are asked only under the schools that do. Beside them what any run may be given: a prediction, and another vessel for
 * one trial.
 */
public final class CommonPlaces {

    /** The vessel of one trial, where it is another. */
    public static final String VESSEL = "calorimeter/vessel";
    /** The final temperature foretold before mixing. */
    public static final String PREDICTION = "prediction/final";
    /** Readings on a clock. */
    public static final String TRACE = "curve/trace";

    /** Groups of what may be poured to the liquid that waits in the cup. */
    public static final List<String> POURED_TO_IT = List.of("also", "besides");

    private final List<Needed> needed;
    private final Optional<Span> span;
    private final boolean vessel;
    private final Optional<Declaration.Poured> poured;

    /** A place with the schools of one question that need it. */
    private record Needed(ConventionQuestion<?> question, ConventionPlace place, List<Convention> schools) {

        Slot slot() {
            QuantitySlot slot = Slots.quantity(place.slot(), place.unit()).accepting(place.accepted());
            return place.usual()
                    .map(range -> slot.usually(range.low(), range.high()))
                    .orElse(slot)
                    .ifKnown();
        }

        Step step() {
            Step step = Step.of(place.path()).taking(place.minutes()).under(question, schools);
            return TemperatureChange.DRIFT.equals(place.group()) ? step.noLonger() : step;
        }
    }

    /**
     * The places of an experiment's questions.
     *
     * @param questions of convention it is sensitive to
     * @param span      the temperatures between which its contents go
     * @param use       how it stands to the calorimeter
     * @param poured    what may be poured of several
     */
    public CommonPlaces(
            List<ConventionQuestion<?>> questions,
            Optional<Span> span,
            Calorimeter.Use use,
            Optional<Declaration.Poured> poured) {
        this.poured = poured;
        this.needed = questions.stream().flatMap(each -> needed(each).stream()).toList();
        this.span = span;
        this.vessel = use == Calorimeter.Use.NEEDS_CONSTANT;
    }

    private static List<Needed> needed(ConventionQuestion<?> question) {
        Map<ConventionPlace, List<Convention>> places = new LinkedHashMap<>();
        question.schools()
                .forEach(school -> school.places()
                        .forEach(place -> places.computeIfAbsent(place, any -> new ArrayList<>())
                                .add(school)));
        List<Needed> all = new ArrayList<>();
        places.forEach((place, schools) -> all.add(new Needed(question, place, schools)));
        return all;
    }

    /**
     * {@return an experiment's own groups with those its questions bring}
     *
     * @param own as it declares them
     */
    public List<Group> with(List<Group> own) {
        List<Group> groups = new ArrayList<>(own);
        if (vessel) {
            groups.add(Group.perTrial("calorimeter", Slots.vessel("vessel")));
        }
        if (span.isPresent()) {
            groups.add(Group.once("prediction", Slots.temperature("final").ifKnown()));
            groups.add(Group.perTrial("curve", Slots.mixing("trace")));
        }
        poured.ifPresent(liquid -> POURED_TO_IT.forEach(key -> groups.add(more(key, liquid))));
        Map<String, List<Needed>> byGroup = new LinkedHashMap<>();
        needed.forEach(each -> byGroup.computeIfAbsent(each.place().group(), any -> new ArrayList<>())
                .add(each));
        byGroup.forEach((key, each) -> groups.add(new Group(
                key,
                each.get(0).place().perTrial() ? Cardinality.PER_TRIAL : Cardinality.ONCE,
                each.stream().map(Needed::slot).toList())));
        return List.copyOf(groups);
    }

    private static Group more(String key, Declaration.Poured liquid) {
        Slot amount = Slots.liquid("amount").ifKnown();
        return liquid.concentration().isPresent()
                ? Group.perTrial(
                        key, amount, Slots.concentration("concentration").ifKnown())
                : Group.perTrial(key, amount);
    }

    /**
     * {@return an experiment's own steps with those its questions bring, each where the hand is then}
     *
     * @param own in the order of the work
     */
    public List<Step> around(List<Step> own) {
        List<Step> steps = new ArrayList<>();
        span.ifPresent(any -> steps.add(Step.aside(PREDICTION)));
        if (vessel) {
            steps.add(Step.aside(VESSEL));
        }
        steps.addAll(read(When.FIRST));
        own.forEach(step -> steps.addAll(withReadings(step)));
        return List.copyOf(steps);
    }

    private List<Step> read(When when) {
        return needed.stream()
                .filter(each -> each.place().when() == when)
                .map(Needed::step)
                .toList();
    }

    /** Readings on a clock: asked under the schools that read a curve, offered under the others. */
    private static List<Step> onAClock() {
        Map<Boolean, List<Convention>> schools = ConventionQuestion.CHANGE.schools().stream()
                .collect(Collectors.partitioningBy(
                        TemperatureChange::takesACurve,
                        Collectors.mapping(each -> (Convention) each, Collectors.toList())));
        return List.of(
                Step.of(TRACE).under(ConventionQuestion.CHANGE, schools.getOrDefault(true, List.of())),
                Step.aside(TRACE).under(ConventionQuestion.CHANGE, schools.getOrDefault(false, List.of())));
    }

    private List<Step> withReadings(Step step) {
        List<Step> steps = new ArrayList<>(List.of(step));
        poured.filter(each -> each.amount().equals(step.path()))
                .ifPresent(each -> POURED_TO_IT.forEach(key -> {
                    steps.add(Step.aside(key + "/amount"));
                    each.concentration().ifPresent(any -> steps.add(Step.aside(key + "/concentration")));
                }));
        if (span.filter(each -> each.start().equals(step.path())).isPresent()) {
            steps.addAll(0, onAClock());
            steps.addAll(0, read(When.BEFORE_START));
            steps.addAll(read(When.AFTER_START));
        }
        if (span.filter(each -> each.end().equals(step.path())).isPresent()) {
            steps.addAll(read(When.AFTER_END));
        }
        return steps;
    }
}

package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.convention.Question;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.ReferenceShelf;

/**
 * Places that come with a question of convention rather than with an experiment, and are asked only under the school
 * that needs them: a constant typed from a handbook, the barometer, how the temperature drifted. Beside them what any
 * run may be given: a prediction, and another vessel for one trial.
 */
final class CommonPlaces {

    static final String WATER = "constants/water";
    static final String SOLUTION = "constants/solution";
    static final String DENSITY = "constants/density";
    static final String WALL_MASS = "wall/mass";
    static final String WALL_HEAT = "wall/heat";
    static final String PRESSURE = "room/pressure";
    static final String VESSEL = "calorimeter/vessel";
    static final String PREDICTION = "prediction/final";
    private static final List<Double> WATER_ACCEPTED = List.of(4.18, 4.184, 4.1855, 4.186);

    private final List<Question<?>> questions;
    private final Optional<Span> span;
    private final boolean vessel;

    CommonPlaces(List<Question<?>> questions, Optional<Span> span, Calorimeter.Use use) {
        this.questions = questions;
        this.span = span;
        this.vessel = use == Calorimeter.Use.NEEDS_CONSTANT;
    }

    /** The experiment's own groups with those its questions bring. */
    List<Group> with(List<Group> own) {
        List<Group> groups = new ArrayList<>(own);
        List<Slot> constants = new ArrayList<>();
        asks(
                Question.WATER,
                () -> constants.add(
                        Slot.specificHeat("water").accepting(WATER_ACCEPTED).ifKnown()));
        asks(
                Question.SOLUTION,
                () -> constants.add(
                        Slot.specificHeat("solution").usually(3.5, 4.2).ifKnown()));
        asks(
                Question.DENSITY,
                () -> constants.add(Slot.density("density").usually(0.95, 1.1).ifKnown()));
        if (!constants.isEmpty()) {
            groups.add(new Group("constants", Cardinality.ONCE, constants));
        }
        asks(
                Question.CALORIMETER,
                () -> groups.add(Group.once(
                        "wall",
                        Slot.mass("mass").usually(2, 200).ifKnown(),
                        Slot.specificHeat("heat")
                                .accepting(ReferenceShelf.standard().solidHeats())
                                .ifKnown())));
        asks(
                Question.BATH,
                () -> groups.add(Group.once(
                        "room",
                        Slot.quantity("pressure", BenchUnit.HECTOPASCALS)
                                .usually(850, 1040)
                                .ifKnown())));
        if (vessel) {
            groups.add(Group.perTrial("calorimeter", new Slot.Vessel("vessel", true)));
        }
        if (span.isPresent()) {
            groups.add(Group.once("prediction", Slot.temperature("final").ifKnown()));
            groups.add(Group.perTrial(
                    "drift",
                    Slot.temperature("early").ifKnown(),
                    Slot.seconds("fore").ifKnown(),
                    Slot.seconds("wait").ifKnown(),
                    Slot.seconds("since").ifKnown(),
                    Slot.temperature("later").ifKnown(),
                    Slot.seconds("between").ifKnown(),
                    Slot.seconds("reached").ifKnown(),
                    Slot.temperature("mean").ifKnown()));
        }
        return List.copyOf(groups);
    }

    private void asks(Question<?> question, Runnable then) {
        if (questions.contains(question)) {
            then.run();
        }
    }

    /** The experiment's own steps with those its questions bring, each where the hand is then. */
    List<Step> around(List<Step> own) {
        List<Step> steps = new ArrayList<>();
        span.ifPresent(any -> steps.add(Step.aside(PREDICTION)));
        if (vessel) {
            steps.add(Step.aside(VESSEL));
        }
        asks(Question.WATER, () -> steps.add(Step.of(WATER).under(Question.WATER, "typed")));
        asks(Question.SOLUTION, () -> steps.add(Step.of(SOLUTION).under(Question.SOLUTION, "measured")));
        asks(Question.DENSITY, () -> steps.add(Step.of(DENSITY).under(Question.DENSITY, "measured")));
        asks(
                Question.CALORIMETER,
                () -> Stream.of(WALL_MASS, WALL_HEAT)
                        .forEach(path -> steps.add(Step.of(path).under(Question.CALORIMETER, "material"))));
        asks(Question.BATH, () -> steps.add(Step.of(PRESSURE).under(Question.BATH, "barometer")));
        own.forEach(step -> steps.addAll(withDrift(step)));
        return List.copyOf(steps);
    }

    private List<Step> withDrift(Step step) {
        if (span.filter(each -> each.start().equals(step.path())).isPresent()) {
            return List.of(drift("early"), step, drift("fore"));
        }
        if (span.filter(each -> each.end().equals(step.path())).isPresent()) {
            return List.of(
                    step,
                    drift("wait"),
                    drift("since"),
                    drift("later").taking(3),
                    drift("between"),
                    Step.of("drift/reached").under(Question.CHANGE, "fraction"),
                    Step.of("drift/mean").under(Question.CHANGE, "integral"));
        }
        return List.of(step);
    }

    private static Step drift(String slot) {
        return Step.of("drift/" + slot).under(Question.CHANGE, "carried", "fraction", "integral");
    }
}

package lab.sassafras.declaration;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Mixing;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.slot.Words;
import lab.sassafras.statistics.Combination;

/** What a kind of experiment asks for: its places, its procedure, what it is sensitive to. */
public interface Declaration {

    /** {@return stable name, for files and addresses} */
    String key();

    /**
     * Goes up when the same readings would give another number.
     *
     * @return the step
     */
    int method();

    /** {@return its block of words} */
    Words words();

    /** {@return how it stands to the calorimeter} */
    Calorimeter.Use calorimeter();

    /** {@return slots, in groups} */
    List<Group> groups();

    /** {@return in the order of the work; steps of a group once for the entry are done with the first trial} */
    List<Step> procedure();

    /** {@return what an hour is planned by, in the order of the work: each step belongs to the last task begun} */
    default List<Task> tasks() {
        int minutes = procedure().stream()
                .filter(step -> step.offer() == Step.Offer.ASKED)
                .mapToInt(step -> 1 + step.minutes())
                .sum();
        return List.of(Task.of("work", Math.max(1, minutes / 2), Math.max(1, minutes)));
    }

    /**
     * {@return the task a step belongs to in a trial; the first where none began yet}
     *
     * @param step   of the procedure
     * @param trial  which, from 1
     * @param trials of the run
     */
    default Task task(Step step, int trial, int trials) {
        List<Task> of = tasks().stream().filter(each -> each.in(trial, trials)).toList();
        Task now = of.get(0);
        int next = 0;
        for (Step each : procedure()) {
            for (int i = next; i < of.size(); i++) {
                if (of.get(i).from().filter(each.path()::equals).isPresent()) {
                    now = of.get(i);
                    next = i + 1;
                    break;
                }
            }
            if (each.equals(step)) {
                break;
            }
        }
        return now;
    }

    /** {@return what is sought} */
    Input unknown();

    /** {@return questions whose answer changes the result} */
    List<ConventionQuestion<?>> conventions();

    /** {@return whether the thermometer stays where it is from before the start until after the end} */
    default boolean thermometerStays() {
        return false;
    }

    /** {@return what may make the result of its trials; the first does unless another was put in force} */
    default List<Combination> combinations() {
        return List.of(Combination.MEAN);
    }

    /**
     * {@return what slope and intercept of the line through its trials stand for, where that is not the result itself}
     */
    default List<LineReading> lineReadings() {
        return List.of();
    }

    /** {@return kinds of vessel it is done in, beside the usual ones} */
    default List<VesselKind> vessels() {
        return List.of();
    }

    /** {@return kinds of instrument it is read on, beside those every lab has} */
    default List<InstrumentKind> instruments() {
        return List.of();
    }

    /** {@return kinds of vessel it takes, the likeliest first} */
    default List<VesselKind> takes() {
        List<VesselKind> own = vessels();
        return own.isEmpty() ? VesselKind.usual() : own;
    }

    /**
     * {@return answers that must be spoken of with the result; their words stand under {@code caveat.path.answer}}
     */
    default List<Caveat> caveats() {
        return List.of();
    }

    /**
     * What waits in the cup, which may be poured of several.
     *
     * @param amount        path of its mass
     * @param concentration path of its concentration; empty where it is water
     */
    record Poured(String amount, Optional<String> concentration) {}

    /** {@return what waits in the cup and may be poured of several liquids; empty where nothing is} */
    default Optional<Poured> poured() {
        return Optional.empty();
    }

    /** {@return by the path of a step, what must be ticked off before it is taken, because it can hurt} */
    default Map<String, List<String>> tickedBefore() {
        return Map.of();
    }

    /** {@return between what readings can lie at all} */
    default List<Bound> bounds() {
        return List.of();
    }

    /** {@return where the name of a trial's sample stands; empty where all trials are of one thing} */
    default Optional<String> sampleName() {
        return Optional.empty();
    }

    /** {@return the temperatures between which the calorimeter's contents went; empty where no temperature changes} */
    default Optional<Span> span() {
        return Optional.empty();
    }

    /**
     * {@return what the hand goes by, in the order of the work; where readings on a clock are taken, how long before
     * mixing, up to when, and the wait for a single one}
     */
    default List<Pace> paces() {
        List<Pace> paces = new ArrayList<>();
        for (Step step : procedure()) {
            step.pace().ifPresent(paces::add);
            if (step.path().equals(CommonPlaces.TRACE) && !step.aside()) {
                paces.add(new Pace(Pace.Kind.BEFORE, step.path(), 3));
                paces.add(new Pace(Pace.Kind.UNTIL, step.path(), 9));
            }
            if (span().filter(each -> each.end().equals(step.path())).isPresent()) {
                paces.add(new Pace(Pace.Kind.ONCE, step.path(), 3));
            }
        }
        return paces;
    }

    /**
     * {@return what is read from timed readings, by the path of the slot that names them: the two temperatures about a
     * moment of mixing where nothing else is said}
     */
    default Map<String, CurvePurpose> curves() {
        return slot(CommonPlaces.TRACE).isPresent() ? Map.of(CommonPlaces.TRACE, new Mixing()) : Map.of();
    }

    /** {@return where the moment stands at which both come together; empty where none is marked} */
    default Optional<String> mixing() {
        return groups().stream()
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .flatMap(group -> group.slots().stream()
                        .filter(slot -> slot.field() == Slot.Field.MOMENT)
                        .map(slot -> group.key() + "/" + slot.key()))
                .findFirst();
    }

    /** {@return where the reading stands that a prediction is compared with; empty where there is none} */
    default Optional<String> finalReading() {
        return span().map(Span::end);
    }

    /**
     * {@return paths of what a school asks for beyond the usual, readings on a clock aside}
     *
     * @param question of convention
     * @param school   one way of settling it
     */
    default List<String> neededBy(ConventionQuestion<?> question, Convention school) {
        return procedure().stream()
                .filter(step -> step.under()
                        .filter(under -> under.question().equals(question)
                                && under.needs(school)
                                && !under.needs(question.standard()))
                        .isPresent())
                .map(Step::path)
                .filter(path -> !path.equals(CommonPlaces.TRACE))
                .toList();
    }

    /**
     * {@return the group of that key; empty for an unknown one}
     *
     * @param key stable name
     */
    default Optional<Group> group(String key) {
        return groups().stream().filter(group -> group.key().equals(key)).findFirst();
    }

    /**
     * {@return the slot declared under group and slot key}
     *
     * @param path group and slot, as an experiment declares them
     */
    default Optional<Slot> slot(String path) {
        int slash = path.indexOf('/');
        return group(path.substring(0, Math.max(slash, 0)))
                .flatMap(group -> group.slots().stream()
                        .filter(slot -> slot.key().equals(path.substring(slash + 1)))
                        .findFirst());
    }
}

package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.School;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.statistics.Combination;

/** One kind of experiment, declared. */
public interface Experiment {

    /** Stable name, for files and addresses. */
    String key();

    /** Goes up when the same readings would give another number. */
    int method();

    Words words();

    Calorimeter.Use calorimeter();

    List<Group> groups();

    /** In the order of the work; steps of a group once for the entry are done with the first trial. */
    List<Step> procedure();

    /** What is sought. */
    Input unknown();

    /** Questions whose answer changes the result. */
    List<Question<?>> conventions();

    /** Errors that may have slipped in, with plausible sizes. */
    default List<Suspect> suspects() {
        return List.of();
    }

    /** What may make the result of its trials; the first does unless another was put in force. */
    default List<Combination> combinations() {
        return List.of(Combination.MEAN);
    }

    /** Kinds of vessel it is done in, beside the usual ones. */
    default List<VesselKind> vessels() {
        return List.of();
    }

    /** What its result is judged by. */
    default Yardstick yardstick() {
        return new Yardstick.None();
    }

    /** Answers that must be spoken of with the result; their words stand under {@code caveat.path.answer}. */
    default List<Caveat> caveats() {
        return List.of();
    }

    /** Where the name of a trial's sample stands; empty where all trials are of one thing. */
    default Optional<String> sampleName() {
        return Optional.empty();
    }

    /** Where the reading stands that a prediction is compared with; empty where there is none. */
    default Optional<String> finalReading() {
        return Optional.empty();
    }

    /** Paths of what a school asks for beyond the usual. */
    default List<String> neededBy(Question<?> question, School school) {
        return procedure().stream()
                .filter(step -> step.under()
                        .filter(under -> under.question().equals(question)
                                && under.needs(school)
                                && !under.needs(question.standard()))
                        .isPresent())
                .map(Step::path)
                .toList();
    }

    /** Draws up the books, one for each trial. */
    List<Account> accounts(Sheet sheet, Conventions conventions);

    default Optional<Group> group(String key) {
        return groups().stream().filter(group -> group.key().equals(key)).findFirst();
    }

    /** The slot declared under group and slot key. */
    default Optional<Slot> slot(String path) {
        int slash = path.indexOf('/');
        return group(path.substring(0, Math.max(slash, 0)))
                .flatMap(group -> group.slots().stream()
                        .filter(slot -> slot.key().equals(path.substring(slash + 1)))
                        .findFirst());
    }
}

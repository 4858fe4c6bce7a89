package lab.sassafras.declaration;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * A piece of a bench’s work that an hour is planned by: from one step until the next task begins. Its words stand under
 * {@code task.key}. Times are common practice and have no source; an instructor’s own take their place.
 *
 * @param key    stable name among those of its experiment
 * @param from   path of the step it begins with; empty where no step belongs to it, such as cleaning up
 * @param turn   in which trials it is done
 * @param hands  people it keeps busy; none where it goes by itself
 * @param gear   shared gear it takes, one of each
 * @param least  who is quick takes so long (min)
 * @param usual  it usually takes so long (min)
 * @param within so much may pass after it before the next begins (min); empty where it may wait
 */
public record Task(
        String key,
        Optional<String> from,
        Turn turn,
        int hands,
        Set<Gear> gear,
        int least,
        int usual,
        OptionalInt within) {

    /** In which trials of a run something is done. */
    public enum Turn {
        /** In each. */
        EACH,
        /** In the first only. */
        FIRST,
        /** In each but the first. */
        LATER,
        /** In the last only. */
        LAST;

        /** Whether it is the turn of a trial among so many. */
        boolean of(int trial, int trials) {
            return switch (this) {
                case EACH -> true;
                case FIRST -> trial == 1;
                case LATER -> trial > 1;
                case LAST -> trial == trials;
            };
        }
    }

    /**
     * Keeps copies of what could change.
     *
     * @param key    stable name among those of its experiment
     * @param from   path of the step it begins with
     * @param turn   in which trials it is done
     * @param hands  people it keeps busy
     * @param gear   shared gear it takes
     * @param least  who is quick takes so long (min)
     * @param usual  it usually takes so long (min)
     * @param within so much may pass after it (min)
     */
    public Task {
        gear = Set.copyOf(gear);
        if (least < 1 || usual < least || hands < 0) {
            throw new IllegalArgumentException("no time or hands to do “" + key + "” with");
        }
    }

    /**
     * {@return a task of one hand, done in each trial}
     *
     * @param key   stable name
     * @param least who is quick takes so long (min)
     * @param usual it usually takes so long (min)
     */
    public static Task of(String key, int least, int usual) {
        return new Task(key, Optional.empty(), Turn.EACH, 1, Set.of(), least, usual, OptionalInt.empty());
    }

    /**
     * {@return the same, beginning with a step}
     *
     * @param path of the step
     */
    public Task from(String path) {
        return new Task(key, Optional.of(path), turn, hands, gear, least, usual, within);
    }

    /**
     * {@return the same, done in other trials}
     *
     * @param other trials
     */
    public Task in(Turn other) {
        return new Task(key, from, other, hands, gear, least, usual, within);
    }

    /**
     * {@return the same, at shared gear}
     *
     * @param one of each
     */
    public Task at(Gear... one) {
        return new Task(key, from, turn, hands, Set.of(one), least, usual, within);
    }

    /** {@return the same, going by itself} */
    public Task byItself() {
        return new Task(key, from, turn, 0, gear, least, usual, within);
    }

    /**
     * {@return the same, keeping so many people busy}
     *
     * @param people to do it
     */
    public Task by(int people) {
        return new Task(key, from, turn, people, gear, least, usual, within);
    }

    /**
     * {@return the same, after which the next begins within so long}
     *
     * @param minutes that may pass
     */
    public Task then(int minutes) {
        return new Task(key, from, turn, hands, gear, least, usual, OptionalInt.of(minutes));
    }

    /**
     * {@return whether it is done in a trial}
     *
     * @param trial  which, from 1
     * @param trials of the run
     */
    public boolean in(int trial, int trials) {
        return turn.of(trial, trials);
    }
}

package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.ToIntFunction;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Task;

/**
 * One task of one trial at one bench.
 *
 * @param key     names it among all of an evening
 * @param bench   that does it
 * @param trial   which, from 1
 * @param task    key of the task
 * @param words   what it is called
 * @param minutes it takes
 * @param hands   people it keeps busy
 * @param gear    shared gear it takes, one of each
 * @param within  so much may pass after it before the next of its bench begins (min)
 */
public record Job(
        String key,
        String bench,
        int trial,
        String task,
        String words,
        int minutes,
        int hands,
        Set<Gear> gear,
        OptionalInt within) {

    /** Longest a task is ever planned (min). */
    public static final int LONGEST = 240;

    /**
     * Keeps copies of what could change.
     *
     * @param key     names it among all of an evening
     * @param bench   that does it
     * @param trial   which, from 1
     * @param task    key of the task
     * @param words   what it is called
     * @param minutes it takes
     * @param hands   people it keeps busy
     * @param gear    shared gear it takes
     * @param within  so much may pass after it (min)
     */
    public Job {
        gear = Set.copyOf(gear);
        if (minutes < 1 || minutes > LONGEST) {
            throw new IllegalArgumentException(key + " takes " + minutes + " min");
        }
    }

    /**
     * {@return what a bench does one after the other}
     *
     * @param bench   its name
     * @param of      the experiment
     * @param trials  of it
     * @param minutes each task takes
     */
    public static List<Job> of(String bench, Declaration of, int trials, ToIntFunction<Task> minutes) {
        List<Job> jobs = new ArrayList<>();
        for (int trial = 1; trial <= trials; trial++) {
            for (Task task : of.tasks()) {
                if (task.in(trial, trials)) {
                    jobs.add(new Job(
                            key(bench, trial, task.key()),
                            bench,
                            trial,
                            task.key(),
                            of.words().get("task." + task.key()),
                            minutes.applyAsInt(task),
                            task.hands(),
                            task.gear(),
                            task.within()));
                }
            }
        }
        return jobs;
    }

    /**
     * {@return the name of a job}
     *
     * @param bench that does it
     * @param trial which, from 1
     * @param task  key of the task
     */
    public static String key(String bench, int trial, String task) {
        return trial + " " + task + " " + bench;
    }
}

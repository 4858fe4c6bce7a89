package lab.sassafras.rehearse;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.simulate.Bench;

/**
 * What the hands of a bench do at its simulated bench.
 *
 * @param second of the evening
 * @param bench  by name
 * @param trial  which, from 1
 * @param place  which of its trial: 0 begins it, then its touches in order
 * @param touch  what it is; that of the first touch where it begins the trial
 */
public record Act(int second, String bench, int trial, int place, Bench.Touch touch) {

    /** Nothing is done faster than that after the thing before (s). No source. */
    private static final double AT_LEAST = 5;

    /**
     * {@return what a bench does, in order: each touch within the task it belongs to, parted as its hands usually part
     * their time}
     *
     * @param rehearsal the evening
     * @param bench     by name
     * @param of        what it does
     * @param touches   of a trial, from 1
     */
    public static List<Act> of(
            Rehearsal rehearsal, String bench, Declaration of, IntFunction<List<Bench.Due>> touches) {
        List<Rehearsal.Went> all = rehearsal.went().stream()
                .filter(each -> each.bench().equals(bench))
                .toList();
        int trials = all.stream().mapToInt(Rehearsal.Went::trial).max().orElse(0);
        List<Act> acts = new ArrayList<>();
        for (int trial = 1; trial <= trials; trial++) {
            int which = trial;
            List<Rehearsal.Went> tasks =
                    all.stream().filter(each -> each.trial() == which).toList();
            acts.addAll(trial(tasks, trial, trials, of, touches.apply(trial)));
        }
        return acts;
    }

    private static List<Act> trial(
            List<Rehearsal.Went> tasks, int trial, int trials, Declaration of, List<Bench.Due> touches) {
        List<Act> acts = new ArrayList<>();
        int[] in = new int[touches.size()];
        int now = 0;
        for (int i = 0; i < in.length; i++) {
            now = Math.max(now, task(tasks, touches.get(i), trial, trials, of).orElse(now));
            in[i] = now;
        }
        Rehearsal.Went first = tasks.get(0);
        acts.add(new Act(first.from(), first.bench(), trial, 0, touches.get(0).touch()));
        for (int task = 0; task < tasks.size(); task++) {
            int which = task;
            int[] own =
                    IntStream.range(0, in.length).filter(i -> in[i] == which).toArray();
            double usually =
                    IntStream.of(own).mapToDouble(i -> usually(touches.get(i))).sum();
            double passed = 0;
            Rehearsal.Went went = tasks.get(task);
            for (int i : own) {
                passed += usually(touches.get(i));
                acts.add(new Act(
                        went.from() + (int) ((went.until() - went.from()) * passed / usually),
                        went.bench(),
                        trial,
                        i + 1,
                        touches.get(i).touch()));
            }
        }
        return acts;
    }

    private static double usually(Bench.Due due) {
        return Math.max(AT_LEAST, due.usually());
    }

    private static OptionalInt task(List<Rehearsal.Went> tasks, Bench.Due due, int trial, int trials, Declaration of) {
        return of.procedure().stream()
                .filter(step -> step.path().equals(due.touch().path()))
                .map(step -> of.task(step, trial, trials).key())
                .flatMapToInt(key -> IntStream.range(0, tasks.size())
                        .filter(i -> tasks.get(i).task().equals(key)))
                .findFirst();
    }
}

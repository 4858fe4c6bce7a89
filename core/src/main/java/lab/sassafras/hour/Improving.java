package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Gear;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Settings;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.exception.ContradictionException;
import org.chocosolver.solver.search.limits.FailCounter;
import org.chocosolver.solver.search.loop.lns.neighbors.IntNeighbor;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.search.strategy.selectors.values.IntDomainMin;
import org.chocosolver.solver.search.strategy.selectors.variables.Smallest;
import org.chocosolver.solver.variables.IntVar;
import org.chocosolver.solver.variables.Task;

/**
 * Takes a laid evening and looks for one that ends sooner: some benches are freed, all others hardly move, and the
 * constraint solver lays those anew. What it gives back keeps every rule, by the solver’s own propagation.
 */
final class Improving {

    /** Benches freed at once (no source; more make each search long, fewer find little). */
    private static final int FREED = 3;
    /** All others begin no later than they do, but for so much (min; no source). */
    private static final int SLACK = 8;
    /** So many dead ends, and others are freed. */
    private static final long DEAD_ENDS = 30;

    private final Evening evening;
    private final Map<String, Integer> starts;
    private final Model model = new Model("hour", Settings.init().setWarnUser(false));
    private final List<Job> jobs = new ArrayList<>();
    private final List<IntVar> begins = new ArrayList<>();

    private Improving(Evening evening, Map<String, Integer> starts) {
        this.evening = evening;
        this.starts = starts;
    }

    /**
     * {@return when each job begins (min), by its key, in the best evening found; the one given where none is better}
     *
     * @param starts  when each begins now
     * @param finish  when the last is done then (min)
     * @param least   before when nobody can be done (min)
     * @param effort  how long is looked
     */
    static Map<String, Integer> improve(
            Evening evening, Map<String, Integer> starts, int finish, int least, Scheduling.Effort effort) {
        return finish <= least ? starts : new Improving(evening, starts).improved(finish, least, effort);
    }

    private Map<String, Integer> improved(int finish, int least, Scheduling.Effort effort) {
        IntVar last = model.intVar("finish", least, finish - 1);
        evening.benches().values().forEach(each -> chain(each, last, finish));
        for (Gear gear : Gear.values()) {
            share(gear, finish);
        }
        IntVar[] all = begins.toArray(IntVar[]::new);
        Solver solver = model.getSolver();
        model.setObjective(Model.MINIMIZE, last);
        solver.setSearch(Search.intVarSearch(new Smallest(), new IntDomainMin(), all), Search.inputOrderLBSearch(last));
        Solution now = new Solution(model, all);
        for (int i = 0; i < all.length; i++) {
            now.setIntVal(all[i], starts.getOrDefault(jobs.get(i).key(), 0));
        }
        solver.setLNS(new Benches(all), new FailCounter(model, DEAD_ENDS), now);
        solver.limitNode(effort.nodes());
        solver.limitTime(effort.milliseconds());
        Map<String, Integer> best = new HashMap<>(starts);
        while (solver.solve()) {
            for (int i = 0; i < all.length; i++) {
                best.put(jobs.get(i).key(), all[i].getValue());
            }
        }
        return best;
    }

    private void chain(List<Job> of, IntVar last, int finish) {
        IntVar before = null;
        Job previous = null;
        int at = evening.now();
        for (Job job : of) {
            Evening.Stood stood = evening.stands().get(job.key());
            if (stood != null) {
                at = Math.max(at, stood.until());
                continue;
            }
            IntVar begin = begin(job, at, finish);
            if (before != null && previous != null) {
                model.arithm(begin, ">=", before, "+", previous.minutes()).post();
                if (previous.within().isPresent()) {
                    model.arithm(
                                    begin,
                                    "<=",
                                    before,
                                    "+",
                                    previous.minutes() + previous.within().getAsInt())
                            .post();
                }
            }
            jobs.add(job);
            begins.add(begin);
            before = begin;
            previous = job;
        }
        if (before != null && previous != null) {
            model.arithm(last, ">=", before, "+", previous.minutes()).post();
        }
    }

    private IntVar begin(Job job, int at, int finish) {
        Integer wanted = evening.moved().get(job.key());
        if (wanted != null) {
            return model.intVar(wanted);
        }
        int from = at;
        for (Gear gear : job.gear()) {
            from = Math.max(from, evening.ready().getOrDefault(gear, 0));
        }
        return model.intVar(from, Math.max(from, finish - job.minutes()));
    }

    private void share(Gear gear, int finish) {
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < jobs.size(); i++) {
            if (jobs.get(i).gear().contains(gear)) {
                tasks.add(model.taskVar(begins.get(i), jobs.get(i).minutes()));
            }
        }
        evening.benches()
                .values()
                .forEach(each -> each.forEach(job -> {
                    Evening.Stood stood = evening.stands().get(job.key());
                    if (stood != null && job.gear().contains(gear) && stood.until() > evening.now()) {
                        tasks.add(model.taskVar(
                                model.intVar(evening.now()), Math.min(finish, stood.until()) - evening.now()));
                    }
                }));
        int many = evening.many(gear);
        if (tasks.size() > many) {
            IntVar one = model.intVar(1);
            model.cumulative(
                            tasks.toArray(Task[]::new),
                            tasks.stream().map(any -> one).toArray(IntVar[]::new),
                            model.intVar(many))
                    .post();
        }
    }

    /** Frees a few benches, and has all others begin hardly later than they do. */
    private final class Benches extends IntNeighbor {

        private final SplittableRandom drawn = new SplittableRandom(1);
        private final List<String> names = List.copyOf(evening.benches().keySet());

        Benches(IntVar... all) {
            super(all);
        }

        @Override
        public void fixSomeVariables() throws ContradictionException {
            List<String> free = IntStream.range(0, FREED)
                    .mapToObj(any -> names.get(drawn.nextInt(names.size())))
                    .toList();
            for (int i = 0; i < variables.length; i++) {
                if (!free.contains(jobs.get(i).bench())) {
                    variables[i].updateUpperBound(values[i] + drawn.nextInt(SLACK), this);
                }
            }
        }
    }
}

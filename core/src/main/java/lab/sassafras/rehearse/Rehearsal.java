package lab.sassafras.rehearse;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.SplittableRandom;
import java.util.TreeSet;
import lab.sassafras.declaration.Gear;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Job;
import lab.sassafras.hour.Timetable;
import lab.sassafras.measure.Refused;

/**
 * An evening as people go through it who keep to its hour as well as they can: each task takes as long as it takes, and
 * whoever comes to shared gear that is taken waits for it, first come, first served.
 *
 * @param went what was done, as it was begun
 */
public record Rehearsal(List<Went> went) {

    private static final int MINUTE = 60;
    /** How much longer or shorter one task takes (one standard deviation of its logarithm). No source. */
    private static final double TASK = 0.2;
    /** How much faster or slower a bench is in all it does (as above). No source. */
    private static final double BENCH = 0.12;

    /**
     * A task that was done.
     *
     * @param bench  that did it
     * @param trial  which, from 1
     * @param task   key of the task
     * @param gear   it took, one of each
     * @param came   when the bench was there for it (s)
     * @param from   when it began, the gear being free (s)
     * @param until  when it was done (s)
     */
    public record Went(String bench, int trial, String task, List<Gear> gear, int came, int from, int until) {

        /**
         * Keeps copies of what could change.
         *
         * @param bench that did it
         * @param trial which, from 1
         * @param task  key of the task
         * @param gear  it took, one of each
         * @param came  when the bench was there for it (s)
         * @param from  when it began (s)
         * @param until when it was done (s)
         */
        public Went {
            gear = List.copyOf(gear);
        }
    }

    /**
     * Keeps copies of what could change.
     *
     * @param went what was done, as it was begun
     */
    public Rehearsal {
        went = List.copyOf(went);
    }

    /**
     * {@return how an evening goes}
     *
     * @param evening what is to be done, and with what
     * @param hour    by which its people go
     * @param seed    how long each takes follows from it
     */
    public static Rehearsal of(Evening evening, Timetable hour, long seed) {
        return new Going(evening, hour, seed).gone();
    }

    /** {@return when all is done (s)} */
    public int finish() {
        return went.stream().mapToInt(Went::until).max().orElse(0);
    }

    /**
     * {@return when a bench is done (s)}
     *
     * @param bench by name
     */
    public int done(String bench) {
        return went.stream()
                .filter(each -> each.bench().equals(bench))
                .mapToInt(Went::until)
                .max()
                .orElse(0);
    }

    /**
     * {@return who waits for some gear, as they came}
     *
     * @param gear   that is shared
     * @param second of the evening
     */
    public List<Went> waiting(Gear gear, int second) {
        return went.stream()
                .filter(each -> each.gear().contains(gear) && each.came() <= second && second < each.from())
                .sorted(Comparator.comparingInt(Went::came))
                .toList();
    }

    /**
     * {@return who has some gear}
     *
     * @param gear   that is shared
     * @param second of the evening
     */
    public List<Went> at(Gear gear, int second) {
        return went.stream()
                .filter(each -> each.gear().contains(gear) && each.from() <= second && second < each.until())
                .toList();
    }

    /**
     * How some gear was waited for.
     *
     * @param seconds that all waited together (s)
     * @param longest most that waited at once
     * @param when    that was first so (s)
     */
    public record Queue(int seconds, int longest, int when) {}

    /**
     * {@return how some gear was waited for}
     *
     * @param gear that is shared
     */
    public Queue queue(Gear gear) {
        List<Went> all =
                went.stream().filter(each -> each.gear().contains(gear)).toList();
        int longest = 0;
        int when = 0;
        for (int second : new TreeSet<>(all.stream().map(Went::came).toList())) {
            int many = waiting(gear, second).size();
            if (many > longest) {
                longest = many;
                when = second;
            }
        }
        return new Queue(
                all.stream().mapToInt(each -> each.from() - each.came()).sum(), longest, when);
    }

    /** Who comes next, and for what. */
    private record Comes(int second, int place, String bench, int job) {}

    /** Goes through it. */
    private static final class Going {

        private final Evening evening;
        private final long seed;
        private final Map<String, Integer> planned = new HashMap<>();
        private final Map<Gear, PriorityQueue<Integer>> free = new EnumMap<>(Gear.class);
        private final PriorityQueue<Comes> coming =
                new PriorityQueue<>(Comparator.comparingInt(Comes::second).thenComparingInt(Comes::place));
        private final List<Went> went = new ArrayList<>();

        Going(Evening evening, Timetable hour, long seed) {
            this.evening = evening;
            this.seed = seed;
            hour.laid().forEach(each -> planned.put(each.job().key(), each.from() * MINUTE));
            evening.has().forEach((gear, many) -> {
                PriorityQueue<Integer> each = new PriorityQueue<>();
                for (int i = 0; i < many; i++) {
                    each.add(evening.ready().getOrDefault(gear, 0) * MINUTE);
                }
                free.put(gear, each);
            });
        }

        Rehearsal gone() {
            int place = 0;
            for (String bench : evening.benches().keySet()) {
                comes(bench, place++, 0, 0);
            }
            while (!coming.isEmpty()) {
                Comes next = coming.remove();
                comes(next.bench(), next.place(), next.job() + 1, does(next));
            }
            return new Rehearsal(went);
        }

        private List<Job> jobs(String bench) {
            return evening.benches().getOrDefault(bench, List.of());
        }

        private void comes(String bench, int place, int job, int ready) {
            if (job < jobs(bench).size()) {
                int by = planned.getOrDefault(jobs(bench).get(job).key(), 0);
                coming.add(new Comes(Math.max(ready, by), place, bench, job));
            }
        }

        private int does(Comes who) {
            Job job = jobs(who.bench()).get(who.job());
            int from = who.second();
            for (Gear gear : job.gear()) {
                PriorityQueue<Integer> pieces = free.get(gear);
                from = Math.max(from, pieces == null || pieces.isEmpty() ? from : pieces.remove());
            }
            int until = from + takes(job);
            for (Gear gear : job.gear()) {
                free.computeIfPresent(gear, (any, pieces) -> {
                    pieces.add(until);
                    return pieces;
                });
            }
            went.add(new Went(
                    job.bench(),
                    job.trial(),
                    job.task(),
                    job.gear().stream().sorted().toList(),
                    who.second(),
                    from,
                    until));
            return until;
        }

        /** What goes by itself takes its time; hands take theirs. */
        private int takes(Job job) {
            double slower = job.hands() == 0
                    ? 0
                    : BENCH * drawn(job.bench()).nextGaussian()
                            + TASK * drawn(job.key()).nextGaussian();
            return Math.max(1, (int) Math.round(job.minutes() * MINUTE * Math.exp(slower)));
        }

        private SplittableRandom drawn(String what) {
            return new SplittableRandom(seed * 0x9E3779B97F4A7C15L ^ what.hashCode() * 0xC2B2AE3D27D4EB4FL);
        }
    }

    /**
     * {@return what goes wrong at which bench: each at another, spread over the room}
     *
     * @param benches that come
     * @param slips   keys of what goes wrong
     * @throws Refused where there are more of them than benches
     */
    public static Map<String, String> spread(List<String> benches, List<String> slips) {
        if (slips.size() > benches.size()) {
            throw new Refused("One thing goes wrong at a bench: choose at most " + benches.size() + ".");
        }
        Map<String, String> spread = new LinkedHashMap<>();
        for (int i = 0; i < slips.size(); i++) {
            spread.put(benches.get(i * benches.size() / slips.size()), slips.get(i));
        }
        return spread;
    }
}

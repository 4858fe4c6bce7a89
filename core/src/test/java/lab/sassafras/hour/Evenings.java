package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import lab.sassafras.declaration.Gear;
import lab.sassafras.measure.Refused;

/** Evenings drawn by a seed, some whose best end is known, and a look at what was made of them. */
public final class Evenings {

    private Evenings() {}

    /** What {@code ./bench hour} prints: how close to what could be, and how long it took. */
    public static void main(String[] arguments) {
        int seeds = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 500;
        Scheduling.of(large(0), Scheduling.Effort.FULL);
        for (int seed = 1; seed <= 5; seed++) {
            print("12 benches, 3 trials, 8 tasks, seed " + seed, large(seed), 0);
        }
        print("two machines one after the other, by Johnson’s rule", twoMachines(), johnson(twoMachines()));
        print("three, the second never in the way, by Johnson’s rule", threeMachines(), johnson(threeMachines()));
        print("cut out of a full evening of 120 min", cut(), CUT);
        int impossible = 0;
        double worst = 0;
        double sum = 0;
        for (int seed = 0; seed < seeds; seed++) {
            try {
                Evening evening = drawn(seed);
                Timetable timetable = Scheduling.of(evening, Scheduling.Effort.FULL);
                List<String> wrong = wrong(evening, timetable);
                if (!wrong.isEmpty()) {
                    System.out.println("seed " + seed + ": " + wrong);
                }
                double over = (double) timetable.finish() / timetable.bound() - 1;
                worst = Math.max(worst, over);
                sum += over;
            } catch (Refused said) {
                impossible++;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%d evenings drawn: %d said to be impossible; over the bound %.1f %% on the average, %.1f %% at most%n",
                seeds,
                impossible,
                100 * sum / Math.max(1, seeds - impossible),
                100 * worst);
    }

    private static void print(String words, Evening evening, int best) {
        long begins = System.nanoTime();
        Timetable laid = Scheduling.of(evening, new Scheduling.Effort(Scheduling.Effort.FULL.layings(), 0, 0));
        double lays = (System.nanoTime() - begins) / 1e9;
        long began = System.nanoTime();
        Timetable timetable = Scheduling.of(evening, Scheduling.Effort.FULL);
        double took = (System.nanoTime() - began) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "%-55s %d min (laid %d, %.2f s), bound %d (%+.1f %%)%s, %.2f s, %s%n",
                words,
                timetable.finish(),
                laid.finish(),
                lays,
                timetable.bound(),
                100.0 * (timetable.finish() - timetable.bound()) / timetable.bound(),
                best == 0
                        ? ""
                        : String.format(
                                Locale.ROOT, ", best %d (%+.1f %%)", best, 100.0 * (timetable.finish() - best) / best),
                took,
                wrong(evening, timetable));
    }

    /** {@return what is wrong with a timetable, found by looking at each minute of it} */
    static List<String> wrong(Evening evening, Timetable timetable) {
        List<String> wrong = new ArrayList<>();
        Map<String, Timetable.Laid> by = new HashMap<>();
        timetable.laid().forEach(each -> by.put(each.job().key(), each));
        evening.benches().forEach((bench, jobs) -> {
            int free = 0;
            OptionalInt most = OptionalInt.empty();
            for (Job job : jobs) {
                Timetable.Laid laid = by.get(job.key());
                if (laid == null || laid.from() < free || laid.until() - laid.from() != job.minutes()) {
                    wrong.add(job.key() + " is not where it can be");
                    return;
                }
                if (most.isPresent() && laid.from() > most.getAsInt()) {
                    wrong.add(job.key() + " waits too long");
                }
                if (evening.moved().containsKey(job.key())
                        && !evening.moved().get(job.key()).equals(laid.from())) {
                    wrong.add(job.key() + " is not where it was moved");
                }
                for (Gear gear : job.gear()) {
                    if (laid.from() < evening.ready().getOrDefault(gear, 0)) {
                        wrong.add(job.key() + " before it is hot");
                    }
                }
                free = laid.until();
                most = job.within().isPresent()
                        ? OptionalInt.of(free + job.within().getAsInt())
                        : OptionalInt.empty();
            }
        });
        for (Gear gear : Gear.values()) {
            for (int minute = 0; minute < timetable.finish(); minute++) {
                int now = minute;
                List<Timetable.Laid> at = timetable.laid().stream()
                        .filter(each -> each.job().gear().contains(gear) && each.from() <= now && now < each.until())
                        .toList();
                if (at.size() > evening.has().getOrDefault(gear, Integer.MAX_VALUE)
                        || evening.has().containsKey(gear)
                                && at.stream()
                                                .map(each -> each.on().get(gear))
                                                .distinct()
                                                .count()
                                        < at.size()) {
                    wrong.add(gear + " is double-booked at " + minute);
                }
            }
        }
        return wrong;
    }

    private static Job job(String bench, int trial, String task, int minutes, OptionalInt within, Gear... gear) {
        return new Job(Job.key(bench, trial, task), bench, trial, task, task, minutes, 1, Set.of(gear), within);
    }

    /** Twelve benches, three trials of eight tasks each, with one balance less than would be comfortable. */
    static Evening large(int seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Map<String, List<Job>> benches = new LinkedHashMap<>();
        for (int b = 1; b <= 12; b++) {
            List<Job> jobs = new ArrayList<>();
            for (int trial = 1; trial <= 3; trial++) {
                for (int task = 1; task <= 8; task++) {
                    int minutes = 2 + random.nextInt(6);
                    Gear[] gear = switch (task) {
                        case 1, 7 -> new Gear[] {Gear.BALANCE};
                        case 3 -> new Gear[] {Gear.HOT_PLATE};
                        case 5 -> new Gear[] {Gear.PROBE};
                        default -> new Gear[0];
                    };
                    jobs.add(job(
                            "Bench " + b,
                            trial,
                            "task-" + task,
                            task == 3 ? 8 + random.nextInt(4) : minutes,
                            task == 3 ? OptionalInt.of(2) : OptionalInt.empty(),
                            gear));
                }
            }
            benches.put("Bench " + b, jobs);
        }
        return Evening.of(
                benches, 2, Map.of(Gear.BALANCE, 2, Gear.HOT_PLATE, 3, Gear.PROBE, 4), Map.of(Gear.HOT_PLATE, 10), 240);
    }

    /** Any evening: few or many benches, much or little gear, tight or loose waits; of some nothing can be made. */
    static Evening drawn(int seed) {
        SplittableRandom random = new SplittableRandom(1000L + seed);
        Map<Gear, Integer> has = new HashMap<>();
        Map<Gear, Integer> ready = new HashMap<>();
        for (Gear gear : Gear.values()) {
            if (random.nextInt(3) > 0) {
                has.put(gear, random.nextInt(20) == 0 ? 0 : 1 + random.nextInt(3));
            }
            if (random.nextInt(3) == 0) {
                ready.put(gear, random.nextInt(30));
            }
        }
        int trials = 1 + random.nextInt(3);
        Map<String, List<Job>> benches = new LinkedHashMap<>();
        int many = 1 + random.nextInt(9);
        for (int b = 1; b <= many; b++) {
            List<Job> jobs = new ArrayList<>();
            for (int trial = 1; trial <= trials; trial++) {
                int tasks = 1 + random.nextInt(6);
                for (int task = 1; task <= tasks; task++) {
                    Gear[] gear = random.nextInt(2) == 0
                            ? new Gear[0]
                            : new Gear[] {Gear.values()[random.nextInt(Gear.values().length)]};
                    OptionalInt within =
                            random.nextInt(3) == 0 ? OptionalInt.of(random.nextInt(10)) : OptionalInt.empty();
                    jobs.add(job("Bench " + b, trial, "task-" + task, 1 + random.nextInt(15), within, gear));
                }
            }
            benches.put("Bench " + b, jobs);
        }
        return Evening.of(benches, 2, has, ready, 180);
    }

    private static final int[][] TWO = {
        {4, 11}, {9, 3}, {6, 8}, {2, 7}, {12, 5}, {5, 5}, {8, 10}, {3, 2}, {7, 9}, {10, 6}
    };
    private static final int[][] THREE = {
        {9, 3, 7}, {8, 2, 10}, {11, 4, 5}, {8, 5, 12}, {13, 1, 6}, {10, 5, 9}, {12, 2, 4}, {9, 4, 8}
    };

    static Evening twoMachines() {
        return flow(TWO, Gear.BALANCE, Gear.HOT_PLATE);
    }

    static Evening threeMachines() {
        return flow(THREE, Gear.BALANCE, Gear.HOT_PLATE, Gear.PROBE);
    }

    private static Evening flow(int[][] minutes, Gear... machines) {
        Map<String, List<Job>> benches = new LinkedHashMap<>();
        Map<Gear, Integer> one = new HashMap<>();
        for (int b = 0; b < minutes.length; b++) {
            List<Job> jobs = new ArrayList<>();
            for (int m = 0; m < machines.length; m++) {
                one.put(machines[m], 1);
                jobs.add(job("Bench " + b, 1, "task-" + m, minutes[b][m], OptionalInt.empty(), machines[m]));
            }
            benches.put("Bench " + b, jobs);
        }
        return Evening.of(benches, 1, one, Map.of(), 240);
    }

    /**
     * The best end of jobs that go through two machines, or three of which the second is never waited for: S. M.
     * Johnson, Naval Research Logistics Quarterly 1 (1954) 61–68, from memory.
     */
    static int johnson(Evening evening) {
        List<int[]> all = new ArrayList<>();
        evening.benches()
                .values()
                .forEach(jobs -> all.add(jobs.stream().mapToInt(Job::minutes).toArray()));
        Comparator<int[]> rule = Comparator.comparingInt(each -> {
            int first = each.length == 2 ? each[0] : each[0] + each[1];
            int second = each.length == 2 ? each[1] : each[1] + each[2];
            return first < second ? first : 10_000 - second;
        });
        all.sort(rule);
        int[] free = new int[all.get(0).length];
        for (int[] each : all) {
            int at = 0;
            for (int m = 0; m < free.length; m++) {
                at = Math.max(at, free[m]) + each[m];
                free[m] = at;
            }
        }
        return free[free.length - 1];
    }

    static final int CUT = 120;

    /** Two balances that are never idle in two hours, cut into what eight benches do: no sooner end can be. */
    static Evening cut() {
        Map<String, List<Job>> benches = new LinkedHashMap<>();
        for (int b = 0; b < 8; b++) {
            String bench = "Bench " + b;
            List<Job> jobs = new ArrayList<>();
            for (int trial = 1; trial <= 2; trial++) {
                jobs.add(job(bench, trial, "weigh", 7 + b % 2, OptionalInt.empty(), Gear.BALANCE));
                jobs.add(job(bench, trial, "mix", 3 + b % 3, OptionalInt.empty()));
                jobs.add(job(bench, trial, "again", 8 - b % 2, OptionalInt.empty(), Gear.BALANCE));
            }
            benches.put(bench, jobs);
        }
        return Evening.of(benches, 1, Map.of(Gear.BALANCE, 2), Map.of(), 240);
    }
}

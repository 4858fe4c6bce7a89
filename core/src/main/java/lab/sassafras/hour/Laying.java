package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Gear;
import lab.sassafras.measure.Refused;

/**
 * Lays one job after the other where there is room for it, jobs that may not wait for each other together. What is laid
 * stays; which bench comes next is drawn, so that several layings differ.
 */
final class Laying {

    /** How much a bench is preferred for each minute that is left of its work, at most (no source). */
    private static final double EAGER = 0.5;
    /** What is drawn beside that (min). */
    private static final double STRAY = 8;

    private final Evening evening;
    private final Map<Gear, int[]> taken = new EnumMap<>(Gear.class);
    private final Map<String, Integer> starts = new HashMap<>();
    private final Map<String, List<List<Job>>> left = new LinkedHashMap<>();
    private final Map<String, Integer> free = new HashMap<>();

    private Laying(Evening evening) {
        this.evening = evening;
        for (Gear gear : Gear.values()) {
            taken.put(gear, new int[Evening.DAY + Job.LONGEST]);
        }
        evening.benches().forEach((bench, jobs) -> {
            free.put(bench, evening.now());
            left.put(bench, together(jobs));
        });
    }

    /**
     * {@return when each job begins (min), by its key}
     *
     * @param before when each began in the best laying before, in about whose order they are laid; none where each
     *               bench goes on as soon as it can
     * @param drawn  what is drawn by; where nothing was laid before, nothing is
     * @throws Refused where somebody moved a job to where it cannot be, or it takes more than a day
     */
    static Map<String, Integer> lay(Evening evening, Map<String, Integer> before, SplittableRandom drawn) {
        Laying laying = new Laying(evening);
        laying.reserve();
        laying.moved();
        if (before.isEmpty()) {
            laying.rest(0, 0, drawn);
        } else if (drawn.nextInt(4) == 0) {
            laying.rest(drawn.nextDouble() * EAGER, drawn.nextDouble() * STRAY, drawn);
        } else {
            laying.inOrder(before, drawn.nextDouble() * STRAY, drawn);
        }
        return laying.starts;
    }

    /** Lays pieces in about the order they were in before: what then is in the way of what changes a little. */
    private void inOrder(Map<String, Integer> before, double stray, SplittableRandom drawn) {
        Map<List<Job>, Double> rank = new IdentityHashMap<>();
        List<List<Job>> all = new ArrayList<>();
        left.values().forEach(pieces -> {
            double least = 0;
            for (List<Job> piece : pieces) {
                least = Math.max(
                        least, before.getOrDefault(piece.get(0).key(), 0) + stray * (2 * drawn.nextDouble() - 1));
                rank.put(piece, least);
                all.add(piece);
            }
        });
        all.sort(Comparator.comparingDouble(piece -> rank.getOrDefault(piece, 0.0)));
        all.forEach(piece -> put(piece, place(piece)));
    }

    /** Jobs of a bench in pieces within which nothing waits longer than it may; what stands is left out. */
    private List<List<Job>> together(List<Job> jobs) {
        List<List<Job>> pieces = new ArrayList<>();
        boolean bound = false;
        for (Job job : jobs) {
            Evening.Stood stood = evening.stands().get(job.key());
            if (stood != null) {
                free.merge(job.bench(), stood.until(), Math::max);
                bound = false;
                continue;
            }
            if (!bound || pieces.isEmpty()) {
                pieces.add(new ArrayList<>());
            }
            pieces.get(pieces.size() - 1).add(job);
            bound = job.within().isPresent();
        }
        return pieces;
    }

    /** What stands, and what somebody moved, takes its gear before anything is laid. */
    private void reserve() {
        for (List<Job> jobs : evening.benches().values()) {
            for (Job job : jobs) {
                Evening.Stood stood = evening.stands().get(job.key());
                Integer wanted = evening.moved().get(job.key());
                if (stood != null) {
                    take(job, stood.from(), stood.until());
                } else if (wanted != null) {
                    allowed(job, wanted);
                    take(job, wanted, wanted + job.minutes());
                }
            }
        }
    }

    private void allowed(Job job, int wanted) {
        if (wanted < evening.now() || wanted > Evening.DAY - job.minutes()) {
            throw new Refused(spoken(job) + " cannot begin "
                    + (wanted < evening.now() ? "in the past." : "more than a day later."));
        }
        for (Gear gear : job.gear()) {
            int ready = evening.ready().getOrDefault(gear, 0);
            if (wanted < ready) {
                throw new Refused(
                        spoken(job) + " cannot begin before the " + gear.word() + " is hot, after " + ready + " min.");
            }
            for (int minute = wanted; minute < wanted + job.minutes(); minute++) {
                if (taken(gear)[minute] >= evening.many(gear)) {
                    throw new Refused(spoken(job) + " cannot begin then: "
                            + (evening.many(gear) == 1 ? "the " + gear.word() + " is" : "all " + gear.words() + " are")
                            + " taken by what stands there.");
                }
            }
        }
    }

    private static String spoken(Job job) {
        return "“" + job.words() + "” of " + job.bench() + ", trial " + job.trial() + ",";
    }

    private int[] taken(Gear gear) {
        return Objects.requireNonNull(taken.get(gear));
    }

    private void take(Job job, int from, int until) {
        for (Gear gear : job.gear()) {
            int[] of = taken(gear);
            for (int minute = Math.max(0, from); minute < Math.min(until, of.length); minute++) {
                of[minute]++;
            }
        }
    }

    /** Benches of which somebody moved a job go first, as far as that job. */
    private void moved() {
        left.forEach((bench, pieces) -> {
            int last = IntStream.range(0, pieces.size())
                    .filter(i -> pieces.get(i).stream()
                            .anyMatch(job -> evening.moved().containsKey(job.key())))
                    .max()
                    .orElse(-1);
            for (int i = 0; i <= last; i++) {
                put(pieces.get(0), place(pieces.get(0)));
                pieces.remove(0);
            }
        });
    }

    private void rest(double eager, double stray, SplittableRandom drawn) {
        Map<String, int[]> next = new HashMap<>();
        while (true) {
            String best = "";
            double earliest = Double.POSITIVE_INFINITY;
            for (Map.Entry<String, List<List<Job>>> each : left.entrySet()) {
                if (each.getValue().isEmpty()) {
                    continue;
                }
                int[] at = next.computeIfAbsent(
                        each.getKey(), any -> place(each.getValue().get(0)));
                double rank = at[0]
                        - eager * minutes(each.getValue())
                        + (stray > 0 ? stray * drawn.nextDouble() : -0.001 * minutes(each.getValue()));
                if (rank < earliest) {
                    earliest = rank;
                    best = each.getKey();
                }
            }
            if (best.isEmpty()) {
                return;
            }
            List<Job> piece = left.getOrDefault(best, List.of()).remove(0);
            put(piece, next.getOrDefault(best, new int[0]));
            next.remove(best);
            // what others were about to take may be taken now
            next.values()
                    .removeIf(any -> piece.stream().anyMatch(job -> !job.gear().isEmpty()));
        }
    }

    private static int minutes(List<List<Job>> pieces) {
        return pieces.stream().flatMap(List::stream).mapToInt(Job::minutes).sum();
    }

    private void put(List<Job> piece, int[] at) {
        for (int i = 0; i < at.length; i++) {
            Job job = piece.get(i);
            starts.put(job.key(), at[i]);
            if (!evening.moved().containsKey(job.key())) {
                take(job, at[i], at[i] + job.minutes());
            }
            free.put(job.bench(), at[i] + job.minutes());
        }
    }

    /** Where a piece can be at the earliest: each job where there is gear for it, none waiting longer than it may. */
    private int[] place(List<Job> piece) {
        int[] at = new int[piece.size()];
        int[] least = new int[piece.size()];
        Arrays.fill(least, free.getOrDefault(piece.get(0).bench(), 0));
        for (int i = 0; i < at.length; ) {
            Job job = piece.get(i);
            int from = i == 0
                    ? least[0]
                    : Math.max(least[i], at[i - 1] + piece.get(i - 1).minutes());
            at[i] = fit(job, from);
            if (i > 0) {
                Job before = piece.get(i - 1);
                int most = at[i - 1] + before.minutes() + before.within().orElse(Evening.DAY);
                if (at[i] > most) {
                    least[i - 1] = at[i] - before.within().orElse(0) - before.minutes();
                    i--;
                    continue;
                }
            }
            i++;
        }
        return at;
    }

    /** The first minute from which there is gear for all of a job. */
    private int fit(Job job, int from) {
        Integer wanted = evening.moved().get(job.key());
        if (wanted != null) {
            if (wanted < from) {
                throw new Refused(spoken(job) + " cannot begin then: what comes before it takes " + (from - wanted)
                        + " min longer.");
            }
            return wanted;
        }
        int at = from;
        for (Gear gear : job.gear()) {
            at = Math.max(at, evening.ready().getOrDefault(gear, 0));
        }
        for (int free = free(job, at); free > at; free = free(job, at)) {
            at = free;
        }
        if (at + job.minutes() > Evening.DAY) {
            throw new Refused("This takes more than a day.");
        }
        return at;
    }

    /** The minute after the last one of a job that is taken already; its first where none is. */
    private int free(Job job, int at) {
        int free = at;
        for (Gear gear : job.gear()) {
            int[] of = taken(gear);
            int many = evening.many(gear);
            for (int minute = Math.min(at + job.minutes(), of.length) - 1; minute >= free; minute--) {
                if (of[minute] >= many) {
                    free = minute + 1;
                }
            }
        }
        return free;
    }
}

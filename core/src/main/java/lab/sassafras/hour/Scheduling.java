package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import lab.sassafras.declaration.Gear;
import lab.sassafras.measure.Refused;

/** Makes a timetable of an evening: the same one each time it is asked. */
public final class Scheduling {

    private Scheduling() {}

    /**
     * How long is looked for a better one.
     *
     * @param layings      tried one after the other
     * @param nodes        the solver looks at, at most
     * @param milliseconds the solver may take, at most; so few nodes are looked at that it takes less
     */
    public record Effort(int layings, long nodes, long milliseconds) {

        /** For a timetable that is kept. */
        public static final Effort FULL = new Effort(200, 8_000, 1_500);
        /** For one that is only compared. */
        public static final Effort QUICK = new Effort(60, 0, 0);
    }

    /**
     * {@return when everything is done}
     *
     * @param evening what is to be done, and with what
     * @param effort  how long is looked
     * @throws Refused where somebody moved a job to where it cannot be, or it takes more than a day
     */
    public static Timetable of(Evening evening, Effort effort) {
        Bound bound = Bound.of(evening);
        SplittableRandom drawn = new SplittableRandom(1);
        Map<String, Integer> best = Laying.lay(evening, Map.of(), drawn);
        int finish = finish(evening, best);
        for (int round = 1; round < effort.layings() && finish > bound.minutes(); round++) {
            Map<String, Integer> other = Laying.lay(evening, best, drawn);
            if (finish(evening, other) <= finish) {
                best = other;
                finish = finish(evening, best);
            }
        }
        if (effort.nodes() > 0) {
            best = Improving.improve(evening, best, finish, bound.minutes(), effort);
        }
        return timetable(evening, best, bound);
    }

    private static int finish(Evening evening, Map<String, Integer> starts) {
        int finish = 0;
        for (List<Job> jobs : evening.benches().values()) {
            for (Job job : jobs) {
                Evening.Stood stood = evening.stands().get(job.key());
                finish = Math.max(
                        finish, stood != null ? stood.until() : starts.getOrDefault(job.key(), 0) + job.minutes());
            }
        }
        return finish;
    }

    private static Timetable timetable(Evening evening, Map<String, Integer> starts, Bound bound) {
        List<Timetable.Laid> laid = new ArrayList<>();
        for (List<Job> jobs : evening.benches().values()) {
            for (Job job : jobs) {
                Evening.Stood stood = evening.stands().get(job.key());
                int from = stood != null ? stood.from() : starts.getOrDefault(job.key(), 0);
                laid.add(new Timetable.Laid(job, from, stood != null ? stood.until() : from + job.minutes(), Map.of()));
            }
        }
        laid.sort(Timetable.IN_TIME);
        return new Timetable(pieces(evening, laid), finish(evening, starts), bound.minutes(), bound.holds());
    }

    /** Which piece of its gear each takes: the first that is free; of what stands there may be none. */
    private static List<Timetable.Laid> pieces(Evening evening, List<Timetable.Laid> laid) {
        Map<Gear, List<Integer>> free = new EnumMap<>(Gear.class);
        List<Timetable.Laid> all = new ArrayList<>();
        for (Timetable.Laid each : laid) {
            Map<Gear, Integer> on = new HashMap<>();
            for (Gear gear : each.job().gear()) {
                if (evening.has().containsKey(gear)) {
                    List<Integer> until = free.computeIfAbsent(gear, any -> new ArrayList<>());
                    int piece = 0;
                    while (piece < until.size() && until.get(piece) > each.from()) {
                        piece++;
                    }
                    if (piece == until.size()) {
                        until.add(0);
                    }
                    until.set(piece, each.until());
                    on.put(gear, piece + 1);
                }
            }
            all.add(new Timetable.Laid(each.job(), each.from(), each.until(), Map.copyOf(on)));
        }
        return all;
    }

    /**
     * What would bring an evening to an earlier end.
     *
     * @param words  what is changed, such as “one more balance”
     * @param finish when all would be done (min)
     */
    public record Sooner(String words, int finish) {}

    /**
     * {@return what would bring it to an earlier end, the soonest first}
     *
     * @param evening as it is
     * @param now     its timetable
     * @param fewer   the same with one trial fewer; the same evening where it has but one
     */
    public static List<Sooner> sooner(Evening evening, Timetable now, Evening fewer) {
        List<Sooner> all = new ArrayList<>();
        for (Gear gear : evening.has().keySet().stream().sorted().collect(Collectors.toList())) {
            all.add(new Sooner(
                    "one more " + gear.word(),
                    of(evening.more(gear), Effort.QUICK).finish()));
        }
        all.add(new Sooner("one trial fewer", of(fewer, Effort.QUICK).finish()));
        return all.stream()
                .filter(each -> each.finish() < now.finish())
                .sorted((one, other) -> Integer.compare(one.finish(), other.finish()))
                .toList();
    }
}

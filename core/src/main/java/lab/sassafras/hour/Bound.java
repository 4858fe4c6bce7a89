package lab.sassafras.hour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.declaration.Gear;

/**
 * Before when nobody could be done: no bench before its own work, and no gear before all that is done at it, begun as
 * early as any bench comes to it and followed by what is left at least; of all of it, or of what comes late and leaves
 * much.
 *
 * @param minutes from the beginning (min)
 * @param holds   the gear it comes from; empty where it is the work of one bench
 */
record Bound(int minutes, Optional<Gear> holds) {

    static Bound of(Evening evening) {
        Bound bound = new Bound(0, Optional.empty());
        for (List<Job> jobs : evening.benches().values()) {
            bound = bound.or(new Bound(alone(evening, jobs), Optional.empty()));
        }
        for (Gear gear : Gear.values()) {
            bound = bound.or(new Bound(shared(evening, gear), Optional.of(gear)));
        }
        return bound;
    }

    private Bound or(Bound other) {
        return other.minutes > minutes ? other : this;
    }

    /** When a bench would be done that had everything for itself. */
    private static int alone(Evening evening, List<Job> jobs) {
        int at = 0;
        for (Job job : jobs) {
            at = after(evening, job, at);
        }
        return at;
    }

    private static int after(Evening evening, Job job, int at) {
        Evening.Stood stood = evening.stands().get(job.key());
        if (stood != null) {
            return Math.max(at, stood.until());
        }
        int begins = Math.max(at, evening.now());
        for (Gear gear : job.gear()) {
            begins = Math.max(begins, evening.ready().getOrDefault(gear, 0));
        }
        return Math.max(begins, evening.moved().getOrDefault(job.key(), 0)) + job.minutes();
    }

    /**
     * What is done at a piece of gear: not before the work of its bench comes to it, and what the bench has left comes
     * after it.
     */
    private record Use(int head, int minutes, int tail) {}

    private static int shared(Evening evening, Gear gear) {
        List<Use> uses = new ArrayList<>();
        for (List<Job> jobs : evening.benches().values()) {
            int left = 0;
            for (Job job : jobs) {
                left += evening.stands().containsKey(job.key()) ? 0 : job.minutes();
            }
            int at = 0;
            for (Job job : jobs) {
                at = after(evening, job, at);
                if (!evening.stands().containsKey(job.key())) {
                    left -= job.minutes();
                    if (job.gear().contains(gear)) {
                        uses.add(new Use(at - job.minutes(), job.minutes(), left));
                    }
                }
            }
        }
        return best(uses, evening.many(gear));
    }

    /** Of any of them that begin late and leave much: when the first of them begins, all of them, what is left then. */
    private static int best(List<Use> uses, int many) {
        uses.sort(Comparator.comparingInt(Use::tail).reversed());
        int bound = 0;
        for (int head : uses.stream().mapToInt(Use::head).distinct().toArray()) {
            int all = 0;
            for (Use use : uses) {
                if (use.head() >= head) {
                    all += use.minutes();
                    bound = Math.max(bound, head + (all + many - 1) / many + use.tail());
                }
            }
        }
        return bound;
    }
}

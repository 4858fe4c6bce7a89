package lab.sassafras.hour;

import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.declaration.Gear;
import lab.sassafras.measure.Refused;

/**
 * What is to be done in an evening, and with what.
 *
 * @param benches by name, what each does one after the other
 * @param people  to a bench
 * @param has     how many of each shared gear there are; of one that is not named, enough for all
 * @param ready   from when on it can be used, as a bath once it is hot (min)
 * @param length  of the evening (min)
 * @param moved   when a job is to begin because somebody wants so (min), by its key
 * @param stands  what was begun or done already, by its key
 * @param now     nothing else begins before (min)
 */
public record Evening(
        Map<String, List<Job>> benches,
        int people,
        Map<Gear, Integer> has,
        Map<Gear, Integer> ready,
        int length,
        Map<String, Integer> moved,
        Map<String, Stood> stands,
        int now) {

    /** Most benches of an evening. */
    public static final int MOST_BENCHES = 64;
    /** Most people to a bench. */
    public static final int MOST_PEOPLE = 6;
    /** Most pieces of one kind of gear. */
    public static final int MOST_GEAR = 64;
    /** Nothing is planned further ahead (min). */
    public static final int DAY = 1440;

    /** From when until when something was, or will have been, done (min). */
    public record Stood(int from, int until) {}

    /**
     * Keeps copies of what could change.
     *
     * @param benches by name, what each does one after the other
     * @param people  to a bench
     * @param has     how many of each shared gear there are
     * @param ready   from when on it can be used (min)
     * @param length  of the evening (min)
     * @param moved   when a job is to begin because somebody wants so (min)
     * @param stands  what was begun or done already
     * @param now     nothing else begins before (min)
     * @throws Refused where nobody could do it, with what is lacking
     */
    public Evening {
        benches = Collections.unmodifiableMap(new LinkedHashMap<>(benches));
        has = Map.copyOf(has);
        ready = Map.copyOf(ready);
        moved = Map.copyOf(moved);
        stands = Map.copyOf(stands);
        if (benches.isEmpty()) {
            throw new Refused("There is no bench to plan the hour for.");
        }
        if (benches.size() > MOST_BENCHES) {
            throw new Refused("An hour is planned for at most " + MOST_BENCHES + " benches.");
        }
        within("people to a bench", people, MOST_PEOPLE);
        for (List<Job> jobs : benches.values()) {
            for (Job job : jobs) {
                possible(job, people, has);
            }
        }
    }

    private static void within(String what, int many, int most) {
        if (many < 1 || many > most) {
            throw new Refused("Say how many " + what + " there are, from 1 to " + most + ".");
        }
    }

    private static void possible(Job job, int people, Map<Gear, Integer> has) {
        if (job.hands() > people) {
            throw new Refused(
                    "“" + job.words() + "” takes " + job.hands() + " people, and a bench has " + people + ".");
        }
        for (Gear gear : job.gear()) {
            if (has.getOrDefault(gear, 1) < 1) {
                throw new Refused("There is no " + gear.word() + ", and “" + job.words() + "” needs one.");
            }
        }
    }

    /**
     * {@return an evening nobody moved anything in, and in which nothing was done yet}
     *
     * @param benches by name, what each does one after the other
     * @param people  to a bench
     * @param has     how many of each shared gear there are
     * @param ready   from when on it can be used (min)
     * @param length  of the evening (min)
     */
    public static Evening of(
            Map<String, List<Job>> benches, int people, Map<Gear, Integer> has, Map<Gear, Integer> ready, int length) {
        return new Evening(benches, people, has, ready, length, Map.of(), Map.of(), 0);
    }

    /**
     * {@return the same with jobs moved}
     *
     * @param to when each is to begin (min), by its key
     */
    public Evening moving(Map<String, Integer> to) {
        return new Evening(benches, people, has, ready, length, to, stands, now);
    }

    /**
     * {@return the same at a later moment}
     *
     * @param done what was begun or done already, by its key
     * @param when it is (min)
     */
    public Evening standing(Map<String, Stood> done, int when) {
        return new Evening(benches, people, has, ready, length, moved, done, when);
    }

    /**
     * {@return the same with one piece of gear more}
     *
     * @param gear of which there is one more
     */
    public Evening more(Gear gear) {
        Map<Gear, Integer> other = new EnumMap<>(Gear.class);
        other.putAll(has);
        other.merge(gear, 1, Integer::sum);
        return new Evening(benches, people, other, ready, length, moved, stands, now);
    }

    /**
     * {@return the same with other benches}
     *
     * @param others by name, what each does one after the other
     */
    public Evening of(Map<String, List<Job>> others) {
        Map<String, Integer> kept = new HashMap<>(moved);
        kept.keySet()
                .retainAll(others.values().stream()
                        .flatMap(List::stream)
                        .map(Job::key)
                        .toList());
        return new Evening(others, people, has, ready, length, kept, stands, now);
    }

    /** How many of it there are: as many as benches where nobody counted. */
    int many(Gear gear) {
        return has.getOrDefault(gear, benches.size());
    }
}

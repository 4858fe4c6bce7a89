package lab.sassafras.hour;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.declaration.Gear;

/**
 * When everything is done.
 *
 * @param laid   jobs with their times, as they begin
 * @param finish when the last is done (min)
 * @param bound  before which nobody could finish (min)
 * @param holds  what is responsible for that bound: a kind of gear; empty where it is the work of one bench
 */
public record Timetable(List<Laid> laid, int finish, int bound, Optional<Gear> holds) {

    /** As jobs begin. */
    static final Comparator<Laid> IN_TIME =
            Comparator.comparingInt(Laid::from).thenComparing(each -> each.job().key());

    /**
     * A job with its time.
     *
     * @param job   that is done
     * @param from  when it begins (min)
     * @param until when it is done (min)
     * @param on    which piece of each gear it takes, from 1
     */
    public record Laid(Job job, int from, int until, Map<Gear, Integer> on) {}

    /**
     * Keeps copies of what could change.
     *
     * @param laid   jobs with their times
     * @param finish when the last is done (min)
     * @param bound  before which nobody could finish (min)
     * @param holds  what is responsible for that bound
     */
    public Timetable {
        laid = List.copyOf(laid);
    }

    /**
     * {@return the jobs of a bench, as they begin}
     *
     * @param bench by name
     */
    public List<Laid> of(String bench) {
        return laid.stream().filter(each -> each.job().bench().equals(bench)).toList();
    }

    /**
     * {@return when a bench is done (min)}
     *
     * @param bench by name
     */
    public int done(String bench) {
        return of(bench).stream().mapToInt(Laid::until).max().orElse(0);
    }
}

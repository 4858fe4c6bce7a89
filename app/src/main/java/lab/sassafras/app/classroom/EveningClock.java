package lab.sassafras.app.classroom;

import java.time.Duration;
import java.time.Instant;

/**
 * The clock a class goes by: that on the wall, or the faster one of a dress rehearsal.
 *
 * @param begun  when the evening was begun
 * @param starts what its own clock showed then
 * @param speed  how many times as fast it goes
 * @param ends   it stands still from then on
 */
public record EveningClock(Instant begun, Instant starts, double speed, Instant ends) {

    /** That on the wall. */
    public static final EveningClock WALL = new EveningClock(Instant.EPOCH, Instant.EPOCH, 1, Instant.MAX);

    private static final double MILLIS = 1000;

    /** {@return what it showed at a moment} */
    public Instant at(Instant moment) {
        if (speed == 1 && begun.equals(starts)) {
            return moment;
        }
        Instant shown =
                starts.plusMillis((long) (Duration.between(begun, moment).toMillis() * speed));
        return shown.isAfter(ends) ? ends : shown;
    }

    /** {@return how long something took by it} */
    public Duration took(Duration real) {
        return Duration.ofMillis((long) (real.toMillis() * speed));
    }

    /** {@return when it shows a second of the evening} */
    public Instant when(int second) {
        return begun.plusMillis((long) (second * MILLIS / speed));
    }

    /** {@return the second of the evening it showed at a moment} */
    public int second(Instant moment) {
        return (int) Duration.between(starts, at(moment)).toSeconds();
    }
}

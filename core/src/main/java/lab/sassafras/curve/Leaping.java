package lab.sassafras.curve;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A reading taken by hand that leaps out from those around it, as after two figures were exchanged. It is asked about
 * once it is kept, and counts as long as nobody says otherwise.
 */
public final class Leaping {

    /** Less than this is no leap, whatever the others do (°C). Common practice, no source. */
    static final double LEAST = 10;
    /** As many times the largest step before it. Common practice, no source. */
    static final double TIMES = 5;
    /** As many readings are needed before it, and looked at. */
    private static final int BEFORE = 3;
    /** As far back is looked for one. */
    private static final int BACK = 6;

    private Leaping() {}

    /**
     * {@return the latest reading that leaps, and that nobody said is so; empty where none does}
     *
     * @param readings that count, in order of time
     * @param mixing   when both came together (s); a change over it is no leap
     * @param sure     seconds of readings somebody was asked about and said are so
     */
    public static Optional<Reading> last(List<Reading> readings, OptionalDouble mixing, Set<Double> sure) {
        for (int i = readings.size() - 1; i >= Math.max(BEFORE, readings.size() - BACK); i--) {
            Reading here = readings.get(i);
            boolean oneSide = mixing.isEmpty()
                    || readings.get(i - BEFORE).seconds() < mixing.getAsDouble()
                            == here.seconds() < mixing.getAsDouble();
            if (oneSide && leaps(readings, i) && !sure.contains(here.seconds())) {
                return Optional.of(here);
            }
        }
        return Optional.empty();
    }

    /** Far from the one before, and where there is one after, that one is back again: a step that stays is none. */
    private static boolean leaps(List<Reading> readings, int i) {
        double step = 0;
        for (int j = i - BEFORE + 1; j < i; j++) {
            step = Math.max(step, apart(readings, j, j - 1));
        }
        double limit = Math.max(LEAST, TIMES * step);
        return apart(readings, i, i - 1) > limit
                && (i == readings.size() - 1 || apart(readings, i + 1, i - 1) <= limit);
    }

    private static double apart(List<Reading> readings, int one, int other) {
        return Math.abs(readings.get(one).temperature() - readings.get(other).temperature());
    }
}

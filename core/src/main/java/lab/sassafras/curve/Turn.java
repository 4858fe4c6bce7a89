package lab.sassafras.curve;

import java.util.List;
import java.util.Optional;

/**
 * Whether a temperature that rose has turned: two readings in a row lie a step of the display or more below its
 * highest.
 */
public final class Turn {

    private static final int IN_A_ROW = 2;
    /** So much of a step (°C) is lost where decimals are added. */
    private static final double ROUNDING = 1e-9;

    private Turn() {}

    /**
     * {@return the highest reading, where the temperature has turned since; empty where it may rise still}
     *
     * @param readings in order of time
     * @param display  smallest step the thermometer shows (°C)
     */
    public static Optional<Reading> of(List<Reading> readings, double display) {
        Optional<Reading> highest = Optional.empty();
        int lower = 0;
        for (Reading each : readings) {
            double top = highest.map(Reading::temperature).orElse(Double.NEGATIVE_INFINITY);
            if (each.temperature() > top) {
                highest = Optional.of(each);
                lower = 0;
            } else {
                lower = each.temperature() <= top - display + ROUNDING ? lower + 1 : 0;
            }
            if (lower == IN_A_ROW) {
                return highest;
            }
        }
        return Optional.empty();
    }
}

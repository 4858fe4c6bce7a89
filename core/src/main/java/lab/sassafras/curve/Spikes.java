package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Readings that leap away and are back after one or two, as where a probe is touched or a plug shaken: no peak of what
 * is in the cup.
 */
public final class Spikes {

    /** So many steps of the display, or of the usual change between two readings, are a leap. No source. */
    private static final double LEAP = 8;

    private static final int LONGEST = 2;

    private Spikes() {}

    /**
     * {@return the readings but those}
     *
     * @param all     in order of time
     * @param display smallest step the thermometer shows (°C)
     */
    public static List<Reading> without(List<Reading> all, double display) {
        double limit = limit(all, display);
        List<Reading> calm = new ArrayList<>(all.size());
        int i = 0;
        while (i < all.size()) {
            int many =
                    calm.isEmpty() ? 0 : spike(all, i, calm.get(calm.size() - 1).temperature(), limit);
            if (many == 0) {
                calm.add(all.get(i));
            }
            i += Math.max(1, many);
        }
        return calm;
    }

    /** How many readings from one on leap away and come back; none where it does not. */
    private static int spike(List<Reading> all, int from, double before, double limit) {
        double away = all.get(from).temperature() - before;
        if (Math.abs(away) <= limit) {
            return 0;
        }
        for (int i = from + 1; i <= from + LONGEST && i < all.size(); i++) {
            if (Math.abs(all.get(i).temperature() - before) <= limit / 2) {
                return i - from;
            }
        }
        return 0;
    }

    /** What a leap is among these (°C). */
    static double limit(List<Reading> all, double display) {
        return LEAP * Math.max(display, usual(all));
    }

    /** The median change between two readings (°C). */
    static double usual(List<Reading> all) {
        double[] steps = new double[Math.max(0, all.size() - 1)];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = Math.abs(all.get(i + 1).temperature() - all.get(i).temperature());
        }
        Arrays.sort(steps);
        return steps.length == 0 ? 0 : steps[steps.length / 2];
    }
}

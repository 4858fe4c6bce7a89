package lab.sassafras.curve;

import java.math.BigDecimal;
import java.util.List;

/**
 * Whether what a probe or a balance shows now stands still: the line through its last ten seconds, or its last four
 * readings where they come seldomer, changes by no more than one step of the display makes it, or than twice what
 * their noise leaves open (common practice, no source).
 *
 * @param length    of the stretch looked at (s)
 * @param change    of the line over it (unit of the readings)
 * @param tolerance what it may change by (unit of the readings)
 * @param readings  in it; fewer than four tell nothing
 */
public record Steady(double length, double change, double tolerance, int readings) {

    private static final double STRETCH = 10;
    private static final int FEWEST = 4;
    private static final double A_MINUTE = 60;
    /** What a line through readings changes by where their display moved one step in the middle, in such steps. */
    private static final double ONE_STEP = 1.5;

    /**
     * {@return how the last of some readings stand}
     *
     * @param all in order of time, of whatever quantity
     */
    public static Steady of(List<Reading> all) {
        int from = all.size();
        double last = all.isEmpty() ? 0 : all.get(all.size() - 1).seconds();
        while (from > 0 && (all.get(from - 1).seconds() >= last - STRETCH || all.size() - from < FEWEST)) {
            from--;
        }
        List<Reading> some = all.subList(from, all.size());
        if (some.size() < 2) {
            return new Steady(0, 0, 0, some.size());
        }
        LineFit line = LineFit.through(some, 0);
        double length = last - some.get(0).seconds();
        double open = line.spread() > 0 ? 2 * line.noise() * length / Math.sqrt(line.spread()) : 0;
        return new Steady(length, line.slope() * length, Math.max(ONE_STEP * step(some), open), some.size());
    }

    /**
     * {@return the smallest step a display shows, by the most figures after the point that it showed}
     *
     * @param readings some of it
     */
    public static double step(List<Reading> readings) {
        return Math.pow(
                10,
                -readings.stream()
                        .mapToInt(each -> Math.max(
                                0,
                                BigDecimal.valueOf(each.temperature())
                                        .stripTrailingZeros()
                                        .scale()))
                        .max()
                        .orElse(0));
    }

    /** {@return whether it stands still} */
    public boolean holds() {
        return readings >= FEWEST && Math.abs(change) <= tolerance * (1 + 1e-9);
    }

    /** {@return how fast it moves (unit of the readings a minute)} */
    public double aMinute() {
        return length > 0 ? change / length * A_MINUTE : 0;
    }
}

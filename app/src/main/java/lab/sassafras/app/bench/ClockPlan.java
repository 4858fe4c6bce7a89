package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Turn;
import lab.sassafras.measure.Figures;

/**
 * What the class goes by on a clock, and how far this one has come.
 *
 * @param before how long is read before mixing (s)
 * @param until  up to when is read (s on the clock)
 * @param words  both in a sentence
 * @param stop   where what warms is stopped and whether it has turned, in a sentence; empty where nothing is stopped
 */
public record ClockPlan(long before, long until, String words, String stop) {

    /** What the class goes by: times (s), and the rise at which what warms is stopped (°C). */
    record Times(long before, long until, Optional<Double> rise) {}

    static ClockPlan of(Times times, List<Reading> counting, double display, Figures figures) {
        return new ClockPlan(
                times.before(),
                times.until(),
                "This class reads for " + ClockTime.write((double) times.before()) + " before mixing, and on until "
                        + ClockTime.write((double) times.until()) + " on the clock.",
                times.rise().map(rise -> stop(rise, counting, display, figures)).orElse(""));
    }

    private static String stop(double rise, List<Reading> counting, double display, Figures figures) {
        String by = figures.plain(rise) + " °C";
        if (counting.isEmpty()) {
            return "What warms it is stopped at a rise of " + by + "; then read on until it turns.";
        }
        double target = counting.get(0).temperature() + rise;
        int decimals = Math.max(0, (int) Math.ceil(-Math.log10(display) - 1e-9));
        Optional<Reading> reached =
                counting.stream().filter(each -> each.temperature() >= target).findFirst();
        if (reached.isEmpty()) {
            return "Stop what warms it at " + figures.fixed(target, decimals) + " °C, a rise of " + by
                    + "; then read on until it turns.";
        }
        return Turn.of(counting, display)
                .map(top -> "It turned at " + figures.fixed(top.temperature(), decimals) + " °C, "
                        + ClockTime.write(top.seconds()) + " on the clock.")
                .orElse("The rise of " + by + " is reached: stop what warms it, stir on, read until it turns.");
    }
}

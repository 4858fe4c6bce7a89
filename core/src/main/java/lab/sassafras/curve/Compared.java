package lab.sassafras.curve;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.measure.Refused;

/**
 * Probes that stand in one beaker, compared: what each shows in the middle of a stretch they all read, by a line
 * through its readings.
 *
 * @param shown by each probe, in the order given
 */
public record Compared(Map<String, Shown> shown) {

    /** Shorter tells nothing (s), and what differs by more stands in no one beaker (°C). No source. */
    static final double SHORTEST = 20;

    static final double FARTHEST = 3;
    private static final int FEWEST = 5;

    /**
     * What one showed in the middle.
     *
     * @param temperature (°C)
     * @param uncertainty its standard uncertainty, with what the display rounds off (°C)
     */
    public record Shown(double temperature, double uncertainty) {}

    /**
     * Keeps a copy of what could change.
     *
     * @param shown by each probe
     */
    public Compared {
        shown = new LinkedHashMap<>(shown);
    }

    /**
     * {@return them compared}
     *
     * @param probes  readings of each on one clock, in order of time
     * @param display smallest step they show (°C)
     * @throws Refused where there are not two, or they do not stand in one settled beaker, in words
     */
    public static Compared of(Map<String, List<Reading>> probes, double display) {
        if (probes.size() < 2) {
            throw new Refused("Two probes or more are compared.");
        }
        double from =
                probes.values().stream().mapToDouble(Compared::first).max().orElseThrow();
        double to = probes.values().stream().mapToDouble(Compared::last).min().orElseThrow();
        if (!(to - from >= SHORTEST)) {
            throw new Refused(
                    "Let all of them read together for " + Math.round(SHORTEST) + " s; nothing was compared.");
        }
        Map<String, Shown> shown = new LinkedHashMap<>();
        probes.forEach((name, all) -> shown.put(
                name,
                shown(
                        name,
                        all.stream()
                                .filter(each -> each.seconds() >= from && each.seconds() <= to)
                                .toList(),
                        (from + to) / 2,
                        display)));
        double high =
                shown.values().stream().mapToDouble(Shown::temperature).max().orElseThrow();
        double low =
                shown.values().stream().mapToDouble(Shown::temperature).min().orElseThrow();
        if (high - low > FARTHEST) {
            throw new Refused("They differ by more than " + Math.round(FARTHEST)
                    + " °C: they are not in one beaker, or it is not stirred. Nothing was compared.");
        }
        return new Compared(shown);
    }

    private static Shown shown(String name, List<Reading> some, double middle, double display) {
        if (some.size() < FEWEST) {
            throw new Refused("“" + name + "” reads too seldom: let them stand longer; nothing was compared.");
        }
        if (!Steady.of(some).holds()) {
            throw new Refused("“" + name + "” still moves: stir, wait until all are settled; nothing was compared.");
        }
        LineFit line = LineFit.through(some, 0);
        return new Shown(
                line.height() + line.slope() * (middle - line.middle()),
                Math.hypot(line.noise() / Math.sqrt(some.size()), display / Math.sqrt(12)));
    }

    private static double first(List<Reading> all) {
        return all.isEmpty() ? Double.POSITIVE_INFINITY : all.get(0).seconds();
    }

    private static double last(List<Reading> all) {
        return all.isEmpty()
                ? Double.NEGATIVE_INFINITY
                : all.get(all.size() - 1).seconds();
    }
}

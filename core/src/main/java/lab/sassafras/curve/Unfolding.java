package lab.sassafras.curve;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A curve while it comes: how far it went since both came together, whether it has turned, how fast it runs back since,
 * and how much longer is to be read until the line after it is carried back well enough. What leaps away for a reading
 * or two and comes back is no peak.
 *
 * @param rises   whether it went up
 * @param extreme its highest, or lowest, reading since; empty while there is none
 * @param turned  whether it runs back since
 * @param aMinute how fast (°C a minute); empty while that cannot be told
 * @param more    how much longer is to be read (s), nothing or less where it is enough; empty while that cannot be told
 */
public record Unfolding(
        boolean rises, Optional<Reading> extreme, boolean turned, OptionalDouble aMinute, OptionalDouble more) {

    /** The line after mixing is carried back within so much (half of a 95 % interval, °C). No source. */
    public static final double WITHIN = 0.05;

    private static final Unfolding NOTHING =
            new Unfolding(true, Optional.empty(), false, OptionalDouble.empty(), OptionalDouble.empty());
    /** Fewer readings tell no noise, and a shorter stretch no slope (s). No source. */
    private static final int FEWEST = 8;

    private static final double SHORTEST = 20;
    /** Nobody reads on for longer than this after a run turned (s). No source. */
    private static final double LONGEST = 1800;

    /** So many usual changes between two readings are more than their scatter. No source. */
    private static final double SCATTER = 4;

    private static final double A_MINUTE = 60;
    private static final int HALVINGS = 40;

    /**
     * {@return how it stands}
     *
     * @param all     readings that count, in order of time
     * @param mixing  when both came together (s)
     * @param display smallest step the thermometer shows (°C)
     */
    public static Unfolding of(List<Reading> all, double mixing, double display) {
        List<Reading> calm = Spikes.without(all, display);
        int first = 0;
        while (first < calm.size() && calm.get(first).seconds() <= mixing) {
            first++;
        }
        if (first == calm.size()) {
            return NOTHING;
        }
        double base = calm.get(Math.max(0, first - 1)).temperature();
        List<Reading> since = calm.subList(first, calm.size());
        double up = since.stream().mapToDouble(Reading::temperature).max().orElse(base) - base;
        double down =
                base - since.stream().mapToDouble(Reading::temperature).min().orElse(base);
        boolean rises = up >= down;
        List<Reading> upward =
                rises ? since : since.stream().map(Unfolding::mirrored).toList();
        // what scatters by more than a step of its display turns once it lies lower than it scatters
        Optional<Reading> top = Turn.of(upward, Math.max(display, SCATTER * Spikes.usual(calm)));
        Optional<Reading> extreme =
                (top.isPresent() ? top : highest(upward)).map(each -> rises ? each : mirrored(each));
        return top.isEmpty()
                ? new Unfolding(rises, extreme, false, OptionalDouble.empty(), OptionalDouble.empty())
                : turned(rises, extreme, after(since, extreme.orElseThrow()), mixing, display);
    }

    private static Unfolding turned(
            boolean rises, Optional<Reading> extreme, List<Reading> after, double mixing, double display) {
        double length = after.get(after.size() - 1).seconds() - after.get(0).seconds();
        if (after.size() < FEWEST || length < SHORTEST) {
            return new Unfolding(rises, extreme, true, OptionalDouble.empty(), OptionalDouble.empty());
        }
        LineFit line = LineFit.through(after, display / Math.sqrt(12));
        double every = length / (after.size() - 1);
        double away = after.get(0).seconds() - mixing;
        OptionalDouble more = carriedBack(line.noise(), every, away, LONGEST) > WITHIN
                ? OptionalDouble.empty()
                : OptionalDouble.of(enough(line.noise(), every, away) - length);
        return new Unfolding(rises, extreme, true, OptionalDouble.of(line.slope() * A_MINUTE), more);
    }

    /**
     * Half of the 95 % interval of a line through evenly spaced readings, carried back to the mixing: least squares
     * about the middle of their times (°C).
     *
     * @param noise  of a reading (°C)
     * @param every  between two readings (s)
     * @param away   from the mixing to the first of them (s)
     * @param length from the first to the last (s)
     */
    static double carriedBack(double noise, double every, double away, double length) {
        double readings = length / every + 1;
        double spread = readings * (length * length / 12 + every * length / 6);
        double back = away + length / 2;
        return 2 * noise * Math.sqrt(1 / readings + back * back / spread);
    }

    private static double enough(double noise, double every, double away) {
        double low = 2 * every;
        double high = LONGEST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (carriedBack(noise, every, away, middle) > WITHIN) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    private static List<Reading> after(List<Reading> since, Reading extreme) {
        return since.stream()
                .filter(each -> each.seconds() >= extreme.seconds())
                .toList();
    }

    private static Optional<Reading> highest(List<Reading> readings) {
        return readings.stream().reduce((one, other) -> other.temperature() > one.temperature() ? other : one);
    }

    private static Reading mirrored(Reading each) {
        return new Reading(each.seconds(), -each.temperature());
    }
}

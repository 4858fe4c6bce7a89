package lab.sassafras.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Where a temperature stood still between two stretches in which it moved: something melted or froze there. The level
 * is the mean of the middle of the longest such stretch; what lay on the far side of it before, as a liquid does that
 * is cooled below its freezing point and is not frozen yet, is told beside it. What melts over a range has no plateau.
 */
public record Plateau() implements CurvePurpose {

    private static final int FEWEST = 8;
    private static final int FEWEST_LEVEL = 4;
    /** Within so many standard deviations of a reading, temperatures are alike (no source). */
    private static final double ALIKE = 3;
    /** Before and after, it moves at least so many times as fast as on the level (no source). */
    private static final double FASTER = 4;
    /** The ends of a level are rounded: so much of it on either side does not count (no source). */
    private static final double ROUNDED = 0.15;

    @Override
    public List<Tells> tells() {
        return List.of(
                new Tells("level", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("beyond", BenchUnit.DEGREES_CELSIUS, false));
    }

    @Override
    public Told of(Stretch stretch) {
        List<Reading> readings = stretch.readings();
        if (readings.size() < FEWEST) {
            return new Told.None("A plateau takes at least " + FEWEST + " readings, on both sides of it and on it.");
        }
        return level(stretch).<Told>map(level -> told(stretch, level)).orElse(NONE);
    }

    /** What is said where there is no plateau. */
    static final Told.None NONE =
            new Told.None("The temperature does not stand still between two stretches in which it "
                    + "moves: what melts or freezes here does so over a range, or too fast for these readings.");

    /**
     * A level that was found.
     *
     * @param from     its first reading
     * @param to       its last reading
     * @param mean     of its middle (°C)
     * @param variance of that (°C²)
     * @param noise    of one reading (°C)
     * @param beyond   how far it went past the level before it stood there (°C)
     */
    record Level(int from, int to, double mean, double variance, double noise, double beyond) {

        /** The line that is laid through it. */
        Told.Drawn drawn(Stretch stretch) {
            return new Told.Drawn(
                    "level",
                    Stream.of(from, to)
                            .map(each ->
                                    new Reading(stretch.readings().get(each).seconds(), mean))
                            .toList());
        }
    }

    /** The level, where there is one. */
    static Optional<Level> level(Stretch stretch) {
        List<Reading> readings = stretch.readings();
        double noise = noise(readings, stretch.least());
        int[] level = longest(readings, alike(stretch, noise) / 2);
        return level.length == 0 || !standsStill(readings, level)
                ? Optional.empty()
                : Optional.of(found(readings, level, noise));
    }

    private static Told told(Stretch stretch, Level level) {
        double variance = level.variance();
        return new Told.Numbers(
                List.of(level.mean(), level.beyond()),
                List.of(List.of(variance, -variance), List.of(-variance, variance + level.noise() * level.noise())),
                Double.POSITIVE_INFINITY,
                List.of(level.drawn(stretch)));
    }

    private static Level found(List<Reading> readings, int[] level, double noise) {
        double first = readings.get(level[0]).seconds();
        double rounded = ROUNDED * (readings.get(level[1]).seconds() - first);
        List<Reading> middle = readings.subList(level[0], level[1] + 1).stream()
                .filter(each -> each.seconds() >= first + rounded
                        && each.seconds() <= readings.get(level[1]).seconds() - rounded)
                .toList();
        double mean = middle.stream()
                .mapToDouble(Reading::temperature)
                .average()
                .orElse(readings.get(level[0]).temperature());
        double drift = through(middle).getSlope();
        double span = middle.get(middle.size() - 1).seconds() - middle.get(0).seconds();
        double wander = Double.isFinite(drift) ? Math.abs(drift) * span / Math.sqrt(12) : 0;
        double variance = noise * noise / middle.size() + wander * wander;
        return new Level(level[0], level[1], mean, variance, noise, beyond(readings, level[0], mean));
    }

    /** How far it went past the level before it stood there (°C); nothing where it did not. */
    private static double beyond(List<Reading> readings, int from, double mean) {
        boolean rising = readings.get(0).temperature() < mean;
        double furthest = readings.subList(0, from + 1).stream()
                .mapToDouble(each -> rising ? each.temperature() - mean : mean - each.temperature())
                .max()
                .orElse(0);
        return Math.max(0, furthest);
    }

    /** Temperatures that lie no farther apart are alike (°C). */
    static double alike(Stretch stretch, double noise) {
        return 2 * Math.max(stretch.display(), ALIKE * noise);
    }

    static double noise(Stretch stretch) {
        return noise(stretch.readings(), stretch.least());
    }

    /** Noise of a reading from second differences, which neither slope nor level enters; half of them may be off. */
    private static double noise(List<Reading> readings, double least) {
        double[] apart = new double[readings.size() - 2];
        for (int i = 0; i < apart.length; i++) {
            apart[i] = Math.abs(readings.get(i).temperature()
                    - 2 * readings.get(i + 1).temperature()
                    + readings.get(i + 2).temperature());
        }
        Arrays.sort(apart);
        return Math.max(least, 1.4826 * apart[apart.length / 2] / Math.sqrt(6));
    }

    /** First and last reading of the longest stretch whose readings are alike; none where no four are. */
    private static int[] longest(List<Reading> readings, double alike) {
        int[] found = {};
        double lasted = 0;
        int from = 0;
        for (int to = 0; to < readings.size(); to++) {
            while (spread(readings, from, to) > 2 * alike) {
                from++;
            }
            double lasts = readings.get(to).seconds() - readings.get(from).seconds();
            if (to - from + 1 >= FEWEST_LEVEL && lasts > lasted) {
                found = new int[] {from, to};
                lasted = lasts;
            }
        }
        return found;
    }

    private static double spread(List<Reading> readings, int from, int to) {
        return readings.subList(from, to + 1).stream()
                        .mapToDouble(Reading::temperature)
                        .max()
                        .orElse(0)
                - readings.subList(from, to + 1).stream()
                        .mapToDouble(Reading::temperature)
                        .min()
                        .orElse(0);
    }

    /** Whether it moved before and after, the same way and much faster. */
    private static boolean standsStill(List<Reading> readings, int[] level) {
        if (level[0] < 2 || level[1] > readings.size() - 3) {
            return false;
        }
        double on = Math.abs(through(readings.subList(level[0], level[1] + 1)).getSlope());
        double before = through(readings.subList(0, level[0] + 1)).getSlope();
        double after = through(readings.subList(level[1], readings.size())).getSlope();
        return before * after > 0 && Math.abs(before) > FASTER * on && Math.abs(after) > FASTER * on;
    }

    private static SimpleRegression through(List<Reading> readings) {
        SimpleRegression line = new SimpleRegression();
        readings.forEach(each -> line.addData(each.seconds(), each.temperature()));
        return line;
    }
}

package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Something that melts or freezes between two stretches in which it only warms or cools: the level, how far it went
 * past it first, and a point in each stretch with the rate there, between which a balance of heat is drawn up. The
 * points lie clear of the level, whose end is rounded; each is the middle of a straight line through its stretch, so
 * that a stretch that bends evenly takes nothing away.
 */
public record Melting() implements CurvePurpose {

    private static final int FEWEST = 5;
    /** A stretch ends so much of its own height short of the level, or so many times the noise (no source). */
    private static final double CLEAR = 0.12;

    private static final double ABOVE_NOISE = 6;
    /** Where the stretch before is long, only so much of it next to the level is taken (no source). */
    private static final double TAKEN = 0.7;

    @Override
    public List<Tells> tells() {
        return List.of(
                new Tells("level", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("beyond", BenchUnit.DEGREES_CELSIUS, false),
                new Tells("from", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("from-rate", BenchUnit.DEGREES_PER_SECOND, false),
                new Tells("to", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("to-rate", BenchUnit.DEGREES_PER_SECOND, false),
                new Tells("between", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("lasted", BenchUnit.SECONDS, false));
    }

    @Override
    public Told of(Stretch stretch) {
        List<Reading> readings = stretch.readings();
        if (readings.size() < 3 * FEWEST) {
            return new Told.None("A curve with a plateau takes at least " + 3 * FEWEST + " readings.");
        }
        Optional<Plateau.Level> level = Plateau.level(stretch);
        if (level.isEmpty()) {
            return Plateau.NONE;
        }
        Plateau.Level at = level.get();
        List<Reading> before =
                clear(readings.subList(0, at.from()), readings.get(0).temperature(), at, true);
        List<Reading> after = clear(
                readings.subList(at.to() + 1, readings.size()),
                readings.get(readings.size() - 1).temperature(),
                at,
                false);
        if (before.size() < FEWEST || after.size() < FEWEST) {
            return new Told.None("Before and after the plateau it takes at least " + FEWEST
                    + " readings clear of it. Begin colder, or go on longer.");
        }
        return told(readings, at, Point.of(before, at.noise()), Point.of(after, at.noise()));
    }

    /** Of one side, what lies on the way the temperature took and clear of the level, next to it first. */
    private static List<Reading> clear(List<Reading> side, double far, Plateau.Level level, boolean before) {
        double height = Math.abs(far - level.mean());
        double margin = Math.max(CLEAR * height, ABOVE_NOISE * level.noise());
        double sign = Math.signum(far - level.mean());
        List<Reading> clear = new ArrayList<>(side.stream()
                .filter(each -> sign * (each.temperature() - level.mean()) > margin)
                .toList());
        int taken = Math.max(FEWEST, (int) Math.round(TAKEN * clear.size()));
        return clear.size() <= taken
                ? clear
                : before ? clear.subList(clear.size() - taken, clear.size()) : clear.subList(0, taken);
    }

    /**
     * The middle of a stretch.
     *
     * @param seconds     when it was there (s)
     * @param temperature there (°C)
     * @param variance    of that (°C²)
     * @param rate        there (°C/s)
     * @param rateVariance of that (°C²/s²)
     */
    private record Point(double seconds, double temperature, double variance, double rate, double rateVariance) {

        static Point of(List<Reading> stretch, double noise) {
            SimpleRegression line = new SimpleRegression();
            stretch.forEach(each -> line.addData(each.seconds(), each.temperature()));
            double seconds =
                    stretch.stream().mapToDouble(Reading::seconds).average().orElseThrow();
            double square = Math.max(noise * noise, line.getMeanSquareError());
            return new Point(
                    seconds,
                    line.predict(seconds),
                    square / stretch.size(),
                    line.getSlope(),
                    square / line.getXSumSquares());
        }
    }

    private static Told told(List<Reading> readings, Plateau.Level level, Point from, Point to) {
        double lasted = to.seconds() - from.seconds();
        List<Reading> between = new ArrayList<>();
        between.add(new Reading(from.seconds(), from.temperature()));
        readings.stream()
                .filter(each -> each.seconds() > from.seconds() && each.seconds() < to.seconds())
                .forEach(between::add);
        between.add(new Reading(to.seconds(), to.temperature()));
        double area = 0;
        for (int i = 1; i < between.size(); i++) {
            area += (between.get(i).seconds() - between.get(i - 1).seconds())
                    * (between.get(i).temperature() + between.get(i - 1).temperature())
                    / 2;
        }
        double[] variances = {
            level.variance(),
            level.variance() + level.noise() * level.noise(),
            from.variance(),
            from.rateVariance(),
            to.variance(),
            to.rateVariance(),
            level.noise() * level.noise() / between.size(),
            0
        };
        return new Told.Numbers(
                List.of(
                        level.mean(),
                        level.beyond(),
                        from.temperature(),
                        from.rate(),
                        to.temperature(),
                        to.rate(),
                        area / lasted,
                        lasted),
                diagonal(variances),
                Double.POSITIVE_INFINITY);
    }

    private static List<List<Double>> diagonal(double[] variances) {
        List<List<Double>> rows = new ArrayList<>();
        for (int i = 0; i < variances.length; i++) {
            List<Double> row = new ArrayList<>();
            for (int j = 0; j < variances.length; j++) {
                row.add(i == j ? variances[i] : 0.0);
            }
            rows.add(row);
        }
        return rows;
    }
}

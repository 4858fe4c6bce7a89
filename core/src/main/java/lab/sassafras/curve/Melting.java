package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;

/**
 * Something that melts or freezes between two stretches in which it only warms or cools: the level, how far it went
 * past it first, and a point in each stretch with the rate there and how that rate falls off with temperature, between
 * which a balance of heat is drawn up. The points lie clear of the level, whose end is rounded.
 */
public record Melting() implements CurvePurpose {

    private static final int FEWEST = 10;
    private static final int FEWEST_ASIDE = 3;
    /** A stretch ends so much of its own height short of the level, or so many times the noise (no source). */
    private static final double CLEAR = 0.12;

    private static final double ABOVE_NOISE = 6;
    /** A thermometer shown to its last step is no steadier than this part of the step (no source). */
    private static final double STEADIEST = 0.45;
    /**
     * What a vessel loses for each degree is not quite the same before and after: standard uncertainty of its mean, as a
     * part of it (no source).
     */
    private static final double STEADY = 0.0125;

    private static final Told UNTOLD = new Told.None("Before and after the plateau the readings do not tell a rate. "
            + "Read more often, begin colder, or go on longer.");

    @Override
    public List<Tells> tells() {
        return List.of(
                new Tells("level", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("beyond", BenchUnit.DEGREES_CELSIUS, false),
                new Tells("from", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("from-rate", BenchUnit.DEGREES_PER_SECOND, false),
                new Tells("from-leak", BenchUnit.PER_SECOND, false),
                new Tells("to", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("to-rate", BenchUnit.DEGREES_PER_SECOND, false),
                new Tells("to-leak", BenchUnit.PER_SECOND, false),
                new Tells("between", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("lasted", BenchUnit.SECONDS, false),
                new Tells("steady", BenchUnit.NUMBER, false));
    }

    @Override
    public Told of(Stretch stretch) {
        List<Reading> readings = stretch.readings();
        if (readings.size() < FEWEST) {
            return new Told.None("A curve with a plateau takes at least " + FEWEST + " readings.");
        }
        Optional<Plateau.Level> level = Plateau.level(stretch);
        if (level.isEmpty()) {
            return Plateau.NONE;
        }
        Plateau.Level at = level.get();
        List<Reading> before =
                clear(readings.subList(0, at.from()), readings.get(0).temperature(), at);
        List<Reading> after = clear(
                readings.subList(at.to() + 1, readings.size()),
                readings.get(readings.size() - 1).temperature(),
                at);
        if (before.size() < FEWEST_ASIDE || after.size() < FEWEST_ASIDE) {
            return new Told.None("Before and after the plateau it takes at least " + FEWEST_ASIDE
                    + " readings clear of it. Read more often, begin colder, or go on longer.");
        }
        double noise = Math.max(at.noise(), STEADIEST * stretch.display());
        return Approach.of(before, noise)
                .flatMap(from -> Approach.of(after, noise).map(to -> told(readings, at, from, to)))
                .orElse(UNTOLD);
    }

    /** Of one side, what lies on the way the temperature took and clear of the level. */
    private static List<Reading> clear(List<Reading> side, double far, Plateau.Level level) {
        double margin = Math.max(CLEAR * Math.abs(far - level.mean()), ABOVE_NOISE * level.noise());
        double sign = Math.signum(far - level.mean());
        return side.stream()
                .filter(each -> sign * (each.temperature() - level.mean()) > margin)
                .toList();
    }

    private static Told told(List<Reading> readings, Plateau.Level level, Approach from, Approach to) {
        double lasted = to.seconds() - from.seconds();
        List<Reading> between = new ArrayList<>();
        between.add(new Reading(from.seconds(), from.values()[0]));
        readings.stream()
                .filter(each -> each.seconds() > from.seconds() && each.seconds() < to.seconds())
                .forEach(between::add);
        between.add(new Reading(to.seconds(), to.values()[0]));
        double area = 0;
        for (int i = 1; i < between.size(); i++) {
            area += (between.get(i).seconds() - between.get(i - 1).seconds())
                    * (between.get(i).temperature() + between.get(i - 1).temperature())
                    / 2;
        }
        double[][] covariance = new double[11][11];
        covariance[0][0] = level.variance();
        covariance[1][1] = level.variance() + level.noise() * level.noise();
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                covariance[2 + i][2 + j] = from.covariance()[i][j];
                covariance[5 + i][5 + j] = to.covariance()[i][j];
            }
        }
        covariance[8][8] = level.noise() * level.noise() / between.size();
        covariance[10][10] = STEADY * STEADY;
        return new Told.Numbers(
                List.of(
                        level.mean(),
                        level.beyond(),
                        from.values()[0],
                        from.values()[1],
                        from.values()[2],
                        to.values()[0],
                        to.values()[1],
                        to.values()[2],
                        area / lasted,
                        lasted,
                        1.0),
                Arrays.stream(covariance)
                        .map(row -> Arrays.stream(row).boxed().toList())
                        .toList(),
                Double.POSITIVE_INFINITY);
    }
}

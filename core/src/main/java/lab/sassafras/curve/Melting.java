package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;

/**
 * Something that melts or freezes between two stretches in which it only warms or cools: the level, or the middle of a
 * range and how wide that is, how far it went past the level first, and a point in each stretch with the rate there and
 * how that rate falls off with temperature, between which a balance of heat is drawn up. The points lie clear of the
 * level, whose end is rounded.
 */
public record Melting() implements CurvePurpose {

    private static final int FEWEST = 10;
    private static final int FEWEST_ASIDE = 3;
    /** A stretch ends so much of its own height short of the level, or so many times the noise (no source). */
    private static final double CLEAR = 0.12;

    private static final double ABOVE_NOISE = 6;
    /** So many times the noise about its first reading it stands still (no source). */
    private static final double STILL = 3;
    /** It stood at first, where it took so many times as long for that as on its way (no source). */
    private static final double STOOD = 3;

    /** A thermometer shown to its last step is no steadier than this part of the step (no source). */
    private static final double STEADIEST = 0.45;
    /**
     * What a vessel loses for each degree is not quite the same before and after: standard uncertainty of its mean,
     * as a part of it (no source).
     */
    private static final double STEADY = 0.0125;

    /** A level that lasts less than this part of the slow stretch is a piece of a range (no source). */
    private static final double MOST = 0.5;

    private static final Told UNTOLD = new Told.None("Before and after the plateau the readings do not tell a rate. "
            + "Read more often, begin colder, or go on longer.");

    @Override
    public List<Tells> tells() {
        return List.of(
                new Tells("level", BenchUnit.DEGREES_CELSIUS, true),
                new Tells("beyond", BenchUnit.DEGREES_CELSIUS, false),
                new Tells("range", BenchUnit.DEGREES_CELSIUS, false),
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
        Optional<Slow> slow = slow(stretch);
        if (slow.isEmpty()) {
            return Plateau.NONE;
        }
        Slow at = slow.get();
        double noise = Math.max(at.noise(), STEADIEST * stretch.display());
        List<Reading> before = sinceItMoved(
                clear(readings.subList(0, at.from()), readings.get(0).temperature(), at), noise);
        List<Reading> after = clear(
                readings.subList(at.to(), readings.size()),
                readings.get(readings.size() - 1).temperature(),
                at);
        if (before.size() < FEWEST_ASIDE || after.size() < FEWEST_ASIDE) {
            return new Told.None("Before and after the plateau it takes at least " + FEWEST_ASIDE
                    + " readings clear of it. Read more often, begin colder, or go on longer.");
        }
        return Approach.of(before, noise)
                .flatMap(from -> Approach.of(after, noise)
                        .map(to -> told(
                                readings,
                                at,
                                from,
                                to,
                                List.of(from.drawn("from", before), at.drawn(), to.drawn("to", after)))))
                .orElse(UNTOLD);
    }

    /**
     * Where it melts or freezes.
     *
     * @param from     last reading before it
     * @param to       first reading after it
     * @param mean     the level, or the middle of the range (°C)
     * @param range    from where it begins to where it ends (°C); nothing for a level
     * @param beyond   how far it went past the level before (°C); nothing where that is within what is alike
     * @param variance of the middle (°C²)
     * @param noise    of one reading (°C)
     * @param drawn    the line laid through it
     */
    private record Slow(
            int from,
            int to,
            double mean,
            double range,
            double beyond,
            double variance,
            double noise,
            Told.Drawn drawn) {

        static Slow of(Stretch stretch, Plateau.Level level) {
            boolean passed = level.beyond() > Plateau.alike(stretch, level.noise());
            return new Slow(
                    level.from(),
                    level.to() + 1,
                    level.mean(),
                    0,
                    passed ? level.beyond() : 0,
                    level.variance(),
                    level.noise(),
                    level.drawn(stretch));
        }

        static Slow of(Stretch stretch, MeltingRange range) {
            return new Slow(
                    range.from() + 1,
                    range.to(),
                    (range.begins() + range.ends()) / 2,
                    range.ends() - range.begins(),
                    0,
                    range.variance() / 2,
                    range.noise(),
                    range.drawn(stretch));
        }
    }

    private static Optional<Slow> slow(Stretch stretch) {
        Optional<Plateau.Level> level = Plateau.level(stretch);
        Optional<MeltingRange> range = MeltingRange.of(stretch, Plateau.noise(stretch))
                .filter(each -> level.isEmpty()
                        || lasts(stretch, level.get().from(), level.get().to())
                                < MOST * lasts(stretch, each.from() + 1, each.to() - 1));
        return range.map(each -> Slow.of(stretch, each)).or(() -> level.map(each -> Slow.of(stretch, each)));
    }

    private static double lasts(Stretch stretch, int from, int to) {
        return stretch.readings().get(to).seconds()
                - stretch.readings().get(from).seconds();
    }

    /**
     * The stretch before, without the readings in which nothing heated or cooled it yet, nor those before them in which
     * the thermometer only took its temperature.
     */
    private static List<Reading> sinceItMoved(List<Reading> before, double noise) {
        int moved = 0;
        int at = 0;
        while (at < before.size()) {
            int left = at;
            while (left + 1 < before.size() && alike(before.get(left + 1), before.get(at), noise)) {
                left++;
            }
            boolean stood = left <= before.size() - FEWEST_ASIDE && stood(before, at, left, noise);
            moved = stood ? left : moved;
            at = stood ? left + 1 : at + 1;
        }
        return before.subList(moved, before.size());
    }

    private static boolean alike(Reading one, Reading other, double noise) {
        return Math.abs(one.temperature() - other.temperature()) <= STILL * noise;
    }

    /** Whether it took much longer for what is alike than for as much on its way afterwards. */
    private static boolean stood(List<Reading> before, int from, int left, double noise) {
        Reading last = before.get(before.size() - 1);
        Reading still = before.get(left);
        double took = (last.seconds() - still.seconds()) / Math.abs(last.temperature() - still.temperature());
        return still.seconds() - before.get(from).seconds() > STOOD * took * STILL * noise;
    }

    /** Of one side, what lies on the way the temperature took and clear of the level. */
    private static List<Reading> clear(List<Reading> side, double far, Slow level) {
        double margin = Math.abs(level.range()) / 2
                + Math.max(CLEAR * Math.abs(far - level.mean()), ABOVE_NOISE * level.noise());
        double sign = Math.signum(far - level.mean());
        return side.stream()
                .filter(each -> sign * (each.temperature() - level.mean()) > margin)
                .toList();
    }

    private static Told told(List<Reading> readings, Slow level, Approach from, Approach to, List<Told.Drawn> drawn) {
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
        double[][] covariance = new double[12][12];
        covariance[0][0] = level.variance();
        covariance[1][1] = level.variance() + level.noise() * level.noise();
        covariance[2][2] = level.range() == 0 ? 0 : 4 * level.variance();
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                covariance[3 + i][3 + j] = from.covariance()[i][j];
                covariance[6 + i][6 + j] = to.covariance()[i][j];
            }
        }
        covariance[9][9] = level.noise() * level.noise() / between.size();
        covariance[11][11] = STEADY * STEADY;
        return new Told.Numbers(
                List.of(
                        level.mean(),
                        level.beyond(),
                        level.range(),
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
                Double.POSITIVE_INFINITY,
                drawn);
    }
}

package lab.sassafras.curve;

import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Where what is a mixture, such as a wax, melts or freezes: not at one temperature but over a range, through which the
 * temperature moves more slowly than before and after. Three straight lines are laid through the readings by least
 * squares; the middle one crosses the others where it begins and where it ends.
 *
 * @param from     last reading before it
 * @param to       first reading after it
 * @param begins   temperature at which it begins (°C), the first in time
 * @param ends     temperature at which it ends (°C)
 * @param variance of each of the two (°C²)
 * @param noise    of one reading (°C)
 */
record MeltingRange(int from, int to, double begins, double ends, double variance, double noise) {

    /** Readings that each of the three lines takes at the least. */
    private static final int FEWEST = 4;
    /** Breaks are looked for among so many places at the most, spread evenly over the readings. */
    private static final int PLACES = 120;
    /** Before and after, it moves at least so many times as fast as through the range (no source). */
    private static final double FASTER = 2.5;

    /** A range is so many times as wide as its width is uncertain (no source). */
    private static final double WIDE = 4;
    /** Within so many steps of what is shown it is a level whose end is rounded (no source). */
    private static final double STEPS = 5;

    static Optional<MeltingRange> of(Stretch stretch, double noise) {
        List<Reading> readings = stretch.readings();
        if (readings.size() < 3 * FEWEST) {
            return Optional.empty();
        }
        int[] breaks = breaks(readings);
        SimpleRegression before = through(readings.subList(0, breaks[0]));
        SimpleRegression within = through(readings.subList(breaks[0], breaks[1]));
        SimpleRegression after = through(readings.subList(breaks[1], readings.size()));
        boolean slower = before.getSlope() * after.getSlope() > 0
                && before.getSlope() * within.getSlope() > 0
                && Math.abs(before.getSlope()) > FASTER * Math.abs(within.getSlope())
                && Math.abs(after.getSlope()) > FASTER * Math.abs(within.getSlope());
        if (!slower) {
            return Optional.empty();
        }
        double begins = within.predict(crossing(before, within));
        double ends = within.predict(crossing(within, after));
        double square = Math.max(noise * noise, within.getMeanSquareError());
        // a corner that is rounded or lies between two readings is not known better than half a step along the slow
        // line
        double step =
                (readings.get(breaks[1] - 1).seconds() - readings.get(breaks[0]).seconds())
                        / (breaks[1] - breaks[0] - 1);
        double rounded = Math.abs(within.getSlope()) * step / 2;
        double variance = 4 * square / (breaks[1] - breaks[0]) + rounded * rounded;
        if (Math.abs(ends - begins) < Math.max(STEPS * stretch.display(), WIDE * Math.sqrt(2 * variance))) {
            return Optional.empty();
        }
        return Optional.of(new MeltingRange(breaks[0] - 1, breaks[1], begins, ends, variance, noise));
    }

    /** The first reading of the second and of the third line, where the squares that are left are least. */
    private static int[] breaks(List<Reading> readings) {
        int n = readings.size();
        int stride = Math.max(1, n / PLACES);
        double[] first = new double[n + 1];
        double[] last = new double[n + 1];
        for (int i = FEWEST; i <= n - FEWEST; i += stride) {
            first[i] = through(readings.subList(0, i)).getSumSquaredErrors();
            last[i] = through(readings.subList(i, n)).getSumSquaredErrors();
        }
        int[] found = {FEWEST, n - FEWEST};
        double least = Double.POSITIVE_INFINITY;
        for (int i = FEWEST; i <= n - 2 * FEWEST; i += stride) {
            SimpleRegression within = new SimpleRegression();
            int taken = i;
            for (int j = i + stride; j <= n - FEWEST; j += stride) {
                for (; taken < j; taken++) {
                    within.addData(
                            readings.get(taken).seconds(), readings.get(taken).temperature());
                }
                double squares = first[i] + within.getSumSquaredErrors() + last[j];
                if (j - i >= FEWEST && squares < least) {
                    least = squares;
                    found = new int[] {i, j};
                }
            }
        }
        return found;
    }

    /** The line that is laid through it. */
    Told.Drawn drawn(Stretch stretch) {
        return new Told.Drawn(
                "range",
                List.of(
                        new Reading(stretch.readings().get(from).seconds(), begins),
                        new Reading(stretch.readings().get(to).seconds(), ends)));
    }

    private static double crossing(SimpleRegression one, SimpleRegression other) {
        return (other.getIntercept() - one.getIntercept()) / (one.getSlope() - other.getSlope());
    }

    private static SimpleRegression through(List<Reading> readings) {
        SimpleRegression line = new SimpleRegression();
        readings.forEach(each -> line.addData(each.seconds(), each.temperature()));
        return line;
    }
}

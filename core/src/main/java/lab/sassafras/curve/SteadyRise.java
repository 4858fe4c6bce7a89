package lab.sassafras.curve;

import java.util.List;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;
import org.hipparchus.stat.regression.SimpleRegression;

/** A temperature that rises or falls steadily: its rate, by the straight line through all readings. */
public record SteadyRise() implements CurvePurpose {

    private static final int FEWEST = 4;
    /**
     * A half of the readings that rises so many standard errors faster than the other is no steady rise (no source).
     */
    private static final double BENT = 4;

    @Override
    public List<Tells> tells() {
        return List.of(new Tells("rate", BenchUnit.DEGREES_PER_SECOND, false));
    }

    @Override
    public Told of(Stretch stretch) {
        List<Reading> readings = stretch.readings();
        int n = readings.size();
        if (n < FEWEST) {
            return new Told.None("A rate takes at least " + FEWEST + " readings.");
        }
        SimpleRegression whole = through(readings);
        double noise = Math.max(stretch.least(), Math.sqrt(whole.getMeanSquareError()));
        double error = noise / Math.sqrt(whole.getXSumSquares());
        SimpleRegression first = through(readings.subList(0, n / 2));
        SimpleRegression second = through(readings.subList(n / 2, n));
        double apart = Math.abs(first.getSlope() - second.getSlope());
        double allowed = stretch.least() * Math.sqrt(1 / first.getXSumSquares() + 1 / second.getXSumSquares());
        if (n >= 2 * FEWEST && apart > BENT * allowed && apart > Math.abs(whole.getSlope()) / BENT) {
            return new Told.None(
                    "The temperature does not change steadily over these readings. Take a shorter stretch.");
        }
        List<Reading> line = Stream.of(readings.get(0), readings.get(n - 1))
                .map(each -> new Reading(each.seconds(), whole.predict(each.seconds())))
                .toList();
        return new Told.Numbers(
                List.of(whole.getSlope()),
                List.of(List.of(error * error)),
                n - 2,
                List.of(new Told.Drawn("rate", line)));
    }

    private static SimpleRegression through(List<Reading> readings) {
        SimpleRegression line = new SimpleRegression();
        readings.forEach(each -> line.addData(each.seconds(), each.temperature()));
        return line;
    }
}

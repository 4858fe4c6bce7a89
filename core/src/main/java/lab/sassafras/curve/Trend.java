package lab.sassafras.curve;

import java.util.List;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Refused;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;

/**
 * Where something stood at one moment by the trend of readings about it, such as a hot bath that cools while a solid
 * soaks: the parabola through them by least squares, a straight line where they are fewer than five.
 *
 * @param temperature at that moment (°C)
 * @param uncertainty standard uncertainty, widened for few readings so that twice it is Student's interval (°C)
 * @param readings    how many it goes by
 */
public record Trend(double temperature, double uncertainty, int readings) {

    private static final int FEWEST_FOR_A_PARABOLA = 5;
    /** What twice a standard uncertainty covers where it is known (JCGM 100:2008, G.1.3: 1.96 for 95 %). */
    private static final double COVERED = 0.95;

    private static final double NORMAL_FACTOR = 1.96;

    /**
     * {@return where the trend stood}
     *
     * @param readings in order of time
     * @param seconds  the moment, on their clock (s)
     * @param display  smallest step the thermometer shows (°C)
     * @throws Refused where there are too few, or the moment lies further off than the readings are long
     */
    public static Trend at(List<Reading> readings, double seconds, double display) {
        int n = readings.size();
        if (n < 2 || readings.get(n - 1).seconds() <= readings.get(0).seconds()) {
            throw new Refused("A trend takes at least two readings at different times.");
        }
        double first = readings.get(0).seconds();
        double last = readings.get(n - 1).seconds();
        if (seconds > 2 * last - first || seconds < 2 * first - last) {
            throw new Refused("That moment lies further from the readings than they are long. Read on until then.");
        }
        double least = display / Math.sqrt(12);
        int terms = n < FEWEST_FOR_A_PARABOLA ? 1 : 2;
        double[][] since = new double[n][terms];
        double[] temperatures = new double[n];
        double scale = last - first;
        for (int i = 0; i < n; i++) {
            double away = (readings.get(i).seconds() - seconds) / scale;
            since[i][0] = away;
            if (terms == 2) {
                since[i][1] = away * away;
            }
            temperatures[i] = readings.get(i).temperature();
        }
        if (n == 2) {
            return throughTwo(since, temperatures, least);
        }
        OLSMultipleLinearRegression fit = new OLSMultipleLinearRegression();
        fit.newSampleData(temperatures, since);
        int degreesOfFreedom = n - terms - 1;
        double noise = Math.max(least, Math.sqrt(fit.calculateResidualSumOfSquares() / degreesOfFreedom));
        double own = noise * Math.sqrt(fit.estimateRegressionParametersVariance()[0][0]);
        double value = fit.estimateRegressionParameters()[0];
        double wide = new Estimate(value, own, degreesOfFreedom, List.of()).halfWidth(COVERED) / NORMAL_FACTOR;
        return new Trend(value, Math.max(least, wide), n);
    }

    private static Trend throughTwo(double[][] since, double[] temperatures, double least) {
        double slope = temperatures[1] - temperatures[0];
        double value = temperatures[0] - slope * since[0][0];
        return new Trend(value, least * Math.max(1, Math.hypot(since[0][0], since[1][0])), 2);
    }
}

package lab.sassafras.statistics;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Shared;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.stat.regression.GLSMultipleLinearRegression;

/**
 * The line through points whose errors are partly shared, by generalized least squares (A. C. Aitken, Proc. R. Soc.
 * Edinburgh 55 (1935) 42, memory; Hipparchus). Errors across count as errors up, by the slope (effective variance).
 * Where
 * the points scatter more than their uncertainties allow, what is not shared is widened until they do (R. T. Birge,
 * Phys.
 * Rev. 40 (1932) 207, memory). The covariance is a dense matrix: good for about a hundred points.
 *
 * @param slope     with its uncertainty (unit up per unit across)
 * @param intercept at nothing across (unit up)
 * @param widened   by how much the scatter widened what is not shared; 1 where it did not
 */
public record CorrelatedLine(Estimate slope, double intercept, double widened) {

    private static final int MOST = 100;
    private static final int ROUNDS = 3;

    /**
     * What one point is off by, up less slope times across: on its own (variance), and by each shared source (slope).
     */
    private record Off(double own, Map<Shared, Double> shared) {}

    static Optional<Estimate> combined(List<TrialResult> trials) {
        List<TrialPoint> points =
                trials.stream().flatMap(trial -> trial.point().stream()).toList();
        return points.size() < trials.size() ? Optional.empty() : of(points).map(CorrelatedLine::slope);
    }

    /**
     * Lays the line.
     *
     * @param points at least three, at most a hundred
     * @return empty with fewer or more points, where all stand at nearly the same place across, or where one has no error of
     *         its own
     */
    public static Optional<CorrelatedLine> of(List<TrialPoint> points) {
        if (points.size() > MOST) {
            return Optional.empty();
        }
        return StraightLine.through(points).flatMap(first -> {
            double slope = first.slope();
            try {
                for (int round = 1; round < ROUNDS; round++) {
                    slope = fit(points, offs(points, slope)).estimateRegressionParameters()[1];
                }
                return Optional.of(laid(points, offs(points, slope)));
            } catch (MathRuntimeException noInverse) {
                return Optional.empty();
            }
        });
    }

    private static CorrelatedLine laid(List<TrialPoint> points, List<Off> offs) {
        GLSMultipleLinearRegression fit = fit(points, offs);
        double[] line = fit.estimateRegressionParameters();
        double[] weights = weights(points, offs);
        double widened = Math.max(1, Math.sqrt(fit.estimateErrorVariance()));
        double own = widened
                * Math.sqrt(IntStream.range(0, weights.length)
                        .mapToDouble(i -> weights[i] * weights[i] * offs.get(i).own())
                        .sum());
        boolean scattered = widened > 1;
        List<Contribution> contributions = new ArrayList<>();
        contributions.add(new Contribution(
                scattered ? "scatter" : "readings",
                scattered ? "scatter about the line" : "readings of each trial",
                1,
                own,
                null));
        Map<Shared, Double> shared = new LinkedHashMap<>();
        for (int i = 0; i < weights.length; i++) {
            double weight = weights[i];
            offs.get(i).shared().forEach((source, by) -> shared.merge(source, weight * by, Double::sum));
        }
        shared.forEach((source, by) -> contributions.add(new Contribution(
                source.key(), source.label(), by, Math.abs(by) * source.standardUncertainty(), source)));
        return new CorrelatedLine(
                Estimate.of(line[1], contributions, scattered ? points.size() - 2 : Double.POSITIVE_INFINITY),
                line[0],
                widened);
    }

    /** How the slope hangs on each point: the slope through ones and noughts. */
    private static double[] weights(List<TrialPoint> points, List<Off> offs) {
        double[] weights = new double[points.size()];
        for (int i = 0; i < weights.length; i++) {
            double[] one = new double[weights.length];
            one[i] = 1;
            weights[i] = fit(points, offs, one).estimateRegressionParameters()[1];
        }
        return weights;
    }

    private static GLSMultipleLinearRegression fit(List<TrialPoint> points, List<Off> offs) {
        return fit(
                points,
                offs,
                points.stream().mapToDouble(point -> point.up().value()).toArray());
    }

    private static GLSMultipleLinearRegression fit(List<TrialPoint> points, List<Off> offs, double[] up) {
        GLSMultipleLinearRegression fit = new GLSMultipleLinearRegression();
        double[][] across = points.stream()
                .map(point -> new double[] {point.across().value()})
                .toArray(double[][]::new);
        fit.newSampleData(up, across, covariance(offs));
        return fit;
    }

    private static double[][] covariance(List<Off> offs) {
        int n = offs.size();
        double[][] covariance = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                covariance[i][j] = i == j ? offs.get(i).own() : 0;
                for (Map.Entry<Shared, Double> each : offs.get(i).shared().entrySet()) {
                    double u = each.getKey().standardUncertainty();
                    covariance[i][j] += each.getValue() * offs.get(j).shared().getOrDefault(each.getKey(), 0.0) * u * u;
                }
            }
        }
        return covariance;
    }

    private static List<Off> offs(List<TrialPoint> points, double slope) {
        return points.stream().map(point -> off(point, slope)).toList();
    }

    private static Off off(TrialPoint point, double slope) {
        Map<String, Double> own = new LinkedHashMap<>();
        Map<Shared, Double> shared = new LinkedHashMap<>();
        gather(point.up(), 1, own, shared);
        gather(point.across(), -slope, own, shared);
        return new Off(own.values().stream().mapToDouble(each -> each * each).sum(), shared);
    }

    private static void gather(Estimate estimate, double times, Map<String, Double> own, Map<Shared, Double> shared) {
        estimate.contributions().forEach(each -> {
            if (each.ofTrial()) {
                own.merge(each.key(), times * Math.signum(each.sensitivity()) * each.uncertainty(), Double::sum);
            } else {
                shared.merge(each.source(), times * each.sensitivity(), Double::sum);
            }
        });
    }
}

package lab.sassafras.statistics;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Shared;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.stat.regression.GLSMultipleLinearRegression;

/**
 * The line through points whose errors are partly shared, by generalized least squares (A. C. Aitken, Proc. R. Soc.
 * Edinburgh 55 (1935) 42, memory; Hipparchus). Errors across count as errors up, by the slope (effective variance).
 * Where the points scatter more than their uncertainties allow, what is not shared is widened until they do (R. T.
 * Birge, Phys. Rev. 40 (1932) 207, memory). The covariance is a dense matrix: good for about a hundred points.
 */
public final class CorrelatedLine {

    private static final int MOST = 100;
    private static final int ROUNDS = 3;
    private static final int SLOPE = 1;
    private static final int INTERCEPT = 0;
    /** Two points make a line and leave no scatter to judge by. */
    private static final int NO_SCATTER = 2;

    private final double[] line;
    private final List<Off> offs;
    private final double[] slopeWeights;
    private final double[] interceptWeights;
    private final double widened;

    private CorrelatedLine(List<TrialPoint> points, List<Off> offs) {
        GLSMultipleLinearRegression fit = fit(points, offs);
        this.line = fit.estimateRegressionParameters();
        this.offs = offs;
        this.widened = points.size() <= NO_SCATTER ? 1 : Math.max(1, Math.sqrt(fit.estimateErrorVariance()));
        this.slopeWeights = weights(points, offs, SLOPE);
        this.interceptWeights = weights(points, offs, INTERCEPT);
    }

    /**
     * What one point is off by, up less slope times across: on its own (variance), and by each shared source (slope).
     */
    private record Off(double own, Map<Shared, Double> shared) {}

    static Optional<CorrelatedLine> through(List<TrialResult> trials) {
        List<TrialPoint> points =
                trials.stream().flatMap(trial -> trial.point().stream()).toList();
        return points.size() < trials.size() ? Optional.empty() : of(points);
    }

    /**
     * Lays the line.
     *
     * @param points at least two, at most a hundred
     * @return empty with fewer or more points, where all stand at nearly the same place across, or where one has no
     *         error of its own
     */
    public static Optional<CorrelatedLine> of(List<TrialPoint> points) {
        if (points.size() > MOST || !StraightLine.apart(points)) {
            return Optional.empty();
        }
        double slope = StraightLine.leastSquares(points).getSlope();
        try {
            for (int round = 1; round < ROUNDS; round++) {
                slope = fit(points, offs(points, slope)).estimateRegressionParameters()[SLOPE];
            }
            return Optional.of(new CorrelatedLine(points, offs(points, slope)));
        } catch (MathRuntimeException noInverse) {
            return Optional.empty();
        }
    }

    /** {@return the slope with its uncertainty (unit up per unit across)} */
    public Estimate slope() {
        return along(1, 0);
    }

    /** {@return by how much the scatter widened what is not shared; 1 where it did not} */
    public double widened() {
        return widened;
    }

    /**
     * {@return what slope and intercept make together, with the uncertainty of both and of how they go together (the
     * unit that comes out)}
     *
     * @param bySlope     what the slope is multiplied by
     * @param byIntercept what the intercept is multiplied by
     */
    public Estimate along(double bySlope, double byIntercept) {
        double own = 0;
        Map<Shared, Double> shared = new LinkedHashMap<>();
        for (int i = 0; i < slopeWeights.length; i++) {
            double weight = bySlope * slopeWeights[i] + byIntercept * interceptWeights[i];
            own += weight * weight * offs.get(i).own();
            offs.get(i).shared().forEach((source, by) -> shared.merge(source, weight * by, Double::sum));
        }
        boolean scattered = widened > 1;
        List<Contribution> contributions = new ArrayList<>();
        contributions.add(new Contribution(
                scattered ? "scatter" : "readings",
                scattered ? "scatter about the line" : "readings of each trial",
                1,
                widened * Math.sqrt(own),
                null));
        shared.forEach((source, by) -> contributions.add(new Contribution(
                source.key(), source.label(), by, Math.abs(by) * source.standardUncertainty(), source)));
        return Estimate.of(
                bySlope * line[SLOPE] + byIntercept * line[INTERCEPT],
                contributions,
                scattered ? slopeWeights.length - 2 : Double.POSITIVE_INFINITY);
    }

    /** How slope or intercept hangs on each point: that through ones and noughts. */
    private static double[] weights(List<TrialPoint> points, List<Off> offs, int which) {
        double[] weights = new double[points.size()];
        for (int i = 0; i < weights.length; i++) {
            double[] one = new double[weights.length];
            one[i] = 1;
            weights[i] = fit(points, offs, one).estimateRegressionParameters()[which];
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

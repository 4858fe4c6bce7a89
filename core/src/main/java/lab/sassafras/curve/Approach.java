package lab.sassafras.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * A temperature that approaches another at a rate falling off with the distance, as of what is heated steadily and
 * loses heat to the room (I. Newton, 1701): fitted about the middle of a stretch, T = a + r (1 − e^(−λ x))/λ.
 *
 * @param seconds    the middle (s)
 * @param values     temperature there (°C), rate there (°C/s), and how fast that rate falls off (1/s)
 * @param covariance of the three
 */
record Approach(double seconds, double[] values, double[][] covariance) {

    /** From more readings than these their own scatter tells the noise, where it is larger. */
    private static final int TELLING = 6;
    /** So slow a falling off (of the exponent over the stretch) is none. */
    private static final double STRAIGHT = 1e-5;

    private static final int STEPS = 200;
    /** A curved line is drawn in so many straight ones. */
    private static final int PIECES = 12;

    private static final double SINGULAR = 1e-14;

    /**
     * {@return the fit; none where the readings do not tell three numbers}
     *
     * @param stretch at least three readings
     * @param noise   of one of them (°C)
     */
    static Optional<Approach> of(List<Reading> stretch, double noise) {
        double middle = stretch.stream().mapToDouble(Reading::seconds).average().orElseThrow();
        double longest = stretch.stream()
                .mapToDouble(each -> Math.abs(each.seconds() - middle))
                .max()
                .orElseThrow();
        // times from −1 to 1, so that the three numbers are of one size
        double[] times = stretch.stream()
                .mapToDouble(each -> (each.seconds() - middle) / longest)
                .toArray();
        double[] temperatures =
                stretch.stream().mapToDouble(Reading::temperature).toArray();
        try {
            Optimum found = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(begun(times, temperatures))
                            .model(point -> model(point.toArray(), times))
                            .target(temperatures)
                            .maxEvaluations(STEPS)
                            .maxIterations(STEPS)
                            .build());
            double square = stretch.size() > TELLING
                    ? Math.max(
                            noise * noise, found.getResiduals().dotProduct(found.getResiduals()) / (times.length - 3))
                    : noise * noise;
            RealMatrix scale = MatrixUtils.createRealDiagonalMatrix(new double[] {1, 1 / longest, 1 / longest});
            return Optional.of(new Approach(
                    middle,
                    scale.operate(found.getPoint().toArray()),
                    scale.multiply(found.getCovariances(SINGULAR))
                            .multiply(scale)
                            .scalarMultiply(square)
                            .getData()));
        } catch (MathRuntimeException untold) {
            return Optional.empty();
        }
    }

    /**
     * {@return the line it lays through a stretch}
     *
     * @param key     what the line is of
     * @param stretch it was fitted to
     */
    Told.Drawn drawn(String key, List<Reading> stretch) {
        double first = stretch.get(0).seconds();
        double last = stretch.get(stretch.size() - 1).seconds();
        return new Told.Drawn(
                key,
                IntStream.rangeClosed(0, PIECES)
                        .mapToDouble(i -> first + (last - first) * i / PIECES)
                        .mapToObj(at -> new Reading(at, values[0] + values[1] * shape(values[2], at - seconds)))
                        .toList());
    }

    private static Pair<RealVector, RealMatrix> model(double[] point, double[] times) {
        return new Pair<>(
                new ArrayRealVector(
                        Arrays.stream(times)
                                .map(x -> point[0] + point[1] * shape(point[2], x))
                                .toArray(),
                        false),
                MatrixUtils.createRealMatrix(
                        Arrays.stream(times).mapToObj(x -> slopes(point, x)).toArray(double[][]::new)));
    }

    private static double shape(double fall, double x) {
        return Math.abs(fall * x) < STRAIGHT ? x - fall * x * x / 2 : -Math.expm1(-fall * x) / fall;
    }

    private static double[] slopes(double[] point, double x) {
        double fall = point[2];
        double shape = shape(fall, x);
        double byFall = Math.abs(fall * x) < STRAIGHT ? -x * x / 2 : (x * Math.exp(-fall * x) - shape) / fall;
        return new double[] {1, shape, point[1] * byFall};
    }

    private static double[] begun(double[] times, double[] temperatures) {
        int last = times.length - 1;
        double rate = (temperatures[last] - temperatures[0]) / (times[last] - times[0]);
        return new double[] {Arrays.stream(temperatures).average().orElseThrow(), rate, 0.1};
    }
}

package lab.sassafras.curve;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * A temperature that approaches another at a rate falling off with the distance, as of what is heated steadily and
 * loses heat to the room (I. Newton, 1701): fitted about the middle of a stretch.
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

    private static final int STEPS = 100;
    private static final double ENOUGH = 1e-10;
    private static final double GIVEN_UP = 1e12;

    static Approach of(List<Reading> stretch, double noise) {
        double middle = stretch.stream().mapToDouble(Reading::seconds).average().orElseThrow();
        double[] since =
                stretch.stream().mapToDouble(each -> each.seconds() - middle).toArray();
        double[] temperatures =
                stretch.stream().mapToDouble(Reading::temperature).toArray();
        double longest = Arrays.stream(since).map(Math::abs).max().orElseThrow();
        // rates are fitted as changes over the stretch, so that all three are of one size
        double[] point = begun(since, temperatures, longest);
        double squares = squares(point, since, temperatures, longest);
        double damping = 1e-3;
        for (int step = 0; step < STEPS && damping < GIVEN_UP; step++) {
            RealMatrix normal = normal(point, since, longest);
            double[] next = moved(point, normal, since, temperatures, longest, damping);
            double then = squares(next, since, temperatures, longest);
            boolean better = then <= squares;
            boolean there = better && squares - then <= ENOUGH * squares;
            if (better) {
                point = next;
                squares = then;
            }
            damping = better ? damping / 10 : damping * 10;
            if (there) {
                break;
            }
        }
        double square =
                stretch.size() > TELLING ? Math.max(noise * noise, squares / (stretch.size() - 3)) : noise * noise;
        return scaled(middle, point, inverse(normal(point, since, longest)), square, longest);
    }

    private static RealMatrix inverse(RealMatrix normal) {
        return new SingularValueDecomposition(normal).getSolver().getInverse();
    }

    private static double[] moved(
            double[] point, RealMatrix normal, double[] since, double[] temperatures, double longest, double damping) {
        RealMatrix damped = normal.copy();
        double[] pull = new double[3];
        for (int i = 0; i < 3; i++) {
            damped.setEntry(i, i, damped.getEntry(i, i) * (1 + damping));
        }
        for (int i = 0; i < since.length; i++) {
            double[] slopes = slopes(point, since[i] / longest);
            double off = temperatures[i] - at(point, since[i] / longest);
            for (int j = 0; j < 3; j++) {
                pull[j] += slopes[j] * off;
            }
        }
        double[] step = new SingularValueDecomposition(damped)
                .getSolver()
                .solve(new ArrayRealVector(pull, false))
                .toArray();
        return new double[] {point[0] + step[0], point[1] + step[1], point[2] + step[2]};
    }

    private static RealMatrix normal(double[] point, double[] since, double longest) {
        RealMatrix normal = new Array2DRowRealMatrix(3, 3);
        for (double each : since) {
            double[] slopes = slopes(point, each / longest);
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    normal.addToEntry(i, j, slopes[i] * slopes[j]);
                }
            }
        }
        return normal;
    }

    private static double squares(double[] point, double[] since, double[] temperatures, double longest) {
        double sum = 0;
        for (int i = 0; i < since.length; i++) {
            sum += Math.pow(temperatures[i] - at(point, since[i] / longest), 2);
        }
        return Double.isFinite(sum) ? sum : Double.MAX_VALUE;
    }

    /** T = a + r (1 − e^(−λ x))/λ, with x from −1 to 1. */
    private static double at(double[] point, double x) {
        return point[0] + point[1] * shape(point[2], x);
    }

    private static double shape(double fall, double x) {
        return Math.abs(fall) < STRAIGHT ? x - fall * x * x / 2 : -Math.expm1(-fall * x) / fall;
    }

    private static double[] slopes(double[] point, double x) {
        double fall = point[2];
        double shape = shape(fall, x);
        double byFall = Math.abs(fall) < STRAIGHT ? -x * x / 2 : (x * Math.exp(-fall * x) - shape) / fall;
        return new double[] {1, shape, point[1] * byFall};
    }

    private static double[] begun(double[] since, double[] temperatures, double longest) {
        int last = since.length - 1;
        double rate = (temperatures[last] - temperatures[0]) / (since[last] - since[0]);
        return new double[] {Arrays.stream(temperatures).average().orElseThrow(), rate * longest, 0.1};
    }

    private static Approach scaled(
            double middle, double[] point, RealMatrix covariance, double square, double longest) {
        double[] size = {1, 1 / longest, 1 / longest};
        double[] values = new double[3];
        double[][] scaled = new double[3][3];
        for (int i = 0; i < 3; i++) {
            values[i] = point[i] * size[i];
            for (int j = 0; j < 3; j++) {
                scaled[i][j] = covariance.getEntry(i, j) * size[i] * size[j] * square;
            }
        }
        return new Approach(middle, values, scaled);
    }
}

package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * The heat lost integrated, written a second time for the tests alone, plainly: a dozen ends of the main period, each
 * with a tail and without, fitted by Levenberg–Marquardt (Hipparchus) to numeric derivatives, weighed by fit and
 * readings cut. What the code under test is measured against; it shares nothing with it but the curve it is given.
 */
final class Integrated {

    private static final int START = 0,
            END = 1,
            LOG_RATE = 2,
            ROOM = 3,
            SOURCE = 4,
            LOG_RATIO = 5,
            LATER = 6,
            TAIL = 7,
            LOG_TIME = 8;

    private final double[] time;
    private final double[] height;
    private final int before;
    private final double[] prior;
    private final double[] spread;
    private final double noise;

    private Integrated(Curve curve) {
        List<Reading> readings = curve.readings();
        time = readings.stream()
                .mapToDouble(each -> each.seconds() - curve.mixing())
                .toArray();
        height = readings.stream().mapToDouble(Reading::temperature).toArray();
        before = (int) Arrays.stream(time).filter(each -> each < 0).count();
        double fore =
                IntStream.range(0, before).mapToDouble(i -> height[i]).average().orElse(0);
        double last = height[height.length - 1];
        double room = curve.room().map(each -> each.temperature()).orElse(fore);
        boolean hot = Math.abs(last - room) > 12;
        noise = Math.max(neighbours(), Math.max(curve.display() / Math.sqrt(12), 1e-4));
        prior = new double[] {fore, last, Math.log(1 / 2500.0), room, 0, Math.log(curve.ratio()), 0, 0, Math.log(40)};
        spread = new double[] {
            50, 50, 1.2, curve.room().isPresent() ? 0.35 : 10, 5e-4, hot ? 0.3 : 0.05, hot ? 4e-3 : 1e-7, 50, 1.2
        };
    }

    /** The change by it; NaN where nothing can be fitted. */
    static double change(Curve curve) {
        return new Integrated(curve).change();
    }

    /** Of second differences, robust enough for readings without touches. */
    private double neighbours() {
        double[] sizes = IntStream.range(before + 2, time.length)
                .mapToDouble(i -> Math.abs(height[i] - 2 * height[i - 1] + height[i - 2]))
                .sorted()
                .toArray();
        return sizes.length == 0 ? 0.01 : sizes[sizes.length / 2] / 0.6745 / Math.sqrt(6);
    }

    private double change() {
        List<double[]> tried = new ArrayList<>();
        int latest = before;
        while (latest < time.length - 8 && time[latest] < 0.7 * time[time.length - 1]) {
            latest++;
        }
        for (int i = 0; i < 12; i++) {
            int end = before + (int) Math.rint((latest - before) * i / 11.0);
            for (boolean tail : new boolean[] {false, true}) {
                if (time.length - end >= (tail ? 6 : 4)) {
                    tried.add(tried(end, tail));
                }
            }
        }
        double least = tried.stream().mapToDouble(each -> each[1]).min().orElse(0);
        double all = 0;
        double sum = 0;
        for (double[] each : tried) {
            double weight = Math.exp((least - each[1]) / 2);
            all += weight;
            sum += weight * each[0];
        }
        return sum / all;
    }

    private double[] tried(int end, boolean tail) {
        double until = end == before ? 0 : time[end];
        int numbers = tail ? 9 : 7;
        int[] taken = IntStream.range(0, time.length)
                .filter(i -> i < before || i >= end)
                .toArray();
        double[] start = prior.clone();
        start[TAIL] = tail ? 0.1 * (prior[END] - prior[START]) : 0;
        double[] at = fitted(start, numbers, taken, until, tail);
        double chi = Arrays.stream(residuals(at, numbers, taken, until, tail))
                .map(each -> each * each)
                .sum();
        double rate = Math.exp(at[LOG_RATE] + at[LOG_RATIO]);
        double rest = rest(at, true);
        double area = 0;
        double earlier = 0;
        double shown = at[START];
        for (int i = before; i <= end && until > 0; i++) {
            area += (time[i] - earlier) * ((height[i] + shown) / 2 - rest);
            earlier = time[i];
            shown = height[i];
        }
        double change = cooling(at, until, true)
                - at[START]
                + rate * area
                - (tail ? rate * at[TAIL] * Math.exp(at[LOG_TIME]) : 0);
        return new double[] {change, chi + 2 * numbers + 2 * (end - before)};
    }

    /** Levenberg and Marquardt: the damping falls where a step helps, and grows where it does not. */
    private double[] fitted(double[] start, int numbers, int[] taken, double until, boolean tail) {
        double[] at = start.clone();
        double[] off = residuals(at, numbers, taken, until, tail);
        double damping = 1e-3;
        for (int round = 0; round < 80 && damping < 1e12; round++) {
            double[][] slopes = new double[off.length + numbers][numbers];
            double[] target = new double[off.length + numbers];
            for (int i = 0; i < numbers; i++) {
                double[] moved = at.clone();
                moved[i] += 1e-4 * spread[i];
                double[] other = residuals(moved, numbers, taken, until, tail);
                double size = 0;
                for (int r = 0; r < off.length; r++) {
                    slopes[r][i] = (other[r] - off[r]) / (1e-4 * spread[i]);
                    size += slopes[r][i] * slopes[r][i];
                }
                slopes[off.length + i][i] = Math.sqrt(damping * size);
            }
            for (int r = 0; r < off.length; r++) {
                target[r] = -off[r];
            }
            RealMatrix equations = MatrixUtils.createRealMatrix(slopes);
            double[] step = new QRDecomposition(equations)
                    .getSolver()
                    .solve(MatrixUtils.createRealVector(target))
                    .toArray();
            double[] next = at.clone();
            for (int i = 0; i < numbers; i++) {
                next[i] += step[i];
            }
            double[] then = residuals(next, numbers, taken, until, tail);
            double gain = squares(off) - squares(then);
            if (gain > 0) {
                at = next;
                off = then;
                damping /= 5;
                if (gain < 1e-7 * squares(off)) {
                    break;
                }
            } else {
                damping *= 8;
            }
        }
        return at;
    }

    private static double squares(double[] off) {
        double sum = Arrays.stream(off).map(each -> each * each).sum();
        return Double.isFinite(sum) ? sum : Double.MAX_VALUE;
    }

    private double[] residuals(double[] at, int numbers, int[] taken, double until, boolean tail) {
        double[] off = new double[taken.length + numbers];
        for (int i = 0; i < taken.length; i++) {
            double t = time[taken[i]];
            boolean after = taken[i] >= before;
            double shortBy = after && tail ? at[TAIL] * Math.exp(-(t - until) / Math.exp(at[LOG_TIME])) : 0;
            off[i] = (height[taken[i]] - cooling(at, t, after) + shortBy) / noise;
        }
        for (int i = 0; i < numbers; i++) {
            off[taken.length + i] = (at[i] - prior[i]) / spread[i];
        }
        return off;
    }

    private static double rest(double[] at, boolean after) {
        double k = Math.exp(at[LOG_RATE]);
        return at[ROOM] + at[SOURCE] / k + (after ? at[LATER] / (k * Math.exp(at[LOG_RATIO])) : 0);
    }

    private static double cooling(double[] at, double t, boolean after) {
        double rest = rest(at, after);
        double rate = Math.exp(at[LOG_RATE] + (after ? at[LOG_RATIO] : 0));
        return rest + (at[after ? END : START] - rest) * Math.exp(-rate * t);
    }
}

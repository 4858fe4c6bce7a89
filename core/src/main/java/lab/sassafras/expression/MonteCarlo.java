package lab.sassafras.expression;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shape;
import lab.sassafras.measure.Shared;
import lab.sassafras.measure.TimeBudget;
import org.hipparchus.random.RandomDataGenerator;

/**
 * A result by random draws (JCGM 101:2008, clause 7): every source drawn once a run, from a normal distribution of its
 * standard uncertainty, from Student's where its degrees of freedom are few (6.4.9.2), or evenly over its last digit
 * where it is a rounded reading (6.4.2). Seeded, so that the same readings always give the same interval.
 *
 * @param value       mean of the draws (bench unit)
 * @param uncertainty standard deviation of the draws (bench unit); empty where a source has so few degrees of freedom
 *                    that draws have no steady one, and only the interval says something
 * @param low         lower end of the probabilistically symmetric 95 % interval (bench unit)
 * @param high        upper end (bench unit)
 */
public record MonteCarlo(double value, OptionalDouble uncertainty, double low, double high) {

    private static final int BLOCK = 512;
    /** Degrees of freedom from which the deviation of the draws is steady. Common practice, no source. */
    private static final double STEADY = 10;

    private static final long SEED = 20261124;

    /**
     * {@return what is bound to an input}
     *
     * @param expression the formula
     * @param bindings   the numbers that go into the inputs
     * @param draws      how many, at least 1000
     */
    public static MonteCarlo of(Expression expression, Bindings bindings, int draws) {
        return of(expression, bindings, draws, true);
    }

    /**
     * {@return the same with every uncertainty taken as well known, so that only what the formula does shows: what the
     * linear answer is held against}
     *
     * @param expression the formula
     * @param bindings   the numbers that go into the inputs
     * @param draws      how many, at least 1000
     */
    public static MonteCarlo ofFormula(Expression expression, Bindings bindings, int draws) {
        return of(expression, bindings, draws, false);
    }

    private static MonteCarlo of(Expression expression, Bindings bindings, int draws, boolean student) {
        double[] drawn = new Draws(Tape.of(expression), bindings, student).take(draws);
        Arrays.sort(drawn);
        double mean = Arrays.stream(drawn).sum() / draws;
        double squares = 0;
        for (double each : drawn) {
            squares += (each - mean) * (each - mean);
        }
        return new MonteCarlo(
                mean,
                student && fewDegrees(expression, bindings)
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Math.sqrt(squares / (draws - 1))),
                drawn[(int) Math.round(0.025 * draws) - 1],
                drawn[(int) Math.round(0.975 * draws) - 1]);
    }

    /** {@return whether all of it are numbers} */
    public boolean finite() {
        return Double.isFinite(value)
                && Double.isFinite(uncertainty.orElse(0))
                && Double.isFinite(low)
                && Double.isFinite(high);
    }

    /** Student's distribution has a variance from three degrees of freedom on, and a steady one later. */
    private static boolean fewDegrees(Expression expression, Bindings bindings) {
        return new Computation(expression, bindings)
                .inputs().stream()
                        .map(bindings::of)
                        .anyMatch(input -> few(input.ownUncertainty(), input.degreesOfFreedom())
                                || input.shares().stream()
                                        .anyMatch(share -> few(
                                                share.uncertainty(),
                                                share.source().degreesOfFreedom())));
    }

    private static boolean few(double uncertainty, double degreesOfFreedom) {
        return uncertainty > 0 && degreesOfFreedom < STEADY;
    }

    /**
     * {@return whether these draws of the formula alone bear the linear answer out: 1.96 u on either side of it ends
     * within half a step of the first digit of u, rounded to one digit first, of where they end (JCGM 101:2008, 7.9.2
     * and 8.1.3, with one significant digit)}
     *
     * @param linear the answer by the law of propagation
     */
    public boolean bearsOut(Estimate linear) {
        double half = Estimate.NORMAL_95 * linear.uncertainty();
        double tolerance = tolerance(linear.uncertainty());
        return linear.uncertainty() > 0
                && Math.abs(linear.value() - half - low) <= tolerance
                && Math.abs(linear.value() + half - high) <= tolerance;
    }

    /** Half a step of the one digit an uncertainty is rounded to: 0.0097 is 0.01, so 0.005 (7.9.2). */
    static double tolerance(double uncertainty) {
        return uncertainty > 0
                ? 0.5
                        * new BigDecimal(uncertainty)
                                .round(new MathContext(1, RoundingMode.HALF_UP))
                                .stripTrailingZeros()
                                .ulp()
                                .doubleValue()
                : 0;
    }

    private static final class Draws {

        private final Tape tape;
        private final List<Measured> inputs;
        private final Map<Shared, double[]> shared = new LinkedHashMap<>();
        private final RandomGenerator random =
                RandomGeneratorFactory.of("L64X128MixRandom").create(SEED);
        private final RandomDataGenerator chiSquared = new RandomDataGenerator(SEED);
        private final boolean student;

        Draws(Tape tape, Bindings bindings, boolean student) {
            this.student = student;
            this.tape = tape;
            this.inputs = tape.inputs().stream().map(bindings::of).toList();
            inputs.forEach(input -> input.shares().forEach(share -> shared.put(share.source(), new double[BLOCK])));
        }

        double[] take(int draws) {
            double[] all = new double[draws];
            double[][] rows = new double[inputs.size()][BLOCK];
            for (int done = 0; done < draws; done += BLOCK) {
                TimeBudget.check();
                int count = Math.min(BLOCK, draws - done);
                shared.forEach((source, row) ->
                        fill(row, count, 0, source.standardUncertainty(), source.degreesOfFreedom(), source.shape()));
                for (int i = 0; i < rows.length; i++) {
                    draw(inputs.get(i), rows[i], count);
                }
                System.arraycopy(tape.run(rows, count), 0, all, done, count);
            }
            return all;
        }

        private void draw(Measured input, double[] row, int count) {
            fill(row, count, input.value(), input.ownUncertainty(), input.degreesOfFreedom(), input.shape());
            for (Measured.Share share : input.shares()) {
                double[] common = Objects.requireNonNull(shared.get(share.source()));
                for (int i = 0; i < count; i++) {
                    row[i] += share.sensitivity() * common[i];
                }
            }
        }

        private void fill(double[] row, int count, double mean, double deviation, double degrees, Shape shape) {
            if (deviation == 0) {
                Arrays.fill(row, 0, count, mean);
                return;
            }
            if (shape == Shape.RECTANGULAR) {
                double wide = deviation * Math.sqrt(12);
                for (int i = 0; i < count; i++) {
                    row[i] = mean + wide * (random.nextDouble() - 0.5);
                }
                return;
            }
            boolean few = student && degrees < Estimate.MANY_DEGREES;
            for (int i = 0; i < count; i++) {
                row[i] = mean + deviation * random.nextGaussian() * (few ? spread(Math.max(1, degrees)) : 1);
            }
        }

        /** √(ν ÷ χ²) for real degrees of freedom ν: 1.9999999 of them are two, and not one. */
        private double spread(double degrees) {
            return Math.sqrt(degrees / chiSquared.nextGamma(degrees / 2, 2));
        }
    }
}

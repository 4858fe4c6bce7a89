package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;

/**
 * Kinds of curve that real benches give and a cooling law with one exponential does not: heat that comes in other
 * shapes than an exponential, a warm plate, contents that grow by what is poured in, evaporation. Physics of the tests'
 * own, stepped forward by the midpoint rule; nothing here is of the code under test.
 */
enum SlowHeat {
    CONSTANT_LONG(random -> run(random).released(constant(between(random, 40, 200)))),
    CONSTANT_SHORT(random -> run(random).released(constant(between(random, 20, 90)))),
    SPHERES_LONG(random -> run(random).released(spheres(between(random, 80, 300)))),
    SPHERES_SHORT(random -> run(random).released(spheres(between(random, 40, 120)))),
    SIGMOID(random -> run(random).released(sigmoid(between(random, 30, 80))).roomRead()),
    LAG_AND_SLOW(random -> run(random)
            .released(exponential(between(random, 30, 120)))
            .lag(between(random, 5, 15))
            .roomRead()),
    TWO_STEPS(random -> run(random)
            .released(twoSteps(between(random, 0.3, 0.7), between(random, 20, 60), between(random, 30, 120)))),
    WARM_PLATE(random -> run(random)
            .released(exponential(between(random, 10, 60)))
            .source(between(random, 3e-4, 1e-3))
            .roomRead()),
    DOUBLED_HOT(random -> run(random)
            .rise(between(random, 20, 45))
            .ratio(between(random, 0.47, 0.53), 0.5)
            .roomRead()),
    DOUBLED_COLD(random -> run(random)
            .rise(between(random, 2, 12))
            .start(-between(random, 2, 6))
            .ratio(between(random, 0.47, 0.53), 0.5)
            .roomRead()),
    ENDS_EARLY(random -> {
        double release = between(random, 40, 120);
        return run(random).released(exponential(release)).after(release * between(random, 2, 3.5));
    }),
    EVAPORATING(random -> run(random).rise(between(random, 25, 45)).evaporating(between(random, 1e-4, 4e-4))),
    AT_ONCE(SlowHeat::run),
    AT_ONCE_DOWN(random -> run(random).rise(-between(random, 3, 15))),
    BIG_LEAK(random -> run(random).cooling(between(random, 400, 1000))),
    GAPS(random -> run(random).gaps(0.3));

    private final Function<Random, Run> kind;

    SlowHeat(Function<Random, Run> kind) {
        this.kind = kind;
    }

    /** A curve, and the change a thermometer without lag or noise had shown in a vessel without loss. */
    record Drawn(Curve curve, double rise) {}

    Drawn draw(long seed) {
        Random random = new Random(104_729L * seed + ordinal());
        return kind.apply(random).draw(random);
    }

    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private static Run run(Random random) {
        return new Run(random);
    }

    private static DoubleUnaryOperator constant(double time) {
        return since -> Math.min(1, since / time);
    }

    /** Grains that shrink all over their surface (A. W. Hixson and J. H. Crowell, 1931, memory). */
    private static DoubleUnaryOperator spheres(double time) {
        return since -> since >= time ? 1 : 1 - Math.pow(1 - since / time, 3);
    }

    private static DoubleUnaryOperator sigmoid(double time) {
        return since -> 1 - Math.exp(-Math.pow(since / time, 2));
    }

    private static DoubleUnaryOperator exponential(double time) {
        return since -> 1 - Math.exp(-since / time);
    }

    private static DoubleUnaryOperator twoSteps(double first, double time, double second) {
        return since -> first * (1 - Math.exp(-since / 8))
                + (since > second ? (1 - first) * (1 - Math.exp(-(since - second) / time)) : 0);
    }

    /** One bench, as it was set up. */
    private static final class Run {

        private double rise;
        private double cooling;
        private double start;
        private final double room;
        private final double before;
        private double after;
        private double spacing;
        private final double noise;
        private DoubleUnaryOperator released = since -> 1;
        private double lag;
        private double source;
        private double evaporating;
        private double ratio = 1;
        private double known = 1;
        private double gaps;
        private boolean read;

        Run(Random random) {
            room = between(random, 19, 24);
            rise = between(random, 4, 30);
            cooling = between(random, 1500, 6000);
            start = room + between(random, -2, 2);
            before = between(random, 120, 300);
            after = between(random, 500, 900);
            double[] spacings = {1, 2, 5, 10, 15, 30};
            spacing = spacings[random.nextInt(spacings.length)];
            noise = between(random, 0.01, 0.05);
            read = random.nextBoolean();
        }

        Run released(DoubleUnaryOperator fraction) {
            released = fraction;
            return this;
        }

        Run lag(double seconds) {
            lag = seconds;
            return this;
        }

        Run source(double degreesPerSecond) {
            source = degreesPerSecond;
            return this;
        }

        Run evaporating(double degreesPerSecond) {
            evaporating = degreesPerSecond;
            return this;
        }

        Run ratio(double truth, double told) {
            ratio = truth;
            known = told;
            return this;
        }

        Run rise(double degrees) {
            rise = degrees;
            return this;
        }

        Run start(double aboveRoom) {
            start = room + aboveRoom;
            return this;
        }

        Run cooling(double seconds) {
            cooling = seconds;
            return this;
        }

        /** A record that ends early, with two dozen readings after mixing all the same. */
        Run after(double seconds) {
            after = seconds;
            spacing = Math.min(spacing, seconds / 24);
            return this;
        }

        Run gaps(double share) {
            gaps = share;
            return this;
        }

        Run roomRead() {
            read = true;
            return this;
        }

        /** Loss to the room, a source, and what evaporates: twice as fast for every 12 °C. */
        private double loss(double temperature, double ratio) {
            return ratio
                    * (source
                            - (temperature - room) / cooling
                            - evaporating * (Math.pow(2, (temperature - room) / 12) - 1));
        }

        Drawn draw(Random random) {
            double step = 0.1;
            double body = start;
            double probe = start;
            List<Reading> readings = new ArrayList<>();
            int mixing = (int) Math.round(before / step);
            int steps = (int) Math.round((before + after) / step);
            double next = 0;
            double atMixing = 0;
            for (int i = 0; i <= steps; i++) {
                double since = (i - mixing) * step;
                if (i == mixing) {
                    atMixing = body;
                    body += rise * released.applyAsDouble(0);
                }
                if (i * step >= next - 1e-9) {
                    next += spacing;
                    boolean skipped = Math.abs(since) < Math.min(spacing / 2, 3)
                            || random.nextDouble() < gaps && readings.size() > 1;
                    if (!skipped) {
                        readings.add(new Reading(i * step, (lag > 0 ? probe : body) + noise * random.nextGaussian()));
                    }
                }
                double now = i < mixing ? 1 : ratio;
                double middle = body + step / 2 * loss(body, now);
                double came =
                        i < mixing ? 0 : rise * (released.applyAsDouble(since + step) - released.applyAsDouble(since));
                body += step * loss(middle, now) + came;
                probe += lag > 0 ? (body - probe) * (1 - Math.exp(-step / lag)) : 0;
            }
            Optional<Room> told =
                    read ? Optional.of(new Room(room + 0.3 * random.nextGaussian(), 0.35)) : Optional.empty();
            return new Drawn(
                    new Curve(readings, mixing * step, 0.001, told, Optional.empty(), Stated.USUAL, known), rise);
        }
    }
}

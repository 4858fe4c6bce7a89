package lab.sassafras.benchmarks;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.ClockFile;
import lab.sassafras.curve.Curve;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Outcome;
import lab.sassafras.curve.Reading;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A curve read every way: 15 minutes, mixing at 3, heat at once or with a delay of 40 s. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class CurveBenchmark {

    private static final double MIXING = 180;
    private static final double LENGTH = 900;

    /** How many readings. */
    @Param({"100", "1000", "10000", "100000", "1000000"})
    public int readings;

    /** Delay of the heat (s). */
    @Param({"0", "40"})
    public int delay;

    private Curve curve = new Curve(List.of(new Reading(0, 21), new Reading(2, 25)), 1, 0, Optional.empty());

    private String file = "";

    /** Draws the curve. */
    @Setup
    public void draw() {
        Random random = new Random(1);
        curve = new Curve(
                IntStream.range(0, readings)
                        .mapToObj(i -> {
                            double since = LENGTH * i / readings - MIXING;
                            double rise = since <= 0
                                    ? 0
                                    : 12 * Math.exp(-since / 2500) - (delay > 0 ? 12 * Math.exp(-since / delay) : 0);
                            return new Reading(since + MIXING, 21 + rise + 0.03 * random.nextGaussian());
                        })
                        .toList(),
                MIXING,
                0.01,
                Optional.empty());
        file = curve.readings().stream()
                .map(each -> each.seconds() + ";" + each.temperature())
                .collect(Collectors.joining("\n", "time (s);T (°C)\n", "\n"))
                .replace('.', ',');
    }

    /** The same as a file: how it is laid out, and every line of it. */
    @Benchmark
    public ClockFile fromAFile() {
        return ClockFile.read(file, ClockFile.guess(file));
    }

    /** Baselines and all ways. */
    @Benchmark
    public List<Outcome> everyWay() {
        Baselines baselines = Baselines.of(curve);
        return Arrays.stream(CurveMethod.values()).map(way -> way.of(baselines)).toList();
    }
}

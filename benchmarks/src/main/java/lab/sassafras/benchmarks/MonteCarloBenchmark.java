package lab.sassafras.benchmarks;

import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.MonteCarlo;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;
import lab.sassafras.verdict.Reduction;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A million draws of a result, beside a loop that only draws as many Gaussians and sorts as many doubles. */
@State(Scope.Benchmark)
@Fork(value = 2, jvmArgsAppend = "-XX:+UseSerialGC")
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 5, time = 3)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class MonteCarloBenchmark {

    private static final int DRAWS = 1_000_000;

    private final Solution solution = Reduction.of(Runs.solid(1), Conventions.standard())
            .trials()
            .get(0)
            .solution()
            .orElseThrow();
    private final int sources = sources(solution);

    /** Gaussians one draw takes: one for each input with a spread of its own, one for each shared source. */
    private static int sources(Solution solution) {
        var inputs =
                solution.result().inputs().stream().map(solution.bindings()::of).toList();
        long own = inputs.stream().filter(each -> each.ownUncertainty() > 0).count();
        long shared = inputs.stream()
                .flatMap(each -> each.shares().stream())
                .map(Measured.Share::source)
                .filter(each -> each.standardUncertainty() > 0)
                .map(Shared::key)
                .distinct()
                .count();
        return (int) (own + shared);
    }

    @Benchmark
    public MonteCarlo drawn() {
        return MonteCarlo.of(solution.result(), solution.bindings(), DRAWS);
    }

    @Benchmark
    public double[] plainLoop() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1);
        double[] kept = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            double sum = 0;
            for (int j = 0; j < sources; j++) {
                sum += random.nextGaussian();
            }
            kept[i] = sum;
        }
        Arrays.sort(kept);
        return kept;
    }
}

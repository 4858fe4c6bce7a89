package lab.sassafras.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Sheet;
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
import org.openjdk.jmh.infra.Blackhole;

/** One full reduction (account, solution, derivatives, budget, alternatives, verdict), and a thousand of them. */
@State(Scope.Benchmark)
@Fork(2)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@BenchmarkMode(Mode.AverageTime)
public class ReductionBenchmark {

    private final Sheet solid = Runs.solid(1);
    private final Sheet salt = Runs.salt();
    private final List<Sheet> thousand = IntStream.range(0, 1000).mapToObj(Runs::solid).toList();

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public Reduction oneSolid() {
        return Reduction.of(solid, Conventions.standard());
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public Reduction oneSalt() {
        return Reduction.of(salt, Conventions.standard());
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public void aThousandSolids(Blackhole hole) {
        for (Sheet each : thousand) {
            hole.consume(Reduction.of(each, Conventions.standard()));
        }
    }
}

package lab.sassafras.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Scene;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A trial of ten minutes and more at the simulated bench, and a look at 32 benches half way through theirs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class SimulatedBenchmark {

    private static final int BENCHES = 32;

    @Param({"heat-of-solution", "fusion-of-ice", "bomb-constant", "specific-heat-of-solid"})
    private String experiment = "";

    private static Bench bench(long seed, boolean bomb) {
        return Bench.usual(seed, bomb ? 1800 : 9);
    }

    private Scene scene() {
        return Experiments.find(experiment).orElseThrow().scene().orElseThrow();
    }

    /** {@return a whole trial} */
    @Benchmark
    public Bench.Played atOnce() {
        return bench(1, experiment.startsWith("bomb")).atOnce(scene());
    }

    /** {@return how many readings 32 pages show that are looked at once; at real speed that is once in two seconds} */
    @Benchmark
    public int looks() {
        int readings = 0;
        for (int i = 0; i < BENCHES; i++) {
            readings += bench(i, experiment.startsWith("bomb"))
                    .at(scene(), new Bench.Hand(List.of(30.0, 60.0, 120.0), 300))
                    .curve()
                    .size();
        }
        return readings;
    }
}

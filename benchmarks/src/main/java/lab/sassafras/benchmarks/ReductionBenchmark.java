package lab.sassafras.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.sheet.Sheet;
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
@Fork(value = 2, jvmArgsAppend = "-XX:+UseSerialGC")
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@BenchmarkMode(Mode.AverageTime)
public class ReductionBenchmark {

    private final Sheet solid = Runs.solid(1);
    private final Sheet salt = Runs.salt();
    private final List<Sheet> thousand =
            IntStream.range(0, 1000).mapToObj(Runs::solid).toList();

    /** A sheet remembers what was asked of it; every entry looked at brings its own. */
    private static Sheet fresh(Sheet sheet) {
        return new Sheet(sheet.experiment(), sheet.lines(), sheet.setting());
    }

    /** Everything but working and draws, which only a page of its own asks for. */
    private static void reduced(Sheet sheet, Blackhole hole) {
        Reduction reduction = Reduction.of(fresh(sheet), Conventions.standard());
        hole.consume(reduction.findings());
        hole.consume(reduction.alternatives());
        hole.consume(reduction.suspects());
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public void oneSolid(Blackhole hole) {
        reduced(solid, hole);
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public void oneSalt(Blackhole hole) {
        reduced(salt, hole);
    }

    /**
     * A run reduced and judged, by the linear interval: agreement, and every suspect with the size that would explain
     * it.
     */
    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public void verdictOfASalt(Blackhole hole) {
        judged(salt, hole);
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public void verdictOfASolid(Blackhole hole) {
        judged(solid, hole);
    }

    private static void judged(Sheet sheet, Blackhole hole) {
        Reduction reduction = Reduction.of(fresh(sheet), Conventions.standard());
        hole.consume(reduction.verdict());
        hole.consume(reduction.suspects());
    }

    /** Where a run stands, as lists ask it. */
    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public Object whereASolidStands() {
        return Reduction.of(fresh(solid), Conventions.standard()).findings();
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public void aThousandSolids(Blackhole hole) {
        for (Sheet each : thousand) {
            reduced(each, hole);
        }
    }
}

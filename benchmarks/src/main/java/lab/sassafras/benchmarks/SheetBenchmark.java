package lab.sassafras.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.sheet.SheetReader;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.verdict.Reduction;
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

/** A sheet of fifty trials with many observations: read back from what is stored, admitted one by one, and worked. */
@State(Scope.Benchmark)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC")
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class SheetBenchmark {

    private static final int TRIALS = 50;
    private static final List<String> SLOTS =
            List.of("sample/mass", "water/mass", "water/start", "sample/start", "mixed/final");
    private static final List<String> TEXTS = List.of("10.00", "100.00", "20.0", "99.0", "20.7");

    @Param({"500", "2000", "5000", "20000"})
    private int observations;

    private final Experiment experiment =
            Experiments.find("specific-heat-of-solid").orElseThrow();
    private final Setting setting = new Setting(
            Optional.empty(), Map.of(), TRIALS, Map.of(), Set.of(), Map.of(), Figures.POINT, Conventions.standard());
    private List<SheetReader.Row> rows = List.of();
    private Sheet sheet = new Sheet(experiment, List.of(), setting);

    @Setup
    public void write() {
        rows = new ArrayList<>();
        for (int i = 0; i < observations; i++) {
            int slot = i % SLOTS.size();
            Address address = Address.of(SLOTS.get(slot), 1 + i / SLOTS.size() % TRIALS);
            rows.add(new SheetReader.Row(
                    i,
                    address.toString(),
                    Role.READ.key(),
                    new GivenValue(TEXTS.get(slot), slot < 2 ? "g" : "°C", Optional.empty(), null, "bench")));
        }
        sheet = readBack().sheet();
    }

    @Benchmark
    public SheetReader readBack() {
        return SheetReader.of(experiment, setting, rows);
    }

    @Benchmark
    public SheetEditing admitted() {
        SheetEditing filling = new SheetEditing(experiment, setting);
        rows.forEach(row -> filling.take(row.key(), Address.read(row.address()), Role.READ, row.given()));
        return filling;
    }

    @Benchmark
    public Object readBackAndWorked() {
        return Reduction.of(SheetReader.of(experiment, setting, rows).sheet(), Conventions.standard())
                .findings();
    }

    /** How the sheet was filled before: every line copied the lines before it. */
    @Benchmark
    public Sheet copiedLineByLine() {
        Sheet copied = new Sheet(experiment, List.of(), setting);
        for (int i = 0; i < Math.min(observations, 2000); i++) {
            copied = copied.supposing().with(sheet.lines().get(i));
        }
        return copied;
    }
}

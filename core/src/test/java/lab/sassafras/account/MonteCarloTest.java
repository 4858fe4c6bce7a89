package lab.sassafras.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import lab.sassafras.expression.Estimate;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;

/**
 * The uncertainty of whole runs against readings drawn at random and worked by plain arithmetic here, offsets drawn
 * once a run (JCGM 101:2008, clause 7, with a fixed seed). Shares no code with what it checks.
 */
class MonteCarloTest {

    private static final int DRAWS = 200_000;
    private static final double STEP_T = 0.1;
    private static final double STEP_M = 0.01;

    /** Readings of one run as they might have been. */
    private static final class Bench {

        private final Random random;
        private double thermometer;
        private double balance;

        Bench(Random random) {
            this.random = random;
        }

        Bench nextRun() {
            thermometer = 0.2 * random.nextGaussian();
            balance = 0.01 * random.nextGaussian();
            return this;
        }

        double temperature(double shown) {
            return shown + thermometer + STEP_T * (random.nextDouble() - 0.5);
        }

        double mass(double shown) {
            return shown + balance + STEP_M * (random.nextDouble() - 0.5);
        }
    }

    private static void agrees(Estimate estimate, ToDoubleFunction<Bench> run) {
        Bench bench = new Bench(new Random(7));
        double[] drawn = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            drawn[i] = run.applyAsDouble(bench.nextRun());
        }
        double mean = Arrays.stream(drawn).average().orElseThrow();
        double u =
                Math.sqrt(Arrays.stream(drawn).map(x -> (x - mean) * (x - mean)).sum() / (DRAWS - 1));
        assertThat(estimate.value()).isCloseTo(mean, within(0.05 * u));
        assertThat(estimate.uncertainty() / u).isCloseTo(1, within(0.02));
    }

    @Test
    void constantByMixing() {
        agrees(BenchSheet.mixing().reduced().result().orElseThrow(), bench -> {
            double cold = bench.temperature(24.2);
            double hot = bench.temperature(56.9);
            double end = bench.temperature(39.7);
            return (4.184 * bench.mass(49.661) * (hot - end) - 4.184 * bench.mass(50.098) * (end - cold))
                    / (end - cold);
        });
    }

    @Test
    void specificHeatWithAMassByDifference() {
        var balance = java.util.Optional.of(BenchSheet.BALANCE);
        Estimate estimate = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "71.46")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "98.6")
                .give("water[1]/mass", lab.sassafras.slot.Role.TARE, "2.31", "g", balance)
                .give("water[1]/mass", lab.sassafras.slot.Role.GROSS, "112.87", "g", balance)
                .temperature("water[1]/start", "21.1")
                .temperature("mixed[1]/final", "25.4")
                .reduced()
                .result()
                .orElseThrow();
        agrees(estimate, bench -> {
            double water = bench.mass(112.87) - bench.mass(2.31);
            double end = bench.temperature(25.4);
            return 4.184
                    * water
                    * (end - bench.temperature(21.1))
                    / (bench.mass(71.46) * (bench.temperature(98.6) - end));
        });
    }

    @Test
    void aConstantWithItsOwnUncertaintyEntersTheRunThatUsesIt() {
        Estimate estimate =
                BenchSheet.copper().constant(30, 6, 100).reduced().result().orElseThrow();
        Random constants = new Random(11);
        agrees(estimate, bench -> {
            double end = bench.temperature(20.7);
            double rise = end - bench.temperature(20.0);
            double constant = 30 + 6 * constants.nextGaussian();
            return (4.184 * bench.mass(100) + constant) * rise / (bench.mass(10) * (bench.temperature(100) - end));
        });
    }

    /** Two thermometers: the offset of the bath's own does not cancel any more. */
    @Test
    void twoThermometersAreCountedAsTwo() {
        var other = new lab.sassafras.measure.Instrument(
                "t9",
                "other",
                lab.sassafras.measure.InstrumentKind.THERMOMETER,
                lab.sassafras.measure.BenchUnit.DEGREES_CELSIUS,
                STEP_T,
                -10,
                110,
                0.2,
                0);
        Estimate estimate = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "60.00")
                .says("sample[1]/bath", "other")
                .temperature("sample[1]/start", "60.0", other)
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "24.0", other)
                .reduced()
                .result()
                .orElseThrow();
        Random second = new Random(13);
        agrees(estimate, bench -> {
            double offset = 0.2 * second.nextGaussian() - bench.thermometer;
            double end = bench.temperature(24.0) + offset;
            return 4.184
                    * bench.mass(100)
                    * (end - bench.temperature(20.0))
                    / (bench.mass(60) * (bench.temperature(60.0) + offset - end));
        });
    }
}

package lab.sassafras.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for any readings, tried on seeded ones. */
class HeatBalancePropertiesTest {

    /** One imagined run; all masses g, temperatures °C, constant J/°C. */
    record Run(double solid, double bath, double water, double start, double end, double carried, double constant) {

        Estimate specificHeat(double scale) {
            return BenchSheet.of("specific-heat-of-solid")
                    .mass("sample[1]/mass", written(solid * scale))
                    .says("sample[1]/bath", "other")
                    .temperature("sample[1]/start", written(bath))
                    .mass("water[1]/mass", written(water * scale))
                    .temperature("water[1]/start", written(start))
                    .temperature("mixed[1]/final", written(end))
                    .mass("sample[1]/carried", written(carried * scale))
                    .constant(constant * scale, 1, water * scale)
                    .reduced()
                    .result()
                    .orElseThrow();
        }
    }

    static java.util.stream.Stream<Run> runs() {
        Random random = new Random(20260203);
        return IntStream.range(0, 40).mapToObj(i -> {
            double start = 15 + 15 * random.nextDouble();
            double end = start + 1 + 10 * random.nextDouble();
            return new Run(
                    10 + 90 * random.nextDouble(),
                    end + 20 + 40 * random.nextDouble(),
                    50 + 100 * random.nextDouble(),
                    start,
                    end,
                    2 * random.nextDouble(),
                    20 * random.nextDouble());
        });
    }

    /** The party heats, worked here by plain arithmetic from the result, sum to zero. */
    @ParameterizedTest
    @MethodSource("runs")
    void heatsRecomputedIndependentlySumToZero(Run run) {
        double c = run.specificHeat(1).value();
        double sum = run.solid * c * (run.end - run.bath)
                + run.water * 4.184 * (run.end - run.start)
                + run.carried * 4.184 * (run.end - run.bath)
                + run.constant * (run.end - run.start);
        assertThat(sum).isCloseTo(0, within(1e-3));
    }

    @ParameterizedTest
    @MethodSource("runs")
    void scalingAllMassesAndTheConstantLeavesTheSpecificHeatUnchanged(Run run) {
        assertThat(run.specificHeat(2.5).value()).isCloseTo(run.specificHeat(1).value(), within(1e-5));
    }

    @Test
    void coldSolidIntoWarmWaterIsTheSameLedger() {
        // 80 g at 0 °C into 100 g from 25.0 to 23.0 °C: c = 418.4 · 2.0 ÷ (80 · 23.0)
        Estimate result = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "80.00")
                .says("sample[1]/bath", "ice")
                .temperature("sample[1]/start", "0.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "25.0")
                .temperature("mixed[1]/final", "23.0")
                .reduced()
                .result()
                .orElseThrow();
        assertThat(result.value()).isCloseTo(418.4 * 2 / (80 * 23), within(1e-12));
    }

    @Test
    void nothingThatMovesNoHeatBecomesANumber() {
        var reduction = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", "other")
                .temperature("sample[1]/start", "20.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.0")
                .reduced();
        assertThat(reduction.mean()).isEmpty();
        assertThat(reduction.findings()).extracting(Finding::code).contains("account.no-change");
    }

    @Test
    void finalOutsideBothStartsIsQuestionedAndStillWorked() {
        var reduction =
                BenchSheet.copper().temperature("mixed[1]/final", "19.5").reduced();
        assertThat(reduction.findings())
                .extracting(Finding::code)
                .contains("account.final-outside-starts", "reading.conflict", "specific-heat.negative");
        assertThat(reduction.mean()).isPresent();
    }

    private static String written(double value) {
        return String.format(Locale.ROOT, "%.8f", value);
    }
}

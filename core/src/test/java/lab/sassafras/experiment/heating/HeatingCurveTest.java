package lab.sassafras.experiment.heating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import lab.sassafras.account.Solution;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.WorkedRuns;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.verdict.ExplainingSize;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Where a sample melts and how much heat that takes, from curves of known truth. */
class HeatingCurveTest {

    private static final String TRACE = "11111111-2222-3333-4444-555555555555";

    private static List<String> kinds() {
        return List.copyOf(Melts.KINDS.keySet());
    }

    /** A sample of what {@code ./bench melts} does two thousand times. */
    @Tag("long")
    @ParameterizedTest
    @MethodSource("kinds")
    void intervalsHoldTheTruthAndAreNarrow(String kind) {
        Melts.Found found = Melts.of(Melts.KINDS.get(kind), 150);
        assertThat(found.read()).as("read at all").isGreaterThan(80);
        assertThat(found.fusion()).as("heat of fusion").isGreaterThanOrEqualTo(0.92);
        assertThat(found.level()).as("temperature").isGreaterThanOrEqualTo(0.92);
        assertThat(found.ranges())
                .as("ranges")
                .isBetween(kind.startsWith("range") ? 0.95 : 0, kind.startsWith("range") ? 1 : 0.02);
        if (kind.contains("heater")) {
            assertThat(found.width()).as("half-width").isLessThanOrEqualTo(0.05);
        }
    }

    /** What takes so much for each degree, given so many watts and losing some to a room of 21 °C, after so long. */
    private static double warmed(double from, double capacity, double watts, double loss, double seconds) {
        double settles = 21 + watts / loss;
        return settles + (from - settles) * Math.exp(-seconds * loss / capacity);
    }

    /** How long it takes so. */
    private static double until(double to, double from, double capacity, double watts, double loss) {
        double settles = 21 + watts / loss;
        return -capacity / loss * Math.log((to - settles) / (from - settles));
    }

    private static BenchSheet logged(double every, double lasts, DoubleUnaryOperator at) {
        List<Reading> readings = DoubleStream.iterate(0, seconds -> seconds <= lasts, seconds -> seconds + every)
                .mapToObj(seconds -> new Reading(seconds, Math.rint(at.applyAsDouble(seconds) * 10) / 10))
                .toList();
        return BenchSheet.of("heating-curve")
                .logging(Map.of(TRACE, new Logged("readings", readings, Optional.of(BenchSheet.THERMOMETER))))
                .says("sample[1]/name", "tube 2")
                .reads("room[1]/temperature", "21.0", "°C")
                .says("run[1]/curve", TraceUse.whole(TRACE).text());
    }

    private static Solution solution(BenchSheet sheet) {
        Reduction reduction = sheet.reduced();
        return reduction.trials().get(0).solution().orElseThrow(() -> new AssertionError(reduction.trials()));
    }

    private static double further(Solution solution, String label) {
        return solution.derived().stream()
                .filter(each -> each.derived().label().startsWith(label))
                .findFirst()
                .orElseThrow()
                .estimate()
                .value();
    }

    /**
     * Gallium with a heater in it: 60.0 g, 0.37 J/(g·°C) solid, 0.40 liquid, 80.2 J/g at 29.76 °C (CRC Handbook, from
     * memory); 3.00 W, 0.02 W/°C lost. How long each piece takes is reckoned here.
     */
    @Test
    void galliumMeltsAtThirtyDegrees() {
        double solid = until(29.76, 15, 22.2, 3, 0.02);
        double melted = solid + 60 * 80.2 / (3 - 0.02 * 8.76);
        Solution solution = solution(logged(
                        20,
                        melted + 250,
                        seconds -> seconds < solid
                                ? warmed(15, 22.2, 3, 0.02, seconds)
                                : seconds < melted ? 29.76 : warmed(29.76, 24, 3, 0.02, seconds - melted))
                .says("sample[1]/substance", "fusion-of-gallium")
                .mass("sample[1]/mass", "60.00")
                .says("sample[1]/way", "heater")
                .reads("heater[1]/voltage", "3.000", "V")
                .reads("heater[1]/current", "1.000", "A")
                .assumed("room[1]/loss", "0.020", "0.002", "W/°C"));
        assertThat(solution.estimate().value()).isCloseTo(80.2, within(1.0));
        assertThat(further(solution, "melting or freezing")).isCloseTo(29.76, within(0.05));
        assertThat(solution.derived()).as("nothing was passed").hasSize(1);
    }

    /** The same from the room’s temperature, recorded while the probe takes it, and before the heater is on. */
    @ParameterizedTest
    @CsvSource({"0, 0", "40, 0", "120, 0", "600, 0", "120, -3", "600, 2"})
    void readingsBeforeTheHeaterIsOnTellNoRate(double on, double dipped) {
        double solid = on + until(29.76, 21, 22.2, 3, 0.02);
        double melted = solid + 60 * 80.2 / (3 - 0.02 * 8.76);
        Solution solution = solution(logged(
                        20,
                        melted + 250,
                        seconds -> seconds < on
                                ? 21 + (seconds < 20 ? dipped : 0)
                                : seconds < solid
                                        ? warmed(21, 22.2, 3, 0.02, seconds - on)
                                        : seconds < melted ? 29.76 : warmed(29.76, 24, 3, 0.02, seconds - melted))
                .mass("sample[1]/mass", "60.00")
                .says("sample[1]/way", "heater")
                .reads("heater[1]/voltage", "3.000", "V")
                .reads("heater[1]/current", "1.000", "A")
                .assumed("room[1]/loss", "0.020", "0.002", "W/°C"));
        assertThat(solution.estimate().value()).isCloseTo(80.2, within(1.0));
    }

    /**
     * Naphthalene left to cool from 95 °C, supercooled by 3 °C: 15.0 g, 148.7 J/g at 80.26 °C (CRC Handbook, from
     * memory), 1.7 J/(g·°C) solid and 1.8 liquid; 0.060 W/°C lost.
     */
    @Test
    void naphthaleneFreezesAtEightyDegreesAfterItPassedThem() {
        double liquid = until(77.26, 95, 27, 0, 0.06);
        double frozen = liquid + (15 * 148.7 - 3 * 27) / (0.06 * (80.26 - 21));
        DoubleUnaryOperator at = seconds -> seconds < liquid
                ? warmed(95, 27, 0, 0.06, seconds)
                : seconds < frozen ? 80.26 : warmed(80.26, 25.5, 0, 0.06, seconds - frozen);
        BenchSheet sheet = logged(15, frozen + 200, at)
                .says("sample[1]/substance", "fusion-of-naphthalene")
                .mass("sample[1]/mass", "15.00")
                .says("sample[1]/way", "cooling");
        Solution temperature = solution(sheet);
        assertThat(temperature.estimate().value()).isCloseTo(80.26, within(0.05));
        assertThat(further(temperature, "supercooling")).isCloseTo(3, within(0.9));
        Solution heat = solution(sheet.assumed("room[1]/loss", "0.060", "0.006", "W/°C"));
        assertThat(heat.estimate().value()).isCloseTo(148.7, within(3.0));
        assertThat(heat.estimate().uncertainty()).as("no better than the loss").isGreaterThan(14);
    }

    /** Heats of fusion and molar masses as a handbook has them (CRC Handbook, from memory), by another unit. */
    @ParameterizedTest
    @CsvSource({
        "naphthalene, 19.06, 128.17", "lauric-acid, 36.3, 200.32", "stearic-acid, 61.2, 284.48",
        "benzoic-acid, 18.02, 122.12", "gallium, 5.59, 69.723", "tin, 7.17, 118.71"
    })
    void theHandbookAgreesWithItsMolarHeats(String substance, double kilojoules, double molar) {
        double row = ReferenceShelf.standard().properties().stream()
                .filter(each -> each.key().equals("fusion-of-" + substance))
                .findFirst()
                .orElseThrow()
                .value();
        assertThat(row).isCloseTo(1000 * kilojoules / molar, within(0.008 * row));
    }

    /**
     * One thing written otherwise than it was: its cause stands among the first two (voltage and current move the same
     * number), believed, and its size is found to a fifth.
     */
    @ParameterizedTest
    @CsvSource({
        "voltage-at-supply, 10.60, 1.000, 20.00, -0.6",
        "heater-beside, 10.00, 1.060, 20.00, -0.06",
        "not-all-melted, 10.00, 1.000, 21.50, -1.5"
    })
    void whatWentWrongIsFound(String cause, String voltage, String current, String mass, double size) {
        List<ExplainingSize> found =
                WorkedRuns.melting(voltage, current, mass).reduced().suspects();
        assertThat(found.subList(0, 2)).anySatisfy(each -> {
            assertThat(each.suspect().key()).isEqualTo(cause);
            assertThat(each.believed()).isTrue();
            assertThat(each.explains().orElseThrow()).isCloseTo(size, within(Math.abs(size) / 5));
        });
    }

    /** A wax of 2.2 J/(g·°C) that takes 200 J/g between 50 and 58 °C. */
    @Test
    void aWaxMeltsOverARange() {
        double soft = until(50, 22, 50, 8, 0.1);
        double molten = soft + until(58, 50, 50 + 20 * 200 / 8.0, 8, 0.1);
        Solution solution = solution(logged(
                        20,
                        molten + 250,
                        seconds -> seconds < soft
                                ? warmed(22, 50, 8, 0.1, seconds)
                                : seconds < molten
                                        ? warmed(50, 550, 8, 0.1, seconds - soft)
                                        : warmed(58, 50, 8, 0.1, seconds - molten))
                .mass("sample[1]/mass", "20.00")
                .says("sample[1]/way", "heater")
                .reads("heater[1]/voltage", "8.000", "V")
                .reads("heater[1]/current", "1.000", "A"));
        assertThat(further(solution, "range begins")).isCloseTo(50, within(0.3));
        assertThat(further(solution, "range ends")).isCloseTo(58, within(0.3));
        assertThat(solution.estimate().value()).isCloseTo(200, within(8.0));
    }
}

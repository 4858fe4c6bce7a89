package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.StraightLine;
import org.junit.jupiter.api.Test;

/** Several trials, several samples side by side, several cups; and what was predicted. */
class SamplesTest {

    private static BenchSheet solids(int trials) {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid", trials);
        for (int trial = 1; trial <= trials; trial++) {
            sheet.mass("sample[" + trial + "]/mass", "50.00")
                    .says("sample[" + trial + "]/bath", "boiling")
                    .temperature("sample[" + trial + "]/start", "100.0")
                    .mass("water[" + trial + "]/mass", "100.00")
                    .temperature("water[" + trial + "]/start", "20.0")
                    .temperature("mixed[" + trial + "]/final", trial % 2 == 1 ? "23.5" : "27.8");
        }
        return sheet;
    }

    /** c = 418.4 · ΔT ÷ (50 · (100 − T_f)): 0.3828 for the first kind, 0.9040 for the second. */
    @Test
    void samplesSideBySideHaveEachTheirOwnMeanAndVerdict() {
        Reduction reduction = solids(4)
                .says("sample[1]/name", "A")
                .says("sample[2]/name", "B")
                .says("sample[3]/name", "A")
                .says("sample[4]/name", "B")
                .says("seen[1]/colour", "reddish")
                .says("seen[2]/colour", "silvery")
                .reduced();
        assertThat(reduction.samples()).extracting(Sample::name).containsExactly("A", "B");
        assertThat(reduction.samples().get(0).mean().orElseThrow().values())
                .hasSize(2)
                .allSatisfy(c -> assertThat(c).isCloseTo(0.38284, within(1e-5)));
        assertThat(reduction.samples().get(1).result().orElseThrow().value())
                .isCloseTo(418.4 * 7.8 / (50 * 72.2), within(1e-9));
        assertThat(fitting(reduction, 0)).contains("copper").doesNotContain("aluminium");
        assertThat(fitting(reduction, 1)).contains("aluminium").doesNotContain("copper");
        assertThat(reduction.mean()).isEqualTo(reduction.samples().get(0).mean());
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("specific-heat.molar"))
                .extracting(Finding::message)
                .anySatisfy(message -> assertThat(message).startsWith("Sample A: "));
    }

    private static java.util.List<String> fitting(Reduction reduction, int sample) {
        return reduction.samples().get(sample).verdict().orElseThrow().candidates().stream()
                .filter(Candidate::fits)
                .map(each -> each.substance().key())
                .toList();
    }

    /** Two bags were exchanged: the name is struck out and written anew, as any other reading. */
    @Test
    void aSampleMixedUpIsReassignedAsACorrection() {
        BenchSheet mixedUp = solids(2).says("sample[1]/name", "B").says("sample[2]/name", "A");
        assertThat(mixedUp.reduced().samples().get(0).name()).isEqualTo("B");
        BenchSheet corrected = solids(2).says("sample[1]/name", "A").says("sample[2]/name", "B");
        assertThat(corrected.reduced().samples()).extracting(Sample::name).containsExactly("A", "B");
        assertThat(corrected.sheet().tasks().asks(2))
                .extracting(ask -> ask.address().toString())
                .contains("seen[2]/colour");
        assertThat(solids(2).sheet().tasks().asks(2))
                .extracting(ask -> ask.address().toString())
                .doesNotContain("seen[2]/colour");
    }

    /** One trial in another cup counts that cup's constant: (418.4 + 30) instead of (418.4 + 9). */
    @Test
    void aTrialInAnotherCupCountsThatCupsConstant() {
        Calorimeter other = new Calorimeter(
                "M-1",
                VesselKind.METAL_CUP,
                Optional.of(new Calorimeter.Pinned("m1", Measured.independent(30, 1), 100, "two trials")));
        BenchSheet sheet =
                solids(3).constant(9, 0.5, 100).vessels(Map.of("m1", other)).says("calorimeter[3]/vessel", "m1");
        Reduction reduction = sheet.reduced();
        assertThat(trial(reduction, 1).estimate().value()).isCloseTo(427.4 * 3.5 / (50 * 76.5), within(1e-9));
        assertThat(trial(reduction, 3).estimate().value()).isCloseTo(448.4 * 3.5 / (50 * 76.5), within(1e-9));
        assertThat(sheet.sheet().tasks().asides(1))
                .extracting(ask -> ask.address().toString())
                .contains("calorimeter[1]/vessel", "prediction[1]/final");
    }

    @Test
    void aPredictionStandsBesideWhatWasRead() {
        BenchSheet predicted = BenchSheet.of("specific-heat-of-solid")
                .give("prediction[1]/final", lab.sassafras.slot.Role.READ, "25", "°C", Optional.empty());
        assertThat(Prediction.of(predicted.reduced().sheet()).orElseThrow().off())
                .isEmpty();
        predicted.temperature("mixed[1]/final", "23.5");
        assertThat(Prediction.of(predicted.reduced().sheet())
                        .orElseThrow()
                        .off()
                        .orElseThrow())
                .isCloseTo(-1.5, within(1e-12));
        assertThat(predicted.reduced().findings()).extracting(Finding::code).doesNotContain("prediction.late");
        BenchSheet late =
                solids(1).give("prediction[1]/final", lab.sassafras.slot.Role.READ, "23.5", "°C", Optional.empty());
        assertThat(late.reduced().findings()).extracting(Finding::code).contains("prediction.late");
    }

    private static BenchSheet salts(double... extra) {
        BenchSheet sheet = BenchSheet.of("heat-of-solution", extra.length).says("solute[1]/formula", "KCl");
        for (int i = 0; i < extra.length; i++) {
            double mass = 3 + i;
            // 17.0 kJ/mol, 74.55 g/mol, and beside it the same heat in every trial
            double fall = (mass / 74.55 * 17000 + extra[i]) / ((100 + mass) * 4.184);
            sheet.mass("water[" + (i + 1) + "]/mass", "100.00")
                    .mass("solid[" + (i + 1) + "]/mass", "" + mass)
                    .temperature("water[" + (i + 1) + "]/start", "22.0000")
                    .temperature(
                            "solution[" + (i + 1) + "]/final", String.format(java.util.Locale.ROOT, "%.5f", 22 - fall))
                    .says("solution[" + (i + 1) + "]/dissolved", "all");
        }
        return sheet;
    }

    @Test
    void theLineOfHeatAgainstMolesFindsTheSlopeAndNoInterceptWhereThereIsNone() {
        StraightLine line =
                salts(2, -2, 2, -2).reduced().samples().get(0).line().orElseThrow();
        assertThat(line.slope()).isCloseTo(17.0, within(0.1));
        assertThat(line.missesZero()).isFalse();
        assertThat(salts(0, 0, 0, 0)
                        .reduced()
                        .samples()
                        .get(0)
                        .line()
                        .orElseThrow()
                        .points())
                .isEqualTo(4);
    }

    /** 200 J more in every trial: the mean per mole is wrong, the slope is not, and the intercept says so. */
    @Test
    void aConstantErrorShowsAsAnInterceptAndIsSaid() {
        Reduction reduction = salts(201, 199, 200, 201, 199).reduced();
        Sample sample = reduction.samples().get(0);
        assertThat(sample.line().orElseThrow().slope()).isCloseTo(17.0, within(0.1));
        assertThat(1000 * sample.line().orElseThrow().intercept()).isCloseTo(200, within(5.0));
        assertThat(sample.result().orElseThrow().value()).isGreaterThan(19);
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("trials.intercept"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.message()).contains(" kJ (95 %) for no amount", "The slope is free of it"));
    }

    /** The slope put in force is free of the constant error, in the result, its verdict and every other school. */
    @Test
    void theSlopePutInForceIsTheResultWhereverItIsRead() {
        Sheet sheet = salts(201, 199, 200, 201, 199).sheet();
        Reduction reduction =
                Reduction.of(sheet.with(sheet.setting().combining(Combination.LINE)), Conventions.standard());
        Sample sample = reduction.samples().get(0);
        assertThat(reduction.result().orElseThrow().value()).isCloseTo(17.0, within(0.2));
        assertThat(sample.mean().orElseThrow().estimate().value()).isGreaterThan(19);
        assertThat(reduction.findings())
                .extracting(Finding::message)
                .anyMatch(each -> each.contains("which is the result"));
        assertThat(reduction.alternatives())
                .filteredOn(each -> each.alternative().school().key().equals("4.18"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.estimate().orElseThrow().value()).isCloseTo(17.0, within(0.2)));
        Sheet two = salts(0, 0).sheet();
        Reduction none = Reduction.of(two.with(two.setting().combining(Combination.LINE)), Conventions.standard());
        assertThat(none.result()).isEmpty();
        assertThat(none.findings()).extracting(Finding::code).contains("trials.too-few");
    }

    @Test
    void anOutlierAmongSixIsNamedAndStaysUntilAPersonDecides() {
        Reduction reduction = salts(0, 0.5, -0.5, 0.2, 400, 0).reduced();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("trials.outlier"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("Trial 5", "1.887", "your decision"));
        assertThat(reduction.mean().orElseThrow().values()).hasSize(6);
        assertThat(salts(0, 0.5, -0.5, 0.2, 400).reduced().findings())
                .extracting(Finding::code)
                .doesNotContain("trials.outlier");
    }

    private static Solution trial(Reduction reduction, int number) {
        return reduction.trials().get(number - 1).solution().orElseThrow();
    }
}

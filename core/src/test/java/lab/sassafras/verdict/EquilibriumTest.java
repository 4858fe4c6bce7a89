package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Setting;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A saturated solution at equilibrium, against arithmetic by hand. */
class EquilibriumTest {

    private static final double R = 8.314462618;

    private static BenchSheet urea() {
        return BenchSheet.of("dissolving-equilibrium")
                .says("solute[1]/formula", "CO(NH2)2")
                .says("solute[1]/dissolves", "whole")
                .reads("vessel[1]/empty", "20.000", "g")
                .reads("vessel[1]/solvent", "22.000", "g")
                .reads("bath[1]/temperature", "25.0", "°C")
                .says("bath[1]/held", "hand")
                .says("solution[1]/last", "dissolved")
                .reads("solution[1]/volume", "4.12", "mL")
                .reads("vessel[1]/after", "25.440", "g");
    }

    private static double beside(BenchSheet sheet, String symbol) {
        return trial(sheet.reduced()).derived().stream()
                .filter(each -> each.derived().symbol().text().equals(symbol))
                .findFirst()
                .orElseThrow()
                .estimate()
                .value();
    }

    private static Solution trial(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    /**
     * Common practice, no source, arithmetic only: 3.440 g urea, 4.12 mL, 25 °C; with 2 mL of water that is 1.32 g/mL.
     */
    @Test
    void ureaGivesTheUsualNumbersAndIsFlaggedAsDenserThanASaturatedSolutionCanBe() {
        Reduction reduction = urea().reduced();
        // 3.440 ÷ 60.056 ÷ 0.00412 = 13.903; −8.314 · 298.15 · ln 13.903
        assertThat(beside(urea(), "K")).isCloseTo(13.90, within(0.01));
        assertThat(trial(reduction).estimate().value()).isCloseTo(-6.52, within(0.005));
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("equilibrium.too-rich"))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.grade()).isEqualTo(Finding.Grade.QUESTION);
                    assertThat(each.message()).contains("1.32 g/mL", "1.15", "Undissolved solid was counted");
                });
        assertThat(reduction.findings()).extracting(Finding::code).contains("equilibrium.ideal");
        // 2.30 g to 2 g of water, of a saturated solution of 1.15 g/mL: nothing to say
        assertThat(BenchSheet.of("dissolving-equilibrium")
                        .says("solute[1]/formula", "CO(NH2)2")
                        .says("solute[1]/dissolves", "whole")
                        .reads("vessel[1]/empty", "20.000", "g")
                        .reads("vessel[1]/solvent", "22.000", "g")
                        .reads("bath[1]/temperature", "25.0", "°C")
                        .says("bath[1]/held", "bath")
                        .says("solution[1]/last", "dissolved")
                        .reads("solution[1]/volume", "3.74", "mL")
                        .reads("vessel[1]/after", "24.300", "g")
                        .reduced()
                        .findings())
                .extracting(Finding::code)
                .doesNotContain("equilibrium.too-rich");
    }

    /** From 25 and 41.55 cal/(mol·K): (41.55 − 25) · 4.184 = 69.2 J/(mol·K) (common practice, no source). */
    @Test
    void tabulatedEntropiesAndHeatsOfFormationGiveTheAcceptedValues() {
        BenchSheet sheet = urea().reads("table[1]/entropy-solid", "25", "cal/(mol·K)")
                .reads("table[1]/entropy-dissolved", "41.55", "cal/(mol·K)")
                .reads("table[1]/enthalpy-solid", "-79.634", "kcal/mol")
                .reads("table[1]/enthalpy-dissolved", "-75.954", "kcal/mol");
        assertThat(beside(sheet, "ΔS(accepted)")).isCloseTo(69.2, within(0.05));
        // 3.680 kcal · 4.184 = 15.397; less 298.15 · 0.069245
        assertThat(beside(sheet, "ΔH(accepted)")).isCloseTo(15.397, within(0.001));
        assertThat(beside(sheet, "ΔG(accepted)")).isCloseTo(15.397 - 298.15 * 0.0692452, within(0.002));
    }

    /** The result is judged by the accepted ΔG, and what could have done it is ranked by that. */
    @Test
    void theResultIsJudgedByTheAcceptedValueWhereItIsTyped() {
        assertThat(urea().reduced().agreement(urea().reduced().samples().get(0)))
                .isEmpty();
        Reduction judged = urea().reads("table[1]/entropy-solid", "104.60", "J/(mol·K)")
                .reads("table[1]/entropy-dissolved", "173.85", "J/(mol·K)")
                .reads("table[1]/enthalpy-solid", "-333.19", "kJ/mol")
                .reads("table[1]/enthalpy-dissolved", "-317.79", "kJ/mol")
                .reduced();
        Agreement agreement = judged.agreement(judged.samples().get(0)).orElseThrow();
        // 15.40 − 298.15 · 0.06925 = −5.25
        assertThat(agreement.reference().value()).isCloseTo(-5.25, within(0.01));
        assertThat(agreement.agrees()).isFalse();
        ExplainingSize rest = judged.suspects().stream()
                .filter(each -> each.suspect().key().equals("rest-counted"))
                .findFirst()
                .orElseThrow();
        // K of −5.25 kJ/mol is 8.30: 8.30 ÷ 13.90 of 3.440 g would have dissolved
        assertThat(rest.explains().orElseThrow()).isCloseTo(3.440 * (8.306 / 13.903 - 1), within(0.01));
        assertThat(rest.believed()).isTrue();
    }

    /** ΔS = (ΔH − ΔG) ÷ T: of an entry that measured the heat first, of one typed, of the shelf where neither is. */
    @Test
    void entropyFollowsFromTheHeatOfAnEntryOfATypedOneOrOfTheShelf() {
        double free = trial(urea().reduced()).estimate().value();
        Map<String, Setting.Referenced> runs = Map.of(
                "run",
                new Setting.Referenced(
                        "Heat of solution, bench Alder",
                        Optional.of(Measured.independent(14.8, 0.3)),
                        BenchUnit.KILOJOULES_PER_MOLE));
        BenchSheet both = urea().results(runs).reads("heat[1]/typed", "15.4", "kJ/mol");
        assertThat(beside(both, "ΔS")).isCloseTo(1000 * (15.4 - free) / 298.15, within(1e-6));
        assertThat(beside(both.says("heat[1]/run", "run"), "ΔS"))
                .isCloseTo(1000 * (14.8 - free) / 298.15, within(1e-6));
        // heat of solution of urea +15.3 kJ/mol (the shelf's row, from memory)
        assertThat(beside(urea(), "ΔS")).isCloseTo(1000 * (15.3 - free) / 298.15, within(0.01));
    }

    /** A salt of two ions: K is the square; 36.0 g of sodium chloride to 100 g of water, 1.20 g/mL, is 5.43 mol/L. */
    @Test
    void aSaltOfTwoIonsGivesTheSquareAndTheShelfsHeat() {
        BenchSheet salt = BenchSheet.of("dissolving-equilibrium")
                .says("solute[1]/formula", "KCl")
                .says("solute[1]/dissolves", "two-ions")
                .reads("vessel[1]/empty", "30.000", "g")
                .reads("vessel[1]/solvent", "50.000", "g")
                .reads("bath[1]/temperature", "25.0", "°C")
                .says("bath[1]/held", "bath")
                .says("solution[1]/last", "rest")
                .reads("solution[1]/volume", "22.90", "mL")
                .reads("vessel[1]/after", "57.000", "g");
        double c = 7.0 / 74.5513 / 0.02290;
        assertThat(beside(salt, "K")).isCloseTo(c * c, within(0.002));
        double free = -R * 298.15 * Math.log(c * c) / 1000;
        assertThat(trial(salt.reduced()).estimate().value()).isCloseTo(free, within(0.001));
        // heat of solution +17.22 kJ/mol at infinite dilution (NBS, from memory)
        assertThat(beside(salt, "ΔS")).isCloseTo(1000 * (17.22 - free) / 298.15, within(0.1));
        assertThat(salt.reduced().findings()).extracting(Finding::code).contains("caveat.rest");
    }

    /** ln K by hand from ΔH = 15 kJ/mol and ΔS = 70 J/(mol·K) at some temperatures. */
    private static BenchSheet held(double... celsius) {
        BenchSheet sheet = BenchSheet.of("dissolving-equilibrium", celsius.length)
                .says("solute[1]/formula", "CO(NH2)2")
                .says("solute[1]/dissolves", "whole");
        for (int i = 1; i <= celsius.length; i++) {
            double kelvin = celsius[i - 1] + 273.15;
            double molar = Math.exp(-15_000 / (R * kelvin) + 70 / R);
            sheet.reads("vessel[" + i + "]/empty", "20.0000", "g")
                    .reads("vessel[" + i + "]/solvent", "30.0000", "g")
                    .reads("bath[" + i + "]/temperature", String.format(Locale.ROOT, "%.3f", celsius[i - 1]), "°C")
                    .says("bath[" + i + "]/held", "bath")
                    .says("solution[" + i + "]/last", "dissolved")
                    .reads("solution[" + i + "]/volume", "20.000", "mL")
                    .reads(
                            "vessel[" + i + "]/after",
                            String.format(Locale.ROOT, "%.6f", 30 + molar * 0.020 * 60.056),
                            "g");
        }
        return sheet;
    }

    private static Estimate byLine(Reduction reduction, String words) {
        return reduction.byLine(reduction.samples().get(0)).entrySet().stream()
                .filter(each -> each.getKey().label().startsWith(words))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    /**
     * At several temperatures no mean is made: the line gives ΔG at 25 °C, ΔH and ΔS, and ΔG better than ΔH − TΔS
     * apart.
     */
    @Test
    void severalTemperaturesAreNoRepeatsAndGiveAllThreeByTheLine() {
        Reduction reduction = held(15, 25, 35, 45).reduced();
        assertThat(reduction.samples().get(0).combination().key()).isEqualTo("at-25");
        Estimate free = reduction.result().orElseThrow();
        // 15 − 298.15 · 0.070
        assertThat(free.value()).isCloseTo(-5.8705, within(0.002));
        assertThat(reduction.unknown()).contains("Gibbs energy", "25 °C");
        Estimate heat = byLine(reduction, "enthalpy");
        Estimate entropy = byLine(reduction, "entropy");
        assertThat(heat.value()).isCloseTo(15, within(0.05));
        assertThat(entropy.value()).isCloseTo(70, within(0.2));
        double apart = Math.hypot(heat.uncertainty(), 0.29815 * entropy.uncertainty());
        assertThat(free.uncertainty()).isLessThan(apart / 5);
        assertThat(reduction.samples().get(0).line().orElseThrow().slope()).isCloseTo(-15_000 / R, within(5.0));
        assertThat(reduction.findings())
                .as("nothing says that ln K should be zero where 1/T is")
                .noneMatch(each -> each.code().equals("trials.intercept"))
                .anyMatch(each -> each.code().equals("trials.along-line"));
    }

    /** What was chosen stands where it is open: ΔH by the line is, the mean of four temperatures is not. */
    @ParameterizedTest
    @CsvSource({"temperatures, temperatures, 15", "mean, at-25, -5.8705"})
    void aMeanThatWasChosenBeforeIsNotMadeOfSeveralTemperatures(String chosen, String made, double value) {
        Sheet sheet = held(15, 25, 35, 45).sheet();
        Sheet byChoice = sheet.with(sheet.setting()
                .combining(sheet.experiment().combinations().stream()
                        .filter(each -> each.key().equals(chosen))
                        .findFirst()
                        .orElseThrow()));
        Reduction reduction = Reduction.of(byChoice, byChoice.setting().conventions());
        assertThat(reduction.samples().get(0).combination().key()).isEqualTo(made);
        assertThat(reduction.result().orElseThrow().value()).isCloseTo(value, within(0.05));
    }

    /** Two temperatures: the line is exact, so the instruments alone make its ±, and that is said. */
    @Test
    void twoTemperaturesLeaveNoScatterToJudgeBy() {
        Reduction two = held(20, 40).reduced();
        assertThat(two.result().orElseThrow().degreesOfFreedom()).isInfinite();
        assertThat(two.result().orElseThrow().value()).isCloseTo(-5.8705, within(0.002));
        assertThat(two.findings())
                .anyMatch(each -> each.code().equals("trials.along-line")
                        && each.message().contains("Two points leave no scatter"));
        // at one temperature they are repeats
        Reduction repeats = held(25, 25, 25).reduced();
        assertThat(repeats.samples().get(0).combination().key()).isEqualTo("mean");
        assertThat(repeats.findings()).noneMatch(each -> each.code().equals("trials.along-line"));
    }

    /** 20.00 mL read on nothing known are good to half a per cent, not to 0.005 mL (common practice, no source). */
    @Test
    void aVolumeWithoutAnInstrumentIsNotGoodToItsLastDigit() {
        Estimate one = trial(held(25).reduced()).estimate();
        double ofVolume = R * 298.15 / 1000 * 0.005 / Math.sqrt(3);
        assertThat(one.contributions().get(0).label()).contains("volume");
        assertThat(one.contributions().get(0).uncertainty()).isCloseTo(ofVolume, within(1e-6));
    }
}

package lab.sassafras.convention;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.WorkedRuns;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.SolutionTable;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each school of the table against the same run worked by hand under it. */
class SchoolsOfTheYearTest {

    /** 10.00 g at 100.0 °C into 100.00 g of water, 20.0 → 20.7 °C; C = 9 J/°C found at 110 g. */
    private static BenchSheet solid() {
        return BenchSheet.copper().constant(9, 1, 110);
    }

    private static double value(BenchSheet sheet, String... choices) {
        return reduced(sheet, choices)
                .mean()
                .orElseThrow(() -> new AssertionError(reduced(sheet, choices).trials()))
                .estimate()
                .value();
    }

    private static Reduction reduced(BenchSheet sheet, String... choices) {
        Map<String, String> chosen = new HashMap<>();
        for (int i = 0; i < choices.length; i += 2) {
            chosen.put(choices[i], choices[i + 1]);
        }
        return sheet.reduced(Conventions.of(chosen));
    }

    @Test
    void theCalorimeterInItsFiveWays() {
        double perDegree = 0.7 / (10 * 79.3);
        assertThat(value(solid())).isCloseTo((418.4 + 9) * perDegree, within(1e-12));
        assertThat(value(solid(), "calorimeter", "ignored")).isCloseTo(418.4 * perDegree, within(1e-12));
        // one number with the usual 110 g of water, whatever was weighed: 110 · 4.184 + 9
        assertThat(value(solid(), "calorimeter", "lumped")).isCloseTo((110 * 4.184 + 9) * perDegree, within(1e-12));
        assertThat(value(solid(), "calorimeter", "scaled"))
                .isCloseTo((418.4 + 9 * 100 / 110.0) * perDegree, within(1e-12));
        BenchSheet weighed = solid().mass("wall[1]/mass", "12.00").reads("wall[1]/heat", "0.897", "J/(g·°C)");
        assertThat(value(weighed, "calorimeter", "material"))
                .isCloseTo((418.4 + 12 * 0.897) * perDegree, within(1e-12));
    }

    @Test
    void aTypedSpecificHeatOfWaterIsTakenAsTyped() {
        assertThat(value(solid().reads("constants[1]/water", "4.19", "J/(g·°C)"), "water", "typed"))
                .isCloseTo(428 * 0.7 / 793, within(1e-12));
    }

    /** 4.18, 4.184, 4.186 and one calorie pass; two digits exchanged do not. */
    @ParameterizedTest
    @CsvSource({
        "4.18, J/(g·°C), false",
        "4.184, J/(g·°C), false",
        "4.186, J/(g·°C), false",
        "1.000, cal/(g·°C), false",
        "4184, J/(kg·K), false",
        "4.814, J/(g·°C), true",
        "4.148, J/(g·°C), true",
        "4.2, J/(g·°C), true",
        "1.84, J/(g·°C), true"
    })
    void aTypedConstantFarFromEveryAcceptedOneIsAskedAbout(String typed, String unit, boolean asked) {
        Reduction reduction = reduced(solid().reads("constants[1]/water", typed, unit), "water", "typed");
        assertThat(reduction.findings().stream().map(Finding::code).anyMatch("constant.unaccepted"::equals))
                .isEqualTo(asked);
        assertThat(reduction.mean()).isPresent();
    }

    /** IAPWS R7-97 (memory of table 36): water boils at 99.606 °C under 1000 hPa. */
    @Test
    void theBathAtTheBarometersPressure() {
        double expected = (418.4 + 9) * 0.7 / (10 * (99.6059 - 20.7));
        assertThat(value(solid().reads("room[1]/pressure", "1000", "hPa"), "bath", "barometer"))
                .isCloseTo(expected, within(1e-7));
        assertThat(value(solid().reads("room[1]/pressure", "100", "kPa"), "bath", "barometer"))
                .isCloseTo(expected, within(1e-7));
    }

    /**
     * Read 20.0 after 19.9 five minutes before, mixed 30 s later; 23.5 read 120 s after mixing, 23.3 four minutes on.
     * Fore +0.1/300 °C/s, after −0.2/240 °C/s.
     */
    private static BenchSheet drifting() {
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "50.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "23.5")
                .temperature("drift[1]/early", "19.9")
                .reads("drift[1]/fore", "5", "min")
                .reads("drift[1]/wait", "30", "s")
                .reads("drift[1]/since", "120", "s")
                .temperature("drift[1]/later", "23.3")
                .reads("drift[1]/between", "4", "min")
                .reads("drift[1]/reached", "20", "s")
                .temperature("drift[1]/mean", "23.4");
    }

    private static double solid(double start, double end) {
        return 418.4 * (end - start) / (50 * (100 - end));
    }

    @ParameterizedTest
    @CsvSource({"extreme", "plateau", "after-wait"})
    void readingsThatStandAsTheyAre(String school) {
        assertThat(value(drifting(), "change", school)).isCloseTo(solid(20.0, 23.5), within(1e-12));
    }

    @Test
    void bothLinesCarriedToTheMixingMoment() {
        assertThat(value(drifting(), "change", "carried"))
                .isCloseTo(solid(20.0 + 30 * 0.1 / 300, 23.5 + 120 * 0.2 / 240), within(1e-12));
    }

    @Test
    void bothLinesCarriedToAFractionOfTheRise() {
        assertThat(value(drifting(), "change", "fraction"))
                .isCloseTo(solid(20.0 + 50 * 0.1 / 300, 23.5 + 100 * 0.2 / 240), within(1e-12));
    }

    /** Regnault–Pfaundler: k = (r₀ − r₁) ÷ (T₁ − T₀); what leaked in t is (r₁ + k (T₁ − T̄)) t. */
    @Test
    void theHeatLeakIntegral() {
        double start = 20.0 + 30 * 0.1 / 300;
        double after = -0.2 / 240;
        double k = (0.1 / 300 - after) / (23.5 - start);
        double end = 23.5 - (after + k * (23.5 - 23.4)) * 120;
        assertThat(value(drifting(), "change", "integral")).isCloseTo(solid(start, end), within(1e-12));
    }

    /** 118.72 g by difference, 120.00 g zeroed before it, 119.5 mL beside: whichever school is in force. */
    @Test
    void aMassGotInThreeWays() {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.7")
                .mass("water[1]/mass", "120.00")
                .volume("water[1]/mass", "119.5")
                .give("water[1]/mass", Role.TARE, "2.34", "g", Optional.of(BenchSheet.BALANCE))
                .give("water[1]/mass", Role.GROSS, "121.06", "g", Optional.of(BenchSheet.BALANCE));
        double perGram = 4.184 * 0.7 / 793;
        assertThat(value(sheet)).isCloseTo(118.72 * perGram, within(1e-12));
        assertThat(value(sheet, "mass", "zeroed")).isCloseTo(120 * perGram, within(1e-12));
        assertThat(value(sheet, "mass", "difference")).isCloseTo(118.72 * perGram, within(1e-12));
        assertThat(value(sheet, "mass", "volume")).isCloseTo(119.5 * perGram, within(1e-12));
        assertThat(value(sheet, "mass", "volume", "density", "0.998"))
                .isCloseTo(119.5 * 0.998 * perGram, within(1e-12));
        BenchSheet measured = sheet.reads("constants[1]/density", "1.012", "g/mL");
        assertThat(value(measured, "mass", "volume", "density", "measured"))
                .isCloseTo(119.5 * 1.012 * perGram, within(1e-12));
    }

    private static BenchSheet salt() {
        return BenchSheet.of("heat-of-solution")
                .says("solute[1]/formula", "NaCl")
                .mass("water[1]/mass", "100.00")
                .mass("solid[1]/mass", "10.00")
                .temperature("water[1]/start", "22.0")
                .temperature("solution[1]/final", "20.5")
                .says("solution[1]/dissolved", "all");
    }

    /**
     * q = −(mass × c) × (−1.5): the whole 110 g; 100 g; 110 g at 3.60; water with 4.184 and salt with its own 0.864.
     */
    @Test
    void whichMassWarms() {
        double moles = 10 / (22.990 + 35.45);
        assertThat(value(salt())).isCloseTo(110 * 4.184 * 1.5 / 1000 / moles, within(0.001));
        assertThat(value(salt(), "solution", "water")).isCloseTo(100 * 4.184 * 1.5 / 1000 / moles, within(0.001));
        assertThat(value(salt().reads("constants[1]/solution", "3.60", "J/(g·°C)"), "solution", "measured"))
                .isCloseTo(110 * 3.60 * 1.5 / 1000 / moles, within(0.001));
        assertThat(value(salt(), "solution", "parties"))
                .isCloseTo((100 * 4.184 + 10 * 0.864) * 1.5 / 1000 / moles, within(0.001));
    }

    /**
     * 10.00 g of sodium chloride in 100.00 g of water are 9.09 %: c between the 3.80 of 8 % and the 3.65 of 12 %, and
     * so much smaller the heat. Of the pentahydrate of copper sulfate 63.9 % count as salt.
     */
    @Test
    void aSolutionMayTakeItsTabulatedSpecificHeat() {
        double c = value(salt(), "solution", "table") / value(salt(), "solution", "whole") * 4.184;
        assertThat(c).isBetween(3.74, 3.78);
        BenchSheet vitriol = BenchSheet.of("heat-of-solution")
                .says("solute[1]/formula", "CuSO4·5H2O")
                .mass("water[1]/mass", "100.00")
                .mass("solid[1]/mass", "10.00")
                .temperature("water[1]/start", "22.0")
                .temperature("solution[1]/final", "20.5")
                .says("solution[1]/dissolved", "all");
        double w = 10 * 159.602 / 249.677 / 110;
        double expected = SolutionTable.of(ChemicalFormula.read("CuSO4"))
                .orElseThrow()
                .specificHeat()
                .value(100 * w);
        assertThat(value(vitriol, "solution", "table") / value(vitriol, "solution", "whole") * 4.184)
                .isCloseTo(expected, within(1e-3));
        Reduction unknown = reduced(
                BenchSheet.of("heat-of-solution")
                        .says("solute[1]/formula", "AgNO3")
                        .mass("water[1]/mass", "100.00")
                        .mass("solid[1]/mass", "10.00")
                        .temperature("water[1]/start", "22.0")
                        .temperature("solution[1]/final", "20.5")
                        .says("solution[1]/dissolved", "all"),
                "solution",
                "table");
        assertThat(unknown.findings()).extracting(Finding::code).contains("solution.no-table");
    }

    /**
     * 50.0 mL each of 1.000 mol/L acid and base: 1.0165 and 1.0395 g/mL (common values of laboratory manuals, memory).
     */
    @Test
    void aSolutionMayWeighWhatItsConcentrationWeighs() {
        BenchSheet poured = WorkedRuns.all().get("neutralization");
        double one = value(poured, "density", "1");
        double table = value(poured, "density", "table");
        assertThat(table / one).isBetween(1.0165, 1.0395);
        assertThat(density("HCl", 1)).isCloseTo(1.0165, within(0.001));
        assertThat(density("NaOH", 1)).isCloseTo(1.0395, within(0.002));
        assertThat(density("NaCl", 1)).isCloseTo(1.038, within(0.002));
    }

    /**
     * Every table begins with water and, where the solution is dilute, follows the apparent molar heat capacity at
     * infinite dilution of another table (NBS, memory): c = (4181.9 + mC) ÷ (1000 + mM), within 1 % at 2 %.
     */
    @Test
    void tabulatedSolutionsBeginAsDiluteOnesMust() {
        assertThat(SolutionTable.all())
                .hasSize(11)
                .allSatisfy(table -> assertThat(table.specificHeat().value(0)).isCloseTo(4.182, within(1e-9)));
        ReferenceShelf.standard().formation().capacities().stream()
                .filter(each -> each.state().equals("aq"))
                .forEach(each -> SolutionTable.of(each.formula()).ifPresent(table -> {
                    double m = 20 / 0.98 / each.formula().molarMass();
                    double dilute = (4181.9 + m * each.value())
                            / (1000 + m * each.formula().molarMass());
                    assertThat(table.specificHeat().value(2))
                            .as(each.formula().text())
                            .isCloseTo(dilute, within(0.04));
                }));
    }

    private static double density(String formula, double molar) {
        return SolutionTable.of(ChemicalFormula.read(formula))
                .orElseThrow()
                .density()
                .value(molar);
    }

    @Test
    void perMolePerGramOrTheHeatAlone() {
        assertThat(value(salt(), "basis", "per-gram")).isCloseTo(110 * 4.184 * 1.5 / 10, within(1e-9));
        assertThat(reduced(salt(), "basis", "per-gram").unit().symbol()).isEqualTo("J/g");
        assertThat(value(salt(), "basis", "heat")).isCloseTo(110 * 4.184 * 1.5, within(1e-9));
        // never weighed and no formula: still a heat
        BenchSheet unweighed = BenchSheet.of("heat-of-solution")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "22.0")
                .temperature("solution[1]/final", "20.5")
                .says("solution[1]/dissolved", "all");
        assertThat(value(unweighed, "basis", "heat")).isCloseTo(100 * 4.184 * 1.5, within(1e-9));
        assertThat(unweighed.reduced().mean()).isEmpty();
        // the reference of the shelf comes per gram too, at the start: (3.88 + (−90.0 − 50.5) · (22 − 25) ÷ 1000) ÷
        // 58.44
        assertThat(reduced(salt(), "basis", "per-gram")
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo((3880 + 140.5 * 3) / 58.44, within(0.05));
    }

    private static Presentation presentation(String... choices) {
        Map<String, String> chosen = new HashMap<>();
        for (int i = 0; i < choices.length; i += 2) {
            chosen.put(choices[i], choices[i + 1]);
        }
        return new Presentation(Conventions.of(chosen), Figures.POINT);
    }

    private static Solution trial(String key) {
        return WorkedRuns.all().get(key).reduced().trials().get(0).solution().orElseThrow();
    }

    @Test
    void aPerCentErrorIsSignedOrNot() {
        // 100 · (0.3693 − 0.385) ÷ 0.385
        assertThat(presentation().percentError(-4.08)).isEqualTo("−4.1 %");
        assertThat(presentation("error", "signed").percentError(4.08)).isEqualTo("+4.1 %");
        assertThat(presentation("error", "absolute").percentError(-4.08)).isEqualTo("4.1 %");
    }

    /** 0.3693, u 0.0217, so ± 0.0425 J/(g·°C), is 369 ± 42 J/(kg·K) and 0.088 cal/(g·°C). */
    @Test
    void unitsOfAResult() {
        Solution copper =
                BenchSheet.copper().reduced().trials().get(0).solution().orElseThrow();
        assertThat(presentation().written(copper.estimate(), copper.result().unit()))
                .hasToString("0.369 ± 0.042 J/(g·°C)");
        assertThat(presentation("units", "si")
                        .written(copper.estimate(), copper.result().unit()))
                .hasToString("369 ± 42 J/(kg·K)");
        assertThat(presentation("heat", "cal")
                        .written(copper.estimate(), copper.result().unit()))
                .hasToString("0.088 ± 0.010 cal/(g·°C)");
        Solution salt = trial("heat-of-solution");
        assertThat(presentation("heat", "kcal")
                        .written(salt.estimate(), salt.result().unit())
                        .unit())
                .isEqualTo("kcal/mol");
        assertThat(presentation("heat", "J")
                        .written(salt.estimate(), salt.result().unit())
                        .unit())
                .isEqualTo("J/mol");
    }

    /** No further than it is known, and with its sign where it has one: 34.89 ± 0.1 kJ/mol is 8.34 ± 0.02 kcal/mol. */
    @Test
    void aReferenceIsWrittenAsFarAsItIsKnown() {
        assertThat(presentation().written(reference(-55.268, 0.3, BenchUnit.KILOJOULES_PER_MOLE)))
                .isEqualTo("−55.27 kJ/mol");
        assertThat(presentation("heat", "kcal").written(reference(34.89, 0.1, BenchUnit.KILOJOULES_PER_MOLE)))
                .isEqualTo("+8.339 kcal/mol");
        assertThat(presentation().written(reference(0.388, 0.005, BenchUnit.JOULES_PER_GRAM_DEGREE)))
                .isEqualTo("0.388 J/(g·°C)");
    }

    private static Reference reference(double value, double uncertainty, BenchUnit unit) {
        return new Reference("made-up", "made up", value, uncertainty, unit, "no source", true);
    }

    /**
     * 0.7 °C has one figure, so the schoolbook goes no further than the ± asks; by the uncertainty it is 0.369 ± 0.022.
     * Value and ± end at the same place, whichever it is: 26 ± 0.4 says two things at once.
     */
    @ParameterizedTest
    @CsvSource({
        "figures, 0.022, 0.37, 0.02",
        "figures, 0.22, 0.4, 0.2",
        "figures, 2.2, 0.4, 2.2",
        "uncertainty, 0.022, 0.369, 0.022"
    })
    void roundingByFiguresOrByTheUncertainty(String school, double half, String value, String uncertainty) {
        Solution copper =
                BenchSheet.copper().reduced().trials().get(0).solution().orElseThrow();
        Presentation.Written written =
                presentation("rounding", school).written(copper.estimate(), half, copper.result(), copper.bindings());
        assertThat(written.value()).isEqualTo(value);
        assertThat(written.uncertainty()).isEqualTo(uncertainty);
    }

    @Test
    void theBooksAreOpenedInThreeWays() {
        assertThat(working("sheet", "sum-zero")).startsWith("q(dissolving) + q(solution) = 0\n");
        assertThat(working("sheet", "lost-gained"))
                .startsWith("heat lost = heat gained: −q(solution) = q(dissolving)\n");
        assertThat(working("sheet", "system"))
                .startsWith("q(system) = −q(surroundings): q(dissolving) = −q(solution)\n");
        assertThat(presentation("sheet", "system")
                        .working(trial("heat-of-solution"))
                        .latex())
                .contains("\\text{q(system) = $-$q(surroundings):}");
    }

    @Test
    void theWorkingIsWrittenInTheUnitsAndLettersInForceAndEndsInTheUnitShown() {
        Working si = presentation("units", "si")
                .working(
                        BenchSheet.copper().reduced().trials().get(0).solution().orElseThrow());
        assertThat(si.text()).contains("θ(final)").doesNotContain("T(final)").endsWith("= 369 J/(kg·K)\n");
        assertThat(presentation("units", "si").working(trial("neutralization")).text())
                .contains("50.0 cm³", "g/cm³")
                .doesNotContain("mL ×");
        assertThat(working("heat", "kcal")).endsWith("kcal/mol, absorbed\n");
    }

    private static String working(String... choices) {
        return presentation(choices).working(trial("heat-of-solution")).text();
    }
}

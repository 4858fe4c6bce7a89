package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;

/** Whole reductions against numbers worked by hand. */
class CheckValuesTest {

    /** Common practice, arithmetic only, no source: 49.661 g at 56.9 °C into 50.098 g at 24.2 °C ends at 39.7 °C. */
    @Test
    void mixingGivesTheHandWorkedHeatsAndIsFlaggedWithTheTransitLossThatWouldExplainIt() {
        Reduction reduction = BenchSheet.mixing().reduced();
        Solution trial = reduction.trials().get(0).solution().orElseThrow();

        assertThat(heat(trial, "hot")).isCloseTo(-3574, within(0.5));
        assertThat(heat(trial, "cold")).isCloseTo(3249, within(0.5));
        assertThat(heat(trial, "calorimeter")).isCloseTo(325, within(0.5));
        assertThat(trial.estimate().value()).isCloseTo(21, within(0.1));
        // (20.96 − 5) ÷ (49.661 · 4.184 ÷ 15.5) = 1.19 °C lost on the way would bring it to a middling foam cup
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("constant.too-large"))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.grade()).isEqualTo(Finding.Grade.QUESTION);
                    assertThat(finding.message()).contains("cooled between reading and pouring", "1.2 °C", "13 J/°C");
                });
    }

    /** Common practice, no source: 10 g copper, 100 °C, into 100 g water, 20.0 → 20.7 °C, cup ignored. */
    @Test
    void copperGivesItsSpecificHeatAndTheTemperatureReadingsDominateTheUncertainty() {
        Reduction reduction = BenchSheet.copper().reduced();
        Solution trial = reduction.trials().get(0).solution().orElseThrow();

        assertThat(trial.estimate().value()).isCloseTo(0.369, within(0.0005));
        double ofRise = trial.estimate().contributions().stream()
                .filter(each ->
                        each.key().startsWith("water[1]/start") || each.key().startsWith("mixed[1]/final"))
                .mapToDouble(each -> each.shareOf(trial.estimate()))
                .sum();
        assertThat(ofRise).isGreaterThan(0.95);
        assertThat(reduction.verdict().orElseThrow().candidates())
                .extracting(each -> each.substance().key())
                .contains("copper", "zinc", "brass");
    }

    /**
     * Hand-derived: with c = −m c_w (T_f − T_w) ÷ (m_s (T_f − T_b)) and readings good to 0.1 ÷ √12 = 0.02887 °C, u(c)
     * from T_w is c ÷ 0.7 · u = 0.01524, from T_f c · (1/0.7 + 1/79.3) · u = 0.01537, from T_b c ÷ 79.3 · u = 0.00013;
     * masses 0.01 ÷ √12: c ÷ 10 · u = 0.00011 and c ÷ 100 · u = 0.00001. The shared thermometer offset cancels; that of
     * the balance gives c (1/100 − 1/10) · 0.01 = 0.00033. Root of the sum of squares: 0.02165.
     */
    @Test
    void uncertaintyEqualsTheHandDerivedOne() {
        Solution trial =
                BenchSheet.copper().reduced().trials().get(0).solution().orElseThrow();
        assertThat(trial.estimate().uncertainty()).isCloseTo(0.02165, within(0.00002));
    }

    /**
     * A solid that met the air on its way, or a reading before the turn, hides heat whichever way it went. Hot: 10 g,
     * 98 for 100 °C, 100 g from 20 to 20.7: c = 292.88 ÷ 773 for ÷ 793. Ice-cold, 20 to 19.2: 334.72 ÷ (10 · 17.2) for
     * ÷ (10 · 19.2).
     */
    @Test
    void aSuspectedErrorPushesTheWayTheRunWent() {
        Reduction hot = BenchSheet.copper().reduced();
        Reduction cold = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", "ice")
                .temperature("sample[1]/start", "0.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "19.2")
                .reduced();
        assertThat(suspected(hot, "cooled-in-transit")).isCloseTo(292.88 / 773 - 292.88 / 793, within(1e-9));
        assertThat(suspected(cold, "cooled-in-transit")).isCloseTo(334.72 / 172 - 334.72 / 192, within(1e-9));
        assertThat(suspected(hot, "final-too-early")).isCloseTo(418.4 * 0.9 / 791 - 292.88 / 793, within(1e-9));
        assertThat(suspected(cold, "final-too-early")).isCloseTo(418.4 * 1.0 / 190 - 334.72 / 192, within(1e-9));
    }

    /**
     * A gram of water from the bath, weighed by nobody: 70 g from 100 °C into 100 g, 20 to 25 °C: (418.4 · 5 − 4.184 ·
     * 75) ÷ (70 · 75) for 418.4 · 5 ÷ (70 · 75). Once it is weighed it is a party, and no longer a suspicion.
     */
    @Test
    void waterThatClungToTheSolidIsSupposedUntilItIsWeighed() {
        Reduction unweighed = slug().reduced();
        assertThat(suspected(unweighed, "carried")).isCloseTo(-4.184 / 70, within(1e-9));
        Reduction weighed = slug().mass("sample[1]/carried", "1.00").reduced();
        assertThat(weighed.result().orElseThrow().value()
                        - unweighed.result().orElseThrow().value())
                .isCloseTo(-4.184 / 70, within(1e-9));
        assertThat(weighed.suspects())
                .extracting(each -> each.suspect().key())
                .contains("not-through")
                .doesNotContain("carried");
    }

    private static BenchSheet slug() {
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "70.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "25.0");
    }

    static double suspected(Reduction reduction, String key) {
        return reduction.suspects().stream()
                .filter(each -> each.suspect().key().equals(key))
                .findFirst()
                .orElseThrow()
                .change();
    }

    @Test
    void seenColourAndMagnetSpeakAgainstCandidatesThatTheNumberAllows() {
        List<Candidate> candidates = BenchSheet.copper()
                .says("seen[1]/colour", "reddish")
                .says("seen[1]/magnetic", "no")
                .reduced()
                .verdict()
                .orElseThrow()
                .candidates();
        assertThat(candidates)
                .filteredOn(Candidate::fits)
                .extracting(each -> each.substance().key())
                .containsExactlyInAnyOrder("copper", "bronze", "coin-bronze");
        assertThat(candidates)
                .filteredOn(each -> each.substance().key().equals("zinc"))
                .singleElement()
                .satisfies(zinc -> assertThat(zinc.objections()).containsExactly("it is grey"));
    }

    @Test
    void referenceToldGivesThePerCentErrorAndSaysTheSourceWasNotOpened() {
        Agreement agreement = BenchSheet.copper()
                .says("seen[1]/known", "copper")
                .reduced()
                .verdict()
                .orElseThrow()
                .agreement()
                .orElseThrow();
        assertThat(agreement.percentError()).isCloseTo(100 * (0.36934 - 0.385) / 0.385, within(0.01));
        assertThat(agreement.reference().sourceInWords()).endsWith("not verified against the source");
    }

    @Test
    void otherSchoolsAreWorkedFromTheSameReadings() {
        Reduction reduction = BenchSheet.copper().constant(9, 1, 100).reduced();
        double counted = reduction.result().orElseThrow().value();
        // by hand: (100 · 4.184 + 9) · 0.7 ÷ (10 · 79.3)
        assertThat(counted).isCloseTo(427.4 * 0.7 / 793, within(1e-9));
        assertThat(reduction.alternatives()).anySatisfy(each -> {
            assertThat(each.alternative().school().key()).isEqualTo("ignored");
            assertThat(each.estimate().orElseThrow().value()).isCloseTo(418.4 * 0.7 / 793, within(1e-9));
        });
        assertThat(reduction.alternatives()).anySatisfy(each -> {
            assertThat(each.alternative().school().key()).isEqualTo("4.18");
            assertThat(each.estimate().orElseThrow().value()).isCloseTo(427.0 * 0.7 / 793, within(1e-9));
        });
    }

    /**
     * 58.47 · 4.184 · (−19.0) = −4648.1; 60.12 · 4.184 · 17.9 = 4502.6; 145.5 ÷ 17.9 = 8.13: a reader gets what is
     * printed.
     */
    @Test
    void heatsAreWrittenToOnePlaceFineEnoughForTheNextLine() {
        Working working = written(BenchSheet.of("constant-by-mixing")
                .says("cup[1]/held", "cold")
                .mass("cold[1]/mass", "60.12")
                .temperature("cold[1]/start", "21.3")
                .mass("hot[1]/mass", "58.47")
                .temperature("hot[1]/start", "58.2")
                .temperature("mixed[1]/final", "39.2")
                .reduced()
                .trials()
                .get(0)
                .solution()
                .orElseThrow());
        assertThat(working.text())
                .contains(
                        "= −(−4648.1 + 4502.6) J\n", "= +145.5 J, absorbed\n", "= 145.5 J ÷ 17.9 °C\n", "= 8.1 J/°C\n");
    }

    @Test
    void workingIsTheComputationInWordsAndNumbers() {
        Working working = written(BenchSheet.copper()
                .constant(9, 1, 100)
                .reduced()
                .trials()
                .get(0)
                .solution()
                .orElseThrow());
        assertThat(working.text())
                .contains(
                        "ΔT(water)   = T(final) − T(water)",
                        "= (20.7 − 20.0) °C",
                        "q(water)    = m(water) × c(water) × ΔT(water)",
                        "= 100.00 g × 4.184 J/(g·°C) × 0.7 °C",
                        ", absorbed",
                        "q(solid)    = −(q(water) + q(foam cup))",
                        "c(solid)    = q(solid) ÷ (m(solid) × ΔT(bath))",
                        "÷ (10.00 g × (−79.3) °C)");
        assertThat(working.latex())
                .contains("q_{\\text{water}} &=", "\\Delta T_{\\text{bath}}", "\\frac{", "\\begin{aligned}");
    }

    @Test
    void aNegativeConstantIsQuestionedUnlessItMayBeZero() {
        assertThat(mixed("40.9").findings()).extracting(Finding::code).contains("constant.negative");
        // 50.00 g each: 60.00 and 20.00 meet at 40.00 in a cup that takes nothing; 40.02 is within 2 u of it
        assertThat(mixed("40.02").findings())
                .extracting(Finding::code)
                .contains("constant.negative-near-zero")
                .doesNotContain("constant.negative");
    }

    private static Reduction mixed(String end) {
        return BenchSheet.of("constant-by-mixing")
                .says("cup[1]/held", "cold")
                .mass("cold[1]/mass", "50.00")
                .temperature("cold[1]/start", "20.00")
                .mass("hot[1]/mass", "50.00")
                .temperature("hot[1]/start", "60.00")
                .temperature("mixed[1]/final", end)
                .reduced();
    }

    @Test
    void missingConstantIsSaidWithWhatItDoesToTheResult() {
        assertThat(BenchSheet.copper().reduced().findings()).anySatisfy(finding -> {
            assertThat(finding.code()).isEqualTo("calorimeter.ignored");
            // one foam cup of 5 J/°C beside 418.4 J/°C of water: +1.2 %
            assertThat(finding.message()).contains("0.374", "+1.2 %");
        });
    }

    @Test
    void constantFoundAtAnotherFillIsQuestioned() {
        assertThat(BenchSheet.copper().constant(9, 1, 160).reduced().findings())
                .extracting(Finding::code)
                .contains("calibration.fill");
        assertThat(BenchSheet.copper().constant(9, 1, 110).reduced().findings())
                .extracting(Finding::code)
                .doesNotContain("calibration.fill");
    }

    @Test
    void waterByTemperatureMovesTheResultByTheRatioOfTheTwoValues() {
        double fixed = BenchSheet.copper().reduced().result().orElseThrow().value();
        Conventions byTemperature = Conventions.standard()
                .with(
                        ConventionQuestion.WATER,
                        ConventionQuestion.WATER.school("iapws").orElseThrow());
        double moved = BenchSheet.copper()
                .reduced(byTemperature)
                .result()
                .orElseThrow()
                .value();
        // IAPWS-IF97 at 0.101325 MPa: 4.1848 at 20 °C, 4.1819 at 25 °C; straight between them at 20.35 °C
        assertThat(moved / fixed).isCloseTo((4.1848 - 0.07 * 0.0029) / 4.184, within(5e-5));
    }

    private static double heat(Solution solution, String party) {
        return solution.postings().stream()
                .filter(entry -> entry.party().key().equals(party))
                .findFirst()
                .orElseThrow()
                .heat()
                .value();
    }

    private static Working written(Solution solution) {
        return new Presentation(Conventions.standard(), Figures.POINT).working(solution);
    }
}

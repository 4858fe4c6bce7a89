package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.BenchSheet;
import org.junit.jupiter.api.Test;

/** Neutralization and the reactions of a solid with a solution, against numbers worked by hand. */
class ReactionTest {

    private static BenchSheet neutral(String acid, String base, String end) {
        return equation(BenchSheet.of("neutralization"), "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)", "HCl", "NaOH")
                .volume("first[1]/amount", acid)
                .volume("second[1]/amount", base)
                .temperature("first[1]/start", "21.0")
                .temperature("second[1]/start", "22.0")
                .temperature("mixed[1]/final", end);
    }

    private static BenchSheet equation(BenchSheet sheet, String equation, String acid, String base) {
        return sheet.says("reaction[1]/equation", equation)
                .says("reaction[1]/strength", "strong")
                .says("acid[1]/formula", acid)
                .says("base[1]/formula", base)
                .assumed("acid[1]/concentration", "1.000", "0.005", "mol/L")
                .assumed("base[1]/concentration", "1.000", "0.005", "mol/L");
    }

    /**
     * Common practice, no source: 25 mL of 1 mol/L copper(II) sulfate, excess zinc, rise 48.0 °C, 4.18, the solution
     * alone.
     */
    private static BenchSheet displacement(String equation, String reagent, String zinc) {
        return BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", equation)
                .says("solution[1]/reagent", reagent)
                .assumed("solution[1]/concentration", "1.00", "0.01", "mol/L")
                .says("solid[1]/formula", "Zn")
                .volume("poured[1]/amount", "25.0")
                .mass("added[1]/mass", zinc)
                .temperature("poured[1]/start", "21.0")
                .temperature("mixed[1]/final", "69.0")
                .says("mixed[1]/reacted", "excess");
    }

    private static final String ZINC = "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)";
    private static final Conventions ALONE = Conventions.of(Map.of("water", "4.18", "solution", "water"));

    @Test
    void displacementOfCopperByZinc() {
        Reduction reduction = displacement(ZINC, "Cu^2+", "6.00").reduced(ALONE);
        // 25 · 4.18 · 48.0 = 5016 J; 0.025 mol; −200.6 kJ/mol
        assertThat(value(reduction)).isCloseTo(-200.64, within(1e-9));
        assertThat(solution(reduction).derived())
                .filteredOn(each -> each.derived().symbol().letter().equals("q"))
                .singleElement()
                .satisfies(each -> assertThat(each.estimate().value()).isCloseTo(-5016, within(1e-9)));
        // NBS formation data (memory): −218.7
        assertThat(reduction.verdict().orElseThrow().agreement().orElseThrow().percentError())
                .isCloseTo(100 * (200.64 / 218.66 - 1), within(0.1));
        assertThat(codes(reduction)).contains("reagents.limiting", "process.sign");
        assertThat(new lab.sassafras.presentation.Presentation(
                                Conventions.standard(), lab.sassafras.measure.Figures.POINT)
                        .working(solution(displacement(ZINC, "Cu^2+", "6.00").reduced()))
                        .text())
                .contains("= m(solution) + m(solid)")
                .contains("q(solution)           = m(solution and solid) × c(water)");
    }

    @Test
    void withTooLittleZincTheZincIsLimiting() {
        Reduction reduction = displacement(ZINC, "Cu^2+", "1.00").reduced(ALONE);
        // 1.00 ÷ 65.38 = 0.015295 mol of zinc (CIAAW, memory)
        assertThat(value(reduction)).isCloseTo(-5.016 / (1 / 65.38), within(0.1));
        assertThat(message(reduction, "reagents.limiting")).contains("Limiting reagent: Zn", "more than needed");
    }

    /** Two silver ions to each zinc: per mole of silver it is half of what the equation as written gives. */
    @Test
    void theResultIsPerMoleOfTheLimitingReagentAndTheEquationAsWrittenStandsBeside() {
        Reduction reduction = displacement("Zn(s) + 2 Ag+(aq) -> Zn^2+(aq) + 2 Ag(s)", "Ag+", "6.00")
                .reduced(ALONE);
        assertThat(value(reduction)).isCloseTo(-5.016 / 0.025, within(1e-9));
        assertThat(solution(reduction).derived().get(0).estimate().value()).isCloseTo(-5.016 / 0.0125, within(1e-9));
        // shelf: −153.89 − 2 · 105.579 = −365.05 as written, half of it per silver ion
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(-365.048 / 2, within(0.001));
    }

    @Test
    void anEquationWrittenBackwardsIsRefusedInWords() {
        Reduction reduction = displacement("Zn^2+(aq) + Cu(s) -> Zn(s) + Cu^2+(aq)", "Cu^2+", "6.00")
                .reduced(ALONE);
        assertThat(reduction.mean()).isEmpty();
        assertThat(message(reduction, "equation.backwards")).contains("backwards", "on the left");
        assertThat(reduction.trials().get(0).account())
                .isInstanceOfSatisfying(
                        Account.Incomplete.class,
                        incomplete -> assertThat(incomplete.missing()).isEmpty());
        assertThat(codes(displacement("Fe(s) + Cu^2+(aq) -> Fe^2+(aq) + Cu(s)", "Cu^2+", "6.00")
                        .reduced(ALONE)))
                .contains("equation.without-reagent");
    }

    /** Each from its own start: 50 · 4.184 · (28.1 − 21.0) + 50 · 4.184 · (28.1 − 22.0) = 2761.44 J over 0.0500 mol. */
    @Test
    void acidAndBaseStartEachFromTheirOwnTemperature() {
        Reduction reduction = neutral("50.0", "50.0", "28.1").reduced();
        assertThat(value(reduction)).isCloseTo(-55.2288, within(1e-9));
        assertThat(codes(reduction)).contains("reagents.even");
        // the reference moves with temperature: −55.84 at 25 °C (NBS, memory), near −57 at 20 °C (common practice)
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(-55.84 + 0.22 * 3.1, within(1e-9));
        assertThat(-55.84 - 0.22 * 5).isCloseTo(-57, within(0.1));
    }

    /**
     * Near equal moles the smaller of the two lies below either: by 1/√π of their u, so the drawn answer stands in
     * front.
     */
    @Test
    void atEqualMolesTheRandomDrawsAreNotBorneOutByTheLinearAnswer() {
        Solution even = solution(neutral("50.0", "50.0", "28.1").reduced());
        assertThat(even.drawn(50_000).bearsOut(even.estimate())).isFalse();
        Solution clear = solution(neutral("50.0", "60.0", "27.5").reduced());
        assertThat(clear.drawn(50_000).bearsOut(clear.estimate())).isTrue();
    }

    @Test
    void theBaseInExcessLeavesTheAcidLimitingAndTheOtherWayRound() {
        assertThat(message(neutral("50.0", "60.0", "27.5").reduced(), "reagents.limiting"))
                .contains("acid", "base there were 0.0100 mol more");
        assertThat(message(neutral("60.0", "50.0", "27.5").reduced(), "reagents.limiting"))
                .contains("Limiting reagent: base");
    }

    /** Two waters to each sulfuric acid: 0.025 mol of it with 0.05 mol of base make 0.05 mol of water. */
    @Test
    void aDiproticAcidFormsTwoWaters() {
        BenchSheet sheet = equation(
                        BenchSheet.of("neutralization"),
                        "H2SO4(aq) + 2 NaOH(aq) -> Na2SO4(aq) + 2 H2O(l)",
                        "H2SO4",
                        "NaOH")
                .volume("first[1]/amount", "25.0")
                .volume("second[1]/amount", "60.0")
                .temperature("first[1]/start", "21.0")
                .temperature("second[1]/start", "21.0")
                .temperature("mixed[1]/final", "28.5");
        assertThat(value(sheet.reduced())).isCloseTo(-85 * 4.184 * 7.5 / 0.05 / 1000, within(1e-9));
    }

    @Test
    void molesAThousandApartAreAskedAbout() {
        Reduction slip = neutral("50.0", "0.0500", "28.1").reduced();
        assertThat(message(slip, "reagents.thousand")).contains("1000 times apart", "mL typed for L");
    }

    @Test
    void noReagentAtAllGivesNoNumber() {
        Reduction none = neutral("0.0", "50.0", "28.1").reduced();
        assertThat(none.mean()).isEmpty();
        assertThat(message(none, "reagents.none")).contains("no acid at all");
        assertThat(codes(displacement(ZINC, "Cu^2+", "0.00").reduced(ALONE))).contains("reagents.none");
    }

    @Test
    void aWeakPartnerIsComparedWithItsOwnFormationRows() {
        BenchSheet weak = BenchSheet.of("neutralization")
                .says("reaction[1]/equation", "CH3COOH(aq) + OH-(aq) -> CH3COO-(aq) + H2O(l)")
                .says("reaction[1]/strength", "weak")
                .says("acid[1]/formula", "CH3COOH")
                .says("base[1]/formula", "OH-")
                .assumed("acid[1]/concentration", "1.000", "0.005", "mol/L")
                .assumed("base[1]/concentration", "1.100", "0.005", "mol/L")
                .volume("first[1]/amount", "50.0")
                .volume("second[1]/amount", "50.0")
                .temperature("first[1]/start", "21.0")
                .temperature("second[1]/start", "21.0")
                .temperature("mixed[1]/final", "27.6");
        Reduction reduction = weak.reduced();
        // −486.01 − 285.83 + 485.76 + 229.994 = −56.09
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(-56.086, within(0.001));
        assertThat(codes(reduction)).contains("neutralization.weak");
    }

    @Test
    void anAssumedStartOfTheBaseIsAnotherThingThanAReading() {
        BenchSheet assumed = equation(
                        BenchSheet.of("neutralization"), "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)", "HCl", "NaOH")
                .volume("first[1]/amount", "50.0")
                .volume("second[1]/amount", "60.0")
                .temperature("first[1]/start", "21.0")
                .assumed("second[1]/start", "22.0", "1", "°C")
                .temperature("mixed[1]/final", "27.5");
        double u = solution(assumed.reduced()).estimate().uncertainty();
        assertThat(u)
                .isGreaterThan(3
                        * solution(neutral("50.0", "60.0", "27.5").reduced())
                                .estimate()
                                .uncertainty());
        // a degree in 60 g of base is 60 · 4.184 J in 0.05 mol
        assertThat(solution(assumed.reduced()).estimate().contributions().get(0).uncertainty())
                .isCloseTo(60 * 4.184 / 50, within(0.01));
    }

    private static List<String> codes(Reduction reduction) {
        return reduction.findings().stream().map(Finding::code).toList();
    }

    private static String message(Reduction reduction, String code) {
        return reduction.findings().stream()
                .filter(each -> each.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + code + " in " + codes(reduction)))
                .message();
    }

    private static Solution solution(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    private static double value(Reduction reduction) {
        return reduction.result().orElseThrow().value();
    }
}

package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

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
        // shelf: −153.89 − 2 · 105.579 = −365.05 as written and 46 + 2 · 25.351 − 25.40 − 2 · 21.8 = 27.7 J/(mol·°C);
        // half of it per silver ion
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo((-365.048 + 27.7e-3 * (start(reduction) - 25)) / 2, within(0.001));
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
        // the reference belongs to the start, 21.5 °C: −55.84 at 25 °C and 75.291 + 148.5 J/(mol·°C) (NBS, memory);
        // near −57 at 20 °C (common practice)
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .as("and to 1 mol/L before, 111 waters after: 0.250 − 1.509 − 0.366 (apparent enthalpies, memory)")
                .isCloseTo(
                        -55.84
                                - 0.223791 * 3.5
                                - 1.625
                                - 0.02895 * 3.5 * (Math.sqrt(55.51 / 111) - 2 * Math.sqrt(55.51 / 55)),
                        within(0.002));
        assertThat(-55.84 - 0.223791 * 5).isCloseTo(-57, within(0.1));
    }

    /**
     * A faithful run of 1 mol/L each, 21 °C, 60 mL of base to 50 of acid: −58.3 kJ/mol is right there, and 110 g warm
     * by 6.33 °C. With infinite dilution for a reference it would be 1.6 off, and the base called warm.
     */
    @Test
    void aFaithfulNeutralizationAgreesAtTheBenchsOwnDilution() {
        BenchSheet faithful = equation(
                        BenchSheet.of("neutralization"), "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)", "HCl", "NaOH")
                .mass("first[1]/amount", "50.00")
                .mass("second[1]/amount", "60.00")
                .temperature("first[1]/start", "21.00")
                .temperature("second[1]/start", "21.00")
                .temperature("mixed[1]/final", "27.33");
        Reduction reduction = faithful.reduced();
        Agreement agreement = reduction.agreement(reduction.samples().get(0)).orElseThrow();
        assertThat(value(reduction)).isCloseTo(-58.3, within(0.1));
        assertThat(agreement.agrees()).isTrue();
        assertThat(agreement.percentError()).isBetween(-1.0, 1.0);
        assertThat(agreement.reference().uncertainty())
                .as("salt and base together, by the rule for mixtures")
                .isBetween(0.5, 0.6);
        assertThat(message(reduction, "reaction.dilution")).contains("bench’s own", "mol of water");
    }

    /**
     * 0.0100 mol of magnesium in 100 mL of 1 mol/L acid: 0.08 mol of acid are left, the ionic strength is 0.11 mol in
     * 5.5 mol of water, so acid counts at 50 waters and chloride at 150 (by hand: 3.53 and 1.59, 1.509 before; the
     * table's own values from memory). The metal decides how much reacts.
     */
    @Test
    void aMetalInAcidIsJudgedAtTheBenchsOwnDilution() {
        BenchSheet metal = BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", "Mg(s) + 2 HCl(aq) -> MgCl2(aq) + H2(g)")
                .says("solution[1]/reagent", "HCl")
                .assumed("solution[1]/concentration", "1.000", "0.005", "mol/L")
                .says("solid[1]/formula", "Mg")
                .volume("poured[1]/amount", "100.0")
                .mass("added[1]/mass", "0.24305")
                .temperature("poured[1]/start", "25.00")
                .temperature("mixed[1]/final", "36.11")
                .says("mixed[1]/reacted", "all");
        Reduction reduction = metal.reduced();
        Reference reference =
                reduction.agreement(reduction.samples().get(0)).orElseThrow().reference();
        double magnesium = 4.0 + (3.1 - 4.0) * Math.log(1.5) / Math.log(2);
        assertThat(reference.value())
                .isCloseTo(-801.15 + 2 * 167.159 + magnesium + (0.08 * 1.59 - 0.1 * 1.5088) / 0.01, within(0.01));
        assertThat(message(reduction, "reaction.dilution")).contains("bench’s own");
    }

    /**
     * Near equal moles the smaller of the two lies below either: by 1/√π of their u, so the drawn answer stands in
     * front.
     */
    @Test
    void atEqualMolesTheRandomDrawsAreNotBorneOutByTheLinearAnswer() {
        assertThat(neutral("50.0", "50.0", "28.1").reduced().drawn(1))
                .hasValueSatisfying(even -> assertThat(even.bearsOutLinear()).isFalse());
        assertThat(neutral("50.0", "60.0", "27.5").reduced().drawn(1))
                .hasValueSatisfying(clear -> assertThat(clear.bearsOutLinear()).isTrue());
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
        Reduction reduction = sheet.reduced();
        assertThat(value(reduction)).isCloseTo(-85 * 4.184 * 7.5 / 0.05 / 1000, within(1e-9));
        assertThat(solution(reduction).derived().get(0).estimate().value())
                .as("as written")
                .isCloseTo(2 * value(reduction), within(1e-9));
        // at 21 °C −56.7 with all second protons off before, and (−909.27 + 887.34) ÷ 2 = −11.0 more with none
        assertThat(message(reduction, "reaction.hydrogensulfate"))
                .contains("strong only for its first proton", "22 kJ/mol", "between −56.7", "−67.7", "lies outside");
        assertThat(reduction.verdict().orElseThrow().agreement()).isEmpty();
        // an entry begun with the first shelf, which did not know hydrogensulfate
        for (int version : new int[] {1, 2}) {
            lab.sassafras.sheet.Sheet old = sheet.sheet()
                    .with(sheet.sheet().setting().with(lab.sassafras.substance.ReferenceShelf.at(version)));
            Reduction before = Reduction.of(old, Conventions.standard()).whole(1);
            assertThat(before.result()).isPresent();
            assertThat(message(before, "reaction.hydrogensulfate")).contains("strong only for its first proton");
        }
    }

    /** A volume of three figures weighs three: 50.0 mL are 50.0 g. The shelf’s 0.897 is not written 0.8970. */
    @Test
    void trailingDigitsFollowWhatWasRead() {
        String working = new lab.sassafras.presentation.Presentation(
                        Conventions.standard(), lab.sassafras.measure.Figures.POINT)
                .working(solution(neutral("50.0", "60.0", "27.5").reduced()))
                .text();
        assertThat(working)
                .contains("= 50.0 mL × 1 g/mL", "= 50.0 g\n", "ΔT(acid)", "= +6.5 °C")
                .doesNotContain("50.00 g", "50.000");
    }

    /**
     * Parts that warm each by itself react at the end, so the reference belongs to 69 °C there and to 21 °C otherwise.
     */
    @Test
    void aReferenceGoesWhereTheSchoolLetsTheReactionRun() {
        assertThat(at(displacement(ZINC, "Cu^2+", "6.00"), "whole")).contains("21.0 °C");
        assertThat(at(displacement(ZINC, "Cu^2+", "6.00"), "parties")).contains("69.0 °C");
    }

    private static String at(BenchSheet sheet, String school) {
        Conventions conventions = Conventions.of(Map.of("solution", school));
        lab.sassafras.sheet.Sheet settled =
                sheet.sheet().with(sheet.sheet().setting().with(conventions));
        return message(Reduction.of(settled, conventions), "reference.temperature");
    }

    /** Near equal moles the drawn interval stands in front, is not the same on both sides, and is the one judged by. */
    @Test
    void theDrawnIntervalIsTheOneToBeGoneByWhereTheLinearOneIsNotBorneOut() {
        Reduction even = neutral("50.0", "50.0", "28.1").reduced();
        Interval interval = even.samples().get(0).interval().orElseThrow();
        assertThat(interval.drawn()).isTrue();
        assertThat(interval.high() - interval.value()).isNotCloseTo(interval.value() - interval.low(), within(0.05));
        Agreement agreement = even.agreement(even.samples().get(0)).orElseThrow();
        double towards = agreement.reference().value() > interval.value()
                ? interval.high() - interval.value()
                : interval.value() - interval.low();
        assertThat(agreement.allowed())
                .isCloseTo(Math.hypot(towards, 1.96 * agreement.reference().uncertainty()), within(1e-9));
        Reduction clear = neutral("50.0", "60.0", "27.5").reduced();
        assertThat(clear.samples().get(0).interval().orElseThrow().drawn()).isFalse();
    }

    /**
     * The even run's headline, its equation and what is judged have one width; further results are drawn for
     * themselves.
     */
    @Test
    void whatIsDrawnIsDrawnEverywhere() {
        Reduction even = neutral("50.0", "50.0", "28.1").reduced();
        Sample sample = even.samples().get(0);
        String half = even.writing().written(sample).orElseThrow().uncertainty();
        assertThat(even.writing().written(even.trials().get(0)).orElseThrow().uncertainty())
                .isEqualTo(half);
        assertThat(even.writing().asWritten(sample).orElseThrow().uncertainty()).isEqualTo(half);
        double linear = sample.result().orElseThrow().halfWidth(0.95);
        double drawn = sample.interval().orElseThrow().half();
        assertThat(drawn).isNotCloseTo(linear, within(0.02 * linear));
        solution(even).derived().stream()
                .filter(each -> each.derived().asWritten())
                .forEach(each ->
                        assertThat(even.writing().interval(1, each).half()).isCloseTo(drawn, within(0.03 * drawn)));
    }

    /**
     * One trial under a constant of three: the formula is as good as linear, so Student's factor by Welch and
     * Satterthwaite stands, however the two degrees of freedom come out of the arithmetic.
     */
    @ParameterizedTest
    @ValueSource(doubles = {2, 1.9999999999999982})
    void aConstantOfThreeTrialsGivesOneWidth(double degrees) {
        BenchSheet sheet = neutral("50.0", "60.0", "27.5");
        Calorimeter cup = new Calorimeter("F-1", VesselKind.FOAM_CUP, Optional.empty())
                .with(new Measured(10, 4, degrees, List.of(), -1));
        Reduction reduction = Reduction.of(
                sheet.sheet().with(sheet.sheet().setting().with(cup)),
                Conventions.of(Map.of("calorimeter", "constant")));
        Sample sample = reduction.samples().get(0);
        Estimate result = sample.result().orElseThrow();
        assertThat(result.degreesOfFreedom()).isLessThan(20);
        assertThat(sample.interval().orElseThrow().drawn()).isFalse();
        assertThat(sample.interval().orElseThrow().half())
                .isCloseTo(result.halfWidth(0.95), within(1e-12))
                .isGreaterThan(1.97 * result.uncertainty());
    }

    /** H₃O⁺ + OH⁻ → 2 H₂O neutralizes once: the same heat per mole as H⁺ + OH⁻ → H₂O. */
    @Test
    void netWaterIsCounted() {
        assertThat(value(poured("H3O+(aq) + OH-(aq) -> 2 H2O(l)", "strong", "H3O+", "OH-")))
                .isCloseTo(value(poured("H+(aq) + OH-(aq) -> H2O(l)", "strong", "H+", "OH-")), within(1e-9))
                .isCloseTo(-100 * 4.184 * 6.6 / 0.05 / 1000, within(1e-9));
    }

    /**
     * Ammonia forms no water: per mole of what ran out. NBS (memory): −132.51 + 80.29 = −52.22 kJ/mol. Through
     * H₂O: what ionizing ammonia takes up, −132.51 − 229.994 + 80.29 + 285.83 = +3.6, is missing from −55.84.
     */
    @Test
    void ammoniaIsReducedPerMoleOfTheLimitingReagent() {
        Reduction reduction = poured("NH3(aq) + H+(aq) -> NH4+(aq)", "weak", "H+", "NH3");
        assertThat(value(reduction)).isCloseTo(-100 * 4.184 * 6.6 / 0.05 / 1000, within(1e-9));
        assertThat(reduction.unknown()).contains("per mole of the limiting reagent");
        assertThat(reference(reduction)).isCloseTo(-52.22, within(0.01));
        assertThat(message(reduction, "neutralization.weak")).contains("No water is formed");
        Reduction withWater = poured("H+(aq) + NH3(aq) + H2O(l) -> NH4+(aq) + H2O(l)", "weak", "H+", "NH3");
        assertThat(withWater.unknown()).contains("limiting reagent");
    }

    /** NBS (memory): HF(aq) −320.08, F⁻ −332.63: its ionization gives 12.55 kJ/mol off; acetic acid 0.25. */
    @Test
    void aWeakPartnersIonizationIsSaidInItsDirection() {
        assertThat(message(poured("HF(aq) + OH-(aq) -> F-(aq) + H2O(l)", "weak", "HF", "OH-"), "neutralization.weak"))
                .contains("itself gives off", "that much more");
        assertThat(message(
                        poured("HNO2(aq) + OH-(aq) -> NO2-(aq) + H2O(l)", "weak", "HNO2", "OH-"),
                        "neutralization.weak"))
                .contains("the shelf does not know");
    }

    private static Reduction poured(String equation, String strength, String acid, String base) {
        return BenchSheet.of("neutralization")
                .says("reaction[1]/equation", equation)
                .says("reaction[1]/strength", strength)
                .says("acid[1]/formula", acid)
                .says("base[1]/formula", base)
                .assumed("acid[1]/concentration", "1.000", "0.005", "mol/L")
                .assumed("base[1]/concentration", "1.100", "0.005", "mol/L")
                .volume("first[1]/amount", "50.0")
                .volume("second[1]/amount", "50.0")
                .temperature("first[1]/start", "21.0")
                .temperature("second[1]/start", "21.0")
                .temperature("mixed[1]/final", "27.6")
                .reduced();
    }

    private static double reference(Reduction reduction) {
        return reduction
                .verdict()
                .orElseThrow()
                .agreement()
                .orElseThrow()
                .reference()
                .value();
    }

    private static double start(Reduction reduction) {
        return solution(reduction).postings().stream()
                .flatMap(each -> each.from().stream())
                .findFirst()
                .orElseThrow();
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
        Reduction reduction = poured("CH3COOH(aq) + OH-(aq) -> CH3COO-(aq) + H2O(l)", "weak", "CH3COOH", "OH-");
        // −486.01 − 285.83 + 485.76 + 229.994 = −56.09
        assertThat(reference(reduction)).isCloseTo(-56.086, within(0.001));
        assertThat(codes(reduction)).contains("neutralization.weak");
        // held at 25 °C for want of a heat capacity, and said
        assertThat(message(reduction, "reference.temperature")).contains("25 °C", "21.0 °C");
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

package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Test;

/**
 * Heats of solution against numbers worked by hand. M(KCl) = 39.098 + 35.45 = 74.548 g/mol (CIAAW, abridged, memory).
 */
class DissolvingTest {

    private static BenchSheet salt(String formula, String mass, String start, String end, String dissolved) {
        return BenchSheet.of("heat-of-solution")
                .says("solute[1]/formula", formula)
                .mass("water[1]/mass", "100.00")
                .mass("solid[1]/mass", mass)
                .temperature("water[1]/start", start)
                .temperature("solution[1]/final", end)
                .says("solution[1]/dissolved", dissolved);
    }

    private static Solution solution(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    /**
     * 5.00 g of potassium chloride, 22.0 → 19.4 °C: q(solution) = 105 · 4.184 · (−2.6) = −1142.2 J, so +1142.2 J was
     * taken up; 5 ÷ 74.548 = 0.06707 mol; +17.03 kJ/mol; +228.4 J/g. 17.22 kJ/mol at infinite dilution and +0.31 to 83
     * waters (memory); (−114.6 − 51.3) J/(mol·°C) · (22 − 25) °C carry it to 18.026.
     */
    @Test
    void potassiumChlorideCoolsItsWaterAndIsEndothermic() {
        Reduction reduction = salt("KCl", "5.00", "22.0", "19.4", "all").reduced();
        assertThat(solution(reduction).estimate().value()).isCloseTo(1.142232 * 74.548 / 5, within(0.002));
        assertThat(solution(reduction).derived().get(0).estimate().value()).isCloseTo(228.446, within(0.001));
        assertThat(solution(reduction).derived().get(1).estimate().value()).isCloseTo(1142.232, within(0.001));
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("process.sign"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("endothermic", "ΔH is positive"));
        assertThat(reduction.verdict().orElseThrow().agreement().orElseThrow().percentError())
                .isCloseTo(100 * (17.0306 - 18.026) / 18.026, within(0.05));
        assertThat(written(solution(reduction)).text())
                .contains("n(solid)", "= 5.00 g ÷ 74.5", "kJ/mol, absorbed", "÷ (n(solid) × 1000 J/kJ)");
    }

    /** 4.00 g NaOH, 21.0 → 31.0: q = −104 · 4.184 · 10 = −4351 J; 0.1000 mol (39.997); −43.5 kJ/mol. */
    @Test
    void sodiumHydroxideIsExothermicAndKeepsItsMinus() {
        Reduction reduction = salt("NaOH", "4.00", "21.0", "31.0", "all").reduced();
        assertThat(solution(reduction).estimate().value()).isCloseTo(-43.51, within(0.02));
        assertThat(reduction.findings())
                .extracting(Finding::code)
                .contains("process.sign")
                .doesNotContain("process.wrong-sign", "account.final-outside-starts");
        assertThat(written(solution(reduction)).text()).contains("kJ/mol, released", "= −4351");
    }

    /**
     * 8.00 g of calcium chloride in 100 g of water: 77 waters to each. −81.3 at infinite dilution and about +4.3 to
     * there (memory): the reference is the bench's own, and its caution is gone.
     */
    @Test
    void aReferenceIsBroughtToTheBenchsOwnDilutionWhereTheShelfKnowsIt() {
        Reduction known = salt("CaCl2", "8.00", "25.0", "36.0", "all").reduced();
        assertThat(known.verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isBetween(-77.6, -76.3);
        assertThat(message(known, "dissolving.dilution")).contains("bench’s own", "77 mol of water");
        assertThat(message(salt("NH4Cl", "8.00", "25.0", "20.0", "all").reduced(), "dissolving.dilution"))
                .contains("infinite dilution", "does not know");
    }

    private static String message(Reduction reduction, String code) {
        return reduction.findings().stream()
                .filter(each -> each.code().equals(code))
                .map(Finding::message)
                .reduce("", String::concat);
    }

    /**
     * 0.2 °C leaked: 105 · 4.184 · 0.2 ÷ 0.06707 mol = 1.310 kJ/mol more taken up; 104 · 4.184 · 0.2 ÷ 0.1000 = 0.870
     * more given off.
     */
    @Test
    void aLeakHidesHeatWhicheverWayItWent() {
        assertThat(CheckValuesTest.suspected(
                        salt("KCl", "5.00", "22.0", "19.4", "all").reduced(), "leaked"))
                .isCloseTo(1.310, within(0.001));
        assertThat(CheckValuesTest.suspected(
                        salt("NaOH", "4.00", "21.0", "31.0", "all").reduced(), "leaked"))
                .isCloseTo(-0.870, within(0.001));
    }

    /** The school: with the water alone q is 100/105 of the whole solution's. */
    @Test
    void whichMassWarmsIsAQuestionOfSchool() {
        Reduction whole = salt("KCl", "5.00", "22.0", "19.4", "all").reduced();
        Reduction alone =
                salt("KCl", "5.00", "22.0", "19.4", "all").reduced(Conventions.of(Map.of("solution", "water")));
        assertThat(solution(alone).estimate().value()
                        / solution(whole).estimate().value())
                .isCloseTo(100.0 / 105, within(1e-12));
        assertThat(whole.alternatives())
                .extracting(each -> each.alternative().school().key())
                .contains("water");
        // −3.8 % is less heat, whether it was taken up or given off
        assertThat(percentToWater(whole)).isCloseTo(100 * (100.0 / 105 - 1), within(1e-9));
        assertThat(percentToWater(salt("NaOH", "4.00", "21.0", "31.0", "all").reduced()))
                .isCloseTo(100 * (100.0 / 104 - 1), within(1e-9));
    }

    private static double percentToWater(Reduction reduction) {
        return reduction.alternatives().stream()
                .filter(each -> each.alternative().school().key().equals("water"))
                .findFirst()
                .flatMap(each -> each.percentFrom(reduction))
                .orElseThrow();
    }

    /**
     * Per gram, and in calories: q = 105 · 4.184 · 2.6 ÷ 5 = 228.45 J/g; with 5 J/°C for the cup 13 J more, 2.6 J/g:
     * 231.0 J/g, 55.2 cal/g, 1.1 %.
     */
    @Test
    void whatTheCupWouldChangeIsSaidInTheUnitOfTheResult() {
        assertThat(ignored(Map.of("basis", "per-gram"))).contains("would be +231.0 J/g (+1.1 %)");
        assertThat(ignored(Map.of("basis", "per-gram", "heat", "cal"))).contains("would be +55.2", "cal/g (+1.1 %)");
    }

    private static String ignored(Map<String, String> schools) {
        return salt("KCl", "5.00", "22.0", "19.4", "all").reduced(Conventions.of(schools)).findings().stream()
                .filter(each -> each.code().equals("calorimeter.ignored"))
                .findFirst()
                .orElseThrow()
                .message();
    }

    /** The shelf has a specific heat for rock salt and none for potassium nitrate. */
    @Test
    void aSolidOfUnknownSpecificHeatIsNoPartyOfItsOwnAndThatIsSaid() {
        Reduction rockSalt = salt("NaCl", "5.00", "22.0", "19.4", "all").reduced();
        Reduction saltpetre = salt("KNO3", "5.00", "22.0", "19.4", "all").reduced();
        assertThat(underOwnParties(rockSalt)).isPresent();
        assertThat(underOwnParties(saltpetre)).isEmpty();

        Conventions own = Conventions.of(Map.of("solution", "parties"));
        assertThat(salt("NaCl", "5.00", "22.0", "19.4", "all").reduced(own).findings())
                .extracting(Finding::code)
                .doesNotContain("party.omitted");
        Reduction inForce = salt("KNO3", "5.00", "22.0", "19.4", "all").reduced(own);
        assertThat(inForce.findings())
                .filteredOn(each -> each.code().equals("party.omitted"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("no specific heat for the solid", "left out"));
        assertThat(inForce.mean()).isPresent();
        assertThat(inForce.alternatives())
                .filteredOn(each -> each.alternative().school().key().equals("4.18"))
                .singleElement()
                .satisfies(each -> assertThat(each.estimate()).isPresent());
    }

    private static Optional<Estimate> underOwnParties(Reduction reduction) {
        return reduction.alternatives().stream()
                .filter(each -> each.alternative().school().key().equals("parties"))
                .findFirst()
                .flatMap(Alternative::estimate);
    }

    @Test
    void purityTakesMolesAwayAndNotMass() {
        Reduction pure = salt("KCl", "5.00", "22.0", "19.4", "all").reduced();
        Reduction impure = salt("KCl", "5.00", "22.0", "19.4", "all")
                .give("solute[1]/purity", Role.READ, "98.0", "%", Optional.empty())
                .reduced();
        assertThat(solution(impure).estimate().value()
                        / solution(pure).estimate().value())
                .isCloseTo(1 / 0.98, within(1e-12));
        assertThat(solution(impure).derived().get(0).estimate().value())
                .isEqualTo(solution(pure).derived().get(0).estimate().value());
    }

    @Test
    void aHydrateIsAnotherThingThanTheSaltWithoutItsWater() {
        assertThat(ChemicalFormula.read("CaCl2·6H2O").molarMass()
                        / ChemicalFormula.read("CaCl2").molarMass())
                .isCloseTo(1.974, within(0.001));
        Reduction hydrate = salt("CaCl2·6H2O", "8.00", "22.0", "20.5", "all").reduced();
        assertThat(hydrate.verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isGreaterThan(15);
        assertThat(salt("CaCl2·3H2O", "8.00", "22.0", "20.5", "all").reduced().findings())
                .extracting(Finding::code)
                .contains("dissolving.no-reference");
        // weighed as if it were anhydrous, it has the wrong sign, and that is asked about
        assertThat(salt("CaCl2", "8.00", "22.0", "20.5", "all").reduced().findings())
                .filteredOn(each -> each.code().equals("process.wrong-sign"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("hydrate"));
    }

    @Test
    void undissolvedSolidVoidsTheTrial() {
        Reduction reduction = salt("KCl", "5.00", "22.0", "19.4", "rest").reduced();
        assertThat(reduction.mean()).isEmpty();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("caveat.rest"))
                .singleElement()
                .satisfies(each -> assertThat(each.grade()).isEqualTo(Finding.Grade.REFUSE));
    }

    @Test
    void aVoidedTrialLeavesTheOtherAlone() {
        BenchSheet two = BenchSheet.of("heat-of-solution", 2).says("solute[1]/formula", "KCl");
        for (int trial = 1; trial <= 2; trial++) {
            two.mass("water[" + trial + "]/mass", "100.00")
                    .mass("solid[" + trial + "]/mass", "5.00")
                    .temperature("water[" + trial + "]/start", "22.0")
                    .temperature("solution[" + trial + "]/final", "19.4")
                    .says("solution[" + trial + "]/dissolved", trial == 1 ? "rest" : "all");
        }
        Reduction reduction = two.reduced();
        assertThat(reduction.trials()).extracting(Trial::counts).containsExactly(false, true);
        assertThat(reduction.mean().orElseThrow().values()).hasSize(1);
    }

    @Test
    void everyHeatOfSolutionHasItsFormulaItsSourceAndItsDilution() {
        assertThat(ReferenceShelf.standard().heatsOfSolution())
                .hasSizeGreaterThanOrEqualTo(20)
                .allSatisfy(row -> {
                    assertThat(row.reference().name()).contains(row.dilution());
                    assertThat(row.reference().sourceInWords()).endsWith("not verified against the source");
                });
        // NBS (memory), as commonly quoted: −44.5, +17.22, −37.0, −81.3 kJ/mol
        assertThat(Map.of("NaOH", -44.5, "KCl", 17.22, "LiCl", -37.0, "CaCl2", -81.3))
                .allSatisfy((formula, value) -> assertThat(ReferenceShelf.standard()
                                .heatOfSolution(ChemicalFormula.read(formula), 1e5)
                                .orElseThrow()
                                .reference()
                                .value())
                        .isCloseTo(value, within(0.02)));
    }

    private static Working written(Solution solution) {
        return new Presentation(Conventions.standard(), Figures.POINT).working(solution);
    }
}

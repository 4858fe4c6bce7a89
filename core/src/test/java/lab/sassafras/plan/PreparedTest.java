package lab.sassafras.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hazard;
import lab.sassafras.substance.Saturation;
import lab.sassafras.substance.Stock;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is to be prepared, against recipes as textbooks work them, and against a second table, all from memory. */
class PreparedTest {

    private static Prepared.Line line(Prepared prepared, Prepared.Kind kind) {
        return prepared.lines().stream()
                .filter(each -> each.kind() == kind)
                .findFirst()
                .orElseThrow(() -> new AssertionError(prepared));
    }

    /** Worked as general chemistry textbooks do (memory): c·V = c·V, and n·M. */
    @Test
    void recipesAreThoseOfTextbooks() {
        assertThat(Recipe.dilution(1.00, 250, 12.1)).as("mL of 12.1 mol/L").isCloseTo(20.7, within(0.05));
        assertThat(Recipe.dilution(0.100, 500, 2.00)).isCloseTo(25.0, within(1e-9));
        assertThat(Recipe.solid(0.500, 250, ChemicalFormula.read("CuSO4·5H2O").molarMass()))
                .as("g of blue crystals")
                .isCloseTo(31.2, within(0.05));
        assertThat(Recipe.solid(1.00, 100, ChemicalFormula.read("NaOH").molarMass()))
                .isCloseTo(4.00, within(0.005));
    }

    /** As labels of such bottles have it (memory). */
    @ParameterizedTest
    @CsvSource({"HCl, 12.0", "HNO3, 14.4", "H2SO4, 18.0", "H3PO4, 14.7", "CH3COOH, 17.4", "NH3, 13.4"})
    void strongReagentsAreAsStrongAsTheirLabels(String formula, double concentration) {
        assertThat(Stock.of(formula).orElseThrow().concentration()).isCloseTo(concentration, within(0.15));
    }

    /** A second table, of a school’s book of data, at 20 °C in g to 100 g of water (memory). */
    @ParameterizedTest
    @CsvSource({
        "KNO3, 31.6", "NaCl, 35.9", "KCl, 34.2", "NH4Cl, 37.2", "NaNO3, 87.6", "CuSO4, 20.5", "MgSO4, 33.7",
        "Na2CO3, 21.5", "NaHCO3, 9.6", "KI, 144", "KBr, 65.3", "NaBr, 90.8", "CaCl2, 74.5", "AgNO3, 216",
        "LiCl, 83.5", "NH4NO3, 192", "KClO3, 7.3", "CO(NH2)2, 108", "C12H22O11, 202", "MgCl2, 54.6", "KOH, 112"
    })
    void whatDissolvesAgreesWithASecondTable(String formula, double grams) {
        assertThat(Saturation.of(ChemicalFormula.read(formula)).orElseThrow().gramsAt(20) / grams)
                .isCloseTo(1, within(0.1));
    }

    @Test
    void amountsAreForEveryBenchAndTrialAndSomeToSpare() {
        Prepared one = Prepared.of(Plans.brass(), 1, 1, 0, List.of());
        assertThat(line(one, Prepared.Kind.SOLID).amount()).isEqualTo(32);
        Prepared all = Prepared.of(Plans.brass(), 8, 3, 20, List.of());
        assertThat(line(all, Prepared.Kind.SOLID).amount()).isCloseTo(32 * 24 * 1.2, within(1e-9));
        assertThat(line(all, Prepared.Kind.SOLID).what()).contains("brass");
        assertThat(line(all, Prepared.Kind.GEAR).amount()).isEqualTo(8);
        assertThat(line(Prepared.of(Plans.of("fusion-of-ice"), 1, 1, 0, List.of()), Prepared.Kind.LIQUID)
                        .amount())
                .isEqualTo(120);
        assertThat(Prepared.of(Plans.of("fusion-of-ice"), 1, 1, 0, List.of()).lines())
                .as("ice melts while it waits")
                .anySatisfy(each -> assertThat(each.amount()).isEqualTo(37.5));
        for (int[] wrong : new int[][] {{0, 1, 0}, {61, 1, 0}, {1, 0, 0}, {1, 61, 0}, {1, 1, -1}, {1, 1, 201}}) {
            assertThatThrownBy(() -> Prepared.of(Plans.brass(), wrong[0], wrong[1], wrong[2], List.of()))
                    .isInstanceOf(Refused.class);
        }
    }

    @Test
    void acidGoesIntoWaterAndWhatBurnsIsProtectedFrom() {
        Prepared prepared = Prepared.of(Plans.of("neutralization"), 8, 3, 20, List.of());
        assertThat(line(prepared, Prepared.Kind.SOLUTION).how())
                .contains(
                        "acid into water, never the other way",
                        "into about 860 mL of water",
                        "fill up to 1440 mL",
                        "120 mL");
        assertThat(prepared.lines())
                .filteredOn(each -> each.kind() == Prepared.Kind.PROTECTION)
                .extracting(Prepared.Line::what)
                .contains("eye protection", "rinsing water for eyes within reach");
        assertThat(prepared.substances()).contains("HCl", "NaOH");
        assertThat(line(Prepared.of(Plans.of("solid-with-solution"), 1, 1, 0, List.of()), Prepared.Kind.WASTE)
                        .what())
                .isEqualTo("harmful to water life");
    }

    /** 1440 mL of 1 mol/L out of a bottle of 5 mol/L are 288 mL of it; a weaker one does not serve. */
    @Test
    void bottlesOfTheShelfComeFirst() {
        Bottle five = new Bottle("hydrochloric acid", 250, "mL", OptionalDouble.of(5));
        Bottle weak = new Bottle("HCl", 9000, "mL", OptionalDouble.of(0.5));
        Prepared.Line acid =
                line(Prepared.of(Plans.of("neutralization"), 8, 3, 20, List.of(weak, five)), Prepared.Kind.SOLUTION);
        assertThat(acid.how()).contains("288 mL of the shelf’s HCl (5 mol/L)", "acid into water");
        assertThat(acid.need())
                .get()
                .extracting(Prepared.Need::what, Prepared.Need::unit)
                .containsExactly("HCl", "mL");
        Bottle lye = new Bottle("NaOH", 900, "mL", OptionalDouble.of(5));
        assertThat(Prepared.of(Plans.of("neutralization"), 8, 3, 20, List.of(lye))
                        .lines())
                .filteredOn(each -> each.how().contains("the shelf’s NaOH"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.how()).contains("a little at a time").doesNotContain("acid into"));
        assertThat(five.holds("HCl")).isTrue();
        assertThat(five.holds("NaOH")).isFalse();
        assertThat(new Bottle("NaOH", 1, "g", OptionalDouble.empty()).holds("sodium hydroxide"))
                .isTrue();
        assertThat(line(Prepared.of(Plans.brass(), 8, 1, 0, List.of()), Prepared.Kind.SOLID)
                        .need())
                .contains(new Prepared.Need("brass", 256, "g"));
        assertThat(line(Prepared.of(Plans.brass(), 8, 1, 0, List.of()), Prepared.Kind.LIQUID)
                        .need())
                .as("water comes out of a tap")
                .isEmpty();
        Prepared liquid = Prepared.of(Plans.of("specific-heat-of-liquid"), 1, 1, 0, List.of());
        assertThat(line(liquid, Prepared.Kind.LIQUID).need().orElseThrow().what())
                .isEqualTo(
                        Plans.of("specific-heat-of-liquid").one("shelf/liquid").text());
    }

    /** Every experiment that is planned can be prepared, and everything it names is looked up. */
    @Test
    void everyPlanCanBePrepared() {
        Experiments.all().stream().filter(Plan::possible).map(Experiment::key).forEach(each -> {
            Prepared prepared = Prepared.of(Plans.of(each), 2, 2, 10, List.of());
            assertThat(prepared.lines())
                    .as(each)
                    .extracting(Prepared.Line::kind)
                    .contains(Prepared.Kind.GEAR);
            assertThat(prepared.lines())
                    .allSatisfy(line -> assertThat(line.amount()).isFinite());
        });
    }

    @Test
    void everyStatementHasItsWordsAndNoSubstanceStandsTwice() {
        assertThat(Hazard.all()).hasSizeGreaterThan(50).allSatisfy(each -> {
            assertThat(each.statements())
                    .allSatisfy(one -> assertThat(one.words()).doesNotContain("read its sheet"));
            assertThat(each.signal()).isIn("", "Warning", "Danger");
        });
        assertThat(Hazard.all().stream().map(Hazard::name)).doesNotHaveDuplicates();
        assertThat(Hazard.of("NaOH").orElseThrow().strong()).isTrue();
        assertThat(Hazard.of("NaCl").orElseThrow().strong()).isFalse();
        assertThat(Hazard.of("ethanol")).isEqualTo(Hazard.of("C2H5OH"));
        assertThat(Hazard.of("unobtainium")).isEmpty();
        assertThat(Hazard.named("HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)"))
                .isEqualTo(List.of("HCl", "NaOH", "NaCl", "H2O"));
    }
}

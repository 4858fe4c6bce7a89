package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import java.util.List;
import java.util.Map;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Catalogue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReferenceShelfTest {

    private final ReferenceShelf shelf = ReferenceShelf.standard();

    @Test
    void everyRowHasASourceAndMetalsAlloysGlassAndLiquidsAreThere() {
        assertThat(shelf.all())
                .hasSizeGreaterThanOrEqualTo(20)
                .allSatisfy(row -> assertThat(row.source()).isNotBlank());
        assertThat(shelf.all()).extracting(Substance::kind).contains(Substance.Kind.values());
        assertThat(shelf.find("soda-lime-glass")).isPresent();
        assertThat(shelf.find("copper").orElseThrow().sourceInWords()).contains("not verified");
    }

    /**
     * The rule of Dulong and Petit (1819): c · M near 25 J/(mol·K) for metallic elements. Beryllium, light and stiff,
     * is the known exception at room temperature. A swapped digit in a row would leave the band.
     */
    @Test
    void molarHeatsOfTheMetalsFollowDulongAndPetit() {
        assertThat(shelf.all())
                .filteredOn(
                        row -> row.kind() == Substance.Kind.METAL && !row.key().equals("beryllium"))
                .allSatisfy(row ->
                        assertThat(row.molarHeat().orElseThrow()).as(row.name()).isBetween(23.0, 28.5));
    }

    /** IAPWS R7-97(2012), table 5: cp at 300 K and 3 MPa is 4.17301218 kJ/(kg·K). Checks the library we draw on. */
    @Test
    void steamTablesReproduceTheVerificationTable() {
        assertThat(new IF97().isobaricHeatCapacityPT(3, 300)).isCloseTo(4.17301218, within(5e-9));
    }

    /** IAPWS-IF97 at 0.101325 MPa, as tabulated for the project: 20, 25 and 40 °C. */
    @ParameterizedTest
    @CsvSource({"20, 4.1848", "25, 4.1819", "40, 4.1786"})
    void waterByTemperature(double celsius, double specificHeat) {
        assertThat(LiquidWater.specificHeat().value(celsius)).isCloseTo(specificHeat, within(5e-5));
    }

    @Test
    void waterHasNoValueAsIceOrSteam() {
        assertThat(LiquidWater.specificHeat().value(-1)).isNaN();
        assertThat(LiquidWater.specificHeat().value(100)).isNaN();
    }

    /**
     * Standard atomic weights (CIAAW, abridged, memory): H 1.008, C 12.011, O 15.999, Ca 40.078, S 32.06, Cu 63.546.
     */
    @Test
    void molarMassesAreSumsOfStandardAtomicWeights() {
        assertThat(ChemicalFormula.read("CuSO4·5H2O").molarMass())
                .isCloseTo(63.546 + 32.06 + 9 * 15.999 + 10 * 1.008, within(0.02));
        assertThat(ChemicalFormula.read("Ca(OH)2").molarMass())
                .isCloseTo(40.078 + 2 * 15.999 + 2 * 1.008, within(0.01));
        assertThat(ChemicalFormula.read("Al2(SO4)3").atoms())
                .containsEntry("O", 12)
                .containsEntry("S", 3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "NaOHx", "Ca(OH", "CaOH)2", "naCl", "Na Cl", "Xx2", "H0", "H2O·", "()", "Fe99999"})
    void formulaThatDoesNotReadBackIsRefused(String typed) {
        assertThatThrownBy(() -> ChemicalFormula.read(typed)).isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "((((H)1000)1000)1000)1000 | more than 10000 atoms of H",
                "((U)1000)2 | weigh more than 100 kg",
                "Og | has no standard atomic weight",
                "OgCl2 | has no standard atomic weight",
                "H2147483648 | is not one to a thousand"
            })
    void whatNobodyWeighsOutIsRefusedInWords(String formula, String said) {
        assertThatThrownBy(() -> ChemicalFormula.read(formula))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(said);
    }

    /** Salts of ions that carry two charges are in no table of uni-univalent electrolytes, and do not say so. */
    @ParameterizedTest
    @ValueSource(strings = {"MgCl2", "CuSO4", "CuSO4·5H2O", "MgSO4", "Na2CO3", "MgSO4·7H2O", "Na2S2O3·5H2O"})
    void heatsOfSolutionOfDoublyChargedSaltsNameTheFormationValues(String formula) {
        assertThat(shelf.heatOfSolution(ChemicalFormula.read(formula), 1e6)
                        .orElseThrow()
                        .reference()
                        .source())
                .startsWith("differences of formation values, NBS");
    }

    /** Four salts, each dissolved, lead to the same nitrate ion: formation of solid + heat of solution − cation. */
    @ParameterizedTest
    @CsvSource({"NaNO3, Na+", "KNO3, K+", "NH4NO3, NH4+", "AgNO3, Ag+"})
    void theNitrateIonByASecondRoute(String salt, String cation) {
        double solution = shelf.heatOfSolution(ChemicalFormula.read(salt), 1e6)
                .orElseThrow()
                .reference()
                .value();
        assertThat(enthalpy(salt, "s") + solution - enthalpy(cation, "aq"))
                .isCloseTo(enthalpy("NO3-", "aq"), within(0.15));
    }

    /**
     * Heat capacities of dissolved salts are the sums of their ions', and of solids those of the other table times M.
     */
    @Test
    void heatCapacitiesByTwoSecondRoutes() {
        Map.of(
                        "NaCl", List.of("Na+", "Cl-"),
                        "KCl", List.of("K+", "Cl-"),
                        "NH4Cl", List.of("NH4+", "Cl-"),
                        "KNO3", List.of("K+", "NO3-"),
                        "NaOH", List.of("Na+", "OH-"),
                        "HCl", List.of("H+", "Cl-"),
                        "KBr", List.of("K+", "Br-"))
                .forEach((salt, ions) -> assertThat(capacity(salt, "aq"))
                        .as(salt)
                        .isCloseTo(
                                ions.stream()
                                        .mapToDouble(ion -> capacity(ion, "aq"))
                                        .sum(),
                                within(0.3)));
        shelf.all().stream()
                .filter(row -> !row.formula().isEmpty() && row.kind().solid())
                .forEach(row -> shelf.formation().capacities().stream()
                        .filter(each ->
                                each.state().equals("s") && each.formula().sameAs(ChemicalFormula.read(row.formula())))
                        .forEach(each -> assertThat(row.molarHeat().orElseThrow())
                                .as(row.name())
                                .isCloseTo(each.value(), within(0.02 * each.value()))));
        assertThat(shelf.formation()
                        .changeByDegree(ChemicalEquation.read("H+(aq) + OH-(aq) -> H2O(l)"))
                        .orElseThrow())
                .as("near −57 at 20 and −55.8 at 25 °C in common practice")
                .isBetween(0.2, 0.25);
    }

    /**
     * Integral heats of solution of hydrogen chloride gas (memory): −69.49 in 10, −73.26 in 50, −74.85 in any water.
     */
    @Test
    void dilutionOfHydrochloricAcidFollowsFromItsIntegralHeats() {
        assertThat(dilution("HCl", 10)).isCloseTo(74.85 - 69.49, within(0.01));
        assertThat(dilution("HCl", 50)).isCloseTo(74.85 - 73.26, within(0.01));
        assertThat(dilution("HCl", 20_000)).isCloseTo(0.065, within(0.001));
        assertThat(dilution("NaOH", 100)).isBetween(dilution("NaOH", 50), dilution("NaOH", 200));
        assertThat(shelf.dilutionHeats().at(ChemicalFormula.read("HCl"), 5)).isEmpty();
        assertThat(shelf.dilutionHeats().at(ChemicalFormula.read("NH4Cl"), 100)).isEmpty();
    }

    private double dilution(String solute, double waters) {
        return shelf.dilutionHeats()
                .at(ChemicalFormula.read(solute), waters)
                .orElseThrow()
                .value();
    }

    private double capacity(String formula, String state) {
        return shelf.formation().capacities().stream()
                .filter(row -> row.state().equals(state) && row.formula().sameAs(ChemicalFormula.read(formula)))
                .findFirst()
                .orElseThrow()
                .value();
    }

    /** Metals that burn or poison are on the shelf to be compared with, and in no list for a bath or a cup. */
    @ParameterizedTest
    @ValueSource(strings = {"lithium", "sodium", "calcium", "beryllium", "cadmium", "uranium"})
    void metalsNeverForABathAreHandbookRowsOnly(String key) {
        assertThat(shelf.find(key)).isPresent();
        assertThat(Catalogue.SOLIDS.offered(shelf))
                .extracting(Reference::key)
                .contains("copper")
                .doesNotContain(key);
        assertThat(Catalogue.SOLIDS.find(shelf, key))
                .as("read where it was chosen before")
                .isPresent();
        assertThatThrownBy(() -> BenchSheet.of("specific-heat-of-liquid").says("shelf[1]/solid", key))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("never for a bath");
    }

    private double enthalpy(String formula, String state) {
        return shelf.formation().rows().stream()
                .filter(row -> row.state().equals(state) && row.formula().sameAs(ChemicalFormula.read(formula)))
                .findFirst()
                .orElseThrow()
                .enthalpy();
    }

    /** An entry keeps the shelf it was reduced with: a row stands from its since to its until. */
    @Test
    void aRowStandsInTheVersionsItNames() {
        assertThat(ReferenceShelf.stands("2", "", 1)).isFalse();
        assertThat(ReferenceShelf.stands("2", "", 7)).isTrue();
        assertThat(ReferenceShelf.stands("1", "2", 2)).isTrue();
        assertThat(ReferenceShelf.stands("1", "2", 3)).isFalse();
        assertThat(ReferenceShelf.at(99)).isSameAs(ReferenceShelf.standard());
    }
}

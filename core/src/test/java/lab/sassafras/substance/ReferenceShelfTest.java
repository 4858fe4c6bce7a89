package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import lab.sassafras.measure.Refused;
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
        assertThat(shelf.find("copper").orElseThrow().sourceInWords()).contains("(memory)");
    }

    /**
     * The rule of Dulong and Petit (1819): c · M near 25 J/(mol·K) for metallic elements. Beryllium, light and stiff,
     * is the
     * known exception at room temperature. A swapped digit in a row would leave the band.
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

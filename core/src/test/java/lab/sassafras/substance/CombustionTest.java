package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Equations of burning, against a balancer of the test's own: the smallest whole numbers by trying them all. */
class CombustionTest {

    /** Counts of fuel, oxygen, carbon dioxide and water, by search. */
    private static String balanced(int c, int h, int o) {
        for (int fuel = 1; ; fuel++) {
            int water = fuel * h / 2;
            int oxygens = 2 * fuel * c + water - fuel * o;
            if (2 * water == fuel * h && oxygens % 2 == 0) {
                return fuel + " " + oxygens / 2 + " " + fuel * c + " " + water;
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "CH4, 1, 4, 0, g",
        "C2H6, 2, 6, 0, g",
        "C6H14, 6, 14, 0, l",
        "CH3OH, 1, 4, 1, l",
        "C2H5OH, 2, 6, 1, l",
        "C3H7OH, 3, 8, 1, l",
        "C4H9OH, 4, 10, 1, l",
        "C5H11OH, 5, 12, 1, l",
        "C6H13OH, 6, 14, 1, l",
        "C12H22O11, 12, 22, 11, s",
        "C6H5COOH, 7, 6, 2, s",
        "C10H8, 10, 8, 0, s"
    })
    void theEquationIsThatOfAnotherBalancer(String fuel, int c, int h, int o, String state) {
        ChemicalEquation equation = Combustion.of(ChemicalFormula.read(fuel), state, "l");
        assertThat(equation.reagents().get(0).count() + " "
                        + equation.reagents().get(1).count() + " "
                        + equation.products().get(0).count() + " "
                        + equation.products().get(1).count())
                .isEqualTo(balanced(c, h, o));
        // and it balances when it is read as if somebody had typed it
        assertThat(ChemicalEquation.read(equation.text()).products()).isEqualTo(equation.products());
    }

    /**
     * Nitrogen comes out as itself: urea 1, glycine 4 (its one nitrogen and five hydrogens), caffeine 2; balanced by
     * hand.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "CO(NH2)2 | 2 CO(NH2)2(s) + 3 O2(g) -> 2 CO2(g) + 4 H2O(l) + 2 N2(g)",
                "NH2CH2COOH | 4 NH2CH2COOH(s) + 9 O2(g) -> 8 CO2(g) + 10 H2O(l) + 2 N2(g)",
                "C8H10N4O2 | 2 C8H10N4O2(s) + 19 O2(g) -> 16 CO2(g) + 10 H2O(l) + 4 N2(g)"
            })
    void nitrogenComesOutAsItself(String sample, String equation) {
        assertThat(Combustion.inBomb(ChemicalFormula.read(sample), "solid")
                        .orElseThrow()
                        .text())
                .isEqualTo(equation);
        assertThat(ChemicalEquation.read(equation).products()).isNotEmpty();
    }

    @Test
    void aFuelBurnsAsItStandsAtTheBench() {
        assertThat(Combustion.atBench(ChemicalFormula.read("C2H5OH"), "l")
                        .orElseThrow()
                        .text())
                .isEqualTo("C2H5OH(l) + 3 O2(g) -> 2 CO2(g) + 3 H2O(l)");
        assertThat(Combustion.atBench(ChemicalFormula.read("C4H10"), "l")
                        .orElseThrow()
                        .text())
                .isEqualTo("2 C4H10(g) + 13 O2(g) -> 8 CO2(g) + 10 H2O(l)");
        assertThat(Combustion.atBench(ChemicalFormula.read("NaCl"), "l")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"NaCl", "CO2", "H2O", "CH3COO-", "C6H5Cl", "C4H4S"})
    void whatDoesNotBurnToWaterAndCarbonDioxideIsRefused(String fuel) {
        assertThatThrownBy(() -> Combustion.of(ChemicalFormula.read(fuel), "l", "l"))
                .isInstanceOf(Refused.class);
    }
}

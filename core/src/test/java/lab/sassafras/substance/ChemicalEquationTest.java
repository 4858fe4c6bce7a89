package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.Set;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Formulas with charges, equations, and the heats that follow from them. */
class ChemicalEquationTest {

    private final ReferenceShelf shelf = ReferenceShelf.standard();

    @ParameterizedTest
    @CsvSource({"Cu^2+, 2", "SO4^2-, -2", "OH-, -1", "NH4+, 1", "Ag^+, 1", "CH3COO-, -1", "NaCl, 0"})
    void chargesAreRead(String formula, int charge) {
        assertThat(ChemicalFormula.read(formula).charge()).isEqualTo(charge);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Cu2+", "SO42-", "Fe3+", "^2+", "Cu^+2"})
    void aChargeThatCanBeReadInTwoWaysIsRefused(String formula) {
        assertThatThrownBy(() -> ChemicalFormula.read(formula)).isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Zn(s) + Ag+(aq) -> Zn^2+(aq) + Ag(s);charge 1 left, 2 right",
                "Mg(s) + HCl(aq) -> MgCl2(aq) + H2(g);Cl 1 left, 2 right; H 1 left, 2 right",
                "HCl(aq) + NaOH(aq) -> NaCl(aq);H 2 left, 0 right; O 1 left, 0 right"
            })
    void whatDoesNotBalanceIsNamed(String equation, String first) {
        assertThatThrownBy(() -> ChemicalEquation.read(equation))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("does not balance")
                .hasMessageContaining(first.trim());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Zn(s)",
                "Zn(s) -> ",
                "Zn + Cu^2+ -> Zn^2+ + Cu",
                "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s) -> Zn(s)",
                "0 Zn(s) -> 0 Zn(s)",
                "Xy(s) -> Xy(s)",
                "2(aq) -> 2(aq)"
            })
    void whatIsNoEquationIsRefusedInPlainWords(String equation) {
        assertThatThrownBy(() -> ChemicalEquation.read(equation))
                .isInstanceOf(Refused.class)
                .satisfies(
                        refused -> assertThat(refused.getMessage()).isNotBlank().doesNotContain("Exception"));
    }

    @Test
    void countsStatesAndSpacingAreFree() {
        ChemicalEquation equation = ChemicalEquation.read("H2SO4(aq)+2NaOH(aq) = Na2SO4(aq) + 2 H2O(l)");
        assertThat(equation.reagent(ChemicalFormula.read("NaOH")).orElseThrow().count())
                .isEqualTo(2);
        assertThat(equation.formed(ChemicalFormula.read("Na2SO4"))).isEqualTo(1);
        assertThat(equation.formed(ChemicalFormula.read("NaOH"))).isZero();
    }

    /**
     * Every heat of solution at infinite dilution follows from the formation rows: one set against other printed
     * values. Urea has no formation row of its solution.
     */
    @Test
    void theShelfsOwnHeatsOfSolutionFollowFromItsFormationRows() {
        assertThat(shelf.heatsOfSolution())
                .filteredOn(
                        row -> row.waters().isEmpty() && !row.formula().text().equals("CO(NH2)2"))
                .hasSizeGreaterThanOrEqualTo(20)
                .allSatisfy(row -> {
                    ChemicalEquation dissolving = ChemicalEquation.dissolving(row.formula());
                    assertThat(shelf.formation().heat(dissolving).orElseThrow().value())
                            .as(row.formula().text())
                            .isCloseTo(row.reference().value(), within(0.35));
                });
    }

    @Test
    void theShelfsReactionHeatsFollowFromItsFormationRows() {
        assertThat(shelf.reactions())
                .hasSizeGreaterThanOrEqualTo(2)
                .allSatisfy(reaction -> assertThat(shelf.formation()
                                .heat(ChemicalEquation.read(reaction.key()))
                                .orElseThrow()
                                .value())
                        .isCloseTo(reaction.value(), within(0.1)));
    }

    /** CODATA Key Values (memory): −55.82 and −218.3 kJ/mol. Another set, so close and not equal. */
    @Test
    void anotherSetOfFormationDataComesClose() {
        assertThat(shelf.formation()
                        .heat(ChemicalEquation.read("H+(aq) + OH-(aq) -> H2O(l)"))
                        .orElseThrow()
                        .value())
                .isCloseTo(-55.82, within(0.1));
        assertThat(shelf.formation()
                        .heat(ChemicalEquation.read("Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)"))
                        .orElseThrow()
                        .value())
                .isCloseTo(-218.3, within(0.5));
    }

    @Test
    void anEquationWithASubstanceNotOnTheShelfHasNoHeatAndSaysWhichLacks() {
        ChemicalEquation equation = ChemicalEquation.read("Cd(s) + Cu^2+(aq) -> Cd^2+(aq) + Cu(s)");
        assertThat(shelf.formation().heat(equation)).isEmpty();
        assertThat(shelf.formation().lacking(equation)).containsExactly("Cd(s)", "Cd^2+(aq)");
    }

    @Test
    void sixtySubstancesAndMoreStandOnTheShelf() {
        assertThat(shelf.all()).hasSizeGreaterThanOrEqualTo(60);
        Set<String> species = new HashSet<>();
        shelf.formation().rows().forEach(row -> species.add(row.species()));
        assertThat(species).hasSize(shelf.formation().rows().size()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(shelf.properties())
                .extracting(Reference::key)
                .contains("standard-potassium-chloride", "standard-tris", "fusion-of-ice", "vaporization-of-water");
    }

    /**
     * The certified standard against the printed heat of solution at infinite dilution, 17.22 kJ/mol: dilution makes
     * 0.36.
     */
    @Test
    void theCertifiedStandardIsThatSaltAtItsOwnDilution() {
        double perMole = shelf.property("standard-potassium-chloride").value() * (39.098 + 35.45) / 1000;
        assertThat(shelf.heatOfSolution(ChemicalFormula.read("KCl"), 500)
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(perMole, within(0.01));
        assertThat(shelf.heatOfSolution(ChemicalFormula.read("KCl"), 1e5)
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(17.22, within(1e-9));
    }

    /**
     * IAPWS R7-97(2012), table 36 (memory): 0.1 MPa boils at 372.755919 K; at 1013.25 hPa 99.974 °C (ITS-90, memory).
     */
    @Test
    void waterBoilsWhereTheVerificationTableSays() {
        assertThat(BoilingPoint.ofWater().value(1000)).isCloseTo(372.755919 - 273.15, within(2e-6));
        assertThat(BoilingPoint.ofWater().value(1013.25)).isCloseTo(99.974, within(0.001));
        assertThat(BoilingPoint.ofWater().value(400)).isNaN();
        double central =
                (BoilingPoint.ofWater().value(951) - BoilingPoint.ofWater().value(949)) / 2;
        assertThat(BoilingPoint.ofWater().derivative(950)).isCloseTo(central, within(1e-6));
    }
}

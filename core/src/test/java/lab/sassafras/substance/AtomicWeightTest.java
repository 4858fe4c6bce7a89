package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.openscience.cdk.config.Elements;
import org.openscience.cdk.config.Isotopes;
import org.openscience.cdk.silent.Element;

/** The table against a second opinion, and the bounds as uncertainties. */
class AtomicWeightTest {

    /** Weights from isotope abundances (CDK) are up to 2.5·10⁻⁴ off, apart from what lies within IUPAC's own bound. */
    @Test
    void everyWeightAgreesWithTheOneFromIsotopes() throws IOException {
        int compared = 0;
        for (Elements element : Elements.values()) {
            if (element == Elements.Unknown || element.symbol().startsWith("Uu")) {
                continue;
            }
            assertThat(AtomicWeight.names(element.symbol()))
                    .as(element.symbol())
                    .isTrue();
            Double fromIsotopes = Isotopes.getInstance().getNaturalMass(new Element(element.symbol()));
            AtomicWeight weight = AtomicWeight.of(element.symbol()).orElse(null);
            if (weight != null && fromIsotopes != null && fromIsotopes > 0) {
                compared++;
                assertThat(weight.weight())
                        .as(element.symbol())
                        .isCloseTo(fromIsotopes, within(weight.bound() + 2.5e-4 * fromIsotopes));
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(83);
    }

    /** Zn 65.38 ± 0.02 (IUPAC 2021, memory); isotopes alone give 65.396. */
    @Test
    void zincAndSaltAreThoseOfTheTable() {
        assertThat(ChemicalFormula.read("Zn").molarMass()).isEqualTo(65.38);
        Measured salt = ChemicalFormula.read("NaCl").molarMassAsInput();
        assertThat(salt.value()).isCloseTo(22.990 + 35.45, within(1e-12));
        assertThat(salt.uncertainty()).isCloseTo(Math.hypot(0.001, 0.01) / Math.sqrt(3), within(1e-12));
    }

    /** An element that stands twice, or in two formulas, is off by the same. */
    @Test
    void anElementIsOneSourceWhereverItStands() {
        Measured hydrate = ChemicalFormula.read("CuSO4·5H2O").molarMassAsInput();
        assertThat(hydrate.shares()).extracting(Measured.Share::sensitivity).containsExactly(1.0, 1.0, 9.0, 10.0);
        assertThat(hydrate.shares().get(2).source())
                .isEqualTo(ChemicalFormula.read("H2O")
                        .molarMassAsInput()
                        .shares()
                        .get(1)
                        .source());
    }

    @Test
    void anElementWithoutAWeightIsNamedAndAnUnknownOneToo() {
        for (String formula : List.of("Tc", "RaCl2")) {
            assertThatThrownBy(() -> ChemicalFormula.read(formula))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("has no standard atomic weight");
        }
        assertThatThrownBy(() -> ChemicalFormula.read("NaX")).hasMessageContaining("There is no element “X”");
    }
}

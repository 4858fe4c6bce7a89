package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lab.sassafras.measure.Refused;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Chemistry as people type it. */
class SpellingTest {

    private final Spelling spelling = ReferenceShelf.standard().spelling();

    @ParameterizedTest
    @CsvSource({
        "NaCl, NaCl",
        "ammonium nitrate, NH4NO3",
        "Calcium chloride, CaCl2",
        "copper(II) sulfate pentahydrate, CuSO4·5H2O",
        "nh4no3, NH4NO3",
        "nacl, NaCl",
        "libr, LiBr",
        "CuSO4.5H2O, CuSO4·5H2O",
        "CuSO4*5H2O, CuSO4·5H2O",
        "Cu2+, Cu^2+",
        "Cu²⁺, Cu^2+",
        "SO42-, SO4^2-",
        "SO₄²⁻, SO4^2-",
        "NH4+, NH4+",
        "Cu^2+, Cu^2+"
    })
    void aFormulaIsReadAsItIsMeant(String typed, String read) {
        assertThat(spelling.formula(typed).text()).isEqualTo(read);
    }

    /** A name in small letters is never cut into symbols: octane is not O, C, Ta and Ne. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "octan | Near it: octane",
                "cafeine | Near it: caffeine",
                "stuff | is no name known here",
                "cs | is no name known here",
                "h2o2x | written with its capitals",
                "Propanol-2 | Near it: ",
                "NaOHx | no element “Hx”"
            })
    void whatIsNoNameAndNoFormulaIsRefusedWithTheNamesNearIt(String typed, String said) {
        assertThatThrownBy(() -> spelling.formula(typed))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Zn + CuSO4 -> ZnSO4 + Cu | Zn(s) + CuSO4(aq) -> ZnSO4(aq) + Cu(s)",
                "hcl + naoh = nacl + h2o | HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)",
                "Zn + Cu2+ -> Zn2+ + Cu | Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)",
                "CaCO3 + 2HCl -> CaCl2 + H2O + CO2 | CaCO3(s) + 2 HCl(aq) -> CaCl2(aq) + H2O(l) + CO2(g)",
                "NaOH(s) + HCl -> NaCl + H2O | NaOH(s) + HCl(aq) -> NaCl(aq) + H2O(l)",
                "Mg + 2HCl -> MgCl2 + H2 | Mg(s) + 2 HCl(aq) -> MgCl2(aq) + H2(g)"
            })
    void statesAreInferredWhereTheShelfKnowsThem(String typed, String read) {
        assertThat(spelling.equation(typed)).isEqualTo(read);
        assertThat(ChemicalEquation.read(spelling.equation(typed)).products()).isNotEmpty();
    }
}

package lab.sassafras.presentation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import lab.sassafras.substance.ChemicalEquation;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Equations as they are printed; _ marks what stands below the line, ^ what stands above. */
class TypesetTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s) | Zn(s) + Cu^2+(aq) → Zn^2+(aq) + Cu(s)",
                "H+(aq) + OH-(aq) = H2O(l) | H^+(aq) + OH^−(aq) → H_2O(l)",
                "CuSO4·5H2O(s) -> CuSO4(aq) + 5H2O(l) | CuSO_4·5H_2O(s) → CuSO_4(aq) + 5 H_2O(l)",
                "Ca(OH)2(s) -> Ca^2+(aq) + 2 OH-(aq) | Ca(OH)_2(s) → Ca^2+(aq) + 2 OH^−(aq)",
                "SO4^2-(aq) + Ba^2+(aq) -> BaSO4(s) | SO_4^2−(aq) + Ba^2+(aq) → BaSO_4(s)"
            })
    void countsStandBelowAndChargesAbove(String typed, String printed) {
        assertThat(Typeset.of(ChemicalEquation.read(typed)).stream()
                        .map(piece -> switch (piece.place()) {
                            case BELOW -> "_" + piece.text();
                            case ABOVE -> "^" + piece.text();
                            case LINE, STATE -> piece.text();
                        })
                        .collect(Collectors.joining()))
                .isEqualTo(printed);
    }
}

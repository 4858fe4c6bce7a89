package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.ReagentKind;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.ChemicalEquation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a value says of other places by itself. */
class FollowingTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s) | DISSOLVED | Cu^2+",
                "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s) | SOLID | Zn",
                "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l) | ACID | HCl",
                "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l) | BASE | NaOH",
                "CH3COOH(aq) + NH3(aq) -> CH3COONH4(aq) | ACID | CH3COOH",
                "CH3COOH(aq) + NH3(aq) -> CH3COONH4(aq) | BASE | NH3",
                "Mg(s) + 2 HCl(aq) -> MgCl2(aq) + H2(g) | SOLID | Mg",
                "Ba(OH)2(s) + 2 NH4Cl(s) -> BaCl2(aq) + 2 NH3(aq) + 2 H2O(l) | DISSOLVED | Ba(OH)2 NH4Cl",
                "Ba(OH)2(s) + 2 NH4Cl(s) -> BaCl2(aq) + 2 NH3(aq) + 2 H2O(l) | SOLID | Ba(OH)2 NH4Cl",
                "NaOH(aq) + NH4Cl(aq) -> NaCl(aq) + NH3(aq) + H2O(l) | ACID | NaOH NH4Cl"
            })
    void anEquationThatNamesItsStatesNamesWhatIsDissolvedAndWhatIsSolid(
            String equation, ReagentKind kind, String fitting) {
        assertThat(kind.among(ChemicalEquation.read(equation)).stream()
                        .map(term -> term.formula().text())
                        .toList())
                .containsExactly(fitting.split(" "));
    }

    @Test
    void whatTheEquationSaysIsNotAskedForAgain() {
        BenchSheet sheet = BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", "Zn(s) + CuSO4(aq) -> ZnSO4(aq) + Cu(s)");
        Line equation = sheet.sheet()
                .line(Address.of("reaction/equation", 1), Role.STATED)
                .orElseThrow();
        assertThat(Following.of(sheet.sheet(), equation).stream()
                        .map(each -> each.at() + " " + each.text())
                        .toList())
                .containsExactly("solution[1]/reagent CuSO4", "solid[1]/formula Zn");
        BenchSheet told = sheet.says("solution[1]/reagent", "CuSO4");
        assertThat(Following.of(told.sheet(), equation))
                .as("what stands is left")
                .hasSize(1);
        assertThat(Following.why(
                        told.sheet(),
                        told.sheet()
                                .line(Address.of("solution/reagent", 1), Role.STATED)
                                .orElseThrow()))
                .contains("as the equation says");
    }

    @Test
    void aVesselWeighedAgainWasWeighedBeforeWithWhatWasInIt() {
        BenchSheet tared = BenchSheet.of("specific-heat-of-solid")
                .give("water[1]/mass", Role.READ, "98.45", "g", Optional.of(BenchSheet.BALANCE))
                .give("sample[1]/mass", Role.READ, "50.1", "g", Optional.of(BenchSheet.BALANCE))
                .give("sample[1]/carried", Role.GROSS, "149.02", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(before(tared, "sample/carried")).as("98.45 + 50.1").contains("148.55");
        BenchSheet full = BenchSheet.of("fusion-of-ice")
                .give("water[1]/mass", Role.TARE, "4.20", "g", Optional.of(BenchSheet.BALANCE))
                .give("water[1]/mass", Role.GROSS, "104.20", "g", Optional.of(BenchSheet.BALANCE))
                .give("ice[1]/mass", Role.GROSS, "131.02", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(before(full, "ice/mass"))
                .as("the full cup, as it is weighed again")
                .contains("104.20");
        BenchSheet nothing = BenchSheet.of("fusion-of-ice")
                .give("ice[1]/mass", Role.GROSS, "131.02", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(before(nothing, "ice/mass"))
                .as("nothing is filled in that was not observed")
                .isEmpty();
        BenchSheet byVolume = BenchSheet.of("fusion-of-ice")
                .volume("water[1]/mass", "100")
                .give("ice[1]/mass", Role.GROSS, "131.02", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(before(byVolume, "ice/mass")).isEmpty();
    }

    private static Optional<String> before(BenchSheet bench, String path) {
        Sheet sheet = bench.sheet();
        List<Following.Value> values =
                Following.of(sheet, sheet.line(Address.of(path, 1), Role.GROSS).orElseThrow());
        return values.stream()
                .filter(each -> each.role() == Role.TARE)
                .map(Following.Value::text)
                .findFirst();
    }
}

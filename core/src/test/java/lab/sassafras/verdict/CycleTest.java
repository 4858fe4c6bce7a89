package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.Shared;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Setting;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.Formation;
import lab.sassafras.substance.HalvedEquation;
import lab.sassafras.substance.Hess;
import lab.sassafras.substance.ReferenceShelf;
import org.assertj.core.api.Assertions;
import org.hipparchus.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Equations that are turned, multiplied and added, and the heats with them. */
class CycleTest {

    private static final String DISSOLVING = "NaOH(s) -> Na+(aq) + OH-(aq)";
    private static final String IN_SOLUTION = "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)";
    private static final String AS_PELLETS = "NaOH(s) + HCl(aq) -> NaCl(aq) + H2O(l)";

    private static List<ChemicalEquation> read(String... equations) {
        return Stream.of(equations)
                .map(each -> HalvedEquation.read(each).whole())
                .toList();
    }

    private static List<String> made(String target, String... legs) {
        Hess.Outcome outcome =
                Hess.combine(read(legs), HalvedEquation.read(target).whole());
        assertThat(outcome).isInstanceOf(Hess.Outcome.Made.class);
        return ((Hess.Outcome.Made) outcome)
                .ways().get(0).stream().map(BigFraction::toString).toList();
    }

    /** By hand: methane from its combustion and those of carbon and hydrogen, 1 × C + 2 × H₂ − 1 × CH₄. */
    @Test
    void equationsAreTurnedAndMultipliedByExactFractions() {
        assertThat(made(
                        "C(s) + 2 H2(g) -> CH4(g)",
                        "C(s) + O2(g) -> CO2(g)",
                        "2 H2(g) + O2(g) -> 2 H2O(l)",
                        "CH4(g) + 2 O2(g) -> CO2(g) + 2 H2O(l)"))
                .containsExactly("1", "1", "-1");
        assertThat(made("2 C(s) + O2(g) -> 2 CO(g)", "C(s) + O2(g) -> CO2(g)", "2 CO(g) + O2(g) -> 2 CO2(g)"))
                .containsExactly("2", "-1");
        assertThat(made(
                        "N2(g) + 3 H2(g) -> 2 NH3(g)",
                        "4 NH3(g) + 3 O2(g) -> 2 N2(g) + 6 H2O(l)",
                        "2 H2(g) + O2(g) -> 2 H2O(l)"))
                .containsExactly("-1 / 2", "3 / 2");
    }

    /** Ions stand for the salt, the base and the strong acid they fall into; a weak acid stays whole. */
    @Test
    void dissolvedSaltsCountAsTheirIons() {
        assertThat(made(AS_PELLETS, DISSOLVING, IN_SOLUTION)).containsExactly("1", "1");
        assertThat(made("H+(aq) + OH-(aq) -> H2O(l)", IN_SOLUTION)).containsExactly("1");
        assertThat(Hess.combine(
                        read("CH3COOH(aq) + NaOH(aq) -> NaCH3COO(aq) + H2O(l)"),
                        ChemicalEquation.read("H+(aq) + OH-(aq) -> H2O(l)")))
                .isInstanceOf(Hess.Outcome.NotMade.class);
    }

    @Test
    void whatDoesNotCancelIsNamedAndSeveralWaysAreFound() {
        Hess.Outcome lacking = Hess.combine(
                read("C(s) + O2(g) -> CO2(g)", "2 H2(g) + O2(g) -> 2 H2O(g)"),
                ChemicalEquation.read("CH4(g) + 2 O2(g) -> CO2(g) + 2 H2O(l)"));
        assertThat(((Hess.Outcome.NotMade) lacking).left()).contains("CH4(g)", "H2O(l)");
        Hess.Outcome state = Hess.combine(
                read(IN_SOLUTION, "NaOH(s) -> NaOH(aq)"),
                ChemicalEquation.read("NaOH(s) + HCl(g) -> NaCl(aq) + H2O(l)"));
        assertThat(((Hess.Outcome.NotMade) state).left()).isNotEmpty();
        Hess.Outcome twice = Hess.combine(read(DISSOLVING, IN_SOLUTION, AS_PELLETS), ChemicalEquation.read(AS_PELLETS));
        assertThat(((Hess.Outcome.Made) twice).ways()).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({
        "Mg(s) + 1/2 O2(g) -> MgO(s), 2, 2 Mg(s) + 1 O2(g) -> 2 MgO(s)",
        "Mg(s) + ½ O2(g) -> MgO(s), 2, 2 Mg(s) + 1 O2(g) -> 2 MgO(s)",
        "2 Al(s) + 3/2 O2(g) -> Al2O3(s), 2, 4 Al(s) + 3 O2(g) -> 2 Al2O3(s)",
        "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s), 1, Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)"
    })
    void aHalfMayStandInAnEquation(String typed, int times, String whole) {
        HalvedEquation read = HalvedEquation.read(typed);
        assertThat(read.times()).isEqualTo(times);
        assertThat(read.whole().reagents())
                .isEqualTo(ChemicalEquation.read(whole).reagents());
        assertThat(read.whole().products())
                .isEqualTo(ChemicalEquation.read(whole).products());
        Assertions.assertThatThrownBy(() -> HalvedEquation.read("Mg(s) + 1/3 O2(g) -> MgO(s)"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("does not balance");
    }

    /** Every heat from rows of one table closes exactly: the way round is the direct one. */
    @Test
    void aCycleOfFormationRowsClosesExactly() {
        Formation table = ReferenceShelf.standard().formation();
        List<ChemicalEquation> legs = read("NaOH(s) -> NaOH(aq)", IN_SOLUTION);
        double round = legs.stream()
                .mapToDouble(each -> table.heat(each).orElseThrow().value())
                .sum();
        assertThat(round)
                .isCloseTo(
                        table.heat(ChemicalEquation.read(AS_PELLETS))
                                .orElseThrow()
                                .value(),
                        within(1e-9));
    }

    private static Setting.Referenced run(String label, Measured heat, String equation, double times, double molal) {
        return new Setting.Referenced(
                label,
                Optional.of(heat),
                BenchUnit.KILOJOULES_PER_MOLE,
                Optional.of(new Setting.Reaction(equation, times, OptionalDouble.of(molal))));
    }

    /** Own parts of 0.6, 0.8 and 0.5 kJ/mol, and a constant they share that moves each by 2. */
    private static Measured shared(double value, double own, double sensitivity) {
        Shared constant = Shared.everywhere("calibration:c1", "calorimeter constant", 1, Double.POSITIVE_INFINITY);
        return new Measured(
                value, own, Double.POSITIVE_INFINITY, List.of(new Measured.Share(constant, sensitivity)), -1);
    }

    private static BenchSheet pellets(double dissolving, double reacting, double molal) {
        Map<String, Setting.Referenced> runs = new LinkedHashMap<>();
        runs.put("d", run("dissolving", shared(dissolving, 0.6, -2), DISSOLVING, 1, 0.5));
        runs.put("n", run("in solution", shared(reacting, 0.8, -2), IN_SOLUTION, 1, molal));
        runs.put("p", run("as pellets", shared(-100.4, 0.5, -4), AS_PELLETS, 1, 0.5));
        return BenchSheet.parts("cycle", Map.of("leg", 2))
                .results(runs)
                .says("target[1]/equation", AS_PELLETS)
                .says("leg[1]/from", "entry")
                .says("leg[1]/run", "d")
                .says("leg[2]/from", "entry")
                .says("leg[2]/run", "n");
    }

    private static Solution solved(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    /** Table values: −44.5 dissolving and −55.8 in solution make −100.3 for the pellets (NBS, from memory). */
    @Test
    void aBaseAsPelletsAndInSolutionClosesWithWhatIsSharedCountedOnce() {
        Reduction reduction = pellets(-44.5, -55.8, 0.5).reduced();
        assertThat(solved(reduction).estimate().value()).isCloseTo(-100.3, within(1e-9));
        // own parts add as squares, the shared constant's ways add: √(0.6² + 0.8² + 4²)
        assertThat(solved(reduction).estimate().uncertainty()).isCloseTo(Math.sqrt(0.36 + 0.64 + 16), within(1e-9));
        assertThat(reduction
                        .agreement(reduction.samples().get(0))
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(-100.3, within(0.5));
        Reduction closed = pellets(-44.5, -55.8, 0.5).says("target[1]/run", "p").reduced();
        Solution.Further closure = solved(closed).derived().get(0);
        assertThat(closure.estimate().value()).isCloseTo(-0.1, within(1e-9));
        // the shared constant cancels: −4 + 2 + 2
        assertThat(closure.estimate().uncertainty()).isCloseTo(Math.sqrt(0.36 + 0.64 + 0.25), within(1e-9));
        assertThat(codes(closed)).contains("cycle.closes").doesNotContain("cycle.dilution", "cycle.open");
    }

    @Test
    void aGapThatTheUncertaintiesDoNotAllowAndUnlikeDilutionsAreSaid() {
        Reduction open = pellets(-40.0, -55.8, 0.5).says("target[1]/run", "p").reduced();
        assertThat(codes(open)).contains("cycle.open");
        Reduction unlike = pellets(-44.5, -55.8, 0.2).reduced();
        assertThat(unlike.findings())
                .filteredOn(each -> each.code().equals("cycle.dilution"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.message()).contains("dissolving: 0.50 mol/kg", "in solution: 0.20 mol/kg"));
    }

    @Test
    void legsThatDoNotMakeTheTargetNameWhatIsLeft() {
        BenchSheet sheet = pellets(-44.5, -55.8, 0.5);
        Reduction other = BenchSheet.parts("cycle", Map.of("leg", 1))
                .results(sheet.sheet().setting().references())
                .says("target[1]/equation", AS_PELLETS)
                .says("leg[1]/from", "entry")
                .says("leg[1]/run", "n")
                .reduced();
        assertThat(other.result()).isEmpty();
        assertThat(codes(other)).contains("cycle.not-made");
    }

    /** A run without an equation is no leg: its heat is never added as it stands. */
    @Test
    void aRunWithoutAnEquationAndTooManyLegsAreNamedAndGiveNoNumber() {
        Map<String, Setting.Referenced> runs = Map.of(
                "r",
                new Setting.Referenced(
                        "a reaction", Optional.of(Measured.independent(-50, 1)), BenchUnit.KILOJOULES_PER_MOLE));
        Reduction without = BenchSheet.parts("cycle", Map.of("leg", 1))
                .results(runs)
                .says("target[1]/equation", AS_PELLETS)
                .says("leg[1]/from", "entry")
                .says("leg[1]/run", "r")
                .reduced();
        assertThat(without.result()).isEmpty();
        assertThat(codes(without)).contains("cycle.no-equation");
        BenchSheet many = BenchSheet.parts("cycle", Map.of("leg", 9)).says("target[1]/equation", AS_PELLETS);
        for (int i = 1; i <= 9; i++) {
            many.says("leg[" + i + "]/from", "typed")
                    .says("leg[" + i + "]/equation", AS_PELLETS)
                    .reads("leg[" + i + "]/heat", "-100", "kJ/mol");
        }
        assertThat(many.reduced().result()).isEmpty();
        assertThat(codes(many.reduced())).contains("cycle.too-many");
    }

    /** Typed legs: magnesium oxide by its reaction with acid (−151.8), the metal's (−466.9) and water's (−285.8). */
    @Test
    void typedLegsMakeATargetWithAHalfInIt() {
        List<List<String>> legs = List.of(
                List.of("Mg(s) + 2 H+(aq) -> Mg^2+(aq) + H2(g)", "-466.9"),
                List.of("MgO(s) + 2 H+(aq) -> Mg^2+(aq) + H2O(l)", "-151.8"),
                List.of("H2(g) + 1/2 O2(g) -> H2O(l)", "-285.8"));
        BenchSheet sheet =
                BenchSheet.parts("cycle", Map.of("leg", 3)).says("target[1]/equation", "Mg(s) + 1/2 O2(g) -> MgO(s)");
        for (int i = 1; i <= 3; i++) {
            sheet.says("leg[" + i + "]/from", "typed")
                    .says("leg[" + i + "]/equation", legs.get(i - 1).get(0))
                    .reads("leg[" + i + "]/heat", legs.get(i - 1).get(1), "kJ/mol");
        }
        assertThat(solved(sheet.reduced()).estimate().value()).isCloseTo(-466.9 + 151.8 - 285.8, within(1e-9));
        assertThat(sheet.reduced()
                        .writing()
                        .written(sheet.reduced().trials().get(0))
                        .orElseThrow()
                        .value())
                .isEqualTo("−600.9");
        assertThat(new Presentation(Conventions.standard(), Figures.POINT)
                        .working(solved(sheet.reduced()))
                        .text())
                .contains("= −600.9 kJ/mol")
                .doesNotContain("−600.90");
        // −600.9 beside −601.7: rounded table values, of which nobody said how well they are known
        assertThat(sheet.reduced().verdict().orElseThrow().agreement()).isEmpty();
        assertThat(sheet.reduced().findings())
                .filteredOn(each -> each.code().equals("cycle.unjudged"))
                .singleElement()
                .satisfies(each -> assertThat(each.message())
                        .contains("no ± of its own", "differ by +0.8")
                        .doesNotContain("agree"));
    }

    /**
     * The same by the shelf's own rows: one table throughout, so that the way round is the direct one, −601.7 in NBS.
     */
    @Test
    void legsMayComeFromTheShelfAndWhatItLacksIsNamed() {
        BenchSheet sheet =
                BenchSheet.parts("cycle", Map.of("leg", 2)).says("target[1]/equation", "Mg(s) + 1/2 O2(g) -> MgO(s)");
        String[] legs = {
            "Mg(s) + H2O(l) -> MgO(s) + H2(g)", "2 H2(g) + O2(g) -> 2 H2O(l)",
        };
        for (int i = 1; i <= 2; i++) {
            sheet.says("leg[" + i + "]/from", "shelf").says("leg[" + i + "]/equation", legs[i - 1]);
        }
        Formation table = ReferenceShelf.standard().formation();
        double direct = table.heat(ChemicalEquation.read("2 Mg(s) + O2(g) -> 2 MgO(s)"))
                        .orElseThrow()
                        .value()
                / 2;
        assertThat(solved(sheet.reduced()).estimate().value()).isCloseTo(direct, within(1e-9));
        assertThat(sheet.reduced().working(1).orElseThrow().text()).contains("ΔH(shelf 1)");
        assertThat(sheet.reduced().verdict().orElseThrow().agreement())
                .as("the reference is made of the same rows")
                .isEmpty();
        assertThat(sheet.reduced().findings())
                .anyMatch(each ->
                        each.code().equals("cycle.unjudged") && each.message().contains("round in a circle"));
        Reduction lacking = BenchSheet.parts("cycle", Map.of("leg", 1))
                .says("target[1]/equation", "Xe(g) + 3 F2(g) -> XeF6(s)")
                .says("leg[1]/from", "shelf")
                .says("leg[1]/equation", "Xe(g) + 3 F2(g) -> XeF6(s)")
                .reduced();
        assertThat(lacking.result()).isEmpty();
        assertThat(codes(lacking)).contains("cycle.not-on-shelf");
    }

    private static BenchSheet legs(String target, String... equationsAndHeats) {
        int count = equationsAndHeats.length / 2;
        BenchSheet sheet = BenchSheet.parts("cycle", Map.of("leg", count)).says("target[1]/equation", target);
        for (int i = 1; i <= count; i++) {
            String heat = equationsAndHeats[2 * i - 1];
            String[] typed = heat.split(" ± ", -1);
            sheet.says("leg[" + i + "]/from", heat.isEmpty() ? "shelf" : "typed")
                    .says("leg[" + i + "]/equation", equationsAndHeats[2 * i - 2]);
            if (typed.length > 1) {
                sheet.assumed("leg[" + i + "]/heat", typed[0], typed[1], "kJ/mol");
            } else if (!heat.isEmpty()) {
                sheet.reads("leg[" + i + "]/heat", typed[0], "kJ/mol");
            }
        }
        return sheet;
    }

    /**
     * The lattice of common salt, by hand from values of any textbook (memory): 107.3 + 495.8 + 121.7 − 348.6 − x =
     * −411.2 makes x = −787.4, electrons written and cancelled.
     */
    @Test
    void aLatticeCycleHasElectronsAndGaseousIons() {
        BenchSheet sheet = legs(
                "Na+(g) + Cl-(g) -> NaCl(s)",
                "Na(s) -> Na(g)",
                "107.3 ± 0.7",
                "Na(g) -> Na+(g) + e-",
                "495.8 ± 0.1",
                "1/2 Cl2(g) -> Cl(g)",
                "121.7 ± 0.1",
                "Cl(g) + e^- -> Cl-(g)",
                "-348.6 ± 0.3",
                "Na(s) + 1/2 Cl2(g) -> NaCl(s)",
                "-411.2 ± 0.2");
        Solution made = solved(sheet.reduced());
        assertThat(made.estimate().value()).isCloseTo(-787.4, within(1e-9));
        assertThat(made.estimate().uncertainty()).isCloseTo(Math.sqrt(0.49 + 0.01 + 0.01 + 0.09 + 0.04), within(1e-9));
        // NBS ions: −411.153 − 609.358 + 233.13 = −787.38; each typed leg has its ±, so it is judged
        Agreement judged =
                sheet.reduced().agreement(sheet.reduced().samples().get(0)).orElseThrow();
        assertThat(judged.reference().value()).isCloseTo(-787.38, within(0.01));
        assertThat(judged.agrees()).isTrue();
        assertThat(ChemicalEquation.read("Na(g) -> Na+(g) + e-").gasFormed()).isZero();
        Assertions.assertThatThrownBy(() -> BenchSheet.of("heat-of-solution").says("solute[1]/formula", "e-"))
                .isInstanceOf(Refused.class);
    }

    /** One row in two legs is one error: water cancels between them, and only what stays has one. */
    @Test
    void legsThatShareARowOfTheShelfShareItsError() {
        Reduction made = legs(
                        "Mg(s) + 1/2 O2(g) -> MgO(s)",
                        "Mg(s) + H2O(l) -> MgO(s) + H2(g)",
                        "",
                        "2 H2(g) + O2(g) -> 2 H2O(l)",
                        "")
                .reduced();
        // magnesium oxide −601.70: half a unit of the last figure, 0.005, rectangular
        assertThat(solved(made).estimate().uncertainty()).isCloseTo(0.005 / Math.sqrt(3), within(1e-9));
        assertThat(made.working(1).orElseThrow().text()).contains("(−601.70 − (−285.830)) kJ/mol", "= −601.70 kJ/mol");
    }

    private static List<String> codes(Reduction reduction) {
        return new ArrayList<>(reduction.findings().stream().map(Finding::code).toList());
    }
}

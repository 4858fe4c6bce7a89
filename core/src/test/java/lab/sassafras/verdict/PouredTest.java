package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;

/**
 * What waits in the cup may be poured of several: masses add, and so do moles. By hand with 4.18 J/(g·°C) and 1 g/mL.
 */
class PouredTest {

    private static final Conventions ROUNDED = Conventions.of(Map.of("water", "4.18", "calorimeter", "ignored"));

    private static BenchSheet acid() {
        return BenchSheet.of("neutralization")
                .says("reaction[1]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                .says("reaction[1]/strength", "strong")
                .says("acid[1]/formula", "HCl")
                .assumed("acid[1]/concentration", "2.00", "0.01", "mol/L")
                .says("base[1]/formula", "NaOH")
                .assumed("base[1]/concentration", "1.00", "0.01", "mol/L")
                .volume("first[1]/amount", "20.0")
                .volume("second[1]/amount", "60.0")
                .temperature("second[1]/start", "21.0")
                .temperature("first[1]/start", "21.0")
                .temperature("mixed[1]/final", "26.4");
    }

    private static Solution solved(BenchSheet sheet) {
        return sheet.reduced(ROUNDED).trials().get(0).solution().orElseThrow();
    }

    /** 20 mL of 2 mol/L acid with 30 mL of water: 110 g warm by 5.4 °C, 0.040 mol of water form. */
    @Test
    void waterToAnAcidAddsToWhatWarmsAndNotToWhatReacts() {
        Solution diluted = solved(acid().volume("also[1]/amount", "30.0"));
        assertThat(diluted.estimate().value()).isCloseTo(-110 * 4.18 * 5.4 / 0.040 / 1000, within(1e-9));
        assertThat(diluted.fill().orElseThrow()).isCloseTo(110, within(1e-9));
        assertThat(solved(acid()).estimate().value()).isCloseTo(-80 * 4.18 * 5.4 / 0.040 / 1000, within(1e-9));
    }

    /** 20 mL of 2 mol/L and 10 mL of 0.5 mol/L, and 5 g of water: 0.045 mol in 95 g. */
    @Test
    void twoSolutionsAndWaterAddTheirMoles() {
        Reduction reduction = acid().volume("also[1]/amount", "10.0")
                .reads("also[1]/concentration", "0.500", "mol/L")
                .mass("besides[1]/amount", "5.00")
                .reduced(ROUNDED);
        assertThat(reduction.trials().get(0).solution().orElseThrow().estimate().value())
                .isCloseTo(-95 * 4.18 * 5.4 / 0.045 / 1000, within(1e-9));
        assertThat(reduction.working(1).orElseThrow().text()).contains("m(poured together)", "c(also)");
        // 0.045 mol in 20 + 10 + 5 mL
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("poured.together"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("35.0 mL of 1.29 mol/L"));
        assertThat(acid().reduced(ROUNDED).findings())
                .noneMatch(each -> each.code().equals("poured.together"));
    }

    /** A metal in a solution that was diluted in the cup, and a salt in water weighed in two beakers. */
    @Test
    void everyExperimentWithALiquidThatWaitsTakesIt() {
        BenchSheet zinc = BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)")
                .says("solution[1]/reagent", "Cu^2+")
                .assumed("solution[1]/concentration", "1.00", "0.01", "mol/L")
                .says("solid[1]/formula", "Zn")
                .volume("poured[1]/amount", "25.0")
                .volume("also[1]/amount", "25.0")
                .mass("added[1]/mass", "3.00")
                .says("mixed[1]/reacted", "excess")
                .temperature("poured[1]/start", "20.0")
                .temperature("mixed[1]/final", "44.0");
        Conventions water = Conventions.of(Map.of("water", "4.18", "calorimeter", "ignored", "solution", "water"));
        assertThat(zinc.reduced(water).result().orElseThrow().value())
                .isCloseTo(-50 * 4.18 * 24 / 0.025 / 1000, within(1e-9));
        BenchSheet salt = BenchSheet.of("heat-of-solution")
                .says("solute[1]/formula", "NH4Cl")
                .mass("water[1]/mass", "60.00")
                .mass("also[1]/amount", "40.00")
                .mass("solid[1]/mass", "5.00")
                .temperature("water[1]/start", "21.0")
                .temperature("solution[1]/final", "17.8")
                .says("solution[1]/dissolved", "all");
        assertThat(salt.reduced(ROUNDED).result().orElseThrow().value())
                .isCloseTo(105 * 4.18 * 3.2 / (5 / 53.491) / 1000, within(0.002));
    }
}

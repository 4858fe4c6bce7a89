package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import org.junit.jupiter.api.Test;

/** A burner under a can of water, against arithmetic by hand. */
class CombustionUnderACanTest {

    private static final Conventions BARE = Conventions.of(Map.of("calorimeter", "ignored", "water", "4.18"));

    private static BenchSheet burning(String fuel, String water, String start, String highest, String gone) {
        return BenchSheet.of("combustion-under-a-can")
                .says("fuel[1]/formula", fuel)
                .mass("water[1]/mass", water)
                .temperature("water[1]/start", start)
                .mass("burner[1]/burnt", gone)
                .temperature("heated[1]/highest", highest);
    }

    private static Solution trial(BenchSheet sheet) {
        return sheet.reduced(BARE).trials().get(0).solution().orElseThrow();
    }

    private static double derived(Solution trial, BenchUnit unit) {
        return trial.derived().stream()
                .filter(each -> each.derived().unit() == unit)
                .findFirst()
                .orElseThrow()
                .estimate()
                .value();
    }

    /** Common practice, no source: 120 g of water, 26 → 34 °C, 0.42 g of ethanol, 4.18, the can ignored. */
    @Test
    void theUsualRunComesToAThirdOfTheTabulatedHeat() {
        Reduction reduction = burning("C2H5OH", "120", "26.0", "34.0", "0.42").reduced(BARE);
        Solution trial = reduction.trials().get(0).solution().orElseThrow();
        // 120 · 4.18 · 8 = 4012.8 J; 46.069 g/mol
        assertThat(derived(trial, BenchUnit.JOULES)).isCloseTo(-4012.8, within(0.05));
        assertThat(derived(trial, BenchUnit.JOULES_PER_GRAM_OF_PROCESS)).isCloseTo(-4012.8 / 0.42, within(0.5));
        assertThat(trial.estimate().value()).isCloseTo(-440.2, within(0.1));
        assertThat(derived(trial, BenchUnit.PERCENT)).isCloseTo(32.2, within(0.05));
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("combustion.part"))
                .singleElement()
                .satisfies(note -> assertThat(note.message()).startsWith("32 % of the tabulated heat"));
        assertThat(reduction.happened().equation().orElseThrow().text())
                .isEqualTo("C2H5OH(l) + 3 O2(g) -> 2 CO2(g) + 3 H2O(l)");
    }

    /** What was weighed beside is taken into account: each by hand, from the 4012.8 J above. */
    @Test
    void sootWaterInTheFuelAndWhatEvaporatedAreTakenIntoAccount() {
        // 0.02 g of carbon keep back 0.02 · 393 509 ÷ 12.011 = 655.2 J
        assertThat(trial(burning("C2H5OH", "120", "26.0", "34.0", "0.42").mass("soot[1]/mass", "0.02"))
                        .estimate()
                        .value())
                .isCloseTo(-(4012.8 + 655.2) / (0.42 / 46.069) / 1000, within(0.1));
        // 4 % of water: 0.4032 g burn
        assertThat(trial(burning("C2H5OH", "120", "26.0", "34.0", "0.42")
                                .give("fuel[1]/water", Role.READ, "4", "%", Optional.empty()))
                        .estimate()
                        .value())
                .isCloseTo(-4012.8 / (0.4032 / 46.069) / 1000, within(0.1));
        assertThat(trial(burning("C2H5OH", "120", "26.0", "34.0", "0.42").mass("burner[1]/evaporated", "0.05"))
                        .estimate()
                        .value())
                .isCloseTo(-4012.8 / (0.37 / 46.069) / 1000, within(0.1));
    }

    /**
     * A known fuel under the same can: methanol gave 363.05 of its 726.1 kJ/mol, a half; so the fuel is taken to have
     * given twice what reached the water, and what both share counts once.
     */
    @Test
    void aKnownFuelUnderTheSameCanCorrectsIt() {
        Map<String, Setting.Referenced> runs = Map.of(
                "methanol",
                new Setting.Referenced(
                        "Combustion under a can, bench Alder",
                        Optional.of(Measured.independent(-363.05, 4)),
                        BenchUnit.KILOJOULES_PER_MOLE));
        BenchSheet sheet = burning("C2H5OH", "120", "26.0", "34.0", "0.42").results(runs);
        Solution alone = trial(sheet);
        assertThat(alone.derived()).noneMatch(each -> each.derived().label().contains("corrected"));
        Solution corrected = trial(sheet.says("known[1]/run", "methanol").says("known[1]/fuel", "CH3OH"));
        assertThat(corrected.estimate().value())
                .as("the raw value stays the result")
                .isEqualTo(alone.estimate().value());
        assertThat(corrected.derived())
                .filteredOn(each -> each.derived().label().contains("corrected"))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.estimate().value()).isCloseTo(-880.3, within(0.3));
                    // relative: of the run itself, and 4 of 363 of the known one
                    double own = alone.estimate().uncertainty() / 440.2;
                    assertThat(each.estimate().uncertainty() / 880.3)
                            .isCloseTo(Math.hypot(own, 4 / 363.05), within(2e-4));
                });
        Solution untold = trial(
                burning("C2H5OH", "120", "26.0", "34.0", "0.42").results(runs).says("known[1]/run", "methanol"));
        assertThat(untold.derived()).as("what it burnt is not told").hasSameSizeAs(alone.derived());
    }

    /** The can is a party of its own, and what cannot be is questioned. */
    @Test
    void theCanTakesItsPartAndMoreThanAllOfTheHeatIsQuestioned() {
        Solution counted = burning("CH3OH", "150", "20.0", "30.0", "0.60")
                .constant(60, 2, 150)
                .reduced(Conventions.of(Map.of("calorimeter", "constant", "water", "4.18")))
                .trials()
                .get(0)
                .solution()
                .orElseThrow();
        // (150 · 4.18 + 60) · 10 = 6870 J; 32.042 g/mol
        assertThat(counted.estimate().value()).isCloseTo(-6870 / (0.60 / 32.042) / 1000, within(0.1));
        assertThat(burning("CH3OH", "150", "20.0", "45.0", "0.60").reduced(BARE).findings())
                .anyMatch(each -> each.code().equals("combustion.too-much"));
        assertThat(burning("C7H15OH", "150", "20.0", "30.0", "0.60")
                        .reduced(BARE)
                        .findings())
                .anyMatch(each -> each.code().equals("combustion.no-reference"));
    }

    /** To vapour the equation keeps 3 · 44.012 kJ/mol back: −1366.8 + 132.0 = −1234.8, and 440.2 is 35.6 % of it. */
    @Test
    void waterMayStayVapour() {
        Reduction reduction = burning("C2H5OH", "120", "26.0", "34.0", "0.42")
                .says("fuel[1]/formed", "gas")
                .reduced(BARE);
        assertThat(reduction.happened().equation().orElseThrow().text())
                .isEqualTo("C2H5OH(l) + 3 O2(g) -> 2 CO2(g) + 3 H2O(g)");
        assertThat(derived(reduction.trials().get(0).solution().orElseThrow(), BenchUnit.PERCENT))
                .isCloseTo(100 * 440.2 / 1234.77, within(0.05));
        assertThat(reduction
                        .agreement(reduction.samples().get(0))
                        .orElseThrow()
                        .reference()
                        .value())
                .isCloseTo(-1234.77, within(0.01));
    }

    /** The corrected school makes the corrected value the result, and says so while nothing corrects it. */
    @Test
    void bothSchoolsGiveTheirNumberAsTheResult() {
        Conventions corrected =
                Conventions.of(Map.of("calorimeter", "ignored", "water", "4.18", "burning", "corrected"));
        Map<String, Setting.Referenced> runs = Map.of(
                "methanol",
                new Setting.Referenced(
                        "bench Alder", Optional.of(Measured.independent(-363.05, 4)), BenchUnit.KILOJOULES_PER_MOLE));
        BenchSheet sheet = burning("C2H5OH", "120", "26.0", "34.0", "0.42").results(runs);
        Reduction open = sheet.reduced(corrected);
        assertThat(open.result().orElseThrow().value()).isCloseTo(-440.2, within(0.1));
        assertThat(open.findings()).anyMatch(each -> each.code().equals("combustion.uncorrected"));
        sheet.says("known[1]/run", "methanol").says("known[1]/fuel", "CH3OH");
        Reduction told = sheet.reduced(corrected);
        assertThat(told.result().orElseThrow().value()).isCloseTo(-880.3, within(0.3));
        assertThat(told.unknown()).contains("corrected by the known fuel");
        // 2 CH3OH + 3 O2: the heat of the equation is twice the result, whichever school it is of
        Reduction twice = burning("CH3OH", "120", "26.0", "34.0", "0.42")
                .results(runs)
                .says("known[1]/run", "methanol")
                .says("known[1]/fuel", "CH3OH")
                .reduced(corrected);
        assertThat(twice.happened().timesAsWritten()).isCloseTo(2, within(1e-9));
        assertThat(sheet.reduced(BARE).alternatives())
                .filteredOn(each -> each.alternative().school().key().equals("corrected"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.estimate().orElseThrow().value()).isCloseTo(-880.3, within(0.3)));
    }

    /**
     * 0.42 g give 12.46 kJ by the table; 4.01 reached the water, 0.66 are kept by soot that was weighed, the rest is
     * open.
     */
    @Test
    void whereTheHeatWentAddsUpToWhatTheTablesKnow() {
        Reduction reduction = burning("C2H5OH", "120", "26.0", "34.0", "0.42")
                .mass("soot[1]/mass", "0.02")
                .reduced(BARE);
        WhereHeatWent went = reduction.happened().whereHeatWent().orElseThrow();
        assertThat(went.whole()).isCloseTo(0.42 / 46.069 * 1_366_800, within(2.0));
        assertThat(went.parts().stream().mapToDouble(WhereHeatWent.Part::joules).sum())
                .isCloseTo(went.whole(), within(1e-6));
        assertThat(went.parts())
                .first()
                .satisfies(water -> assertThat(water.joules()).isCloseTo(4012.8, within(0.05)));
        assertThat(went.parts())
                .filteredOn(each -> each.kind() == WhereHeatWent.Kind.TOLD)
                .singleElement()
                .satisfies(soot -> assertThat(soot.joules()).isCloseTo(655.2, within(0.1)));
        // 0.05 g of 0.42 evaporated would never have given their part, 4 % of water theirs
        assertThat(supposed(went, "evaporated")).isCloseTo(went.whole() * 0.05 / 0.42, within(0.5));
        assertThat(supposed(went, "held water")).isCloseTo(went.whole() * 0.04, within(0.5));
        assertThat(burning("C7H15OH", "120", "26.0", "34.0", "0.42")
                        .reduced(BARE)
                        .happened()
                        .whereHeatWent())
                .isEmpty();
    }

    private static double supposed(WhereHeatWent went, String words) {
        return went.parts().stream()
                .filter(each -> each.kind() == WhereHeatWent.Kind.SUPPOSED
                        && each.words().contains(words))
                .findFirst()
                .orElseThrow()
                .joules();
    }
}

package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Melting, condensing, and the specific heat of a liquid, against numbers worked by hand beside them. */
class ChangeOfStateTest {

    private static BenchSheet ice(String state, String water, String start, String mass, String end) {
        return BenchSheet.of("fusion-of-ice")
                .mass("water[1]/mass", water)
                .temperature("water[1]/start", start)
                .says("ice[1]/state", state)
                .temperature("ice[1]/start", "0.0")
                .mass("ice[1]/mass", mass)
                .temperature("mixed[1]/final", end);
    }

    private static BenchSheet steam(String state, String mass, String end) {
        return BenchSheet.of("condensing-steam")
                .mass("water[1]/mass", "200.00")
                .temperature("water[1]/start", "15.0")
                .says("steam[1]/state", state)
                .temperature("steam[1]/start", "100.0")
                .mass("steam[1]/mass", mass)
                .temperature("mixed[1]/final", end);
    }

    /**
     * Common practice, no source: 83.7 g of ice at 0 °C bring 351 g of water from 24 to 4 °C, with 334 J/g and 4.184.
     * Back from there: (351 · 4.184 · 20 − 83.7 · 4.184 · 4) ÷ 83.7 = 334.2 J/g.
     */
    @Test
    void iceOfTheCheckGivesItsHeatOfFusionBack() {
        Reduction reduction = ice("dried", "351.00", "24.0", "83.70", "4.0").reduced();
        assertThat(value(reduction)).isCloseTo(334.2, within(0.05));
        assertThat(heat(reduction, "water")).isCloseTo(-351 * 4.184 * 20, within(1e-6));
        assertThat(heat(reduction, "ice")).isCloseTo(351 * 4.184 * 20, within(1e-6));
        assertThat(reduction.verdict().orElseThrow().agreement().orElseThrow().words())
                .startsWith("agrees");
    }

    /**
     * Ice from the freezer: L = [200 · 4.184 · 20 − 40 · (2.09 · 10 + 4.184 · 10)] ÷ 40 = 418.4 − 20.9 − 41.84 =
     * 355.66.
     */
    @Test
    void coldIceFirstWarmsToItsMeltingPoint() {
        Reduction reduction = BenchSheet.of("fusion-of-ice")
                .mass("water[1]/mass", "200.00")
                .temperature("water[1]/start", "30.0")
                .says("ice[1]/state", "dried")
                .temperature("ice[1]/start", "-10.0")
                .mass("ice[1]/mass", "40.00")
                .temperature("mixed[1]/final", "10.0")
                .reduced();
        assertThat(value(reduction)).isCloseTo(355.66, within(1e-9));
        assertThat(reduction.trials().get(0).solution().orElseThrow().estimate().contributions())
                .anySatisfy(each -> assertThat(each.label()).isEqualTo("specific heat of ice"));
    }

    @ParameterizedTest
    @CsvSource({"0.0", "-0.5"})
    void iceThatCannotAllHaveMeltedGivesNoNumberAndSaysWhy(String end) {
        Reduction reduction = ice("dried", "100.00", "20.0", "40.00", end).reduced();
        assertThat(reduction.mean()).isEmpty();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("melting.incomplete"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("not all of the ice can have melted"));
    }

    /** 50.00 g of ice, 20.00 g left: 100 · 4.184 · 24 = 10041.6 J melted 30 g at 0 °C: 334.72 J/g. */
    @Test
    void iceThatMeltedInPartCountsForWhatMelted() {
        Reduction reduction = ice("dried", "100.00", "24.0", "50.00", "0.0")
                .mass("ice[1]/left", "20.00")
                .reduced();
        assertThat(value(reduction)).isCloseTo(334.72, within(1e-9));
        assertThat(reduction.findings()).extracting(Finding::code).doesNotContain("melting.incomplete");
    }

    /**
     * 5 % of 83.7 g was water at 0 °C: (29371.68 − 83.7 · 16.736) ÷ (0.95 · 83.7), and its ± comes to stand in the
     * budget.
     */
    @Test
    void waterOnTheIceIsTakenOffWhereItsShareIsSaid() {
        Reduction reduction = ice("wet", "351.00", "24.0", "83.70", "4.0")
                .assumed("ice[1]/wet", "5", "3", "%")
                .reduced();
        assertThat(value(reduction)).isCloseTo((29371.68 - 83.7 * 16.736) / (0.95 * 83.7), within(1e-9));
        assertThat(reduction
                        .trials()
                        .get(0)
                        .solution()
                        .orElseThrow()
                        .estimate()
                        .contributions()
                        .get(0)
                        .label())
                .isEqualTo("water on the ice, assumed");
    }

    /** 8.00 g led in, 0.40 g of it drops at 100 °C: (200 · 4.184 · 24 − 8 · 4.184 · 61) ÷ 7.6. */
    @Test
    void dropsInTheSteamAreTakenOffWhereTheirShareIsSaid() {
        Reduction reduction = steam("wet", "8.00", "39.0")
                .assumed("steam[1]/wet", "5", "3", "%")
                .reduced();
        assertThat(value(reduction)).isCloseTo((200 * 4.184 * 24 - 8 * 4.184 * 61) / 7.6, within(1e-9));
    }

    /** 40.00 g led through water that came to boil, 9.00 g not condensed: 200 · 4.184 · 85 ÷ 31 = 2294.5 J/g. */
    @Test
    void steamThatCameThroughCountsForWhatCondensed() {
        assertThat(steam("trapped", "40.00", "100.0").reduced().mean()).isEmpty();
        assertThat(value(steam("trapped", "40.00", "100.0")
                        .mass("steam[1]/through", "9.00")
                        .reduced()))
                .isCloseTo(200 * 4.184 * 85 / 31, within(1e-9));
    }

    @Test
    void wetIceIsSpokenOfUntilItsWaterIsTakenOffAndASuspectedGramBringsItsOwnHeat() {
        Reduction reduction = ice("wet", "351.00", "24.0", "83.70", "4.0").reduced();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("caveat.wet"))
                .singleElement()
                .satisfies(each -> assertThat(each.grade()).isEqualTo(Finding.Grade.NOTE));
        // suspected and told are the same books: the water on the ice is no ice, and warms all the same
        Reduction told = ice("wet", "351.00", "24.0", "83.70", "4.0")
                .assumed("ice[1]/wet", "5", "3", "%")
                .reduced();
        assertThat(told.findings()).extracting(Finding::code).doesNotContain("caveat.wet");
        assertThat(reduction.suspects())
                .filteredOn(each -> each.suspect().key().equals("wet"))
                .singleElement()
                .satisfies(each -> assertThat(each.change()).isCloseTo(value(told) - value(reduction), within(1e-9)));
    }

    /**
     * 200 g from 15.0 to 39.0 °C by 8.00 g of steam: (200 · 4.184 · 24 − 8 · 4.184 · 61) ÷ 8 = 2510.4 − 255.22 =
     * 2255.18.
     */
    @Test
    void steamGivesItsHeatOfVaporization() {
        Reduction reduction = steam("trapped", "8.00", "39.0").reduced();
        assertThat(value(reduction)).isCloseTo(2255.176, within(1e-6));
        assertThat(heat(reduction, "steam")).isNegative();
        assertThat(Math.abs(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .percentError()))
                .isLessThan(0.1);
        assertThat(steam("wet", "8.00", "39.0").reduced().findings())
                .extracting(Finding::code)
                .contains("caveat.wet");
    }

    /** There is no ice above 0 °C, and no open vessel boils at 105. */
    @Test
    void whatPhysicsForbidsIsQuestioned() {
        assertThat(codes(ice("dried", "351.00", "24.0", "83.70", "4.0").temperature("ice[1]/start", "3.0")))
                .contains("reading.cannot-be");
        assertThat(codes(ice("dried", "351.00", "24.0", "83.70", "4.0"))).doesNotContain("reading.cannot-be");
        assertThat(codes(BenchSheet.copper())).doesNotContain("reading.cannot-be");
        assertThat(codes(BenchSheet.copper().temperature("sample[1]/start", "105.0")))
                .contains("reading.cannot-be");
        assertThat(codes(BenchSheet.copper().says("sample[1]/bath", "other").temperature("sample[1]/start", "105.0")))
                .doesNotContain("reading.cannot-be");
    }

    private static List<String> codes(BenchSheet sheet) {
        return sheet.reduced().findings().stream().map(Finding::code).toList();
    }

    /** 20 % off with a ± of half a per cent is as much a question as 25 % with any. */
    @Test
    void aResultFarOutsideItsUncertaintyIsQuestioned() {
        Reduction off = ice("dried", "351.00", "24.00", "68.50", "4.00").reduced();
        Agreement agreement = off.agreement(off.samples().get(0)).orElseThrow();
        assertThat(agreement.percentError()).isBetween(20.0, 25.0);
        assertThat(off.findings()).extracting(Finding::code).contains("result.far-from-reference");
    }

    @Test
    void aGrosslyWrongMassIsQuestioned() {
        assertThat(steam("trapped", "5.00", "39.0").reduced().findings())
                .extracting(Finding::code)
                .contains("result.far-from-reference");
    }

    /** The shelf's heat of vaporization against the steam tables, as an independent route to a typed number. */
    @Test
    void heatOfVaporizationOnTheShelfIsThatOfTheSteamTables() {
        IF97 tables = new IF97();
        double difference =
                tables.specificEnthalpySaturatedVapourP(0.101325) - tables.specificEnthalpySaturatedLiquidP(0.101325);
        assertThat(ReferenceShelf.standard().property("vaporization-of-water").value())
                .isCloseTo(difference, within(0.1));
        // IAPWS-95 and the handbooks print 2256.4 to 2256.5 J/g (memory): a route beside the library we compute with
        assertThat(difference).isCloseTo(2256.45, within(0.1));
        assertThat(tables.saturationTemperatureP(0.101325) - 273.15).isCloseTo(99.974, within(0.01));
        // ITS-90 and the handbooks: 333.55 J/g (memory); the common classroom value is 334
        assertThat(ReferenceShelf.standard().property("fusion-of-ice").value()).isBetween(333.4, 334.0);
    }

    /** Copper, 100 g at 98.0 °C, into 80 g of ethanol, 20.0 → 32.8 °C: 100 · 0.385 · 65.2 ÷ (80 · 12.8) = 2.4514. */
    @Test
    void liquidFromASolidOfTheShelf() {
        Reduction reduction = BenchSheet.of("specific-heat-of-liquid")
                .says("shelf[1]/solid", "copper")
                .says("shelf[1]/liquid", "ethanol")
                .mass("solid[1]/mass", "100.00")
                .says("solid[1]/bath", "boiling")
                .temperature("solid[1]/start", "98.0")
                .mass("liquid[1]/mass", "80.00")
                .temperature("liquid[1]/start", "20.0")
                .temperature("mixed[1]/final", "32.8")
                .reduced();
        assertThat(value(reduction)).isCloseTo(2.45137, within(1e-5));
        Solution solution = reduction.trials().get(0).solution().orElseThrow();
        // the shelf's own ± of copper, 0.002 in 0.385, enters as 2.45137 · 0.002 ÷ 0.385
        assertThat(solution.estimate().contributions())
                .filteredOn(each -> each.label().equals("copper"))
                .singleElement()
                .satisfies(each -> assertThat(each.uncertainty()).isCloseTo(2.45137 * 0.002 / 0.385, within(1e-6)));
        assertThat(reduction
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .name())
                .isEqualTo("ethanol");
    }

    @Test
    void aSolidIsNoLiquid() {
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> BenchSheet.of("specific-heat-of-liquid").says("shelf[1]/solid", "ethanol"))
                .hasMessageContaining("not a solid on the reference shelf");
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> BenchSheet.of("specific-heat-of-liquid").says("shelf[1]/liquid", "copper"))
                .hasMessageContaining("not a liquid on the reference shelf");
    }

    /** For any run: the heats, recomputed here from the result by plain arithmetic, sum to zero. */
    @Test
    void heatsOfMeltingSumToZeroForAnyRun() {
        Random random = new Random(31);
        for (int i = 0; i < 30; i++) {
            double water = 100 + 100 * random.nextDouble();
            double start = 25 + 20 * random.nextDouble();
            double iceStart = -15 * random.nextDouble();
            double mass = 10 + 20 * random.nextDouble();
            double end = 2 + 15 * random.nextDouble();
            double fusion = value(BenchSheet.of("fusion-of-ice")
                    .mass("water[1]/mass", written(water))
                    .temperature("water[1]/start", written(start))
                    .says("ice[1]/state", "dried")
                    .temperature("ice[1]/start", written(iceStart))
                    .mass("ice[1]/mass", written(mass))
                    .temperature("mixed[1]/final", written(end))
                    .constant(9, 1, water)
                    .reduced());
            double sum = mass * (2.09 * -iceStart + fusion + 4.184 * end) + (water * 4.184 + 9) * (end - start);
            assertThat(sum).isCloseTo(0, within(0.01));
        }
    }

    @Test
    void massOfIceByDifferenceKeepsBothSides() {
        var balance = Optional.of(BenchSheet.BALANCE);
        Reduction reduction = BenchSheet.of("fusion-of-ice")
                .mass("water[1]/mass", "351.00")
                .temperature("water[1]/start", "24.0")
                .says("ice[1]/state", "dried")
                .temperature("ice[1]/start", "0.0")
                .give("ice[1]/mass", Role.TARE, "361.20", "g", balance)
                .give("ice[1]/mass", Role.GROSS, "444.90", "g", balance)
                .temperature("mixed[1]/final", "4.0")
                .reduced();
        assertThat(value(reduction)).isCloseTo(334.2, within(0.05));
        assertThat(new lab.sassafras.presentation.Presentation(
                                lab.sassafras.convention.Conventions.standard(), lab.sassafras.measure.Figures.POINT)
                        .working(reduction.trials().get(0).solution().orElseThrow())
                        .text())
                .contains(
                        "m(ice)",
                        "(444.90 − 361.20) g",
                        "q(meltwater)",
                        "= (q(ice) − (q(ice warming) + q(meltwater))) ÷ m(ice)",
                        "÷ 83.70 g");
    }

    private static String written(double value) {
        return String.format(java.util.Locale.ROOT, "%.6f", value);
    }

    private static double value(Reduction reduction) {
        return reduction.result().orElseThrow().value();
    }

    private static double heat(Reduction reduction, String party) {
        return reduction.trials().get(0).solution().orElseThrow().postings().stream()
                .filter(entry -> entry.party().key().equals(party))
                .findFirst()
                .orElseThrow()
                .heat()
                .value();
    }
}

package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How much, or where it ends: against numbers worked by hand, and never a temperature that cannot be. */
class HowMuchTest {

    private static BenchSheet asked(String added, String sought) {
        return BenchSheet.of("how-much").says("question[1]/added", added).says("question[1]/sought", sought);
    }

    private static BenchSheet ice(String water, String start, String ice, String iceStart) {
        return asked("ice", "final")
                .reads("question[1]/fusion", "334", "J/g")
                .mass("water[1]/mass", water)
                .temperature("water[1]/start", start)
                .mass("added[1]/mass", ice)
                .temperature("added[1]/start", iceStart);
    }

    /** Common practice, no source: ice at 0 °C to bring 351 g of water from 24 to 4 °C, 334 J/g, 4.184: 83.7 g. */
    @Test
    void iceForAWantedTemperature() {
        Reduction reduction = asked("ice", "mass")
                .reads("question[1]/fusion", "334", "J/g")
                .mass("water[1]/mass", "351.00")
                .temperature("water[1]/start", "24.0")
                .temperature("added[1]/start", "0.0")
                .temperature("mixed[1]/final", "4.0")
                .reduced();
        assertThat(value(reduction)).isCloseTo(83.7, within(0.05));
        assertThat(reduction.unit()).isEqualTo(BenchUnit.GRAMS);
    }

    /** All melts: (200 · 4.184 · 30 − 40 · 334) ÷ (240 · 4.184) = 11.695 °C. */
    @Test
    void whereItEndsWhenAllMelts() {
        Reduction reduction = ice("200.00", "30.0", "40.00", "0.0").reduced();
        assertThat(value(reduction)).isCloseTo((200 * 4.184 * 30 - 40 * 334) / (240 * 4.184), within(1e-9));
        assertThat(reduction.unit()).isEqualTo(BenchUnit.DEGREES_CELSIUS);
        assertThat(reduction.unknown()).isEqualTo("final temperature");
        assertThat(reduction.alternatives())
                .filteredOn(each -> each.alternative().school().key().equals("4.18"))
                .singleElement()
                .satisfies(each -> assertThat(each.same(reduction)
                                || each.percentFrom(reduction).isPresent())
                        .isFalse());
    }

    /** 100 g at 20 °C give 8368 J, enough for 8368 ÷ 334 = 25.05 g of 60 g of ice: 0 °C, the rest stays. */
    @Test
    void whenNotAllMeltsItEndsAtZeroAndSaysHowMuchDid() {
        Reduction reduction = ice("100.00", "20.0", "60.00", "0.0").reduced();
        assertThat(value(reduction)).isZero();
        assertThat(reduction.presentation().written(reduction.result().orElseThrow(), reduction.unit()))
                .as("held there, so without a ±")
                .hasToString("0 °C");
        assertThat(solution(reduction).derived()).singleElement().satisfies(melted -> {
            assertThat(melted.derived().label()).contains("ice melted");
            assertThat(melted.estimate().value()).isCloseTo(8368 / 334.0, within(1e-9));
        });
    }

    /**
     * 200 g of ice at −20 °C take 200 · 2.09 · 20 = 8360 J; 100 g at 1 °C give 418.4 J; 7941.6 ÷ 334 = 23.78 g
     * freeze.
     */
    @Test
    void veryColdIceInLittleColdWaterFreezesSomeOfIt() {
        Reduction reduction = ice("100.00", "1.0", "200.00", "-20.0").reduced();
        assertThat(value(reduction)).isZero();
        assertThat(solution(reduction).derived().get(0).estimate().value())
                .isCloseTo((8360 - 418.4) / 334, within(1e-9));
        assertThat(solution(reduction).derived().get(0).derived().label()).contains("frozen");
    }

    /**
     * 10 g at 1 °C in 300 g of ice at −20 °C: all freezes, −(300 · 2.09 · 20 − 41.84 − 3340) ÷ (310 · 2.09) = −14.13
     * °C.
     */
    @Test
    void aLittleWaterInMuchColdIceFreezesWhole() {
        assertThat(value(ice("10.00", "1.0", "300.00", "-20.0").reduced()))
                .isCloseTo(-(300 * 2.09 * 20 - 41.84 - 3340) / (310 * 2.09), within(1e-9));
    }

    /**
     * The cup, 5 J/°C, goes along from 1 °C to the end: −(12 540 − 41.84 − 3340 − 5) ÷ (310 · 2.09 + 5) = −14.02 °C.
     */
    @Test
    void theCupCoolsBelowFreezingWithWhatItHolds() {
        assertThat(value(ice("10.00", "1.0", "300.00", "-20.0")
                        .constant(5, 0.5, 100)
                        .reduced()))
                .isCloseTo(-(300 * 2.09 * 20 - 41.84 - 3340 - 5) / (310 * 2.09 + 5), within(1e-9));
    }

    /** Whatever the numbers, the end lies between the starts and the heats, recomputed here, sum to zero. */
    @ParameterizedTest
    @CsvSource({
        "50, 40, 20, -5",
        "50, 40, 200, -5",
        "300, 5, 10, -18",
        "20, 2, 400, -18",
        "100, 0.5, 0.5, 0",
        "80, 60, 80, -10",
        "5, 10, 500, -30"
    })
    void noTemperatureThatCannotBe(double water, double start, double ice, double iceStart) {
        Reduction reduction = ice(
                        Double.toString(water), Double.toString(start), Double.toString(ice), Double.toString(iceStart))
                .reduced();
        double end = value(reduction);
        assertThat(end).isBetween(iceStart, start);
        assertThat(solution(reduction).postings().stream()
                        .mapToDouble(entry -> entry.heat().value())
                        .sum())
                .isCloseTo(0, within(1e-6));
    }

    @Test
    void hotWaterColdWaterAndMetal() {
        // 200 g from 20 to 30 °C with water at 80 °C: 200 · 10 ÷ 50 = 40 g
        assertThat(value(asked("hot-water", "mass")
                        .mass("water[1]/mass", "200.00")
                        .temperature("water[1]/start", "20.0")
                        .temperature("added[1]/start", "80.0")
                        .temperature("mixed[1]/final", "30.0")
                        .reduced()))
                .isCloseTo(40, within(1e-9));
        // 150 g at 60 with 50 g at 10: (150 · 60 + 50 · 10) ÷ 200 = 47.5 °C
        assertThat(value(asked("cold-water", "final")
                        .mass("water[1]/mass", "150.00")
                        .temperature("water[1]/start", "60.0")
                        .mass("added[1]/mass", "50.00")
                        .temperature("added[1]/start", "10.0")
                        .reduced()))
                .isCloseTo(47.5, within(1e-9));
        // copper, 0.385, 100 g at 98 °C into 100 g at 20: (38.5 · 98 + 418.4 · 20) ÷ 456.9
        assertThat(value(asked("metal", "final")
                        .says("question[1]/metal", "copper")
                        .mass("water[1]/mass", "100.00")
                        .temperature("water[1]/start", "20.0")
                        .mass("added[1]/mass", "100.00")
                        .temperature("added[1]/start", "98.0")
                        .reduced()))
                .isCloseTo((38.5 * 98 + 418.4 * 20) / 456.9, within(1e-9));
    }

    /**
     * With water by temperature the unknown enters its own specific heat; found by bracketing, it still closes the
     * books.
     */
    @Test
    void anEndThatEntersInNoStraightLineIsBracketed() {
        Reduction reduction = ice("200.00", "30.0", "40.00", "0.0").reduced(Conventions.of(Map.of("water", "iapws")));
        assertThat(value(reduction)).isCloseTo(11.695, within(0.05));
        assertThat(solution(reduction).postings().stream()
                        .mapToDouble(entry -> entry.heat().value())
                        .sum())
                .isCloseTo(0, within(1e-6));
        assertThat(new lab.sassafras.presentation.Presentation(
                                Conventions.standard(), lab.sassafras.measure.Figures.POINT)
                        .working(solution(reduction))
                        .text())
                .contains("at which");
    }

    @Test
    void aTemperatureThatCannotBeReachedIsRefusedInWords() {
        Reduction reduction = asked("hot-water", "mass")
                .mass("water[1]/mass", "200.00")
                .temperature("water[1]/start", "40.0")
                .temperature("added[1]/start", "80.0")
                .temperature("mixed[1]/final", "30.0")
                .reduced();
        assertThat(reduction.mean()).isEmpty();
        assertThat(reduction.findings())
                .filteredOn(each -> each.grade() == Finding.Grade.REFUSE)
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("cannot be reached by adding hot water"));
    }

    private static Solution solution(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    private static double value(Reduction reduction) {
        return reduction
                .mean()
                .orElseThrow(() -> new AssertionError(reduction.findings()))
                .estimate()
                .value();
    }
}

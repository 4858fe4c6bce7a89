package lab.sassafras.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Setting;
import org.junit.jupiter.api.Test;

/** Plans of runs in which no final temperature is sought, by hand reckoning. */
class ForesightTest {

    private static final Plan SATURATED = Plans.of("dissolving-equilibrium");
    private static final Plan HEATED = Plans.of("heating-curve");

    private static Plan inParts(int parts) {
        Setting setting = new Setting(
                Optional.empty(),
                Map.of(),
                1,
                Map.of("part", parts),
                Set.of(),
                Map.of(),
                Figures.POINT,
                Conventions.standard());
        return Plan.usual(
                Experiments.find("constant-by-material").orElseThrow(),
                setting,
                Map.of(InstrumentKind.BALANCE, Plans.BALANCE));
    }

    /** Specific heats as the shelf has them: aluminium 0.897, copper 0.385, iron 0.449 J/(g·°C). */
    @Test
    void theConstantIsTheSumOverTheParts() {
        assertThat(Plans.expected(inParts(2)).result().value()).isCloseTo(8 * 0.897 + 6 * 0.83, within(0.01));
        Plan three = inParts(3)
                .with("part/mass", "50")
                .with("part[2]/material", "copper")
                .with("part[2]/mass", "20")
                .with("part[3]/material", "iron")
                .with("part[3]/mass", "10");
        Expectation expected = Plans.expected(three);
        assertThat(expected.result().value()).isCloseTo(50 * 0.897 + 20 * 0.385 + 10 * 0.449, within(0.05));
        assertThat(expected.ends()).isEmpty();
        assertThat(expected.unit().symbol()).isEqualTo("J/°C");
        assertThat(three.label("part[3]/mass")).isEqualTo("part 3");
        assertThat(three.allows("part[2]/heat-from", "shelf")).isTrue();
        assertThat(three.allows("part[2]/heat-from", "typed"))
                .as("a specific heat would be asked for")
                .isFalse();
    }

    /**
     * Of potassium nitrate 38.3 g dissolve in 100 g of water at 25 °C, 1.3 g more for each degree; the solution
     * has 1.19 g/mL (memory of a handbook).
     */
    @Test
    void asMuchDissolvesAsTheTableSays() {
        Expectation expected = Plans.expected(SATURATED
                .with("vessel/empty", "40")
                .with("vessel/solvent", "60")
                .with("bath/temperature", "35"));
        double grams = 20 * (38.3 + 13) / 100;
        assertThat(expected.ends().orElseThrow().path()).isEqualTo("vessel/after");
        assertThat(expected.ends().orElseThrow().value().value()).isCloseTo(60 + grams, within(0.01));
        assertThat(expected.ends().orElseThrow().change()).isCloseTo(grams, within(0.01));
        assertThat(expected.warms()).isEmpty();
        double concentration = grams / 101.1 / (Math.rint(10 * (20 + grams) / 1.19) / 10_000);
        assertThat(expected.result().value()).isCloseTo(-8.314e-3 * 308.15 * 2 * Math.log(concentration), within(0.01));
        assertThat(Prepared.of(SATURATED, 4, 2, 50, List.of()).lines())
                .filteredOn(line -> line.kind() == Prepared.Kind.SOLID)
                .singleElement()
                .satisfies(line -> assertThat(line.amount()).isCloseTo(12 * 3.83, within(0.01)));
    }

    /** 181 J/g at 43.8 °C for lauric acid (memory of a handbook): eight watts need so long for thirty grams. */
    @Test
    void theCurveStandsStillWhereItMelts() {
        Expectation expected = Plans.expected(HEATED);
        assertThat(expected.result().low()).isLessThan(181);
        assertThat(expected.result().high()).isGreaterThan(181);
        Course course = Course.of(expected).orElseThrow();
        double stood = course.readings().stream()
                        .filter(each -> Math.abs(each.middle() - 43.8) < 1)
                        .count()
                * (course.readings().get(1).seconds() - course.readings().get(0).seconds());
        assertThat(stood).isBetween(30 * 181 / 8.0, 1.3 * 30 * 181 / 8.0);
        assertThat(course.mixed()).isNaN();
        Expectation heavier = Plans.expected(HEATED.with("sample/mass", "60"));
        assertThat(heavier.relative()).isLessThan(expected.relative());
        assertThat(Plans.expected(HEATED.with("sample/substance", "fusion-of-stearic-acid"))
                        .result()
                        .value())
                .isCloseTo(215, within(4.0));
    }

    /** A seeded sample of what {@code ./bench plans} does two thousand times. */
    @Test
    void runsScatterAsForeseen() {
        assertThat(Foreseen.of(inParts(2), 400, 3).ratio()).isBetween(0.88, 1.12);
        assertThat(Foreseen.of(SATURATED, 400, 3).ratio()).isBetween(0.88, 1.12);
    }

    @Test
    void whatStandsInTheWayIsSaid() {
        assertThat(Warnings.of(Plans.expected(HEATED.with(Plans.COARSE))))
                .extracting(Finding::message)
                .anyMatch(each -> each.contains("the curve goes beyond it after about"));
        assertThat(HEATED.options("sample/way"))
                .singleElement()
                .matches(each -> each.value().equals("heater"));
        assertThatThrownBy(() -> Expectation.of(HEATED.with("sample/way", "cooling")))
                .hasMessageContaining("a heater in the sample");
        assertThat(Help.most(
                        HEATED, Plans.expected(HEATED).reference(), List.of(Plans.thermometer("R-9", 0.001, -10, 110))))
                .as("pairs of what helps most alone")
                .anyMatch(each -> each.changes().size() == 2)
                .allMatch(each -> each.relative() < Plans.expected(HEATED).relative());
        assertThat(Help.changes(HEATED, Plans.SHELF))
                .as("a room is as warm as it is")
                .noneMatch(each -> each.path().equals("room/temperature"));
        assertThat(Prepared.substances(HEATED.with("sample/substance", "fusion-of-phenol")))
                .containsExactly("phenol");
        assertThatThrownBy(() -> Expectation.of(HEATED.with("sample/substance", "fusion-of-lead")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("melts at 327.46 °C");
        assertThatThrownBy(() -> Expectation.of(HEATED.with("sample/substance", "fusion-of-ice")))
                .hasMessageContaining("5 °C above the room and 95 °C");
        assertThatThrownBy(() -> Expectation.of(SATURATED.with("solute/formula", "BaSO4")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("How much of BaSO4 dissolves is not known here");
        assertThatThrownBy(() -> Expectation.of(SATURATED.with("vessel/solvent", "40")))
                .hasMessageContaining("there is no water in it");
        assertThatThrownBy(() -> Sought.of(HEATED, "sample/mass", Sought.Wish.CHANGE, 3))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Seek a result within so many per cent");
        assertThat(Sought.of(SATURATED, "vessel/solvent", Sought.Wish.WITHIN, 0.0051)
                        .meets())
                .isTrue();
    }
}

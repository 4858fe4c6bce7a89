package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.Curve;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Limits and thresholds on either side: each fails when its number moves. Common practice, no source, but where one is
 * named.
 */
class LimitsTest {

    private static final Reference TEN =
            new Reference("r", "r", 10, 0.02, BenchUnit.JOULES_PER_GRAM_DEGREE, "a table", false);

    private static Agreement of(double value, double half) {
        return Agreement.of(new Interval(value, value - half, value + half, false), TEN);
    }

    /**
     * A quarter whatever the interval; a twentieth where that is five times what is allowed, and not where it is less.
     */
    @Test
    void whatIsGrosslyOff() {
        assertThat(of(12.49, 3).gross()).isFalse();
        assertThat(of(12.51, 3).gross()).isTrue();
        assertThat(of(10.51, 0.08).gross()).isTrue();
        assertThat(of(10.49, 0.01).gross()).isFalse();
        assertThat(of(10.51, 0.12).gross()).isFalse();
    }

    /** The reference adds 1.96 of its own u to the half-width: √(0.1² + 0.0392²) = 0.1074. */
    @Test
    void agreementAllowsBothIntervals() {
        assertThat(of(10.107, 0.1).agrees()).isTrue();
        assertThat(of(10.108, 0.1).agrees()).isFalse();
    }

    /** Two-sided 95 % points of Student's t from any printed table (memory): 50 is not yet many. */
    @ParameterizedTest
    @CsvSource({
        "1, 12.706",
        "2, 4.303",
        "10, 2.228",
        "50, 2.009",
        "60, 2.000",
        "120, 1.980",
        "1000, 1.962",
        "1e9, 1.960"
    })
    void studentsFactorAtAnyNumberOfDegrees(double degrees, double factor) {
        assertThat(new Estimate(0, 1, degrees, List.of()).halfWidth(0.95)).isCloseTo(factor, within(6e-4));
    }

    /** Foam: 15 J/°C is believed, more is not; within 2 u of nought a negative constant may stand. */
    @ParameterizedTest
    @CsvSource({"40.5, constant.negative-near-zero", "40.7, constant.negative"})
    void aNegativeConstant(String end, String code) {
        assertThat(BenchSheet.of("constant-by-mixing")
                        .says("cup[1]/held", "cold")
                        .mass("cold[1]/mass", "50.098")
                        .temperature("cold[1]/start", "24.2")
                        .mass("hot[1]/mass", "49.661")
                        .temperature("hot[1]/start", "56.9")
                        .temperature("mixed[1]/final", end)
                        .reduced()
                        .findings())
                .filteredOn(each -> each.code().startsWith("constant.negative"))
                .singleElement()
                .satisfies(each -> assertThat(each.code()).isEqualTo(code));
    }

    @Test
    void aConstantIsNearNoughtWithinTwoOfItsUncertainties() {
        assertThat(Plausibility.nearNought(-1.99, 1)).isTrue();
        assertThat(Plausibility.nearNought(-2.01, 1)).isFalse();
    }

    /** Three plausible sizes unless something else is said; a vessel that was ignored up to 50 J/°C. */
    @Test
    void howLargeACauseIsBelieved() {
        assertThat(new PossibleCause("k", "water/start", 0.2).most()).isCloseTo(0.6, within(1e-12));
        assertThat(new PossibleCause("k", "water/start", -0.2).upTo(5).most()).isEqualTo(5);
        for (double heatCapacity : new double[] {49, 51}) {
            double metal = 60 * 0.385;
            double water = 80 * 4.184 + heatCapacity;
            ExplainingSize ignored =
                    PossibleCausesTest.copper()
                            .apply((metal * 100 + water * 20) / (metal + water))
                            .reduced()
                            .suspects()
                            .stream()
                            .filter(each -> each.suspect().key().equals("cup-ignored"))
                            .findFirst()
                            .orElseThrow();
            assertThat(ignored.explains().orElseThrow()).isCloseTo(heatCapacity, within(0.1));
            assertThat(ignored.believed()).isEqualTo(heatCapacity < 50);
        }
    }

    /** Whoever draws on a constant may have left the calorimeter out; nobody else has that among the causes. */
    @Test
    void whichExperimentsMayHaveIgnoredTheCalorimeter() {
        assertThat(Experiments.all().stream()
                        .filter(each -> each.suspected().stream()
                                .anyMatch(suspect -> suspect.key().equals("cup-ignored")))
                        .map(each -> each.key()))
                .containsExactlyInAnyOrder(
                        "specific-heat-of-solid",
                        "specific-heat-of-liquid",
                        "fusion-of-ice",
                        "condensing-steam",
                        "heat-of-solution",
                        "neutralization",
                        "solid-with-solution",
                        "combustion-under-a-can",
                        "bomb-combustion");
    }

    /** A heat of reaction from formation values is taken to be known to ± 0.5 kJ/mol. */
    @Test
    void theUncertaintyOfAHeatFromFormationValues() {
        assertThat(ReferenceShelf.standard()
                        .formation()
                        .heat(ChemicalEquation.read("Mg(s) + 2 H+(aq) -> Mg^2+(aq) + H2(g)"))
                        .orElseThrow()
                        .uncertainty())
                .isEqualTo(0.5);
    }

    /**
     * Noise of 0.02 °C on a level line: a reading four of it off counts mostly, one six and a half off mostly does not.
     */
    @ParameterizedTest
    @CsvSource({"4, 0, 8", "6.5, 32, 40"})
    void howFarOffAReadingIsASpike(double times, int least, int most) {
        int aside = 0;
        for (int seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            List<Reading> readings = new ArrayList<>();
            for (int i = 0; i <= 80; i++) {
                double level = (i < 30 ? 20 : 30) + 0.02 * random.nextGaussian();
                readings.add(new Reading(10 * i, i == 15 ? 20 + times * 0.02 : level));
            }
            Curve curve = new Curve(readings, 295, 0.001, Optional.empty(), Optional.empty());
            aside += Baselines.of(curve).spikes().stream().anyMatch(each -> each.seconds() == 150) ? 1 : 0;
        }
        assertThat(aside).isBetween(least, most);
    }

    /** A vessel's usual and largest constant decide what is questioned. */
    @Test
    void whatAVesselCanHold() {
        assertThat(VesselKind.FOAM_CUP.largest()).isEqualTo(15);
        assertThat(new Calorimeter("F", VesselKind.FOAM_CUP, Optional.empty())
                        .kind()
                        .typical())
                .isEqualTo(5);
        assertThat(OptionalDouble.of(VesselKind.METAL_CUP.largest())).hasValue(400);
    }
}

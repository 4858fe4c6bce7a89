package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What stands still on a display, and what does not yet. */
class SteadyTest {

    private static Steady of(int readings, double every, DoubleUnaryOperator shows) {
        return Steady.of(IntStream.range(0, readings)
                .mapToObj(i -> new Reading(i * every, shows.applyAsDouble(i * every)))
                .toList());
    }

    @Test
    void aBalanceThatShowsOneNumberOrFlickersByAStepStandsStill() {
        assertThat(of(30, 0.5, t -> 102.34).holds()).isTrue();
        assertThat(of(30, 0.5, t -> 102.34 + 0.01 * ((int) (2 * t) % 2)).holds())
                .isTrue();
        assertThat(of(30, 0.5, t -> t < 10 ? 50 : 102.34).holds())
                .as("poured into seconds ago")
                .isFalse();
        assertThat(of(60, 0.5, t -> t < 10 ? 50 : 102.34).holds())
                .as("long enough ago")
                .isTrue();
        assertThat(of(3, 0.5, t -> 102.34).holds()).as("too few").isFalse();
        assertThat(of(4, 30, t -> 21.4).holds()).as("a slow logger").isTrue();
        assertThat(of(4, 30, t -> 21.4 + t / 30).holds()).isFalse();
        assertThat(Steady.of(List.of()).holds()).isFalse();
    }

    /** A drift of 0.05 °C/s beside a noise of 0.02 °C, and none. */
    @Test
    void aThermometerThatWarmsDoesNotThoughItIsNoisy() {
        Random random = new Random(5);
        assertThat(of(100, 0.1, t -> 21 + 0.02 * random.nextGaussian()).holds()).isTrue();
        Steady warming = of(100, 0.1, t -> 21 + 0.05 * t + 0.02 * random.nextGaussian());
        assertThat(warming.holds()).isFalse();
        assertThat(warming.aMinute()).isCloseTo(3, within(0.1));
        assertThat(warming.length()).isCloseTo(9.9, within(1e-9));
    }

    /** Two steps of the display over the stretch move, one does not. */
    @Test
    void itMayChangeByOneStep() {
        assertThat(of(21, 0.5, t -> t < 5 ? 10.0 : 10.1).holds()).isTrue();
        assertThat(of(21, 0.5, t -> t < 3 ? 10.0 : t < 7 ? 10.1 : 10.2).holds()).isFalse();
    }
}

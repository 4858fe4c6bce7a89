package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** What a hand reads off while it waits: where a bath stood, and whether what warms has turned. */
class TrendTest {

    /** A poured bath cools by Newton's law, worked here by hand: 62 °C in a room of 21, 1,500 s. */
    private static double bath(double seconds) {
        return 21 + 41 * Math.exp(-seconds / 1500);
    }

    private static List<Reading> read(int count, double every, double noise, Random random) {
        return IntStream.range(0, count)
                .mapToObj(i -> new Reading(every * i, bath(every * i) + noise * random.nextGaussian()))
                .toList();
    }

    @Test
    void aCoolingBathIsReadWhereItStoodAtTheMoment() {
        Trend within = Trend.at(read(17, 30, 0, new Random(1)), 470, 0.1);
        assertThat(within.temperature()).isCloseTo(bath(470), within(0.02));
        assertThat(within.uncertainty()).isBetween(0.1 / Math.sqrt(12), 0.04);
        assertThat(Trend.at(read(17, 30, 0, new Random(1)), 500, 0.1).temperature())
                .isCloseTo(bath(500), within(0.03));
        // two readings: the line through them
        Trend two = Trend.at(List.of(new Reading(0, 60), new Reading(60, 59)), 90, 0.1);
        assertThat(two.temperature()).isCloseTo(58.5, within(1e-9));
        assertThat(two.uncertainty()).isCloseTo(0.1 / Math.sqrt(12) * Math.hypot(1.5, 0.5), within(1e-9));
    }

    @Test
    void itsIntervalHoldsTheTruthAsOftenAsItSays() {
        for (int count : new int[] {4, 6, 16}) {
            Random random = new Random(7);
            long held = IntStream.range(0, 1000)
                    .filter(any -> {
                        Trend trend = Trend.at(read(count, 30, 0.15, random), 30 * (count - 1), 0.01);
                        return Math.abs(trend.temperature() - bath(30 * (count - 1))) <= 1.96 * trend.uncertainty();
                    })
                    .count();
            assertThat(held).as(count + " readings").isBetween(920L, 975L);
        }
    }

    @Test
    void whatCannotBeToldIsRefusedInWords() {
        assertThatThrownBy(() -> Trend.at(List.of(new Reading(0, 60)), 30, 0.1))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("at least two readings");
        assertThatThrownBy(() -> Trend.at(List.of(new Reading(30, 60), new Reading(30, 59)), 30, 0.1))
                .hasMessageContaining("at different times");
        assertThatThrownBy(() -> Trend.at(read(5, 30, 0, new Random(1)), 300, 0.1))
                .hasMessageContaining("further from the readings than they are long");
    }

    @Test
    void itHasTurnedOnceTwoReadingsInARowLieLower() {
        List<Reading> rising = List.of(new Reading(0, 21), new Reading(30, 24.3), new Reading(60, 24.2));
        assertThat(Turn.of(rising, 0.1)).isEmpty();
        List<Reading> back =
                List.of(new Reading(0, 21), new Reading(30, 24.3), new Reading(60, 24.2), new Reading(90, 24.4));
        assertThat(Turn.of(back, 0.1)).isEmpty();
        List<Reading> turned =
                List.of(new Reading(0, 21), new Reading(30, 24.3), new Reading(60, 24.2), new Reading(90, 24.1));
        assertThat(Turn.of(turned, 0.1)).contains(new Reading(30, 24.3));
    }
}

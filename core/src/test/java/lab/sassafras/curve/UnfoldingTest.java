package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import lab.sassafras.curve.Sign.Kind;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is told of a curve while it comes, and of several probes at once. */
class UnfoldingTest {

    private static final double MIXED = 60;

    /** Readings every second to a hundredth, with noise. */
    private static List<Reading> read(double from, double to, DoubleUnaryOperator curve) {
        Random noise = new Random(7);
        List<Reading> all = new ArrayList<>();
        for (double t = from; t <= to; t++) {
            all.add(new Reading(t, Math.rint((curve.applyAsDouble(t) + 0.01 * noise.nextGaussian()) * 100) / 100));
        }
        return all;
    }

    /** Mixed at one minute, towards ten degrees more or less, then back by 0.12 °C a minute. */
    private static double mixed(double t, double way) {
        return 21 + (t <= MIXED ? 0 : way * (10 * (1 - Math.exp(-(t - MIXED) / 12)) - 0.002 * (t - MIXED)));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, -1})
    void aSpikeIsNoPeakAndTheCurveTurnsOnceItRunsBack(double way) {
        List<Reading> all = read(0, 400, t -> mixed(t, way));
        Reading spiked = all.get(250);
        all.set(250, new Reading(spiked.seconds(), spiked.temperature() + way * 5));
        Unfolding there = Unfolding.of(all, MIXED, 0.01);
        assertThat(there.rises()).isEqualTo(way > 0);
        assertThat(there.turned()).isTrue();
        assertThat(there.extreme().orElseThrow().temperature()).isCloseTo(21 + way * 9.85, within(0.06));
        assertThat(there.aMinute().orElseThrow()).isCloseTo(-0.12 * way, within(0.01));
        assertThat(Unfolding.of(all.subList(0, 75), MIXED, 0.01).turned()).isFalse();
        assertThat(Unfolding.of(all.subList(0, 50), MIXED, 0.01).extreme()).isEmpty();
    }

    /** How far lines through noisy readings scatter where they are carried back to, counted on 4,000 of them. */
    @ParameterizedTest
    @ValueSource(doubles = {60, 300})
    void aLineCarriedBackScattersAsIsSaid(double length) {
        Random random = new Random(11);
        double squares = 0;
        int lines = 4000;
        int readings = (int) (length / 5) + 1;
        for (int i = 0; i < lines; i++) {
            double[] y = random.doubles(readings, 0, 1)
                    .map(any -> 0.02 * random.nextGaussian())
                    .toArray();
            double meanT = length / 2;
            double meanY = 0;
            double up = 0;
            double across = 0;
            for (double each : y) {
                meanY += each / readings;
            }
            for (int j = 0; j < readings; j++) {
                up += (5 * j - meanT) * (y[j] - meanY);
                across += (5 * j - meanT) * (5 * j - meanT);
            }
            double carried = meanY + up / across * (-90 - meanT);
            squares += carried * carried / lines;
        }
        assertThat(Unfolding.carriedBack(0.02, 5, 90, length)).isCloseTo(2 * Math.sqrt(squares), within(0.04 * 0.2));
        assertThat(Unfolding.carriedBack(0.02, 5, 90, length) / 2 / Math.sqrt(squares))
                .isBetween(0.95, 1.05);
    }

    @Test
    void howMuchLongerIsToldBeforehandAndCountsDown() {
        List<Reading> all = read(0, 1500, t -> mixed(t, 1) + 0.06 * Math.sin(7 * t)).stream()
                .filter(each -> each.seconds() % 10 == 0)
                .toList();
        int turned = 1;
        while (Unfolding.of(all.subList(0, turned), MIXED, 0.05).more().isEmpty()) {
            turned++;
        }
        double soon = Unfolding.of(all.subList(0, turned), MIXED, 0.05).more().orElseThrow();
        double later =
                Unfolding.of(all.subList(0, turned + 3), MIXED, 0.05).more().orElseThrow();
        assertThat(soon).isBetween(20.0, 200.0);
        assertThat(later).isLessThan(soon).isCloseTo(soon - 30, within(30.0));
        assertThat(Unfolding.of(all, MIXED, 0.05).more().orElseThrow()).isNegative();
    }

    private static List<Kind> signs(List<Reading> last, OptionalDouble mixing) {
        return Sign.of(last, new Sign.Around(mixing, OptionalDouble.of(21), -10, 60, 0.01)).stream()
                .map(Sign::kind)
                .toList();
    }

    @Test
    void whatAProbeDoesIsSeen() {
        assertThat(signs(read(0, 120, t -> 30), OptionalDouble.empty())).isEmpty();
        assertThat(signs(read(0, 120, t -> t == 100 ? 38 : 30), OptionalDouble.empty()))
                .containsExactly(Kind.SPIKE);
        assertThat(signs(read(0, 120, t -> t >= 100 ? 26 : 30), OptionalDouble.empty()))
                .containsExactly(Kind.JUMP);
        assertThat(signs(read(0, 120, t -> t >= 100 ? 26 : 30), OptionalDouble.of(95)))
                .as("what jumps at the mixing is the mixing")
                .isEmpty();
        assertThat(signs(read(0, 200, t -> t >= 100 ? 26 : 30), OptionalDouble.empty()))
                .as("told for a minute")
                .isEmpty();
        assertThat(signs(read(0, 200, t -> t < 100 ? 30 : 21 + 9 * Math.exp(-(t - 100) / 15)), OptionalDouble.empty()))
                .containsExactly(Kind.OUT);
        assertThat(signs(read(0, 300, t -> 21.2 + 0.2 * Math.sin(t / 50)), OptionalDouble.empty()))
                .as("a bath at the room's temperature is not out of its water")
                .isEmpty();
        List<Reading> high = read(0, 100, t -> Math.min(61, 30 + t / 2));
        assertThat(signs(high, OptionalDouble.empty())).containsExactly(Kind.RANGE);
        assertThat(Sign.of(high, new Sign.Around(OptionalDouble.empty(), OptionalDouble.empty(), -10, 60, 0.01))
                        .get(0)
                        .since())
                .isBetween(58.0, 62.0);
    }

    @Test
    void theProbeThatAHandWarmsIsToldFromTheOthers() {
        List<Reading> still = read(0, 40, t -> 21);
        List<Reading> warmed = read(0, 40, t -> t < 30 ? 21.4 : 21.4 + 0.3 * (t - 30));
        assertThat(Warmed.which(Map.of("A", still, "B", warmed))).contains("B");
        assertThat(Warmed.which(Map.of("A", still, "B", still))).isEmpty();
        assertThat(Warmed.which(Map.of("A", warmed, "B", warmed)))
                .as("two at once tell nothing")
                .isEmpty();
        assertThat(Warmed.which(Map.of("B", read(0, 40, t -> t < 30 ? 21 : 21.4))))
                .isEmpty();
    }

    @Test
    void probesInOneBeakerAreCompared() {
        Map<String, Compared.Shown> shown = Compared.of(
                        Map.of("A", read(0, 60, t -> 22.1), "B", read(10, 70, t -> 22.47)), 0.01)
                .shown();
        assertThat(shown.get("B").temperature() - shown.get("A").temperature()).isCloseTo(0.37, within(0.01));
        assertThat(shown.get("A").uncertainty()).isBetween(0.003, 0.006);
        assertThatThrownBy(() -> Compared.of(Map.of("A", read(0, 60, t -> 22)), 0.01))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Compared.of(Map.of("A", read(0, 60, t -> 22), "B", read(42, 90, t -> 22)), 0.01))
                .hasMessageContaining("20 s");
        assertThatThrownBy(() -> Compared.of(Map.of("A", read(0, 60, t -> 22), "B", read(0, 60, t -> 25.2)), 0.01))
                .hasMessageContaining("one beaker");
        assertThatThrownBy(() ->
                        Compared.of(Map.of("A", read(0, 60, t -> 22), "B", read(0, 60, t -> 20 + t / 20)), 0.01))
                .hasMessageContaining("still moves");
    }

    /** Readings every second without noise. */
    private static List<Reading> exactly(double from, double to, DoubleUnaryOperator curve) {
        List<Reading> all = new ArrayList<>();
        for (double t = from; t <= to; t++) {
            all.add(new Reading(t, curve.applyAsDouble(t)));
        }
        return all;
    }

    private static boolean leapt(double by, double ago, double afterMixing) {
        OptionalDouble mixing = OptionalDouble.of(200 - ago - afterMixing);
        return signs(exactly(0, 200, t -> t >= 200 - ago ? 30 + by : 30), mixing)
                .equals(List.of(Kind.JUMP));
    }

    /** Each limit where it stands, and a little to the other side of it. */
    @Test
    void aLeapIsOneFromHalfADegreeForAMinuteAndNotAtTheMixing() {
        assertThat(leapt(0.51, 10, 100)).isTrue();
        assertThat(leapt(0.49, 10, 100)).isFalse();
        assertThat(leapt(4, 60, 100)).isTrue();
        assertThat(leapt(4, 61, 100)).isFalse();
        assertThat(leapt(4, 10, 31)).isTrue();
        assertThat(leapt(4, 10, 30)).isFalse();
        assertThat(leapt(4, 40, -30)).isFalse();
        assertThat(leapt(4, 40, -31)).isTrue();
    }

    /** Comes to the air within two seconds, from so far above it, and stands so far above it for so long. */
    private static boolean out(double above, double from, double stands, double afterMixing) {
        double since = 300 - stands;
        return signs(exactly(0, 300, t -> 21 + (t >= since ? above : from)), OptionalDouble.of(since - afterMixing))
                .contains(Kind.OUT);
    }

    @Test
    void outOfItsLiquidIsWhatCameToTheRoomAndStandsThere() {
        assertThat(out(0.39, 5, 60, 200)).isTrue();
        assertThat(out(0.41, 5, 60, 200)).isFalse();
        assertThat(out(0.2, 1.51, 60, 200)).isTrue();
        assertThat(out(0.2, 1.49, 60, 200)).isFalse();
        assertThat(out(0.2, 5, 15, 200)).isTrue();
        assertThat(out(0.2, 5, 14, 200)).isFalse();
        assertThat(out(0.2, 5, 60, 121)).isTrue();
        assertThat(out(0.2, 5, 60, 120)).isFalse();
        DoubleUnaryOperator slowly = t -> 21 + (t >= 250 ? 0.2 : t >= 130 ? 1 : 5);
        assertThat(signs(exactly(0, 300, slowly), OptionalDouble.empty()))
                .as("away from it two minutes before")
                .doesNotContain(Kind.OUT);
        assertThat(signs(exactly(0, 300, t -> 21 + (t >= 250 ? 0.2 : t > 130 ? 1 : 5)), OptionalDouble.empty()))
                .contains(Kind.OUT);
    }

    private static boolean warmed(double by, double other, double ago) {
        return Warmed.which(Map.of(
                        "A",
                        exactly(0, 60, t -> t <= 60 - ago ? 21 : 21 + by),
                        "B",
                        exactly(0, 60, t -> t < 50 ? 21 : 21 + other)))
                .equals(java.util.Optional.of("A"));
    }

    @Test
    void warmedIsWhatRisesHalfADegreeInHalfAMinuteAndThriceAnyOther() {
        assertThat(warmed(0.51, 0, 20)).isTrue();
        assertThat(warmed(0.49, 0, 20)).isFalse();
        assertThat(warmed(0.61, 0.2, 20)).isTrue();
        assertThat(warmed(0.59, 0.2, 20)).isFalse();
        assertThat(warmed(0.8, 0, 30)).isTrue();
        assertThat(warmed(0.8, 0, 31)).isFalse();
        assertThat(Warmed.which(Map.of("A", exactly(0, 2, t -> 21 + t)))).isPresent();
        assertThat(Warmed.which(Map.of("A", exactly(0, 1, t -> 21 + t)))).isEmpty();
    }

    private static void compare(double seconds, double apart, int every) {
        DoubleUnaryOperator still = t -> 22;
        Compared.of(
                Map.of(
                        "A",
                        exactly(0, seconds, still).stream()
                                .filter(each -> each.seconds() % every == 0)
                                .toList(),
                        "B",
                        exactly(0, seconds, t -> 22 + apart)),
                0.01);
    }

    @Test
    void comparedIsWhatReadsTwentySecondsTogetherFiveTimesWithinThreeDegrees() {
        compare(20, 2.99, 5);
        assertThatThrownBy(() -> compare(19, 0, 1)).hasMessageContaining("20 s");
        assertThatThrownBy(() -> compare(20, 3.01, 5)).hasMessageContaining("one beaker");
        assertThatThrownBy(() -> compare(23, 0, 7)).hasMessageContaining("too seldom");
    }
}

package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import lab.sassafras.measure.BenchUnit;
import org.junit.jupiter.api.Test;

/** What is read from a curve in which nothing is mixed, from temperatures that are known. */
class CurvePurposeTest {

    private static Stretch read(double display, double until, double every, DoubleUnaryOperator at) {
        List<Reading> readings = DoubleStream.iterate(0, seconds -> seconds <= until, seconds -> seconds + every)
                .mapToObj(seconds -> new Reading(seconds, Math.rint(at.applyAsDouble(seconds) / display) * display))
                .toList();
        return new Stretch(readings, display, BenchUnit.DEGREES_CELSIUS);
    }

    private static Told.Numbers numbers(Told told) {
        assertThat(told).isInstanceOf(Told.Numbers.class);
        return (Told.Numbers) told;
    }

    /** 0.02 °C/s for ten minutes, shown to a tenth. */
    @Test
    void aSteadyRiseIsItsSlope() {
        Told.Numbers rise = numbers(new SteadyRise().of(read(0.1, 600, 20, seconds -> 20 + 0.02 * seconds)));
        assertThat(rise.values().get(0)).isCloseTo(0.02, within(3 * rise.uncertainty(0)));
        // noise 0.1/√12 over √Σ(t − t̄)², 31 readings 20 s apart: 0.0289/996
        assertThat(rise.uncertainty(0)).isCloseTo(2.9e-5, within(0.6e-5));
        assertThat(new SteadyRise().of(read(0.1, 40, 20, seconds -> seconds))).isInstanceOf(Told.None.class);
        assertThat(new SteadyRise().of(read(0.1, 60, 20, seconds -> seconds))).isInstanceOf(Told.Numbers.class);
    }

    /** A second half that rises by a third faster is bent; by a sixth it may be noise of the bench. */
    @Test
    void whatBendsIsNoSteadyRise() {
        assertThat(new SteadyRise().of(bent(0.0268))).isInstanceOf(Told.None.class);
        assertThat(new SteadyRise().of(bent(0.0235))).isInstanceOf(Told.Numbers.class);
    }

    private static Stretch bent(double later) {
        return read(0.01, 600, 20, seconds -> 20 + 0.02 * Math.min(seconds, 300) + later * Math.max(0, seconds - 300));
    }

    /** Warms at 0.05 °C/s to 54.3 °C, stands for six minutes, and warms on. */
    private static double melts(double seconds) {
        return 54.3 + (seconds < 300 ? 0.05 * (seconds - 300) : Math.max(0, 0.05 * (seconds - 660)));
    }

    @Test
    void aPlateauIsTheMeanOfItsMiddle() {
        Told.Numbers level = numbers(new Plateau().of(read(0.1, 900, 30, CurvePurposeTest::melts)));
        assertThat(level.values().get(0)).isCloseTo(54.3, within(1e-9));
        assertThat(level.uncertainty(0)).as("8 readings of a tenth").isBetween(0.005, 0.02);
        assertThat(level.values().get(1)).as("nothing passed it").isZero();
    }

    /** Four degrees below its freezing point nothing is frozen yet; then it stands. */
    @Test
    void whatIsPassedBeforeIsSupercooling() {
        Told.Numbers cooled = numbers(new Plateau()
                .of(read(0.1, 900, 20, seconds -> seconds < 260 ? 60 - 0.05 * seconds : 51 - dip(seconds))));
        assertThat(cooled.values().get(0)).isCloseTo(51, within(0.02));
        assertThat(cooled.values().get(1)).isCloseTo(4, within(0.2));
    }

    /** From 4 °C below back to the level within a minute; after ten it cools on. */
    private static double dip(double seconds) {
        return seconds < 320 ? 4 * (320 - seconds) / 60 : seconds < 660 ? 0 : 0.05 * (seconds - 660);
    }

    /** Wax: it warms a quarter as fast while it softens, and nowhere stands still. */
    @Test
    void aRangeIsNoPlateau() {
        assertThat(new Plateau().of(softens(0.3))).isInstanceOf(Told.None.class);
        assertThat(new Plateau().of(softens(0.02))).isInstanceOf(Told.Numbers.class);
    }

    private static Stretch softens(double part) {
        return read(
                0.1,
                900,
                20,
                seconds -> 50
                        + 0.03 * Math.min(seconds, 300)
                        + part * 0.03 * Math.max(0, Math.min(seconds - 300, 300))
                        + 0.03 * Math.max(0, seconds - 600));
    }

    /** It must be seen to come and to go. */
    @Test
    void aRecordThatEndsOnThePlateauHasNone() {
        assertThat(new Plateau().of(read(0.1, 630, 30, CurvePurposeTest::melts)))
                .isInstanceOf(Told.None.class);
        assertThat(new Plateau().of(read(0.1, 180, 30, CurvePurposeTest::melts)))
                .isEqualTo(new Told.None("A plateau takes at least 8 readings, on both sides of it and on it."));
    }

    /** Warms at 0.05 °C/s to 50 °C, stands for a while, takes some minutes for a few degrees, and warms on. */
    private static Told.Numbers softens(double stands, double slow, double degrees) {
        return numbers(new Melting().of(read(0.1, 900 + stands + slow, 20, seconds -> {
            double on = Math.max(0, Math.min(slow, seconds - 400 - stands)) / slow * degrees;
            double later = Math.max(0, 0.05 * (seconds - 400 - stands - slow));
            return 50 + 0.05 * (Math.min(seconds, 400) - 400) + on + later;
        })));
    }

    private static double range(Told.Numbers told) {
        return told.values().get(2);
    }

    @Test
    void whatMeltsOverARangeHasNoPlateau() {
        Told.Numbers wax = softens(0, 600, 8);
        assertThat(wax.values().get(0)).as("its middle").isCloseTo(54, within(0.1));
        assertThat(range(wax)).isCloseTo(8, within(0.2));
        assertThat(wax.uncertainty(2)).isBetween(0.05, 0.3);
    }

    /** Half a degree at a tenth of a degree is a level with a rounded end. */
    @Test
    void aNarrowRangeIsALevel() {
        assertThat(range(softens(0, 600, 0.8))).isCloseTo(0.8, within(0.15));
        assertThat(range(softens(0, 600, 0.4))).isZero();
    }

    /** What stands still for most of the slow part and only then creeps on stood still. */
    @Test
    void aLevelThatLastsIsNoPieceOfARange() {
        assertThat(range(softens(500, 250, 3))).isZero();
        assertThat(range(softens(200, 500, 6))).isGreaterThan(4);
    }

    /** A bend is no range: before and after it moves at least two and a half times as fast. */
    @Test
    void aBendIsNoRange() {
        assertThat(range(softens(0, 600, 11))).isCloseTo(11, within(0.3));
        assertThat(new Melting()
                        .of(read(
                                0.1,
                                1500,
                                20,
                                seconds -> 50
                                        + 0.05 * Math.min(0, seconds - 400)
                                        + 0.0225 * Math.max(0, Math.min(600, seconds - 400))
                                        + 0.05 * Math.max(0, seconds - 1000))))
                .isInstanceOf(Told.None.class);
    }

    /** Mixing is one purpose among others: told in every way there is, each with its numbers or why it has none. */
    @Test
    void mixingIsToldInEveryWay() {
        Stretch unmarked = read(0.1, 600, 20, seconds -> seconds < 290 ? 21 : 25);
        assertThat(new Mixing().of(unmarked)).isInstanceOf(Told.None.class);
        Curve curve = new Curve(unmarked.readings(), 290, 0.1, Optional.empty());
        Told told = new Mixing().of(new Stretch(unmarked.readings(), 0.1, unmarked.unit(), Optional.of(curve)));
        Map<String, Told> ways = ((Told.Ways) told).ways();
        assertThat(ways).hasSize(CurveMethod.values().length);
        assertThat(numbers(ways.get("carried")).values().get(0)).isCloseTo(21, within(1e-9));
        assertThat(numbers(ways.get("carried")).values().get(1)).isCloseTo(25, within(1e-9));
        Curve brief = new Curve(
                unmarked.readings(), 290, 0.1, Optional.empty(), Optional.empty(), new Stated(400, 0.5, Set.of()), 1);
        Told waited = new Mixing().of(new Stretch(unmarked.readings(), 0.1, unmarked.unit(), Optional.of(brief)));
        assertThat(((Told.Ways) waited).ways().get("after-wait")).isInstanceOf(Told.None.class);
    }
}

package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Outcome.Withheld;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Stretches of baseline that a person chose, and what is laid through them. */
class WindowsTest {

    /**
     * Read every 10 s, mixed at 180 s. Before, 21.0 °C stands but for the first minute, a degree too high; after, 31.0
     * °C at mixing falls by 0.6 °C a minute until 9 min, then somebody lifts the lid.
     */
    private static final List<Reading> LIFTED = IntStream.rangeClosed(0, 72)
            .filter(i -> i != 18)
            .mapToObj(i -> new Reading(10 * i, i < 7 ? 22.0 : i < 18 ? 21.0 : i < 55 ? 31.0 - 0.1 * (i - 18) : 20.0))
            .toList();

    private static Curve curve(Windows windows) {
        return new Curve(LIFTED, 180, 0.1, Optional.empty(), Optional.of(windows));
    }

    private static Change read(Windows windows, CurveMethod way) {
        return (Change) way.of(Baselines.of(curve(windows)));
    }

    @Test
    void onlyWhatLiesWithinIsBaseline() {
        Windows chosen = new Windows(70, 170, 240, 540);
        Change change = read(chosen, CurveMethod.LINES);
        assertThat(change.start()).isCloseTo(21.0, within(1e-9));
        assertThat(change.end()).isCloseTo(31.0, within(1e-9));
        assertThat(Baselines.of(curve(chosen)).windows()).isEqualTo(chosen);
        // the first minute leans the line: 22.0 then 21.0 falls toward mixing
        assertThat(read(new Windows(0, 170, 240, 540), CurveMethod.LINES).start())
                .isLessThan(20.8);
        // and with the lid off, the line after leans too
        assertThat(read(new Windows(70, 170, 240, 720), CurveMethod.LINES).end())
                .isGreaterThan(32);
    }

    @Test
    void endsBetweenReadingsTakeInThoseWithin() {
        assertThat(Baselines.of(curve(new Windows(65, 175.5, 238, 999))).windows())
                .isEqualTo(new Windows(70, 170, 240, 720));
    }

    @ParameterizedTest
    @CsvSource({"150, 70, 240, 540", "70, 250, 240, 540", "70, 150, 540, 240", "NaN, 150, 240, 540"})
    void aStretchBeginsBeforeItEndsAndTheLaterOneAfterTheEarlier(double a, double b, double c, double d) {
        assertThatThrownBy(() -> new Windows(a, b, c, d))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("begins");
    }

    @Test
    void anEmptyStretchIsRefusedAndAShortOneGivesNoCoolingCurve() {
        assertThatThrownBy(() -> curve(new Windows(71, 79, 240, 540)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no reading in the stretch before");
        assertThatThrownBy(() -> curve(new Windows(70, 170, 241, 249)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no reading in the stretch after");
        Baselines single = Baselines.of(curve(new Windows(70, 70, 240, 540)));
        assertThat(CurveMethod.NEWTON.of(single)).isInstanceOf(Withheld.class);
        assertThat(CurveMethod.LINES.of(single)).isInstanceOf(Withheld.class);
        assertThat(CurveMethod.NEWTON.laid(single)).isEmpty();
    }

    /** What is drawn ends where the change is taken from: at the two temperatures the way gives. */
    @ParameterizedTest
    @EnumSource(value = CurveMethod.class, mode = EnumSource.Mode.EXCLUDE, names = "SETTLED")
    void whatIsLaidMeetsTheTemperaturesItGives(CurveMethod way) {
        Baselines baselines = Baselines.of(curve(new Windows(70, 170, 240, 540)));
        Change change = (Change) way.of(baselines);
        Laid laid = way.laid(baselines).orElseThrow();
        Reading before = laid.fore().get(laid.fore().size() - 1);
        Reading after = laid.after().get(0);
        assertThat(before.temperature())
                .as("of the integral the likeliest of all fits is drawn, and their mean taken")
                .isCloseTo(change.start(), within(way == CurveMethod.INTEGRAL ? 0.05 : 1e-9));
        assertThat(before.seconds()).isCloseTo(laid.at(), within(1e-9));
        assertThat(after.seconds()).isCloseTo(laid.at(), within(1e-9));
        // the integral takes off what came late, which no line shows
        assertThat(after.temperature()).isCloseTo(change.end(), within(way == CurveMethod.INTEGRAL ? 2 : 1e-9));
        assertThat(laid.fore()).isSortedAccordingTo((one, other) -> Double.compare(one.seconds(), other.seconds()));
        assertThat(laid.after()).isSortedAccordingTo((one, other) -> Double.compare(one.seconds(), other.seconds()));
    }

    @Test
    void theRoomIsAsUncertainAsItsReadingsLieApart() {
        assertThat(Room.of(List.of())).isEmpty();
        assertThat(Room.of(List.of(21.0))).contains(new Room(21.0, 0.3));
        assertThat(Room.of(List.of(20.0, 22.0, 21.0))).contains(new Room(21.0, 1.0));
    }

    /** With the room read, a short record knows better what it cools towards. */
    @Test
    void aRoomThatWasReadNarrowsAShortRecord() {
        List<Reading> brief = IntStream.rangeClosed(0, 36)
                .filter(i -> i != 18)
                .mapToObj(i ->
                        new Reading(10 * i, i < 18 ? 21.0 : 31.0 - 0.05 * (i - 18) + (i % 2 == 0 ? 0.02 : -0.02)))
                .toList();
        double without = width(new Curve(brief, 180, 0.01, Optional.empty()));
        double with = width(new Curve(brief, 180, 0.01, Optional.of(new Room(21.0, 0.3))));
        assertThat(with).isLessThan(without);
    }

    private static double width(Curve curve) {
        return ((Change) CurveMethod.NEWTON.of(Baselines.of(curve))).uncertainty();
    }
}

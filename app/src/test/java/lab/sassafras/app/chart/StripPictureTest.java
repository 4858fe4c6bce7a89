package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.Curve;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

class StripPictureTest {

    private static double at(String place) {
        return Double.parseDouble(place);
    }

    /** 21 °C, and 15 °C from three minutes on: something cold was put in. */
    private static List<Reading> cold(int readings) {
        return IntStream.range(0, readings)
                .mapToObj(i -> new Reading(540.0 * i / (readings - 1), 540.0 * i / (readings - 1) < 180 ? 21.0 : 15.0))
                .toList();
    }

    private static StripPicture drawn(List<Reading> readings, List<StripPicture.Besides> besides) {
        return drawn(readings, besides, Optional.empty());
    }

    private static StripPicture drawn(
            List<Reading> readings, List<StripPicture.Besides> besides, Optional<StripPicture.Part> part) {
        Baselines curve = Baselines.of(new Curve(readings, 180, 0.1, Optional.empty()));
        return StripPicture.of(
                readings.stream()
                        .map(each -> new StripPicture.Dot(each.seconds(), each.temperature(), true, ""))
                        .toList(),
                new StripPicture.Over(besides, List.of()),
                Optional.of(180.0),
                "ice in",
                Optional.of(new StripPicture.Read(
                        CurveMethod.LINES.laid(curve).orElseThrow(),
                        curve.windows(),
                        (Change) CurveMethod.LINES.of(curve),
                        "−6.0 °C",
                        "both lines")),
                part,
                Figures.POINT);
    }

    @Test
    void theArrowGoesFromTheStartDownToTheEndBesideTheFlag() {
        StripPicture picture = drawn(cold(19), List.of());
        StripPicture.Arrow arrow = java.util.Objects.requireNonNull(picture.arrow());
        StripPicture.Flag flag = java.util.Objects.requireNonNull(picture.flag());
        // across, 180 of 540 s: 64 + (1090 − 64) ÷ 3 = 406; lower temperatures stand lower, at a greater height of SVG
        assertThat(at(flag.x())).isCloseTo(406, within(0.1));
        assertThat(at(arrow.x())).isBetween(380.0, 406.0);
        assertThat(at(arrow.y2())).isGreaterThan(at(arrow.y1()) + 200);
        assertThat(arrow.y1()).isEqualTo(picture.spots().get(0).y());
        assertThat(arrow.y2()).isEqualTo(picture.spots().get(18).y());
        assertThat(picture.summary()).contains("19 readings from 0:00 to 9:00", "ice in at 3:00", "−6.0 °C");
    }

    /** Ten thousand readings look the same when only the highest and lowest of each column are drawn. */
    @Test
    void veryManyReadingsAreDrawnByTheirColumns() {
        StripPicture picture = drawn(cold(10_000), List.of());
        assertThat(picture.spots()).isEmpty();
        String[] dots = picture.dots().substring(1).split("M");
        assertThat(dots).hasSizeLessThanOrEqualTo(2 * 1028);
        assertThat(dots)
                .extracting(each -> each.replaceAll(".* (.*)h0", "$1"))
                .hasSameElementsAs(drawn(cold(19), List.of()).spots().stream()
                        .map(StripPicture.Spot::y)
                        .distinct()
                        .toList());
    }

    @Test
    void anotherTrialLaidOverHasRoomAndItsName() {
        StripPicture picture = drawn(
                cold(19),
                List.of(new StripPicture.Besides("trial 2", List.of(new Reading(-60, 12.0), new Reading(600, 30.0)))));
        assertThat(picture.first()).isEqualTo(-60);
        assertThat(picture.last()).isEqualTo(600);
        StripPicture.Other other = picture.others().get(0);
        assertThat(other.name()).isEqualTo("trial 2");
        assertThat(other.line()).startsWith("64.0,").contains(" 1090.0,");
        assertThat(at(other.y())).isLessThan(at(picture.spots().get(0).y()));
    }

    /** Looked at closely, only that part of the time is drawn, on a scale of its own; what lies off it is cut. */
    @Test
    void aPartOfTheTimeIsDrawnOnItsOwnScale() {
        StripPicture near = drawn(cold(19), List.of(), Optional.of(new StripPicture.Part(240, 360)));
        assertThat(near.spots()).hasSize(5);
        assertThat(near.first()).isEqualTo(240);
        assertThat(near.flag()).isNull();
        assertThat(near.arrow()).isNull();
        assertThat(near.high() - near.low()).isCloseTo(2, within(0.01));
        assertThat(near.summary()).contains("a change of −6.0 °C", "Shown from 4:00 to 6:00");
        StripPicture.Stretch fore = java.util.Objects.requireNonNull(near.fore());
        assertThat(fore.x1()).isEqualTo(fore.x2());
        assertThat(drawn(cold(19), List.of(), Optional.of(new StripPicture.Part(541, 600)))
                        .spots())
                .isEmpty();
    }
}

package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialPoint;
import org.junit.jupiter.api.Test;

class LinePictureTest {

    private static LinePicture picture(double... kilojoules) {
        List<TrialPoint> points = IntStream.range(0, kilojoules.length)
                .mapToObj(i -> new TrialPoint(
                        estimate(0.02 * (i + 1)), estimate(kilojoules[i]), BenchUnit.MOLES, BenchUnit.KILOJOULES))
                .toList();
        StraightLine line = StraightLine.through(points).orElseThrow();
        return LinePicture.of(
                line,
                points,
                IntStream.rangeClosed(1, kilojoules.length).boxed().toList(),
                Figures.POINT,
                List.of());
    }

    private static Estimate estimate(double value) {
        return new Estimate(value, 0.01, Double.POSITIVE_INFINITY, List.of());
    }

    /** 0.5 kJ for nothing and 20 kJ/mol: spots stand on the line, which begins above zero at no amount. */
    @Test
    void spotsOfAStraightRunStandOnTheLineAndTheInterceptAboveZero() {
        LinePicture picture = picture(0.9, 1.3, 1.7);
        double slope = (number(picture.laid().y2()) - number(picture.laid().y1()))
                / (number(picture.laid().x2()) - number(picture.laid().x1()));
        assertThat(picture.spots()).extracting(LinePicture.Spot::trial).containsExactly(1, 2, 3);
        picture.spots()
                .forEach(spot -> assertThat(number(spot.y()))
                        .isCloseTo(
                                number(picture.laid().y1())
                                        + slope
                                                * (number(spot.x())
                                                        - number(picture.laid().x1())),
                                within(0.2)));
        assertThat(number(picture.laid().y1())).isLessThan(number(picture.zero()));
        assertThat(picture.summary()).contains("3 trials", "+0.5");
    }

    @Test
    void heatsGivenOffHangBelowZeroAndEverythingStaysInsideThePicture() {
        LinePicture picture = picture(-1.1, -2.0, -3.2, -4.0);
        assertThat(picture.spots()).allSatisfy(spot -> {
            assertThat(number(spot.y())).isBetween(number(picture.zero()), 200.0);
            assertThat(number(spot.x())).isBetween(70.0, 540.0);
        });
        assertThat(picture.across().marks())
                .extracting(StraightScale.Mark::label)
                .contains("0", "20", "80");
        assertThat(picture.up().marks())
                .allSatisfy(mark -> assertThat(number(mark.at())).isBetween(0.0, 200.0));
    }

    /**
     * ln K against 1/T has no nought in sight: the scale begins about its first point, and is named for what it shows.
     */
    @Test
    void aLineThatNeedNotMeetZeroIsDrawnWhereItsPointsAre() {
        List<TrialPoint> points = IntStream.range(0, 3)
                .mapToObj(i -> new TrialPoint(
                        estimate(0.0032 + 0.0001 * i),
                        estimate(2.4 - 0.1 * i),
                        BenchUnit.PER_KELVIN,
                        BenchUnit.NUMBER,
                        false))
                .toList();
        LinePicture picture = LinePicture.of(
                StraightLine.through(points).orElseThrow(),
                points,
                List.of(1, 2, 3),
                Figures.POINT,
                List.of("1/T", "ln K"));
        assertThat(picture.spots())
                .allSatisfy(spot -> assertThat(number(spot.x())).isBetween(75.0, 535.0));
        assertThat(number(picture.spots().get(0).x())).isLessThan(110);
        assertThat(picture.across().words()).isEqualTo("1000 × 1/T, 1/K");
        assertThat(picture.up().words()).isEqualTo("ln K");
        assertThat(picture.summary()).doesNotContain("nothing across");
    }

    private static double number(String coordinate) {
        return Double.parseDouble(coordinate);
    }
}

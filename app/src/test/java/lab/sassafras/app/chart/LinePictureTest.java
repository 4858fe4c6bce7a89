package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.account.HeatLine;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

class LinePictureTest {

    private static LinePicture picture(double... kilojoules) {
        List<Solution.Point> points = IntStream.range(0, kilojoules.length)
                .mapToObj(i -> new Solution.Point(estimate(0.02 * (i + 1)), estimate(1000 * kilojoules[i])))
                .toList();
        HeatLine line = HeatLine.of(
                        points.stream().map(point -> point.amount().value()).toList(),
                        points.stream()
                                .map(point -> point.heat().value() / 1000)
                                .toList())
                .orElseThrow();
        return LinePicture.of(
                line,
                points,
                IntStream.rangeClosed(1, kilojoules.length).boxed().toList(),
                Figures.POINT);
    }

    private static Estimate estimate(double value) {
        return new Estimate(value, 0.01, Double.POSITIVE_INFINITY, List.of());
    }

    /** 0.5 kJ for nothing and 20 kJ/mol: spots stand on the line, which begins above zero at no amount. */
    @Test
    void spotsOfAStraightRunStandOnTheLineAndTheInterceptAboveZero() {
        LinePicture picture = picture(0.9, 1.3, 1.7);
        double slope = (number(picture.y2()) - number(picture.y1())) / (number(picture.x2()) - number(picture.x1()));
        assertThat(picture.spots()).extracting(LinePicture.Spot::trial).containsExactly(1, 2, 3);
        picture.spots()
                .forEach(spot -> assertThat(number(spot.y()))
                        .isCloseTo(
                                number(picture.y1()) + slope * (number(spot.x()) - number(picture.x1())), within(0.2)));
        assertThat(number(picture.y1())).isLessThan(number(picture.zero()));
        assertThat(picture.summary()).contains("3 trials", "+500 J");
    }

    @Test
    void heatsGivenOffHangBelowZeroAndEverythingStaysInsideThePicture() {
        LinePicture picture = picture(-1.1, -2.0, -3.2, -4.0);
        assertThat(picture.spots()).allSatisfy(spot -> {
            assertThat(number(spot.y())).isBetween(number(picture.zero()), 200.0);
            assertThat(number(spot.x())).isBetween(70.0, 540.0);
        });
        assertThat(picture.across()).extracting(LinePicture.Mark::label).contains("0", "20", "80");
        assertThat(picture.up())
                .allSatisfy(mark -> assertThat(number(mark.at())).isBetween(0.0, 200.0));
    }

    private static double number(String coordinate) {
        return Double.parseDouble(coordinate);
    }
}

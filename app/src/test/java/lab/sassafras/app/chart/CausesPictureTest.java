package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CausesPictureTest {

    private static CausesPicture picture(double result, double... changes) {
        return CausesPicture.of(
                result,
                Optional.of(new double[] {-221, -216}),
                java.util.Arrays.stream(changes)
                        .mapToObj(each -> new CausesPicture.Moved(each, 9 * each))
                        .toList(),
                value -> Long.toString(Math.round(value)));
    }

    /** One scale for all: equal changes are equally long, opposite ones lie on opposite sides, −218.5 in the band. */
    @Test
    void everyArrowBeginsAtTheResultOnOneScale() {
        CausesPicture p = picture(-200, -10, 10, -18.5);
        double result = Double.parseDouble(p.result());
        List<Double> ends = p.rows().stream()
                .map(row -> Double.parseDouble(row.arrow()) - result)
                .toList();
        assertThat(ends.get(0)).isNegative().isCloseTo(-ends.get(1), within(0.2));
        assertThat(ends.get(2)).isCloseTo(1.85 * ends.get(0), within(0.2));
        double left = Double.parseDouble(p.reference().orElseThrow().x());
        assertThat(result + ends.get(2))
                .isBetween(
                        left,
                        left + Double.parseDouble(p.reference().orElseThrow().width()));
    }

    @Test
    void nothingIsDrawnOutsideTheRowAndTheScaleHasRoundMarks() {
        CausesPicture p = picture(-200, -10, 10, -18.5);
        assertThat(p.rows().stream().flatMap(row -> Stream.of(row.arrow(), row.reach())))
                .allSatisfy(x -> assertThat(Double.parseDouble(x))
                        .isBetween(0.0, (double) p.frame().width()));
        assertThat(p.marks()).extracting(StraightScale.Mark::label).contains("-220", "-200");
    }
}

package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.curve.Reading;
import org.junit.jupiter.api.Test;

class SmallCurveTest {

    @Test
    void theLineGoesFromEdgeToEdgeAndUpWhereItIsWarmer() {
        assertThat(SmallCurve.of(List.of(new Reading(0, 20), new Reading(30, 25), new Reading(60, 22.5)))
                        .points())
                .isEqualTo("3.0,37.0 90.0,3.0 177.0,20.0");
        assertThat(SmallCurve.of(List.of(new Reading(0, 20), new Reading(30, 20)))
                        .points())
                .as("a level line")
                .isEqualTo("3.0,20.0 177.0,20.0");
        assertThat(SmallCurve.of(List.of()).points()).isEmpty();
    }

    @Test
    void onlyTheLastAreShown() {
        List<Reading> many =
                IntStream.range(0, 200).mapToObj(i -> new Reading(i, 20)).toList();
        assertThat(SmallCurve.of(many).points().split(" ")).hasSize(60);
    }
}

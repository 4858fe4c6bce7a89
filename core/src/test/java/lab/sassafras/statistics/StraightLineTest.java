package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The line through trials against the certified values of NIST's Statistical Reference Datasets (certified values from
 * memory of their files; the data come from a registry package that carries them).
 */
class StraightLineTest {

    @ParameterizedTest
    @CsvSource({
        "data, 36, false, 1.00211681802045, 0.429796848199937e-3",
        "noint1, 11, true, 2.07438016528926, 0.165289256198347e-1",
        "noint2, 3, true, 0.727272727272727, 0.420827318078432e-1"
    })
    void slopesOfTheReferenceDatasets(String name, int points, boolean throughZero, double slope, double error) {
        StraightLine line = line(name);
        assertThat(line.points()).isEqualTo(points);
        assertThat(throughZero ? line.throughZero() : line.slope()).isCloseTo(slope, within(1e-12));
        assertThat(throughZero ? line.throughZeroUncertainty() : line.slopeUncertainty())
                .isCloseTo(error, within(1e-12));
    }

    /** Student's t for 34 degrees, two-sided 95 %: 2.0322 (any printed table, memory). */
    @Test
    void halfWidthsAreStudents() {
        StraightLine norris = line("data");
        assertThat(norris.slopeHalfWidth()).isCloseTo(2.0322 * 0.429796848199937e-3, within(1e-7));
        assertThat(norris.interceptHalfWidth()).isCloseTo(2.0322 * 0.232818234301152, within(2e-5));
    }

    @Test
    void interceptOfNorris() {
        assertThat(line("data").intercept()).isCloseTo(-0.262323073774029, within(1e-10));
        assertThat(line("data").interceptUncertainty()).isCloseTo(0.232818234301152, within(1e-10));
        assertThat(line("data").missesZero()).isFalse();
    }

    @Test
    void fewerThanThreeTrialsOrEqualAmountsMakeNoLine() {
        assertThat(StraightLine.of(List.of(0.1, 0.2), List.of(1.0, 2.0))).isEmpty();
        assertThat(StraightLine.of(List.of(0.1, 0.1, 0.1), List.of(1.0, 2.0, 1.5)))
                .isEmpty();
        assertThat(StraightLine.of(List.of(5.01, 5.1, 5.2), List.of(1.0, 2.0, 1.5)))
                .as("amounts that hardly differ")
                .isEmpty();
    }

    /** Student's interval holds the truth in 19 of 20: lines through zero with honest scatter miss it in one of 20. */
    @ParameterizedTest
    @ValueSource(ints = {3, 4, 6})
    void aLineThroughZeroIsSaidToMissItInOneOfTwenty(int points) {
        Random random = new Random(9);
        List<Double> across =
                IntStream.rangeClosed(1, points).mapToObj(i -> (double) i).toList();
        long missed = IntStream.range(0, 2000)
                .filter(any -> StraightLine.of(
                                across,
                                across.stream()
                                        .map(x -> 17 * x + random.nextGaussian())
                                        .toList())
                        .orElseThrow()
                        .missesZero())
                .count();
        assertThat(missed).isBetween(60L, 140L);
    }

    private static StraightLine line(String name) {
        ReferenceDataset set = ReferenceDataset.of(name);
        return StraightLine.of(
                        DoubleStream.of(set.x()).boxed().toList(),
                        DoubleStream.of(set.y()).boxed().toList())
                .orElseThrow();
    }
}

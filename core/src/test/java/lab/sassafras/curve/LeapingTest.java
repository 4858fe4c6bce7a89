package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A slip among readings on a clock: half a minute apart, mixed where a number is given. */
class LeapingTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "39.4 39.3 39.2 93.1 | - | - | 90",
                "39.4 39.3 39.2 93.1 39.0 38.9 | - | - | 90",
                "39.4 39.3 39.2 93.1 | - | 90 | -",
                // ten degrees are no leap yet, a little more are
                "39.4 39.3 39.2 49.2 | - | - | -",
                "39.4 39.3 39.2 49.3 | - | - | 90",
                // while it changes by 3 °C a mark, 15 °C are no leap, a little more are
                "30.0 33.0 36.0 51.0 | - | - | -",
                "30.0 33.0 36.0 51.1 | - | - | 90",
                // a change that stays, or comes with mixing, is none
                "21.0 21.0 21.1 38.0 38.1 | - | - | -",
                "21.0 21.0 21.1 38.0 | 80 | - | -",
                "21.0 21.0 38.0 | - | - | -",
                "39.4 39.3 39.2 93.1 39.0 38.9 38.8 38.7 38.6 38.5 | - | - | -"
            })
    void aReadingThatLeapsIsFound(String typed, Double mixing, Double sure, Double found) {
        List<Double> values =
                Arrays.stream(typed.split(" ")).map(Double::parseDouble).toList();
        List<Reading> readings = IntStream.range(0, values.size())
                .mapToObj(i -> new Reading(30.0 * i, values.get(i)))
                .toList();
        assertThat(Leaping.last(
                                readings,
                                mixing == null ? OptionalDouble.empty() : OptionalDouble.of(mixing),
                                sure == null ? Set.of() : Set.of(sure))
                        .map(Reading::seconds)
                        .orElse(null))
                .isEqualTo(found);
    }
}

package lab.sassafras.app.probes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows of a batch, whether it is read in one go or, because something is amiss, line by line. */
class RowsTest {

    private static final String GOOD = "{\"probe\": \"cup\", \"t\": 1.5, \"value\": 21.25, \"unit\": \"°C\"}";

    private static Rows read(String body) {
        return Rows.of(body.getBytes(StandardCharsets.UTF_8), false);
    }

    /** What stands between two good rows, which are kept whatever it is; ~ ends a line, ^ returns. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '`',
            value = {
                "{\"t\": 2, \"value\": 300, \"unit\": \"K\"};3;",
                "{\"t\": 2, \"value\": \"21.5\"};3;",
                "{\"value\": 21, \"t\": -2e0}~~ ;3;",
                "  {\"t\": 2, \"value\": 21} ^;3;",
                "{\"t\": 2, \"value\": 21}{\"t\": 3, \"value\": 22};2;2",
                "{\"t\": 2,~\"value\": 21};2;2,3",
                "{\"t\": 2, \"value\": 21;2;2",
                "{\"t\": 2, \"t\": 3, \"value\": 21};2;2",
                "{\"t\": 2, \"value\": {\"a\": 21}};2;2",
                "{\"t\": 2, \"value\": [21]};2;2",
                "{\"t\": 2, \"value\": NaN};2;2",
                "{\"t\": 2, \"value\": 9.9E37};2;2",
                "{\"t\": 2, \"value\": 1e999};2;2",
                "{\"t\": 1e12, \"value\": 21};2;2",
                "{\"t\": 2, \"value\": 21, \"unit\": \"hPa\"};2;2",
                "{\"t\": 2, \"value\": 21, \"colour\": \"red\"};2;2",
                "{\"t\": 2};2;2",
                "[];2;2",
                "null;2;2",
                "};2;2",
            })
    void whatIsAmissIsRefusedByItsNumberAndTheRestIsKept(String between, int kept, String refused) {
        Rows rows = read(GOOD + "\n" + between.replace('~', '\n').replace('^', '\r') + "\n" + GOOD);
        assertThat(rows.rows())
                .hasSize(kept)
                .contains(rows.rows().get(0), rows.rows().get(kept - 1));
        assertThat(rows.rows().get(0).value()).isEqualTo(21.25);
        assertThat(rows.rows().get(0).probe()).isEqualTo("cup");
        assertThat(rows.refused().first().stream()
                        .map(each -> String.valueOf(each.row()))
                        .collect(Collectors.joining(",")))
                .isEqualTo(refused == null ? "" : refused);
    }

    @Test
    void aBatchHoldsSoManyRowsAndNoMore() {
        List<String> all =
                IntStream.rangeClosed(0, Rows.MOST).mapToObj(any -> GOOD).toList();
        assertThat(read(String.join("\n", all.subList(1, all.size()))).rows()).hasSize(Rows.MOST);
        assertThatThrownBy(() -> read(String.join("\n", all))).isInstanceOf(Rows.TooMany.class);
        assertThat(read("").rows()).isEmpty();
    }

    /** The same numbers as this language reads them, to the last digit. */
    @Test
    void numbersAreReadToTheLastDigit() {
        Random random = new Random(23);
        for (int i = 0; i < 2_000; i++) {
            String t = String.valueOf(random.nextDouble() * Math.pow(10, random.nextInt(10)));
            assertThat(read("{\"t\": " + t + ", \"value\": 20}").rows().get(0).t())
                    .isEqualTo(Double.parseDouble(t));
        }
    }
}

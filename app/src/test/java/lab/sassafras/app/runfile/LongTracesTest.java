package lab.sassafras.app.runfile;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Objects;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.settings.Limits;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.context.properties.source.MapConfigurationPropertySource;
import tools.jackson.databind.json.JsonMapper;

/** Readings of a trace never become a tree, and are checked in the schema's words all the same. */
class LongTracesTest {

    private static final String ROWS = "\"readings\" : [";

    private final RunFileReader reader = new RunFileReader();

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[1], | readings[0] must be a second and a temperature",
                "[1, 20, 3], | readings[0] must be a second and a temperature",
                "[1, 20], 7, | readings[1] must be a list",
                "[1, 20], [-1, 20], | readings[1][0] must be a second from 0 to 9999999",
                "[10000000, 20], | readings[0][0] must be a second from 0 to 9999999",
                "[\"1\", 20], | readings[0][0] must be a finite number",
                "[1, true], | readings[0][1] must be a temperature, as typed or as a number",
                "[1, null], | readings[0][1] must be a temperature, as typed or as a number",
                "[1, [20]], | readings[0][1] must be a temperature, as typed or as a number",
                "[1, \"1234567890123456789012345\"], | readings[0][1] must be a temperature, as typed or as a number",
                "[1, 1e400], | beyond what one can be",
            })
    void aRowThatIsNoneIsToldByItsPlace(String rows, String said) throws IOException {
        String file = example().replace(ROWS, ROWS + rows);
        assertThatThrownBy(() -> reader.read(file.getBytes(UTF_8)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(said);
    }

    @Test
    void whatStandsInThePlaceOfReadingsIsToldByTheSchema() throws IOException {
        String file = example().replaceFirst("(?s)\"readings\" : \\[.*?\\] \\]", "\"readings\" : { \"0\" : 20 }");
        assertThatThrownBy(() -> reader.read(file.getBytes(UTF_8))).hasMessageContaining("readings must be a list");
    }

    /** As many readings as the house takes, and not one more. */
    @Test
    void aMillionReadingsAreRead() throws IOException {
        Limits limits = new Binder(new MapConfigurationPropertySource(Map.of())).bindOrCreate("none", Limits.class);
        assertThat(limits.readings()).isEqualTo(TraceRow.MOST).isEqualTo(1_000_000);
        String rows = "[9,20],".repeat(TraceRow.MOST);
        String full = example()
                .replaceFirst("(?s)\"readings\" : \\[.*?\\] \\]", ROWS + rows.substring(0, rows.length() - 1) + "]");
        assertThat(reader.read(full.getBytes(UTF_8)).traces().values())
                .anySatisfy(trace -> assertThat(trace.readings()).hasSize(TraceRow.MOST));
        assertThatThrownBy(
                        () -> reader.read(full.replace(ROWS, ROWS + "[9,20],").getBytes(UTF_8)))
                .hasMessageContaining("readings holds more than 1000000 items");
    }

    @Test
    void whatIsBesideTheReadingsIsBounded() throws IOException {
        String many = "0,".repeat(WithoutReadings.MOST_TOKENS);
        assertThatThrownBy(() -> reader.read(example()
                        .replaceFirst("\\{", "{ \"x\" : [" + many + "0],")
                        .getBytes(UTF_8)))
                .hasMessageContaining("more than any run does beside its readings");
        assertThat(WithoutReadings.MOST_TOKENS).isEqualTo(1_000_000);
    }

    /** However a file is laid out it is the same file: by its hash as a tree, by which books know it. */
    @Test
    void theHashIsThatOfTheTree() throws IOException {
        JsonMapper json = new JsonMapper();
        byte[] compact = json.writeValueAsBytes(json.readTree(example()));
        assertThat(reader.digest(example().getBytes(UTF_8)))
                .isEqualTo(Hashes.of(compact))
                .isEqualTo(reader.digest(compact));
    }

    private static String example() throws IOException {
        try (InputStream in = LongTracesTest.class.getResourceAsStream("/demo/16-iron-on-a-clock.json")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), UTF_8);
        }
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/** A change of the house changes no number: every one of every example and demo file, against a recording. */
class RecordedNumbersTest extends HouseTest {

    private static final Path RECORDED = Path.of("src/test/resources/recorded/numbers.csv");
    private static final List<Path> FOLDERS = List.of(Path.of("../docs/examples"), Path.of("src/main/resources/demo"));

    private static final Pattern OTHER_SCHOOL = Pattern.compile("/alternatives/([a-z-]+):([^/]+)(/.*)");

    static List<String> files() throws IOException {
        return Files.readAllLines(RECORDED).stream()
                .filter(line -> !line.startsWith("#"))
                .map(line -> line.split(";")[0])
                .distinct()
                .toList();
    }

    @ParameterizedTest
    @MethodSource("files")
    void everyNumberIsAsRecorded(String file) throws IOException {
        Path path = FOLDERS.stream()
                .map(folder -> folder.resolve(file))
                .filter(Files::exists)
                .findFirst()
                .orElseThrow();
        JsonNode answer = JsonMapper.builder()
                .build()
                .readTree(reduce(Files.readString(path)).body());
        for (String line : Files.readAllLines(RECORDED)) {
            String[] cell = line.split(";");
            if (cell[0].equals(file)) {
                double recorded = Double.parseDouble(cell[2]);
                assertThat(at(answer, cell[1]).isNumber()).as(cell[1]).isTrue();
                assertThat(at(answer, cell[1]).asDouble())
                        .as(cell[1])
                        .isCloseTo(recorded, within(1e-12 * Math.max(1e-300, Math.abs(recorded))));
            }
        }
    }

    /** What stands at a place; another school by its name, so that a new one moves nothing. */
    static JsonNode at(JsonNode answer, String place) {
        Matcher other = OTHER_SCHOOL.matcher(place);
        if (!other.matches()) {
            return answer.at(place);
        }
        for (JsonNode each : answer.get("alternatives")) {
            if (each.get("question").asString().equals(other.group(1))
                    && each.get("school").asString().equals(other.group(2))) {
                return each.at(other.group(3));
            }
        }
        return MissingNode.getInstance();
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Templates, styles and comments are read by people, side by side with their differences. */
class LongLinesTest {

    private static final int LONGEST = 150;

    static Stream<Path> files() throws IOException {
        return Stream.of("templates", "static/css")
                .map(folder -> Path.of("src/main/resources").resolve(folder))
                .flatMap(LongLinesTest::below)
                .filter(path -> path.toString().matches(".*\\.(html|css)"));
    }

    private static Stream<Path> below(Path folder) {
        try {
            return Files.walk(folder);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("files")
    void noLineIsLongerThanAHundredAndFifty(Path file) throws IOException {
        assertThat(Files.readAllLines(file)).allSatisfy(line -> assertThat(line).hasSizeLessThanOrEqualTo(LONGEST));
    }

    /** What is code the formatter folds; what is said beside it, nobody but this. */
    @Test
    void noCommentIsLongerThanAHundredAndTwenty() {
        assertThat(Stream.of("../core/src", "src")
                        .map(Path::of)
                        .flatMap(LongLinesTest::below)
                        .filter(path -> path.toString().endsWith(".java"))
                        .flatMap(LongLinesTest::comments))
                .allSatisfy(line -> assertThat(line).hasSizeLessThanOrEqualTo(120));
    }

    private static Stream<String> comments(Path file) {
        try {
            return Files.readAllLines(file).stream().filter(line -> line.matches("\\s*(\\*|/\\*|//).*"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}

package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** Lines of numbers against those kept in a file beside a test, to a millionth: what a fit moves by its last step. */
public final class Recorded {

    private static final double LEAST = 1e-6;

    private Recorded() {}

    /** {@return numbers as they are recorded} */
    public static String numbers(double... values) {
        return DoubleStream.of(values)
                .mapToObj(each -> String.format(Locale.ROOT, "%.7g", each))
                .collect(Collectors.joining(" "));
    }

    /** Says which line is the first that is another than the recorded one; no further ones are worked out. */
    public static void same(Stream<String> now, Class<?> beside, String file) {
        List<String> recorded;
        try (InputStream stream = Objects.requireNonNull(beside.getResourceAsStream(file))) {
            recorded = new String(stream.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
        Iterator<String> lines = now.iterator();
        for (String then : recorded) {
            assertThat(lines.hasNext()).as(then).isTrue();
            same(lines.next(), then);
        }
        assertThat(lines.hasNext()).as("more than was recorded").isFalse();
    }

    private static void same(String now, String then) {
        String[] words = now.split("[; ]", -1);
        String[] before = then.split("[; ]", -1);
        assertThat(words).as(then).hasSameSizeAs(before);
        for (int i = 0; i < words.length; i++) {
            if (words[i].matches("-?\\d.*e?.*") && before[i].matches("-?[\\d.]+(e[-+]?\\d+)?")) {
                double value = Double.parseDouble(before[i]);
                assertThat(Double.parseDouble(words[i]))
                        .as(then)
                        .isCloseTo(value, within(LEAST * Math.max(LEAST, Math.abs(value))));
            } else {
                assertThat(words[i]).as(then).isEqualTo(before[i]);
            }
        }
    }
}

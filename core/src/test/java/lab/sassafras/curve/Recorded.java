package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

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

    /** Says which line is another than the recorded one. */
    public static void same(List<String> now, Class<?> beside, String file) {
        List<String> recorded;
        try (InputStream stream = Objects.requireNonNull(beside.getResourceAsStream(file))) {
            recorded = new String(stream.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
        assertThat(now).hasSameSizeAs(recorded);
        for (int i = 0; i < now.size(); i++) {
            same(now.get(i), recorded.get(i));
        }
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

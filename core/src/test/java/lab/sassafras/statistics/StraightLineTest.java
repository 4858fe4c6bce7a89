package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The line through trials against the certified values of NIST's Statistical Reference Datasets (certified values from
 * memory of their files; the data come from a registry package that carries them).
 */
class StraightLineTest {

    private static final String CARRIER = "/org/apache/commons/math3/stat/regression/SimpleRegressionTest.java";

    @ParameterizedTest
    @CsvSource({
        "data, 36, false, 1.00211681802045, 0.429796848199937e-3",
        "noint1, 11, true, 2.07438016528926, 0.165289256198347e-1",
        "noint2, 3, true, 0.727272727272727, 0.420827318078432e-1"
    })
    void slopesOfTheReferenceDatasets(String name, int points, boolean throughZero, double slope, double error)
            throws IOException {
        StraightLine line = line(name);
        assertThat(line.points()).isEqualTo(points);
        assertThat(throughZero ? line.throughZero() : line.slope()).isCloseTo(slope, within(1e-12));
        assertThat(throughZero ? line.throughZeroUncertainty() : line.slopeUncertainty())
                .isCloseTo(error, within(1e-12));
    }

    @Test
    void interceptOfNorris() throws IOException {
        assertThat(line("data").intercept()).isCloseTo(-0.262323073774029, within(1e-10));
        assertThat(line("data").interceptUncertainty()).isCloseTo(0.232818234301152, within(1e-10));
        assertThat(line("data").missesZero()).isFalse();
    }

    @Test
    void fewerThanThreeTrialsOrEqualAmountsMakeNoLine() {
        assertThat(StraightLine.of(List.of(0.1, 0.2), List.of(1.0, 2.0))).isEmpty();
        assertThat(StraightLine.of(List.of(0.1, 0.1, 0.1), List.of(1.0, 2.0, 1.5)))
                .isEmpty();
    }

    /** The rows {y, x} of one data set, read from the package that carries it. */
    private static StraightLine line(String name) throws IOException {
        String source;
        try (InputStream in = StraightLineTest.class.getResourceAsStream(CARRIER)) {
            source = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        int from = source.indexOf("double[][] " + name + " = {");
        Matcher row = Pattern.compile("\\{\\s*([\\d.]+)\\s*,\\s*([\\d.]+)\\s*}")
                .matcher(source.substring(from, source.indexOf("};", from)));
        List<Double> x = new ArrayList<>();
        List<Double> y = new ArrayList<>();
        while (row.find()) {
            y.add(Double.parseDouble(row.group(1)));
            x.add(Double.parseDouble(row.group(2)));
        }
        return StraightLine.of(x, y).orElseThrow();
    }
}

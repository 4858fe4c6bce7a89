package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;

/** A picture is SVG that stands by itself. */
class SvgTest {

    private static final Pattern NUMBER = Pattern.compile("[ML](-?[0-9.]+) (-?[0-9.]+)");

    private static void isWellFormed(String svg) {
        assertThatCode(() -> DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8))))
                .as(svg)
                .doesNotThrowAnyException();
        assertThat(svg)
                .startsWith("<svg")
                .contains("http://www.w3.org/2000/svg")
                .doesNotContain("<pattern", "url(#");
    }

    @Test
    void whateverWordsStandInItItIsWellFormed() {
        isWellFormed(PartsPicture.of(List.of(new PartsPicture.Of(0.4, "warmed"), new PartsPicture.Of(0.6, "supposed")))
                .svg("\"Where\" <12.5> kJ & more went"));
    }

    /** What is only supposed is hatched, by strokes that end at its edges. */
    @Test
    void strokesEndAtTheEdges() {
        String svg = Svg.picture("", 100, 50)
                .add(Svg.hatchedRect("piece", 10, 5, 60, 40))
                .written();
        isWellFormed(svg);
        String strokes = svg.replaceAll(".*class=\"hatch\" d=\"([^\"]*)\".*", "$1");
        assertThat(NUMBER.matcher(strokes).results().toList())
                .hasSizeGreaterThan(16)
                .allSatisfy(end -> {
                    assertThat(Double.parseDouble(end.group(1))).isBetween(11.5, 68.5);
                    assertThat(Double.parseDouble(end.group(2))).isBetween(6.5, 43.5);
                });
        assertThat(Svg.picture("", 9, 9)
                        .add(Svg.hatchedRect("piece", 0, 0, 2, 9))
                        .written())
                .as("too narrow for a stroke")
                .contains("class=\"hatch\" d=\"\"");
    }
}

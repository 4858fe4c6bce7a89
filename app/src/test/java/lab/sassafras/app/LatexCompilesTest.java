package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The working of every example and demo run, set by KaTeX at its strictest. */
class LatexCompilesTest extends HouseTest {

    @Tag("browser")
    @Test
    void everyWorkingIsSetWithoutAComplaint() throws IOException {
        String katex = Files.readString(Path.of("src/test/resources/katex/katex.min.js"));
        try (BenchBrowser browser = browser()) {
            browser.page().navigate("about:blank");
            browser.page().evaluate(katex + "; window.katex = katex;");
            List<String> workings = workings();
            assertThat(workings).hasSizeGreaterThan(30);
            for (String latex : workings) {
                assertThat(browser.page()
                                .evaluate(
                                        "latex => { try { katex.renderToString(latex, {strict: 'error', throwOnError: "
                                                + "true, displayMode: true}); return 'set'; } catch (e) { return e.message; } }",
                                        latex))
                        .as(latex)
                        .isEqualTo("set");
            }
        }
    }

    private List<String> workings() throws IOException {
        List<String> all = new ArrayList<>();
        for (Path folder : List.of(Path.of("../docs/examples"), Path.of("src/main/resources/demo"))) {
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file :
                        files.filter(each -> each.toString().endsWith(".json")).toList()) {
                    for (JsonNode trial : JsonMapper.builder()
                            .build()
                            .readTree(reduce(Files.readString(file)).body())
                            .path("trials")) {
                        String latex = trial.path("workingLatex").asString("");
                        if (!latex.isEmpty()) {
                            all.add(latex);
                        }
                    }
                }
            }
        }
        return all;
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The experiments that only declare themselves, through file, API and page. */
class NewExperimentsTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * Worked by hand from the readings in the files, cup ignored: 148.20 · 4.184 · 19.0 ÷ 30.14 − 4.184 · 13.4 = 334.8;
     * 96.40 · 0.385 · 63.8 ÷ (71.25 · 12.9) = 2.576; 182.40 · 4.184 · 23.3 ÷ 7.06 − 4.184 · 62.1 = 2258.8;
     * 104.47 · 4.184 · 3.7 ÷ 0.11254 = 14.37 and 105.71 · 4.184 · 2.8 ÷ 0.08431 = 14.69, mean 14.53.
     */
    @ParameterizedTest
    @CsvSource({"5-ice.json, 334.8, 0.1, J/g", "6-liquid.json, 2.576, 0.001, J/(g·°C)", "7-steam.json, 2258.8, 0.3, J/g",
            "8-salt.json, 14.53, 0.01, kJ/mol"})
    void aFileIsWorkedOutToTheHandWorkedNumber(String file, double value, double off, String unit) {
        JsonNode answer = JSON.readTree(reduce(new String(demo(file), StandardCharsets.UTF_8)).body());
        assertThat(answer.at("/unknown/value").asDouble()).isCloseTo(value, within(off));
        assertThat(answer.at("/unknown/unit").asString()).isEqualTo(unit);
        double sum = 0;
        for (JsonNode heat : answer.at("/trials/0/heats")) {
            sum += heat.get("heat").asDouble();
        }
        assertThat(sum).isCloseTo(0, within(1e-6));
    }

    @Test
    void aHeatOfSolutionShowsItsSignItsGramsAndItsReference() {
        Entry entry = imported("8-salt.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Alder").open("/entries/" + entry.id() + "/result");
            assertThat(browser.text("h1.result")).startsWith("+14.53 ± 0.16 kJ/mol");
            assertThat(browser.text(".page.right")).contains("endothermic, and ΔH is positive", "heat of solution per gram weighed",
                    "+268.7", "infinite dilution", "the water alone").doesNotContain("does not lie between");
            browser.page().click(".tabs-line a:has-text('trial 2')");
            assertThat(browser.text("#working")).contains("n(solid)", "4.51 g ÷ 53.49", "kJ/mol, taken up");
        }
        JsonNode derived = JSON.readTree(reduce(new String(demo("8-salt.json"), StandardCharsets.UTF_8)).body()).at("/trials/0/derived");
        assertThat(derived.get(0).get("unit").asString()).isEqualTo("J/g");
        assertThat(derived.get(0).get("value").asDouble()).isCloseTo(268.7, within(0.1));
    }
}

package lab.sassafras.app.general;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import lab.sassafras.app.BenchBrowser;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What comes next, declared in the tests alone: a trace, half differences, a direct account, a line as result. */
class CapacityFromWarmingTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String TRACE = "0 20.00; 60 21.20; 120 22.40; 180 23.60";

    @Tag("browser")
    @Test
    void halfADifferenceWaitsForItsOtherHalfAndTheSlopeIsTheResult() {
        equip("warming");
        Vessel dish =
                calorimeters.add("dish 1", Experiments.vessel("ceramic-dish").orElseThrow());
        assertThat(dish.kind().words()).isEqualTo("ceramic dish");
        InstrumentKind kind = Experiments.instrumentOrUnknown("POWER_METER");
        Instrument meter = instruments.add(new Instrument("", "meter W-1", kind, kind.unit(), 0.01, 0, 60, 0.01, 0));
        assertThat(get("/shelf/new/instrument").body()).contains("power meter");
        Period period = period("Warming");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Alder");
            browser.page().check("input[value=capacity-from-warming]");
            browser.page().selectOption("#vessel", dish.id().toString());
            browser.page().selectOption("#power_meter", meter.key());
            browser.page().click("button.act");
            browser.expectAsked("Weigh the dish empty").give("120.00");
            browser.expectAsked("Power");
            assertThat(browser.page().inputValue("#instrument")).isEqualTo(meter.key());
            browser.give("1.50");
            browser.expectAsked("Temperatures").give("0 20; 60");
            assertThat(browser.text(".problem")).contains("no time and temperature");
            browser.page().fill("#text", "");
            browser.give(TRACE).expectAsked("with its sand").give("119.00");
            assertThat(browser.text(".problem")).contains("Full (119.00) is less than empty (120.00)");
            browser.page().fill("#text", "");
            browser.give("180.00").expectAsked("All read");
            assertThat(browser.text(".sheet")).contains("dish, empty", "dish with sand", "60.00", "4 readings");
        }
        Entry entry = entryBook.of(period).get(0);
        assertThat(get("/entries/" + entry.id() + "/result?open=all").body()).contains("There are too few trials");

        String three =
                withTwoMoreTrials(get("/entries/" + entry.id() + "/run.json").body());
        JsonNode reduced = JSON.readTree(reduce(three).body());
        // P = 50 J/°C · rate + 0.5 W lost, at 0.02, 0.04 and 0.06 °C/s
        assertThat(reduced.at("/unknown/value").asDouble()).isCloseTo(50, within(1e-6));
        assertThat(reduced.at("/samples/0/line/unit").asString()).isEqualTo("W against °C/s");
        assertThat(reduced.at("/trials/0/value").asDouble()).isCloseTo(75, within(1e-6));
        assertThat(reduced.at("/trials/0/derived/0/value").asDouble()).isCloseTo(75.0 / 60, within(1e-6));
        assertThat(reduced.at("/findings").toString()).contains("warming.told");
        assertThat(three).contains("\"kind\" : \"power meter\"");
        assertThat(reduced.at("/agreement/reference").asString()).contains("this dish, found before");

        Entry again = imports.take(three.getBytes(StandardCharsets.UTF_8), "warming.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + again.id() + "/run.json").body()).isEqualTo(three);
        assertThat(get("/entries/" + again.id() + "/result?open=all").body())
                .contains("Power against rate of temperature change", "the slope of the line through the trials");
    }

    private static String withTwoMoreTrials(String file) {
        ObjectNode run = (ObjectNode) JSON.readTree(file);
        run.put("trials", 3);
        ArrayNode observations = (ArrayNode) run.get("observations");
        int first = observations.size();
        for (int trial = 2; trial <= 3; trial++) {
            for (int i = 0; i < first; i++) {
                ObjectNode copy = ((ObjectNode) observations.get(i)).deepCopy();
                copy.put("id", "o" + (observations.size() + 1));
                copy.put("at", copy.get("at").asString().replace("[1]", "[" + trial + "]"));
                if (copy.get("at").asString().startsWith("heater")) {
                    copy.put("text", trial == 2 ? "2.50" : "3.50");
                } else if (copy.get("at").asString().startsWith("run")) {
                    copy.put("text", trial == 2 ? "0 20.00; 60 22.40; 120 24.80" : "0 20.00; 60 23.60; 120 27.20");
                }
                observations.add(copy);
            }
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(run);
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheets;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A curve in which nothing is mixed: its clock, its file, its strip and what it tells. */
class HeatingCurvePagesTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    private EntrySheets sheets;

    /** A run with everything but its curve, and the readings of the example worked by hand. */
    private record Begun(Hand hand, String entry) {

        UUID id() {
            return UUID.fromString(entry.replaceAll(".*/", ""));
        }
    }

    private Begun begun() {
        Hand hand = new Hand(address(""));
        hand.join(hand.openPeriod("Melting"), "Alder");
        String entry = hand.begin("heating-curve");
        String[][] values = {
            {"sample[1]/name", "stated", "tube 7", ""},
            {"sample[1]/substance", "stated", "fusion-of-lauric-acid", ""},
            {"sample[1]/mass", "read", "20.15", "g"},
            {"sample[1]/way", "stated", "heater", ""},
            {"heater[1]/voltage", "read", "12.00", "V"},
            {"heater[1]/current", "read", "0.500", "A"},
            {"room[1]/temperature", "read", "21.0", "°C"}
        };
        for (String[] each : values) {
            assertThat(hand.keep(entry, UUID.randomUUID(), each[0], each[1], each[2], each[3])
                            .statusCode())
                    .as(each[0])
                    .isEqualTo(302);
        }
        return new Begun(hand, entry);
    }

    private static String csv() {
        JsonNode readings = JSON.readTree(example("heating-curve")).at("/traces/trace-1/readings");
        return "seconds,temperature\n"
                + readings.valueStream()
                        .map(each -> each.get(0).asInt() + "," + each.get(1).asString())
                        .collect(Collectors.joining("\n"));
    }

    private void brought(Begun run) {
        HttpResponse<String> shown = run.hand()
                .upload("/import/clock?trial=1&entry=" + run.id(), "tube.csv", csv().getBytes(StandardCharsets.UTF_8));
        Matcher waits = Pattern.compile("name=\"pending\" value=\"([^\"]+)\"").matcher(shown.body());
        assertThat(waits.find()).as(shown.body()).isTrue();
        assertThat(run.hand()
                        .post(run.entry() + "/clock/file/keep", "trial=1&what=keep&pending=" + waits.group(1))
                        .statusCode())
                .isEqualTo(302);
    }

    /** A clock is what its trial is read from as soon as it begins; while it tells nothing, the run leads to it. */
    @Test
    void aClockIsReadFromAtOnceAndTheRunSaysWhatItWantsYet() {
        Begun run = begun();
        Hand hand = run.hand();
        assertThat(hand.get(run.entry() + "/clock").body())
                .contains("Hot wax and melts burn and stick", "go on well after")
                .doesNotContain("before mixing and after it", "The room");
        hand.post(run.entry() + "/clock", "key=" + UUID.randomUUID() + "&trial=1&every=20");
        assertThat(observationBook.of(run.id()).standingAt("run[1]/curve"))
                .singleElement()
                .extracting(Observation::text)
                .asString()
                .doesNotContain("mixing");
        assertThat(hand.get(run.entry()).body())
                .contains("Read on", "takes at least 10 readings", "Go on with timed readings")
                .doesNotContain("All read");
        hand.post(run.entry() + "/clock", "key=" + UUID.randomUUID() + "&trial=1&every=30");
        List<Observation> uses = observationBook.of(run.id()).at("run[1]/curve");
        assertThat(uses).as("started again: corrected, nothing lost").hasSize(2);
        assertThat(observationBook.of(run.id()).standingAt("run[1]/curve"))
                .extracting(Observation::id)
                .containsExactly(uses.get(1).id());
    }

    /** By the rates alone, without the loss being told: within what the example with it gives, and wider. */
    @Test
    void aFileTellsWhereItMeltsAndHowMuchHeatThatTakes() {
        Begun run = begun();
        brought(run);
        Entry entry = entryBook.find(run.id()).orElseThrow();
        double heat = sheets.of(entry).reduction().result().orElseThrow().value();
        assertThat(heat).isCloseTo(181.4, within(12.0));
        String strip = run.hand().get(run.entry() + "/strip").body();
        assertThat(strip)
                .contains("stands still", "What the curve tells", "melting or freezing temperature", "43.7")
                .doesNotContain("Methods of reading it", "When it was mixed", "mixing is not marked");
        assertThat(run.hand().get(run.entry() + "/result?open=all").body())
                .contains("They agree within the uncertainty", "heat of fusion of lauric acid");
        assertThat(run.hand().get(run.entry()).body()).contains("All read");
    }

    @Tag("browser")
    @ParameterizedTest
    @CsvSource({"1280, 800, /strip?trial=2", "820, 1180, /clock", "390, 844, /strip?over=true"})
    void itsPagesFitAndAreReadOut(int width, int height, String looked) {
        Entry entry = imported("21-two-tubes.json");
        try (BenchBrowser browser = browser()) {
            Page page = browser.join(entry.period().id(), entry.bench().name()).page();
            page.setViewportSize(width, height);
            for (String path : List.of("/strip?over=true", "/strip?trial=2", "/clock", "/result")) {
                browser.open("/entries/" + entry.id() + path);
                if (path.equals(looked)) {
                    assertThat(browser.axe()).as(path).isEmpty();
                }
                assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                        .as(path)
                        .isLessThanOrEqualTo(width);
            }
        }
    }

    /** By the keyboard alone: begun, read, and looked at. */
    @Tag("browser")
    @Test
    void aReadingIsTypedAndEntered() {
        Begun run = begun();
        try (BenchBrowser browser = browser()) {
            Page page = browser.join(run.hand().period(), "Alder").page();
            browser.open(run.entry() + "/clock");
            browser.tabTo("#every").press("Control+a").type("20").enter();
            page.waitForSelector("#text:focus");
            String key = page.inputValue("form.answer [name=key]");
            browser.type("15.0").enter();
            page.waitForFunction("old => document.querySelector('form.answer [name=key]').value !== old", key);
            assertThat(browser.text(".clock-rows")).contains("15.0");
            assertThat(page.isVisible("text=Now Space")).as("nothing to mark").isFalse();
            assertThat(page.innerText("#region-asking")).contains("Hot wax and melts burn and stick");
        }
    }
}

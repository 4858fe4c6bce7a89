package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;

/** What cannot be is refused with a word, at its place, and nothing else is lost. */
@Tag("long")
class BadInputTest extends HouseTest {

    @Tag("browser")
    @Test
    void aRefusedReadingStaysInItsFieldWithTheReason() {
        Entry begun = imported("4-still-at-the-bench.json");
        int before = observationBook.of(begun.id()).all().size();
        try (BenchBrowser browser = browser()) {
            browser.join(begun.period().id(), "Hawthorn").open("/entries/" + begun.id());
            for (String wrong : new String[] {"", "warm", "2.1.3", "1e400", "NaN", "21,3", "-300"}) {
                browser.page().fill("#text", "");
                browser.give(wrong);
                assertThat(browser.text(".problem")).as(wrong).hasSizeGreaterThan(20);
                assertThat(browser.page().inputValue("#text")).isEqualTo(wrong);
            }
            browser.page().fill("#text", "");
            browser.give("150.0").expectAsked("settled");
            assertThat(browser.text(".sure")).contains("150.0 °C? Thermometer R-5 reads");
            browser.give("150.0").expectAsked("settled").press("y");
            browser.page().waitForSelector("button.moment");
            browser.expectAsked("Move the solid");
            browser.open("/entries/" + begun.id() + "/result?open=all");
            assertThat(browser.text(".findings")).contains("150.0 °C, lies outside the range of thermometer R-5");
        }
        assertThat(observationBook.of(begun.id()).all()).hasSize(before + 1);
    }

    @Tag("browser")
    @Test
    void anUnreachableServerLosesNothing() {
        Entry begun = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.allowing("ERR_FAILED").join(begun.period().id(), "Hawthorn").open("/entries/" + begun.id());
            int[] asked = {0};
            boolean[] back = {false};
            browser.page().route(Pattern.compile(".*/(observations|notes)"), route -> {
                if (back[0]) {
                    route.resume();
                    return;
                }
                // the first is lost on the way there, those after it on the way back
                if (asked[0]++ > 0) {
                    route.fetch();
                }
                route.abort();
            });
            browser.type("21.4").enter();
            browser.page().waitForSelector(".outbox-panel:has-text('1 not delivered since')");
            assertThat(browser.page().inputValue("#text")).isEqualTo("21.4");
            assertThat(browser.page().querySelector("form.answer").getAttribute("inert"))
                    .as("no other value is taken in its place")
                    .isNotNull();
            browser.page().fill("#note", "The lid was off for a while.");
            browser.page().click("button:has-text('Write it down')");
            browser.page().waitForSelector(".outbox-panel:has-text('2 not delivered since')");
            browser.page().waitForSelector(".outbox-panel:has-text('Note: The lid was off')");
            assertThat(browser.axe()).isEmpty();
            back[0] = true;
            browser.page().waitForFunction("() => document.querySelector('#ask-title').textContent.includes('Move')");
            assertThat(browser.text(".notes")).containsOnlyOnce("The lid was off for a while.");
            assertThat(observationBook.of(begun.id()).at("water[1]/start"))
                    .singleElement()
                    .satisfies(kept -> assertThat(kept.text()).isEqualTo("21.4"));
        }
    }

    @Tag("browser")
    @Test
    void namesAreShownAsTypedAndKeptToAReadableLength() {
        Period period = period("<script>alert(1)</script> & co");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "<b>Elm</b>");
            assertThat(browser.text(".here")).contains("<script>alert(1)</script> & co · bench <b>Elm</b>");
            browser.open("/periods/" + period.id());
            browser.page().fill("#name", "x".repeat(10_000));
            browser.page().click("button:has-text('Sit down')");
            assertThat(browser.text(".problem")).contains("at most 60 characters; this one has 10000");
            assertThat(browser.page().inputValue("#name")).hasSize(10_000);
        }
        assertThat(periodBook.benches(period)).hasSize(1);
    }

    @Tag("browser")
    @Test
    void aNewPeriodKeepsWhatWasTypedBesideWhatIsWrong() {
        try (BenchBrowser browser = browser()) {
            browser.open("/periods");
            browser.page().fill("#date", "yesterday");
            browser.page().fill("#zone", "Atlantis");
            browser.page().click("button.act");
            assertThat(browser.text("#title-problem")).contains("title");
            assertThat(browser.text("#date-problem")).contains("year-month-day");
            assertThat(browser.text("#zone-problem")).contains("“Atlantis” is not a time zone");
            assertThat(browser.page().inputValue("#zone")).isEqualTo("Atlantis");
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{ | That is not a JSON file",
                "[] | The file must be an object",
                "{\"format\":\"other\"} | format must be “sassafras-run”",
                "\"method\": 1 => \"method\": \"1\" | method must be a whole number",
                "\"trials\": 1 => \"trials\": 0 | trials must be a whole number from 1 to 50",
                "\"version\": 1 => \"version\": 3 | version must be 1 or 2; a file of a later version needs a later "
                        + "program",
                "\"bench\": => \"bank\": | bank is not a field of a run file",
                "\"bench\": \"Alder\", => | bench is missing",
                "\"55.08\" => 55.08 | must be a text in quotes, so that 20.0 stays 20.0",
                "\"55.08\" => \"55,08\" | observations[1]: This lab period writes decimals with a point",
                "\"55.08\" => \"1e400\" | observations[1]: “1e400” is not a plain number",
                "\"unit\": \"g\", => | observations[1]: The unit is missing",
                "\"unit\": \"g\" => \"unit\": \"gggggggggggggggggggggggg\" | unit must have at most 20 characters",
                "\"unit\": \"g\" => \"uncertainty\": \"0.000000000000000000000001\" | uncertainty must have at most 24",
                "2026-11-18T18:47:40Z => +1000000000-01-01T00:00:00Z | begun must be a UTC instant",
                "cold[1]/mass => cold[7]/mass | There is no number 7 of cold",
                "\"point\" => \"dot\" | decimalMark must be",
                "\"foam-cup\" => \"tin\" | calorimeter.kind is not a kind of vessel known here",
                "\"instrument\": \"balance\" => \"instrument\": \"scale\" | names no instrument of this file",
                "\"role\": \"read\" => \"role\": \"guessed\" | must be read, gross, tare, volume, assumed or stated",
                "\"trials\": => \"calorimeters\": [], \"trials\": | calorimeters must be an object",
                "\"water\": \"4.184\" => \"change\": \"eyeball\" | names a convention unknown here, “change: eyeball”"
            })
    void aFileIsRefusedWithThePlaceWhereItIsWrong(String change, String said) {
        String file = new String(demo("3-too-much-for-a-cup.json"), StandardCharsets.UTF_8);
        String[] parts = change.split("=>", -1);
        String wrong = parts.length == 2
                ? file.replaceFirst(
                        java.util.regex.Pattern.quote(parts[0].strip()),
                        java.util.regex.Matcher.quoteReplacement(parts[1].strip()))
                : change;
        assertThat(wrong).isNotEqualTo(file);
        var answer = reduce(wrong);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(said);
    }

    @Tag("browser")
    @Test
    void aFileOfFiftyMegabytesIsAnsweredAndNotCutOff() throws Exception {
        byte[] mega = "[".repeat(1 << 20).getBytes(StandardCharsets.UTF_8);
        var answer = reduce(BodyPublishers.ofInputStream(() -> {
            InputStream body = InputStream.nullInputStream();
            for (int i = 0; i < 50; i++) {
                body = new SequenceInputStream(body, new ByteArrayInputStream(mega));
            }
            return body;
        }));
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("larger than 48 MB");

        Path large = Files.createTempFile("run", ".json");
        Files.write(large, new byte[50 << 20]);
        try (BenchBrowser browser = browser()) {
            browser.allowing("413").open("/import");
            browser.page().setInputFiles("#file", large);
            browser.page().click("button.act");
            assertThat(browser.text(".problem")).contains("larger than 48 MB", "Nothing was read from it");
        } finally {
            Files.delete(large);
        }
    }

    /** What a file says is a key of it stays on the line that says it was refused. */
    @Test
    @ExtendWith(OutputCaptureExtension.class)
    void aKeyWithALineBreakForgesNoLineOfTheLog(CapturedOutput log) {
        assertThat(reduce("{\"format\": \"sassafras-run\", \"a\\n2026-01-01 forged\": 1}")
                        .statusCode())
                .isEqualTo(422);
        assertThat(log.getOut()).contains("forged");
        assertThat(log.getOut().lines()).noneMatch(line -> line.startsWith("2026-01-01 forged"));
    }

    @Test
    void deeplyNestedJsonIsRefusedToo() {
        assertThat(reduce("[".repeat(100_000)).statusCode()).isEqualTo(422);
        assertThat(reduce("").statusCode()).isEqualTo(422);
    }

    @Test
    void aPageThatIsNotOursCannotChangeAnything() {
        int before = periodBook.all().size();
        var answer = send(HttpRequest.newBuilder(URI.create(address("/periods")))
                .header("Origin", "http://elsewhere.example")
                .header("Accept", "text/html")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("title=x")));
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("That was not done").doesNotContain("Exception");
        assertThat(periodBook.all()).hasSize(before);
    }
}

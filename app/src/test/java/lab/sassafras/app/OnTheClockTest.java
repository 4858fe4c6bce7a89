package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Temperatures read on a clock, and the change read from their strip. */
@Tag("browser")
class OnTheClockTest extends HouseTest {

    @Autowired
    private Traces traces;

    private Trace running(Entry entry, int seconds) {
        return traces.bringIn(
                entry.bench(),
                Trace.Channel.of(Trace.HAND),
                Optional.empty(),
                30,
                Instant.now().minusSeconds(seconds),
                List.of());
    }

    private static BenchBrowser reading(BenchBrowser browser, String text, String time) {
        browser.page().fill("#text", text);
        browser.page().fill("#time", time);
        Object key = browser.page().inputValue("form.answer [name=key]");
        browser.page().press("#text", "Enter");
        browser.page().waitForFunction("old => document.querySelector('form.answer [name=key]').value !== old", key);
        return browser;
    }

    @Test
    void everyReadingKeepsItsOwnTimeAndSpaceMarksTheMixing() {
        Entry entry = alone("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.page().click("text=Timed readings");
            browser.page().fill("#every", "often");
            browser.page().click("button:has-text('Start timed readings')");
            assertThat(browser.text("#every-problem")).contains("whole seconds");
            assertThat(browser.page().inputValue("#every")).isEqualTo("often");
            Trace trace = running(entry, 195);
            browser.open("/entries/" + entry.id() + "/clock");
            assertThat(browser.text(".clock-face")).matches("3:[12]\\d");
            // a quarter of a minute after the mark is late: it keeps its own time
            browser.page().waitForFunction("() => document.activeElement.id === 'text'");
            browser.type("21.6").enter();
            browser.page().waitForSelector(".clock-row");
            assertThat(browser.text(".clock-row")).matches("3:[12]\\d 21.6 °C");
            assertThat(browser.text(".echo")).matches("Recorded: 3:[12]\\d, 21.6 °C");
            assertThat(browser.page().locator(".echo polyline").count()).isEqualTo(1);
            assertThat((String) browser.page().evaluate("() => document.activeElement.id"))
                    .isEqualTo("text");
            reading(browser, "21.3", "2:30").page().waitForSelector(".clock-row:has-text('2:30')");
            reading(browser, "12.3", "1:30").page().waitForSelector(".clock-row:has-text('1:30')");
            assertThat(browser.text(".clock-row.missed")).isEqualTo("2:00 not read");
            reading(browser, "21.2", "1:30").page().waitForSelector(".clock-row.struck");
            assertThat(browser.text(".clock-row.struck")).isEqualTo("1:30 12.3 °C typed again");

            reading(browser, "21.3", "59:00").page().waitForSelector("#problem");
            assertThat(browser.text("#problem")).contains("59:00 has not come yet");
            assertThat(browser.page().inputValue("#time")).isEqualTo("59:00");
            reading(browser, "cold", "").page().waitForSelector("#problem:has-text('plain number')");
            browser.page().fill("#text", "");
            browser.press(" ");
            browser.page().waitForSelector(".clock-row.mixed");
            assertThat(traces.readings(trace.id())).hasSize(4);
            assertThat(observationBook.of(entry.id()).at("curve[1]/trace"))
                    .singleElement()
                    .satisfies(use -> assertThat(use.text()).matches(trace.id() + " from 0 to 86400 mixing 2?\\d+.*"));
            // the moment it asks for is told by the clock too
            assertThat(browser.open("/entries/" + entry.id()).text(".sheet"))
                    .contains("mixed at")
                    .doesNotContain("solid moved");
        }
    }

    @Test
    void theStripGivesTheChangeEveryWayAndIsMovedByHand() {
        Entry entry = alone(example("solid-with-solution-on-a-clock"), "run.json");
        String strip = "/entries/" + entry.id() + "/strip";
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hazel").open(strip);
            assertThat(browser.page().textContent("#strip-picture-title"))
                    .contains("From 21.00 to 69.00 °C, a change of +48.000 ±", "lines extrapolated");
            assertThat(browser.text(".strip-ways .in-force")).contains("lines extrapolated", "−200.6", "in use");
            assertThat(browser.text(".strip-ways"))
                    .contains("fits this curve", "heat loss integrated (Regnault–Pfaundler)", "Use");
            assertThat(browser.page().locator(".spot.hollow").count()).isEqualTo(2);

            // a stretch is moved with the arrow keys: the picture follows, and nothing is kept
            browser.page().click("summary:has-text('other stretches')");
            browser.page().focus("#afterFrom");
            browser.press("ArrowUp");
            browser.page().waitForSelector("[data-live=stretches]:has-text('4:30 to 9:00 after')");
            // and so is the end of a bar by the pointer
            BoundingBox grip = browser.page().locator(".grip").nth(2).boundingBox();
            browser.page().mouse().move(grip.x + 3, grip.y + 10);
            browser.page().mouse().down();
            browser.page().mouse().move(grip.x + 3 + 116, grip.y + 10, new Mouse.MoveOptions().setSteps(4));
            browser.page().mouse().up();
            browser.page().waitForFunction("() => /^5:[23]/.test(document.getElementById('afterFrom').value)");
            browser.page().waitForSelector("[data-live=stretches]:has-text('to 9:00 after')");
            browser.page().fill("#afterFrom", "4:30");
            browser.page().fill("#foreTo", "8:00");
            browser.press("Tab");
            browser.page().waitForSelector("[role=status]:has-text('each begins before it ends')");
            browser.page().fill("#foreTo", "2:30");
            browser.page().click("text=Take these");
            assertThat(browser.text("#stretches-problem")).contains("Say why");
            assertThat(browser.page().inputValue("#afterFrom")).isEqualTo("4:30");
            browser.page().fill("#reason", "stirred unevenly before");
            browser.page().click("text=Take these");
            browser.page().waitForSelector("text=chosen by hand");
            assertThat(get("/entries/" + entry.id() + "/run.json").body())
                    .contains("mixing 180 before 0 to 150 after 270 to 540", "stirred unevenly before");

            // another way is put in force from here, and a reading counts again
            browser.page().click("[aria-label^='Use: highest (lowest)']");
            browser.page().waitForSelector(".in-force:has-text('highest (lowest)')");
            assertThat(browser.page().url()).contains("/strip");
            browser.page().click("summary:has-text('as a table')");
            browser.page().click("tr:has-text('3:30') summary");
            browser.page().fill("tr:has-text('3:30') input[name=reason]", "it was a good one");
            browser.page().click("tr:has-text('3:30') button");
            browser.page().waitForFunction("() => document.querySelectorAll('.spot.hollow').length === 1");

            // the room is a reading of the period, and what is read from the curve goes by it
            String before = browser.text(".strip-ways tr:has-text('cooling curves extrapolated')");
            assertThat(browser.text("[data-live=why]")).contains("was not read");
            browser.open("/entries/" + entry.id() + "/clock");
            browser.page().click("text=Read the room");
            assertThat(browser.text("details[open]")).contains("does not count for this run");
            browser.page().fill("#room", "210");
            browser.page().press("#room", "Enter");
            assertThat(browser.text("#room-problem")).contains("210 °C is no room to work in");
            browser.page().fill("#room", "12.0");
            browser.page().press("#room", "Enter");
            browser.page().waitForSelector("text=read in this period");
            browser.open(strip);
            // read long after the run: kept for the period, and not of this run
            assertThat(browser.text("[data-live=why]")).doesNotContain("The room: 12.0 °C");
            assertThat(browser.text(".strip-ways tr:has-text('cooling curves extrapolated')"))
                    .isEqualTo(before);
            assertThat(get("/entries/" + entry.id() + "/run.json").body()).doesNotContain("\"room\"");

            // looked at closely, by a link or a key; the hairline reads the nearest reading
            browser.page().click(".looks a:has-text('Closer')");
            browser.page()
                    .waitForFunction(
                            "() => /Shown from 1:30 to 6:00/.test(document.querySelector('#strip-picture-title').textContent)");
            browser.press("-");
            browser.page()
                    .waitForFunction(
                            "() => !/Shown from 1:30/.test(document.querySelector('#strip-picture-title').textContent)");
            browser.page().click("summary:has-text('Your own pick')");
            browser.page().focus("#hair");
            browser.press("End");
            assertThat(browser.text("#hair-reads")).isEqualTo("9:00: 65.4 °C");
            browser.page().click("text=Take as after");
            assertThat(browser.page().inputValue("#end")).isEqualTo("65.4");
            browser.press("Escape");
            browser.page().click("summary:has-text('Your own pick')");

            // the reader's own pick
            browser.page().click("summary:has-text('Your own pick')");
            browser.page().fill("#start", "21.0");
            browser.page().fill("#end", "far");
            browser.page().click("text=Go by these");
            assertThat(browser.text("[role=alert]")).contains("“far” is not a plain number");
            assertThat(browser.page().inputValue("#start")).isEqualTo("21.0");
            browser.page().fill("#end", "68.9");
            browser.page().click("text=Go by these");
            // 25.0 · 4.18 · 47.9 ÷ 0.025 mol
            browser.page().waitForSelector(".in-force:has-text('own pick')");
            assertThat(browser.text(".in-force")).contains("21.068.9+47.90 −200.2");

            browser.page().click("summary:has-text('When it was mixed')");
            browser.page().fill("#mixing", "soon");
            browser.page().click("text=Record this time");
            assertThat(browser.text("#mixing-problem")).contains("“soon” is no time on the clock");
            browser.page().fill("#mixing", "30:00");
            browser.page().click("text=Record this time");
            browser.page().waitForSelector(".finding:has-text('There is no reading after mixing')");
        }
    }

    @Test
    void aFileFromAnywhereIsShownBeforeItIsKeptAndLeavesAsCsv() throws IOException {
        Entry entry = alone("4-still-at-the-bench.json");
        Path file = Files.createTempFile("probe", ".csv");
        Files.writeString(
                file,
                "Made by a logger\nTime (min);T1 (°C);T2 (°F)\n0,0;21,40;70,1\n0,5;21,42;70,2\n1,0;;70,2\n"
                        + "1,5;24,90;70,1\n2,0;24,81;70,2\n2,5;24,70;70,3\n3,0;24,61;70,2\n");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id() + "/clock");
            browser.page().click("text=Readings from a file");
            browser.page().click("text=Look at it");
            assertThat(browser.text("#file-problem")).contains("No file was chosen");
            browser.page().setInputFiles("#file", file);
            browser.page().click("text=Look at it");
            browser.page().waitForSelector("h2:has-text('What was understood')");
            assertThat(browser.text(".answer"))
                    .contains(
                            "6 readings",
                            "0:00 21.4 °C",
                            "1:30 24.9 °C",
                            "1 line will be left out",
                            "line 5 It has no");
            assertThat(browser.axe()).isEmpty();
            browser.page().selectOption("#temperature", "T2 (°F)");
            browser.page().selectOption("#degreesIn", "°F");
            browser.page().click("text=Look again so");
            browser.page().waitForSelector("text=7 readings");
            assertThat(browser.text(".answer")).contains("0:00 21.1667 °C");
            browser.page().fill("#heads", "some");
            browser.page().click("text=Look again so");
            assertThat(browser.text("#file-problem")).contains("whole number");
            assertThat(traces.of(entry.bench())).isEmpty();
            // the other probe is of a trial of its own
            browser.page().selectOption("#temperature", "T1 (°C)");
            browser.page().selectOption("#degreesIn", "°C");
            browser.page().fill("#heads", "2");
            browser.page().click("text=Look again so");
            browser.page().waitForSelector("text=6 readings");
            browser.page().selectOption("#column-2", "another trial");
            browser.page().click("text=Record these readings");
            browser.page().waitForURL("**/strip**");
            assertThat(traces.of(entry.bench())).hasSize(2);
            assertThat(decisionBook.of(entry.id()).clocks()).containsOnlyKeys("curve[1]/trace", "curve[2]/trace");
            assertThat(browser.text("#strip-picture-title"))
                    .contains("6 readings from 0:00 to 3:00; mixing is not marked");
            browser.page().fill("#mixing", "1:15");
            browser.page().click("text=Record this time");
            browser.page().waitForSelector(".strip-ways");
            browser.open("/entries/" + entry.id() + "/clock");
            assertThat(browser.text("#ask-title")).isEqualTo("This clock runs no longer");
            reading(browser, "24.6", "");
            assertThat(browser.text("#problem")).contains("Give the time");
            browser.page().fill("#text", "");
            assertThat(get("/entries/" + entry.id() + "/clock.csv").body())
                    .startsWith("time (s),temperature (°C),who,kept at,counts,reason")
                    .contains("\r\n90,24.9,Juniper,")
                    .hasLineCount(7);
        }
    }

    /** Without the network a bench reads on: what was given waits in its order, with its own times, and comes once. */
    @Test
    void whatIsReadWithoutTheNetworkIsDeliveredInOrderAndOnce() {
        Entry entry = alone("4-still-at-the-bench.json");
        Trace trace = running(entry, 300);
        try (BenchBrowser browser =
                browser().allowing("ERR_INTERNET_DISCONNECTED").allowing("502")) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id() + "/clock");
            browser.page().waitForFunction("() => window.outbox && document.activeElement.id === 'text'");
            browser.page().context().setOffline(true);
            reading(browser, "21.3", "1:00");
            reading(browser, "hot", "1:30");
            reading(browser, "21.5", "2:00");
            browser.page().fill("#text", "");
            browser.page().click("form.mix .moment");
            browser.page().waitForSelector(".outbox-panel:has-text('4 not delivered since')");
            assertThat(browser.axe()).isEmpty();
            // what is left in between stays: the browser keeps it, not the page
            assertThat(traces.readings(trace.id())).isEmpty();
            // a box between that answers in the server's place, and a door in front of it, have not taken anything
            int[] asked = {0};
            browser.page().route("**/clock/readings", route -> {
                asked[0]++;
                if (asked[0] == 1) {
                    route.fulfill(new Route.FulfillOptions().setStatus(502));
                } else if (asked[0] == 2) {
                    route.fulfill(new Route.FulfillOptions().setStatus(302).setHeaders(Map.of("Location", "/door")));
                } else {
                    route.resume();
                }
            });
            browser.page().context().setOffline(false);
            browser.page().waitForSelector(".clock-row.mixed");
            browser.page().waitForSelector(".outbox-panel:has-text('1:30, hot °C:')");
            assertThat(traces.readings(trace.id()))
                    .extracting(each -> each.seconds() + " " + each.temperature())
                    .containsExactly("60.0 21.3", "120.0 21.5");
            browser.page().click("text=Try it again");
            browser.page().waitForSelector(".outbox-panel:has-text('1:30, hot °C:')");
            browser.page().click("text=I have seen it");
            browser.page()
                    .waitForSelector(
                            ".outbox-panel", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.HIDDEN));
        }
    }
}

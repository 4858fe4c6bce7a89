package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Revision;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.curve.Room;
import lab.sassafras.measure.Instrument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A bench while its probes read: which is which, what is told, what comes to the page. */
class LiveTest extends HouseTest {

    private static final HttpClient HTTP = HttpClient.newHttpClient();

    @Autowired
    private Traces traces;

    @Autowired
    private EntrySheets sheets;

    @Autowired
    private Revisions revisions;

    @Autowired
    private Clocks clocks;

    private Period period;
    private Bench bench;
    private Hand hand;
    private String token;
    private String tokenId;
    private long pushed;

    @BeforeEach
    void aBenchWithProbes() {
        period = period("Live, " + UUID.randomUUID());
        bench = periodBook.join(period, "Alder");
        hand = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        token = found(hand.post("/bench/probes", "name=a+laptop").body(), "readonly value=\"([A-Za-z0-9_-]{43})\"");
        tokenId = found(hand.get("/bench/probes").body(), "action=\"/bench/probes/([0-9a-f-]{36})\"");
    }

    private static String found(String page, String what) {
        Matcher matcher = Pattern.compile(what).matcher(page);
        assertThat(matcher.find()).as(what).isTrue();
        return matcher.group(1);
    }

    /** Pushes what a probe read each second from one to another by its own clock, the last of them just now. */
    private void push(String probe, int from, int to, DoubleUnaryOperator curve) {
        pushed = System.nanoTime();
        send(IntStream.rangeClosed(from, to).mapToObj(t -> row(probe, t, curve.applyAsDouble(t))), to);
    }

    /** Pushes what a probe reads now that read for a minute before. */
    private void push(String probe, double value) {
        double t = 60 + (System.nanoTime() - pushed) / 1e9;
        send(Stream.of(row(probe, t, value)), t);
    }

    private static String row(String probe, double t, double value) {
        return String.format(Locale.ROOT, "{\"probe\": \"%s\", \"t\": %s, \"value\": %.2f}", probe, t, value);
    }

    private void send(Stream<String> rows, double now) {
        try {
            HttpResponse<String> answer = HTTP.send(
                    HttpRequest.newBuilder(URI.create(address("/push/" + UUID.randomUUID() + "?now=" + now)))
                            .header("Authorization", "Bearer " + token)
                            .header("Content-Type", "application/x-ndjson")
                            .POST(BodyPublishers.ofString(rows.collect(Collectors.joining("\n"))))
                            .build(),
                    BodyHandlers.ofString());
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        } catch (IOException | InterruptedException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private HttpResponse<String> stands(String probe, String place, String instrument) {
        return hand.post(
                "/bench/probes/" + tokenId + "/place",
                "probe=" + Hand.encoded(probe + " °C") + "&place=" + place + "&instrument=" + instrument);
    }

    private String begin() {
        return hand.begin("heat-of-solution").replaceAll("\\?.*", "");
    }

    private static double mixed(double t) {
        return t <= 100 ? 21.3 : 21.3 + 6 * (1 - Math.exp(-(t - 100) / 10)) - 0.003 * (t - 100);
    }

    private void mix(String entry, String time) {
        String trace = found(hand.get(entry + "/clock").body(), "name=\"trace\"\\s+value=\"([0-9a-f-]{36})\"");
        Hand.location(hand.post(
                entry + "/clock/mixing",
                "trial=1&back=live&key=" + UUID.randomUUID() + "&trace=" + trace + "&time=" + time));
    }

    @Test
    void theTrialIsReadByTheProbeThatStandsInTheCalorimeter() {
        push("cup", 0, 60, t -> 21.3);
        push("bath", 0, 60, t -> 40);
        String entry = begin();
        assertThat(hand.get(entry + "/clock").body())
                .as("the newest, where nobody said")
                .contains("Read by “bath”");
        stands("bath", "bath", "");
        assertThat(hand.get(entry + "/clock").body()).contains("Read by “cup”");
        stands("bath", "", "");
        stands("cup", "cup", "");
        assertThat(hand.get(entry + "/clock").body()).contains("Read by “cup”");
        assertThat(hand.get(entry + "/live").body()).contains("in the calorimeter");
        assertThat(stands("cup", "moon", "").body()).contains("does not stand there");
        assertThat(stands("spoon", "cup", "").body()).contains("No such probe");
        assertThat(stands("cup", "cup", UUID.randomUUID().toString()).body()).contains("not here");
    }

    /** Before an entry is begun the bench shows what pushes to it, and that trial is read from it then. */
    @Test
    void whatPushesIsSeenBeforeAnEntryIsBegun() throws Exception {
        assertThat(hand.get("/bench/live").body()).contains("Nothing pushes to this bench yet");
        push("cup", 0, 60, t -> 21.3);
        String page = hand.get("/bench/live?whole=true").body();
        assertThat(page)
                .contains("“cup”, 61 readings recorded", "<h2>Settled</h2>", "read for the trial that is begun next")
                .doesNotContain("clock/mixing", "Mixed at another");
        try (BufferedReader stream =
                stream(found(page, "data-listens=\"([^\"]+)\"").replace("&amp;", "&"))) {
            push("cup", 21.4);
            assertThat(until(stream, "\"shows\":\"21.4\"")).contains("event:points");
        }
        assertThat(hand.get(begin() + "/live").body()).contains("“cup”, 62 readings recorded");
    }

    /** What a probe reads in the room while a trial runs is the room of that trial, and nothing else is. */
    @Test
    void aProbeInTheRoomIsReadForIt() {
        push("air", 0, 400, t -> t < 300 ? 19.4 : 19.6);
        push("cup", 0, 400, LiveTest::mixed);
        stands("cup", "cup", "");
        String entry = begin();
        mix(entry, "1:40");
        assertThat(room(entry)).isEmpty();
        stands("air", "room", "");
        assertThat(room(entry).orElseThrow().temperature()).isBetween(19.4, 19.5);
        assertThat(hand.get(entry + "/run.json").body().replaceAll("\\s", "")).contains("\"room\":[19.4,");
    }

    private Optional<Room> room(String entry) {
        EntrySheet sheet = sheets.of(entryBook.find(identity(entry)).orElseThrow());
        return clocks.room(period, clocks.of(sheet, 1).orElseThrow());
    }

    private UUID identity(String entry) {
        return UUID.fromString(entry.replaceAll(".*/", ""));
    }

    private String use(String entry) {
        return observationBook.of(identity(entry)).standing().stream()
                .map(each -> each.text().replaceAll("^[0-9a-f-]{36} ", ""))
                .filter(each -> each.startsWith("from"))
                .findFirst()
                .orElse("");
    }

    /** Nobody unplugs a probe between two trials: each is read from its own part, and what comes is of the newest. */
    @Test
    void aProbeThatGoesOnIsReadByOneTrialAfterTheOther() {
        push("cup", 0, 500, t -> t < 225 ? mixed(t) : mixed(t - 250));
        String first = begin();
        mix(first, "1:40");
        assertThat(use(first)).isEqualTo("from 0 to 86400 mixing 100");
        String second = begin();
        double later = 500 + (System.nanoTime() - pushed) / 1e9 + 1;
        send(Stream.of(row("cup", later, 26)), later);
        mix(second, "5:50");
        assertThat(use(first)).isEqualTo("from 0 to 225 mixing 100");
        assertThat(use(second)).isEqualTo("from 225 to 86400 mixing 350");
        assertThat(hand.get(first + "/live").body())
                .as("the highest is of its own part")
                .contains("Turned at 2:");
        Revision before = revisions.of(identity(first)).entry();
        Revision standing = revisions.of(identity(second)).entry();
        send(Stream.of(row("cup", later + 0.2, 26)), later + 0.2);
        assertThat(revisions.of(identity(first)).entry()).isEqualTo(before);
        assertThat(revisions.of(identity(second)).entry()).isNotEqualTo(standing);
    }

    @Test
    void theOneThatAHandWarmsIsTold() {
        push("one", 0, 60, t -> 21.3);
        push("two", 0, 60, t -> t < 50 ? 21.2 : 21.2 + 0.2 * (t - 50));
        assertThat(hand.get("/bench/probes").body()).contains("“two” is the one you warm");
    }

    /** Compared in one beaker: what the other reads from then on is put right in the account, and the page says so. */
    @Test
    void probesComparedArePutRightFromThenOn() {
        push("one", 0, 60, t -> 22.10 + 0.01 * (t % 2));
        String one = found(hand.get("/bench/probes").body(), "<option value=\"([0-9a-f-]{36} one °C)\"");
        assertThat(hand.post("/bench/probes/compared", "reference=" + Hand.encoded(one))
                        .body())
                .contains("Two probes or more");
        push("two", 0, 60, t -> 22.47 + 0.01 * (t % 2));
        Hand.location(hand.post("/bench/probes/compared", "reference=" + Hand.encoded(one)));
        assertThat(hand.get("/bench/probes").body()).contains("reads 0.37 °C too high, which is taken off");
        push("two", 30.37);
        Trace now = traces.of(bench).get(0);
        assertThat(now.source()).isEqualTo("two");
        Instrument on = instruments.find(now.instrumentId().orElseThrow()).orElseThrow();
        assertThat(on.corrected(30.37).value()).isCloseTo(30.0, within(0.006));
        assertThat(on.correction().points().get(0).uncertainty()).isBetween(0.002, 0.006);
        assertThat(hand.get("/bench/probes").body()).contains("it reads on another instrument now");
    }

    private String mixedAfter(int seconds) {
        aBenchWithProbes();
        push("cup", 0, seconds, LiveTest::mixed);
        String entry = begin();
        mix(entry, "1:40");
        return hand.get(entry + "/live").body();
    }

    @Test
    void whatIsToldGoesWithTheCurve() {
        push("cup", 0, 90, LiveTest::mixed);
        assertThat(hand.get(begin() + "/live").body()).contains("<h2>Settled</h2>", "name=\"back\" value=\"live\"");
        assertThat(mixedAfter(120)).contains("Still rising", "told once it has turned");
        assertThat(mixedAfter(165)).contains("Turned at 2:", "Read on, and it is told how fast");
        aBenchWithProbes();
        push("cup", 0, 400, t -> t == 300 ? 40 : mixed(t));
        String entry = begin();
        mix(entry, "1:40");
        push("bath", 0, 400, t -> t < 200 ? 30 : 21.3 + 8.7 * Math.exp(-(t - 200) / 10));
        stands("bath", "bath", "");
        Hand.location(hand.post(entry + "/clock/room", "trial=1&text=21.3&key=" + UUID.randomUUID()));
        String page = hand.get(entry + "/live").body();
        assertThat(page).contains("Turned at 2:", "−0.1", "<h2>Enough</h2>", "out of its liquid?");
        String start = found(page, "name=\"start\" value=\"([^\"]+)\"");
        String end = found(page, "name=\"end\" value=\"([^\"]+)\"");
        assertThat(end).as("no spike is taken for the highest").isBetween("27.10", "27.25");
        Hand.location(hand.post(entry + "/live/take", "trial=1&start=" + start + "&end=" + end));
        UUID id = UUID.fromString(entry.replaceAll(".*/", ""));
        assertThat(observationBook.of(id).standing().stream().map(each -> each.text()))
                .contains(start, end);
        assertThat(hand.get(entry).body()).contains("“cup”: the last before mixing, at 1:40, and the highest, at 2:");
        assertThat(sheets.of(entryBook.find(id).orElseThrow()).decisions().all().stream()
                        .map(each -> each.reason()))
                .anyMatch(each -> each.contains("“cup”: the last before mixing, at 1:40, and the highest, at 2:"));
    }

    /** Reads a stream until it says something. */
    private static String until(BufferedReader stream, String what) {
        StringBuilder said = new StringBuilder();
        try {
            for (String line = stream.readLine(); line != null; line = stream.readLine()) {
                said.append(line).append('\n');
                if (line.isEmpty() && said.indexOf(what) >= 0) {
                    return said.toString();
                }
            }
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
        throw new AssertionError("never said: " + what + " in " + said);
    }

    private BufferedReader stream(String path) throws IOException, InterruptedException {
        return new BufferedReader(new InputStreamReader(hand.stream(path), StandardCharsets.UTF_8));
    }

    @Test
    void pointsComeInTheCoordinatesOfThePictureAndNoneIsLostInBetween() throws Exception {
        push("cup", 0, 60, t -> 21.3);
        String entry = begin();
        String page = hand.get(entry + "/live").body();
        String listens = found(page, "data-listens=\"([^\"]+)\"").replace("&amp;", "&");
        String last;
        try (BufferedReader stream = stream(listens)) {
            push("cup", 21.4);
            String said = until(stream, "\"shows\":\"21.4\"").replaceAll("(?s).*(?=id:)", "");
            last = found(said, "id:(\\d+)");
            String y = found(said, "\"0\":\"[^\"]*M[\\d.]+ ([\\d.]+)h0\"");
            assertThat(page.split(" " + y + "h0", -1))
                    .as("21.4 lies higher than 21.3")
                    .hasSize(1);
            assertThat(said).contains("\"shows\":\"21.4\"", "\"time\":\"1:0");
        }
        push("cup", 21.4);
        push("cup", 21.4);
        // what came while nobody listened comes first; what is drawn twice lies where it lay
        try (BufferedReader stream = stream(listens.replaceAll("after=\\d+", "after=" + last))) {
            assertThat(until(stream, "event:points").split("h0", -1)).hasSizeGreaterThanOrEqualTo(3);
            push("cup", 50);
            assertThat(until(stream, "event:anew")).as("beyond the picture").isNotEmpty();
        }
        try (BufferedReader stream = stream(listens)) {
            push("bath", 0, 5, t -> 30);
            assertThat(until(stream, "event:anew")).as("another probe").isNotEmpty();
        }
        assertThat(hand.get(entry + "/live?from=1e18&to=2e18").statusCode()).isEqualTo(404);
        assertThat(hand.get(listens.replaceAll("low=[^&]+", "low=NaN")).statusCode())
                .isEqualTo(404);
        assertThat(hand.get(entry + "/live?from=20&to=40").body()).contains("0:30");
    }

    /** Hours at ten a second are drawn with every column's highest and lowest, and no page grows with them. */
    @Test
    void aLongCurveIsDrawnByItsExtremes() {
        push("cup", 0, 4500, t -> t == 2000 ? 35 : 21.3 + 0.05 * (t % 3));
        String page = hand.get(begin() + "/live?whole=true").body();
        assertThat(page.length()).isBetween(20_000, 120_000);
        assertThat(found(page, "data-listens=\"([^\"]+)\"")).contains("high=37").contains("low=19");
    }

    @Tag("browser")
    @Test
    void thePageGrowsWhileItIsLookedAtAndNothingThatHasTheFocusIsTouched() {
        push("cup", 0, 60, t -> 21.3);
        String entry = begin();
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Alder");
            Page page = browser.open(entry + "/live").page();
            assertThat(browser.axe()).isEmpty();
            page.waitForFunction("() => live.stream && live.stream.readyState === 1");
            page.focus("form.mix button");
            push("cup", 21.8);
            page.waitForFunction("() => document.getElementById('live-shows').textContent === '21.8'");
            assertThat(page.locator("[data-probe='0'] path").count()).isEqualTo(2);
            assertThat((Boolean) page.evaluate("() => document.activeElement.matches('form.mix button')"))
                    .isTrue();
            push("cup", 33);
            page.waitForFunction("() => document.querySelector('.live-picture').textContent.includes('34')");
            page.waitForSelector(".signs li:has-text('jumped at 1:0')");
            browser.tabTo("#live-pause").press("Enter");
            page.waitForSelector("#live-said:has-text('recording goes on')");
            push("cup", 34.2);
            browser.press("Enter");
            page.waitForFunction(
                    "() => document.getElementById('live-pause').getAttribute('aria-pressed') === 'false'");
            page.waitForSelector(".live-probes li:has-text('34.2')");
            for (int width : List.of(820, 390)) {
                page.setViewportSize(width, 900);
                assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                        .isLessThanOrEqualTo(width);
            }
        }
    }

    /** A browser has six connections: of twelve tabs only the one that is seen holds one, and each of them opens. */
    @Tag("browser")
    @Test
    void twelveTabsOfOneBrowserOpen() {
        push("cup", 0, 60, t -> 21.3);
        String entry = begin();
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Alder");
            Page before = browser.page();
            for (int tab = 0; tab < 12; tab++) {
                before.evaluate("""
                        () => { Object.defineProperty(document, 'visibilityState', { value: 'hidden' });
                          document.dispatchEvent(new Event('visibilitychange')); }
                        """);
                Page next = browser.page().context().newPage();
                next.setDefaultTimeout(5_000);
                next.navigate(entry + "/live");
                next.waitForFunction("() => live.stream && live.stream.readyState === 1");
                before = next;
            }
        }
    }
}

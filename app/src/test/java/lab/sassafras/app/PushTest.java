package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.probes.PushRate;
import lab.sassafras.app.probes.Rows;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What probes and balances push, as scripts send it. */
class PushTest extends HouseTest {

    private static final String NDJSON = "application/x-ndjson";
    private static final HttpClient HTTP = HttpClient.newHttpClient();

    @Autowired
    private Traces traces;

    @Autowired
    private Arrivals arrivals;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Probes probes;

    @Autowired
    private Revisions revisions;

    private Period period;
    private Bench bench;
    private Hand hand;
    private String token;

    @BeforeEach
    void aBenchWithAToken() {
        period = period("Pushing, " + UUID.randomUUID());
        bench = periodBook.join(period, "Alder");
        hand = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        token = made("a laptop");
    }

    private String made(String name) {
        String page = hand.post("/bench/probes", "name=" + Hand.encoded(name)).body();
        Matcher secret = Pattern.compile("id=\"secret\" readonly value=\"([A-Za-z0-9_-]{43})\"")
                .matcher(page);
        assertThat(secret.find()).isTrue();
        return secret.group(1);
    }

    private HttpResponse<String> push(UUID batch, String type, String body, String by, String now) {
        try {
            return HTTP.send(
                    HttpRequest.newBuilder(URI.create(address("/push/" + batch + (now.isEmpty() ? "" : "?now=" + now))))
                            .header("Authorization", "Bearer " + by)
                            .header("Content-Type", type)
                            .POST(BodyPublishers.ofString(body))
                            .build(),
                    BodyHandlers.ofString());
        } catch (IOException | InterruptedException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private String rows(String... body) {
        HttpResponse<String> answer = push(UUID.randomUUID(), NDJSON, String.join("\n", body), token, "");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return answer.body();
    }

    private static String row(String probe, double t, double value, String unit) {
        return String.format(
                Locale.ROOT, "{\"probe\": \"%s\", \"t\": %s, \"value\": %s, \"unit\": \"%s\"}", probe, t, value, unit);
    }

    private List<Trace> pushed() {
        return traces.of(bench);
    }

    private List<TraceChunk.Read> read(int stretch) {
        return traces.readings(pushed().get(stretch).id());
    }

    @Test
    void goodRowsAreKeptInOneCommitAndTheOthersToldByNumberOnce() {
        UUID batch = UUID.randomUUID();
        String body = String.join(
                "\n",
                row("cup", 100.25, 21.5, "°C"),
                "{\"probe\": \"cup\", \"t\": 100.5, \"value\": \"--\"}",
                row("cup", 100.75, 9.9e37, "°C"),
                row("cup", 101, 21.5, "mol"),
                "{\"probe\": \"cup\", \"t\": 101",
                row("balance", 100.5, 0.012345, "kg"),
                "{\"t\": 101.25, \"value\": 294.9, \"unit\": \"K\", \"probe\": \"cup\"}");
        HttpResponse<String> answer = push(batch, NDJSON, body, token, "");
        assertThat(answer.body())
                .startsWith("{\"kept\":3,\"again\":0,\"refused\":4,")
                .contains(
                        "{\"row\":2,\"why\":\"value is no number: “--”\"}",
                        "\"row\":3,\"why\":\"nothing at a bench shows")
                .contains("“mol” is no unit", "\"row\":5,\"why\":\"is no JSON object; half a line perhaps\"");
        assertThat(pushed()).extracting(Trace::source).containsExactlyInAnyOrder("balance", "cup");
        Trace cup = pushed().stream().filter(Trace::ofTemperature).findFirst().orElseThrow();
        assertThat(traces.readings(cup.id()))
                .extracting(TraceChunk.Read::seconds)
                .containsExactly(0.0, 1.0);
        assertThat(traces.readings(cup.id()).get(1).temperature())
                .isCloseTo(21.75, org.assertj.core.api.Assertions.within(1e-9));
        Trace balance = pushed().stream()
                .filter(each -> !each.ofTemperature())
                .findFirst()
                .orElseThrow();
        assertThat(balance.unit()).isEqualTo("g");
        assertThat(traces.readings(balance.id()).get(0).temperature())
                .isCloseTo(12.345, org.assertj.core.api.Assertions.within(1e-9));

        assertThat(push(batch, NDJSON, body, token, "").body())
                .startsWith("{\"kept\":0,\"again\":3,\"refused\":4,")
                .contains("“mol”");
        assertThat(push(batch, NDJSON, row("cup", 102, 21.5, "°C"), token, "").statusCode())
                .isEqualTo(409);
        assertThat(traces.readings(cup.id())).hasSize(2);
        assertThat(push(UUID.randomUUID(), "text/csv", "t,value\n102,21.6\n\n103,21.7,9\n104,21.8", token, "")
                        .body())
                .startsWith("{\"kept\":2,\"again\":0,\"refused\":1,")
                .contains("has 3 columns, not 2");
        assertThat(push(UUID.randomUUID(), "text/csv", "time;value\n102;21.6", token, "")
                        .body())
                .contains("\"kept\":0", "the first line must name the columns");
        assertThat(hand.get("/bench/probes").body())
                .contains(
                        "a laptop",
                        "5 rows recorded",
                        "6 refused",
                        "must name the columns",
                        "cup",
                        "balance",
                        "12.345");
    }

    @Test
    void aTokenPushesToItsBenchAndDoesNothingElse() {
        String one = row("cup", 1, 21.5, "°C");
        assertThat(push(UUID.randomUUID(), NDJSON, one, "made up", "").statusCode())
                .isEqualTo(401);
        Hand other = Hand.stranger(address(""));
        assertThat(other.get("/bench/probes").statusCode()).isEqualTo(302);
        assertThat(push(UUID.randomUUID(), NDJSON, "x".repeat((2 << 20) + 1), token, "")
                        .statusCode())
                .isEqualTo(413);
        String many = "t,value\n"
                + IntStream.rangeClosed(0, Rows.MOST)
                        .mapToObj(i -> i / 10.0 + ",21.5")
                        .collect(Collectors.joining("\n"));
        assertThat(push(UUID.randomUUID(), "text/csv", many, token, "").statusCode())
                .isEqualTo(413);
        assertThat(push(UUID.randomUUID(), "text/csv", many, "made up", "").statusCode())
                .as("who has no token hears only that")
                .isEqualTo(401);
        String most = many.substring(0, many.lastIndexOf('\n'));
        assertThat(push(UUID.randomUUID(), "text/csv", most, token, "").body()).startsWith("{\"kept\":5000,");
        HttpResponse<String> fast = push(UUID.randomUUID(), "text/csv", most, token, "");
        assertThat(fast.statusCode()).isEqualTo(429);
        assertThat(fast.headers().firstValue("Retry-After"))
                .hasValueSatisfying(after -> assertThat(Integer.parseInt(after)).isBetween(1, 5));
        assertThat(read(0)).as("nothing of those").hasSize(5000);

        String second = made("another laptop");
        UUID batch = UUID.randomUUID();
        assertThat(push(batch, NDJSON, one, second, "").statusCode()).isEqualTo(200);
        assertThat(push(batch, NDJSON, one, token, "").statusCode())
                .as("another's batch")
                .isEqualTo(409);
        UUID id = probes.token(second).orElseThrow().token().id();
        Hand.location(hand.post("/bench/probes/" + id, ""));
        assertThat(push(UUID.randomUUID(), NDJSON, one, second, "").statusCode())
                .isEqualTo(403);
        assertThat(hand.post("/bench/probes/" + id, "").body()).contains("revoked already");
        periodBook.become(period, Period.State.CLOSED, "all in", "a test");
        HttpResponse<String> late = push(UUID.randomUUID(), NDJSON, one, token, "");
        assertThat(late.statusCode()).isEqualTo(403);
        assertThat(late.body()).contains("period of this token is over");
    }

    /** A thousand rows a second on the average of five, told to the second. */
    @Test
    void theRateIsAThousandRowsASecond() {
        long[] nanos = {0};
        PushRate rate = new PushRate(() -> nanos[0]);
        UUID one = UUID.randomUUID();
        assertThat(rate.take(one, 5_000)).isZero();
        assertThat(rate.take(one, 1_001)).isEqualTo(2);
        assertThat(rate.take(UUID.randomUUID(), 1)).as("another token").isZero();
        nanos[0] += 1_000_000_000L;
        assertThat(rate.take(one, 1_001)).isEqualTo(1);
        assertThat(rate.take(one, 1_000)).isZero();
    }

    /** Only differences of the sender's clock count; where it cannot be believed another stretch begins. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "50000.0 |          | 50001.9 | 50001.9  | 1 | ''",
                "50000.0 |          | 49999.9 |          | 2 | its clock ran backwards",
                "50000.0 |          | 50000.0 |          | 1 | ''",
                "50000.0 |          | 50012.0 |          | 2 | its clock went away from this computer",
                "50000.0 | 50600    | 50010.0 | 50600.1  | 1 | ''",
                "50000.0 | 50000    | 50001.0 | 50600    | 2 | its clock went away from this computer",
            })
    void aClockIsBelievedOrBeginsAnother(
            String first, String firstNow, String second, String secondNow, int stretches, String said) {
        push(
                UUID.randomUUID(),
                NDJSON,
                row("cup", Double.parseDouble(first), 21, "°C"),
                token,
                firstNow == null ? "" : firstNow);
        String answer = push(
                        UUID.randomUUID(),
                        NDJSON,
                        row("cup", Double.parseDouble(second), 21, "°C"),
                        token,
                        secondNow == null ? "" : secondNow)
                .body();
        assertThat(answer).startsWith("{\"kept\":1");
        assertThat(pushed()).hasSize(stretches);
        if (!said.isEmpty()) {
            assertThat(answer).contains("cup: " + said);
            assertThat(hand.get("/bench/probes").body()).contains(said);
        }
    }

    /** Times that no clock shows break nothing: rows years apart, a queue from another century, a thousand names. */
    @Test
    void whatNoClockShowsIsKeptInStretchesOfItsOwn() {
        assertThat(rows(row("cup", 0, 21, "°C"), row("cup", 1e9, 21, "°C"), row("cup", 1e9 + 1, 21, "°C")))
                .startsWith("{\"kept\":3")
                .contains("nothing came for half a day");
        assertThat(pushed())
                .hasSize(2)
                .allMatch(each -> each.begunAt().isAfter(java.time.Instant.parse("2020-01-01T00:00:00Z")));
        assertThat(push(UUID.randomUUID(), NDJSON, row("bath", 1, 21, "°C"), token, "9e11")
                        .body())
                .startsWith("{\"kept\":1");
        String many = "probe,t,value\n"
                + IntStream.range(0, 40).mapToObj(i -> "p" + i + ",1,21").collect(Collectors.joining("\n"));
        assertThat(push(UUID.randomUUID(), "text/csv", many, token, "").body()).contains("More than 32 probes");
        assertThat(pushed()).hasSize(3);
        assertThat(push(UUID.randomUUID(), NDJSON, row("cup", 1, 21, "°C"), token, "soon")
                        .statusCode())
                .isEqualTo(400);
    }

    @Test
    void twoScriptsThatPushAsOneProbeAreToldSo() {
        List<Integer> statuses = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            statuses.add(push(
                            UUID.randomUUID(), NDJSON, row("cup", i % 2 == 0 ? 1000 + i : 10 + i, 21, "°C"), token, "")
                    .statusCode());
        }
        assertThat(statuses).startsWith(200, 200, 200, 200).endsWith(409);
        assertThat(pushed()).hasSizeLessThan(8);
    }

    /** The mixing marked afterwards is as good as the key; what comes makes only a result stale that rests on it. */
    @Test
    void whatWasRecordedBeforeAnEntryIsItsCurve() {
        String csv = "probe,t,value\n"
                + IntStream.range(0, 600)
                        .mapToObj(i -> "cup," + (7000 + i) + ","
                                + (i < 180 ? 21.0 + 0.01 * (i % 2) : 26.0 - 0.0008 * (i - 180) + 0.01 * (i % 2)))
                        .collect(Collectors.joining("\n"));
        assertThat(push(UUID.randomUUID(), "text/csv", csv, token, "").body()).startsWith("{\"kept\":600");
        String other = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        UUID stale = UUID.fromString(other.substring(other.length() - 36));
        String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        assertThat(hand.get(entry + "/clock").body())
                .contains("Read by “cup”", "9:59")
                .doesNotContain("/clock/readings", "Sound at each mark");
        Hand.location(hand.post(entry + "/strip/mixing", "trial=1&time=2:59"));
        assertThat(hand.get(entry + "/strip").body()).contains("5.0").doesNotContain("NaN");
        Revisions.Now before = revisions.of(stale);
        UUID own = UUID.fromString(entry.substring(entry.length() - 36));
        Revisions.Now ofOwn = revisions.of(own);
        assertThat(push(UUID.randomUUID(), "text/csv", "probe,t,value\ncup,7600,25.6", token, "")
                        .body())
                .startsWith("{\"kept\":1");
        assertThat(pushed()).hasSize(1);
        assertThat(revisions.of(stale)).isEqualTo(before);
        assertThat(revisions.of(own)).as("it is read from it").isNotEqualTo(ofOwn);
    }

    /** One key records what the balance shows, settled or still moving; a field typed in is left alone. */
    @Tag("browser")
    @Test
    void aKeyRecordsWhatTheBalanceShows() {
        rows(row("balance", 1, 50.01, "g"), row("balance", 2, 98.4, "g"));
        String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Alder").open(entry + "?at=water%5B1%5D/mass&way=read");
            assertThat(browser.text("#region-shown")).contains("“balance” shows 98.4 g", "still moving");
            browser.page().fill("#text", "98.3");
            rows(
                    row("balance", 20, 98.41, "g"),
                    row("balance", 21, 98.41, "g"),
                    row("balance", 22, 98.41, "g"),
                    row("balance", 23, 98.41, "g"),
                    row("balance", 31, 98.41, "g"));
            browser.page()
                    .waitForFunction("() => document.querySelector('#region-shown').innerText.includes('98.41 g')");
            assertThat(browser.text("#region-shown")).contains("settled").doesNotContain("moving");
            assertThat(browser.page().inputValue("#text")).isEqualTo("98.3");
            browser.page().press("#text", "Control+Enter");
            browser.page().waitForFunction("() => document.querySelector('#region-sheet').innerText.includes('98.41')");
            assertThat(browser.text("#region-sheet")).contains("shown by “balance”, settled");
        }
        assertThat(hand.get(entry + "/run.json").body()).contains("shown by “balance”, settled");
        assertThat(hand.get(entry + "/observations.csv").body())
                .contains("98.41")
                .doesNotContain("98.3,");
    }

    /** Both scripts of the document, as they stand there. */
    @Test
    void theScriptsOfTheDocumentPush() throws Exception {
        String document = Files.readString(Path.of("../docs/probe-format.md"));
        Matcher scripts = Pattern.compile("(?s)```python\n(.*?)```").matcher(document);
        assertThat(scripts.find()).isTrue();
        assertThat(scripts.group(1).lines().filter(line -> !line.isBlank())).hasSizeLessThanOrEqualTo(10);
        run(scripts.group(1), "21.5\n21.6\n", "cup");
        assertThat(scripts.find()).isTrue();
        run(scripts.group(1), "ST,GS,+  12.345 g\nnothing\nST,GS,-   0.5 g\n21.7\n", "scale", "-");
        assertThat(pushed())
                .extracting(each -> each.source() + " " + each.unit() + " "
                        + traces.readings(each.id()).stream()
                                .map(TraceChunk.Read::temperature)
                                .toList())
                .containsExactlyInAnyOrder("cup °C [21.5, 21.6]", "scale g [12.345, -0.5]", "scale °C [21.7]");
    }

    private void run(String script, String lines, String... words) throws Exception {
        Path file = Files.createTempFile("push", ".py");
        Files.writeString(file, script);
        List<String> command = new ArrayList<>(List.of("python3", file.toString(), address(""), token));
        command.addAll(List.of(words));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        process.getOutputStream().write(lines.getBytes(StandardCharsets.UTF_8));
        process.getOutputStream().close();
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue())
                .as(new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                .isZero();
    }

    /** An hour of pushing makes no look slower: the database says itself how many rows it read. */
    @Test
    void whatCameIsFoundByTheIndexHoweverLongTheTraceIs() {
        Trace trace =
                traces.pushed(bench, new Trace.Channel(Trace.PROBE, "cup", "°C"), Optional.empty(), 1, Instant.now());
        keep(trace, 0, 300);
        long seen = arrivals.newest();
        keep(trace, 300, 3);
        List<Arrivals.Came> came = arrivals.after(Map.of(trace.id(), seen, UUID.randomUUID(), 0L), seen, 100);
        assertThat(came.stream().map(each -> each.seconds()[0])).containsExactly(300.0, 301.0, 302.0);
        assertThat(came.get(2).temperatures()).containsExactly(50.2);
        assertThat(arrivals.after(Map.of(trace.id(), 0L), 0, 5)).hasSize(5);
        assertThat(arrivals.after(Map.of(trace.id(), 0L), arrivals.newest(), 100))
                .as("of a trace of which nothing was shown, what may have been under way")
                .hasSize(64);
        String plan = String.valueOf(database.queryForObject(
                "explain analyze " + Arrivals.AFTER,
                String.class,
                trace.id(),
                seen,
                seen,
                Timestamp.from(Instant.now()),
                100));
        Matcher read = Pattern.compile("scanCount: (\\d+)").matcher(plan);
        assertThat(read.find()).isTrue();
        assertThat(Integer.parseInt(read.group(1))).as(plan).isBetween(3, 5);
    }

    private void keep(Trace trace, int from, int rows) {
        for (int i = from; i < from + rows; i++) {
            traces.push(
                    trace,
                    List.of(new TraceChunk.Given(new double[] {i}, new double[] {20 + i / 10.0}, null, "Alder")));
        }
    }
}

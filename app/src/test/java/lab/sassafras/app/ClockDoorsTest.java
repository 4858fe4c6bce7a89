package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.record.FaultInjection;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What an old tab or a script may send to the clock and the strip: always an answer in words, and nothing half kept.
 */
@Tag("long")
class ClockDoorsTest extends HouseTest {

    private static final Pattern TRACE = Pattern.compile("name=\"trace\" value=\"([^\"]+)\"");

    private Hand hand;
    private String entry;

    @Autowired
    private JdbcTemplate database;

    @AfterEach
    void timeAsItIs() {
        FaultInjection.fair();
    }

    @BeforeEach
    void sitDown() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("At the door of the clock"), "Rowan");
        entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** Begins a clock. @return its identity */
    private String begun() {
        assertThat(hand.post(entry + "/clock", "trial=1&every=30").statusCode()).isEqualTo(302);
        Matcher trace = TRACE.matcher(hand.get(entry + "/clock").body());
        assertThat(trace.find()).isTrue();
        return trace.group(1);
    }

    private HttpResponse<String> reading(String trace, String text, String time) {
        return hand.post(
                entry + "/clock/readings",
                "trial=1&trace=" + trace + "&key=" + UUID.randomUUID() + "&text=" + encoded(text) + "&time="
                        + encoded(time));
    }

    @ParameterizedTest
    @CsvSource({
        "'', Nothing was typed",
        "warm, is not a plain number",
        "'21,4', writes decimals with a point",
        "1e3, is not a plain number",
        "NaN, is not a plain number",
        "2.1.4, two decimal marks",
        "99999999999999999999, Nothing at a bench is that hot",
        "5000.1, Nothing at a bench is that hot",
        "-273.2, Nothing at a bench is that hot"
    })
    void aTemperatureThatIsNoneIsRefusedAtItsField(String text, String why) {
        String trace = begun();
        HttpResponse<String> answer = reading(trace, text, "0:00");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(why, "value=\"" + text + "\"", "value=\"0:00\"");
        assertThat(hand.get(entry + "/clock").body()).contains("Nothing is read yet");
    }

    @ParameterizedTest
    @CsvSource({
        "soon, is no time on the clock",
        "3:75, is no time on the clock",
        "-0:30, is no time on the clock",
        "45:00, has not come yet"
    })
    void aTimeThatIsNoneOrHasNotComeIsRefused(String time, String why) {
        String trace = begun();
        assertThat(reading(trace, "21.4", time).body()).contains(why, "value=\"" + time + "\"");
        HttpResponse<String> mixing =
                hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace + "&time=" + encoded(time));
        assertThat(mixing.statusCode()).isEqualTo(422);
        assertThat(mixing.body()).contains(why);
    }

    @Test
    void aReadingWithoutATimeIsOfNowLessWhatItWaited() {
        String trace = begun();
        assertThat(hand.post(entry + "/clock/readings", "trial=1&trace=" + trace + "&text=21.4&ago=3600000")
                        .statusCode())
                .isEqualTo(302);
        assertThat(hand.get(entry + "/clock").body()).contains("<span class=\"figure\">0:00</span>");
    }

    @ParameterizedTest
    @CsvSource({
        "/clock?trial=2, GET, ''",
        "/clock?trial=-1, GET, ''",
        "/strip?trial=7, GET, ''",
        "/clock/file?trial=3, GET, ''",
        "/clock.csv?trial=1, GET, ''",
        "/clock/readings, POST, trial=1&text=21.4",
        "/clock/readings, POST, trial=1&text=21.4&trace=11111111-2222-3333-4444-555555555555",
        "/clock/mixing, POST, trial=9&time=3:00",
        "/strip/readings, POST, trial=1&seconds=30&outcome=out&reason=why",
        "/strip/mixing, POST, trial=1&time=3:00"
    })
    void whatIsNotThereIsSaidNotToBe(String path, String method, String form) {
        HttpResponse<String> answer = method.equals("GET") ? hand.get(entry + path) : hand.post(entry + path, form);
        assertThat(answer.statusCode()).isEqualTo(404);
        assertThat(answer.body()).doesNotContain("Exception", "NaN");
    }

    /** A clock of one bench is no clock of another's entry. */
    @Test
    void readingsGoToTheirOwnBench() {
        String trace = begun();
        Hand other = new Hand(address(""));
        other.join(other.openPeriod("Another class"), "Hazel");
        String theirs = other.begin("heat-of-solution").replaceAll("\\?.*", "");
        assertThat(other.post(theirs + "/clock/readings", "trial=1&text=21.4&trace=" + trace)
                        .statusCode())
                .isEqualTo(404);
        // and whoever did not come in is asked to come in first
        assertThat(Hand.stranger(address(""))
                        .post(entry + "/clock", "trial=1&every=30")
                        .body())
                .contains("Come in first");
    }

    @Test
    void onTheStripNothingIsMovedBeforeMixingAndNothingWithoutAReason() {
        String trace = begun();
        reading(trace, "21.4", "0:00");
        String stretches = "trial=1&foreFrom=0:00&foreTo=0:10&afterFrom=0:20&afterTo=0:30";
        assertThat(hand.post(entry + "/strip/stretches", stretches + "&reason=why")
                        .body())
                .contains("Mark the moment of mixing first");
        assertThat(hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace + "&time=0:15")
                        .statusCode())
                .isEqualTo(302);
        reading(trace, "24.4", "0:25");
        assertThat(hand.post(entry + "/strip/stretches", stretches).body())
                .contains("Say why these stretches are taken");
        assertThat(hand.post(
                                entry + "/strip/stretches",
                                "trial=1&foreFrom=0:10&foreTo=0:00&afterFrom=0:20&afterTo=0:30&reason=x")
                        .body())
                .contains("begins before it ends");
        assertThat(hand.get(entry + "/strip?trial=1&foreFrom=0:05&foreTo=0:10&afterFrom=0:20&afterTo=0:30")
                        .body())
                .contains("no reading in the stretch before");
        HttpResponse<String> aside = hand.post(entry + "/strip/readings", "trial=1&seconds=0&outcome=out&reason=");
        assertThat(aside.statusCode()).isEqualTo(422);
        assertThat(aside.body()).contains("Say why the reading is excluded");
        assertThat(hand.post(entry + "/strip/readings", "trial=1&seconds=0&outcome=perhaps&reason=x")
                        .statusCode())
                .isEqualTo(422);
        // every reading set aside: the page stands and says what is missing
        hand.post(entry + "/strip/readings", "trial=1&seconds=0&outcome=out&reason=x");
        hand.post(entry + "/strip/readings", "trial=1&seconds=25&outcome=out&reason=x");
        assertThat(hand.get(entry + "/strip").body())
                .contains("There is no reading on this curve")
                .doesNotContain("NaN");
        assertThat(hand.get(entry + "/result?open=all").body()).contains("There is no reading on this curve");
    }

    /**
     * What is stated beside the curve is checked, kept with the trial, and travels; readings are signed by identity.
     */
    @Test
    void anotherWaitAnotherPartAndAReadingThatCountsAllTheSame() {
        String trace = begun();
        double[] read = {21.0, 21.0, 21.0, 21.0, 24.9, 24.8, 24.7, 26.6, 24.5, 24.4, 24.3, 24.2, 24.1, 24.0, 23.9};
        for (int i = 0; i < read.length; i++) {
            reading(trace, String.valueOf(read[i]), "0:" + (10 + i));
        }
        FaultInjection.clockOff(Duration.ofMinutes(1));
        hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace + "&time=0:13.5");
        assertThat(hand.post(entry + "/strip/part", "trial=1&part=2").body())
                .contains("from 0.1 to 0.9", "value=\"2\"");
        assertThat(hand.post(entry + "/strip/once", "trial=1&time=soon").body()).contains("is no time on the clock");
        hand.post(entry + "/strip/part", "trial=1&part=0.5");
        hand.post(entry + "/strip/once", "trial=1&time=0:05");
        assertThat(hand.get(entry + "/strip").body()).contains("Include it all the same", "no: lies off by itself");
        hand.post(entry + "/strip/readings", "trial=1&seconds=17&outcome=in&reason=" + encoded("seen by two"));
        assertThat(hand.get(entry + "/strip").body()).doesNotContain("Include it all the same");
        String file = hand.get(entry + "/run.json").body();
        assertThat(file).contains("mixing 13.500 wait 5 part 0.500", "\"counted\"", "seen by two");
        assertThat(get("/entries/"
                                + imports.take(file.getBytes(StandardCharsets.UTF_8), "run.json", A_TEST)
                                        .orThrow()
                                        .id()
                                + "/run.json")
                        .body())
                .contains("wait 5 part 0.500", "seen by two");
        assertThat(hand.get(entry + "/clock.csv").body()).contains("10,21.0,Rowan,");
        assertThat(database.queryForList(
                        "select who_id from trace_chunk where trace_id = ?", UUID.class, UUID.fromString(trace)))
                .isNotEmpty()
                .allMatch(who -> entryBook
                        .find(UUID.fromString(entry.substring(entry.length() - 36)))
                        .orElseThrow()
                        .bench()
                        .id()
                        .equals(who));
    }

    /** A constant temperature and two readings are too little for most, and a page for all that. */
    @Test
    void littleIsSaidToBeLittle() {
        String trace = begun();
        reading(trace, "21.4", "0:00");
        hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace + "&time=0:10");
        reading(trace, "21.4", "0:20");
        String page = hand.get(entry + "/strip").body();
        assertThat(page)
                .contains("too few readings for a line", "at least two readings before mixing", "0.00 ± 0.52")
                .doesNotContain("NaN", "Infinity");
    }

    @Test
    void aFileOfTooManyReadingsOrOfNoneIsRefusedInWords() {
        String path = "/import/clock?trial=1&entry=" + entry.substring(entry.length() - 36);
        String long_ = IntStream.range(0, 20_001).mapToObj(i -> i + ";21,4").collect(Collectors.joining("\n"));
        HttpResponse<String> shown = hand.upload(path, "long.csv", long_.getBytes(StandardCharsets.UTF_8));
        assertThat(shown.body()).contains("20001");
        Matcher pending = Pattern.compile("name=\"pending\" value=\"([^\"]+)\"").matcher(shown.body());
        assertThat(pending.find()).isTrue();
        assertThat(hand.post(entry + "/clock/file/keep", "trial=1&what=keep&pending=" + pending.group(1))
                        .body())
                .contains("a record holds at most 20000");
        assertThat(hand.post(
                                entry + "/clock/file/keep",
                                "trial=1&what=keep&separator=COMMA&mark=COMMA&pending=" + pending.group(1))
                        .body())
                .contains("cannot stand both between values and within them");
        assertThat(hand.post(entry + "/clock/file/keep", "trial=1&what=keep&pending=" + UUID.randomUUID())
                        .body())
                .contains("That was too long ago");
        HttpResponse<String> words =
                hand.upload(path, "words.csv", "nothing\nbut words".getBytes(StandardCharsets.UTF_8));
        assertThat(words.statusCode()).isEqualTo(422);
        assertThat(words.body()).contains("words.csv: No line of this file looks like a time and a temperature");
        byte[] million = new byte[(48 << 20) + 1];
        java.util.Arrays.fill(million, (byte) '1');
        assertThat(hand.upload(path, "million.csv", million).statusCode()).isEqualTo(413);
    }

    /**
     * The wall clock set back: a mark of now would lie before what was read; a time that is typed is taken as it is.
     */
    @Test
    void nowIsRefusedWhileTheComputersClockStandsBeforeTheLastReading() {
        String trace = begun();
        FaultInjection.clockOff(Duration.ofMinutes(10));
        assertThat(reading(trace, "21.4", "").statusCode()).isEqualTo(302);
        FaultInjection.clockOff(Duration.ofMinutes(5));
        HttpResponse<String> now = reading(trace, "21.5", "");
        assertThat(now.statusCode()).isEqualTo(422);
        assertThat(now.body()).contains("was set back", "before the last reading, at 10:0");
        assertThat(hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace).body())
                .contains("was set back");
        assertThat(reading(trace, "21.5", "4:00").statusCode()).isEqualTo(302);
        FaultInjection.clockOff(Duration.ofMinutes(-70));
        assertThat(hand.get(entry + "/clock")
                        .body()
                        .replaceAll("(?s)<[^>]*>|[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", " "))
                .doesNotContain("-59", ":0-")
                .contains("4:00");
        FaultInjection.clockOff(Duration.ofMinutes(11));
        assertThat(reading(trace, "21.6", "").statusCode()).isEqualTo(302);
    }

    /** What is read after the computer's clock leapt forward stands too late: that is said, and up to 2 s it is not. */
    @ParameterizedTest
    @CsvSource({"1700, false", "2400, true", "70000, true"})
    void aLeapForwardOfTheComputersClockIsSaid(long leap, boolean said) {
        String trace = begun();
        assertThat(reading(trace, "21.4", "").statusCode()).isEqualTo(302);
        FaultInjection.clockOff(Duration.ofMillis(leap));
        assertThat(reading(trace, "21.5", "").statusCode()).isEqualTo(302);
        assertThat(reading(trace, "21.6", "").statusCode()).isEqualTo(302);
        hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace);
        String page = hand.get(entry + "/result?open=all").body();
        assertThat(page.contains("clock leapt forward by")).isEqualTo(said);
        if (leap == 70_000) {
            assertThat(page).contains("leapt forward by 1:10");
        }
    }

    /** Where a page is to lead back to is a place of its own entry, whatever is sent. */
    @ParameterizedTest
    @ValueSource(strings = {"a\nSet-Cookie: x=y", "//elsewhere.example", "sample[1]/start\r\n", "&x=1", "clock\n"})
    void aWayBackThatIsNoPlaceIsNone(String back) {
        HttpResponse<String> answer = hand.post(entry + "/broken-off", "trial=1&back=" + encoded(back));
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith(entry + "?trial=1");
        assertThat(answer.headers().allValues("Set-Cookie")).noneMatch(each -> each.contains("x=y"));
    }
}

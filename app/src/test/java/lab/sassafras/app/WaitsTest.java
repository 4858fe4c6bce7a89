package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.BenchWait;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.record.Paces;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * What a bench waits for: by the times of its class, several at once, through reloads, and begun anew after a mishap.
 */
@Tag("long")
class WaitsTest extends HouseTest {

    @Autowired
    private Paces paces;

    private Hand hand;
    private String entry;

    @AfterEach
    void timeAsItIs() {
        FaultInjection.fair();
    }

    private void sitDown(String experiment) {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Waiting, " + UUID.randomUUID()), "Rowan");
        entry = hand.begin(experiment).replaceAll("\\?.*", "");
    }

    private static void after(int minutes) {
        FaultInjection.clockOff(Duration.ofMinutes(minutes));
    }

    private HttpResponse<String> waits(String pace, String what) {
        return hand.post(entry + "/waits", "trial=1&pace=" + Hand.encoded(pace) + "&what=" + what);
    }

    private String page(String after) {
        return hand.get(entry + after).body().replaceAll("<[^>]*>", " ").replaceAll("\\s+", " ");
    }

    @Test
    void bathAndCupRunSideBySideAndEndWithTheirReadings() {
        sitDown("specific-heat-of-solid");
        assertThat(page("?at=sample%5B1%5D/start")).contains("Begin 8 min in the bath");
        assertThat(waits("bath sample/start", "begin").statusCode()).isEqualTo(302);
        after(3);
        waits("settle water/start", "begin");
        after(4);
        assertThat(page(""))
                .containsPattern("[34]:\\d\\d left bath, solid in it .*1:\\d\\d|0:5\\d left calorimeter, settled");
        assertThat(page("?at=sample%5B1%5D/start")).doesNotContain("Begin 8 min");
        after(9);
        assertThat(page("/clock"))
                .containsPattern("over since 1:0\\d bath")
                .containsPattern("over since 4:0\\d calorimeter");
        hand.keep(entry, UUID.randomUUID(), "sample[1]/start", "read", "99.4", "°C");
        assertThat(page("")).doesNotContain("since 1:0").containsPattern("over since 4:0\\d calorimeter");
        waits("settle water/start", "end");
        assertThat(page("")).doesNotContain("over since");
        assertThat(waits("bath of gold", "begin").statusCode()).isEqualTo(404);
    }

    @Test
    void timesAreTheClassesAndTheNextClassBeginsWithThem() {
        sitDown("specific-heat-of-liquid");
        String bath = Hand.encoded("bath solid/start");
        String all = "&" + Hand.encoded("before curve/trace") + "=4&" + Hand.encoded("until curve/trace") + "=10&"
                + Hand.encoded("settle liquid/start") + "=2&" + Hand.encoded("once mixed/final") + "=3";
        HttpResponse<String> refused = hand.post(entry + "/paces", "trial=1&" + bath + "=200" + all);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Between 0.5 and 120 min", "value=\"200\"", "value=\"4\"");
        assertThat(page("/clock")).contains("reads for 3:00 before mixing");
        assertThat(hand.post(entry + "/paces", "trial=1&" + bath + "=6" + all).statusCode())
                .isEqualTo(302);
        assertThat(page("?at=solid%5B1%5D/start")).contains("Begin 6 min in the bath");
        assertThat(page("/clock")).contains("reads for 4:00 before mixing, and on until 10:00");
        assertThat(page("/paces")).contains("Usual: 8 min. Chosen by Rowan.").contains("Usual: 2 min. ");
        sitDown("specific-heat-of-liquid");
        assertThat(page("?at=solid%5B1%5D/start")).contains("Begin 6 min in the bath");
        assertThat(page("/paces")).contains("Chosen by Rowan");
    }

    @Test
    void aTransferBrokenOffIsWithdrawnAndTheBathBeginsAnew() {
        sitDown("specific-heat-of-solid");
        waits("bath sample/start", "begin");
        hand.post(entry + "/clock", "trial=1&every=30");
        Matcher trace = Pattern.compile("name=\"trace\" value=\"([^\"]+)\"")
                .matcher(hand.get(entry + "/clock").body());
        assertThat(trace.find()).isTrue();
        String given = "trial=1&trace=" + trace.group(1);
        hand.post(entry + "/clock/readings", given + "&text=21.4&time=0:00&key=" + UUID.randomUUID());
        after(9);
        hand.post(entry + "/clock/mixing", given + "&time=8:30");
        assertThat(page("/clock")).contains("The transfer was broken off");
        hand.post(entry + "/broken-off", "trial=1&back=clock&reason=" + Hand.encoded("slipped from the tongs"));
        assertThat(page("/clock"))
                .contains("8:30 solid moved, lid on, withdrawn: slipped from the tongs")
                .containsPattern("(8:00|7:5\\d) left bath")
                .contains("21.4")
                .doesNotContain("The transfer was broken off");
        // and without a clock, from the row of the moment itself
        hand.keep(entry, UUID.randomUUID(), "sample[1]/moved", "stated", "", "");
        assertThat(page("?at=sample%5B1%5D/moved")).contains("The transfer was broken off");
        hand.post(entry + "/broken-off", "trial=1&reason=");
        assertThat(hand.get(entry).body()).contains("the transfer was broken off");
    }

    @Test
    void pelletsThatPullWaterAreCountedFromTheirWeighing() {
        sitDown("heat-of-solution");
        hand.keep(entry, UUID.randomUUID(), "solute[1]/formula", "stated", "NaOH", "");
        hand.keep(entry, UUID.randomUUID(), "solid[1]/mass", "read", "2.04", "g");
        after(2);
        assertThat(page("")).containsPattern("2:0\\d since it was weighed: sodium hydroxide pulls water from the air");
        hand.keep(entry, UUID.randomUUID(), "solid[1]/added", "stated", "", "");
        assertThat(page("")).doesNotContain("since it was weighed");
    }

    @Test
    void theOneReadingIsCalledAfterItsWaitWhereTheChangeIsReadSo() {
        sitDown("heat-of-solution");
        hand.keep(entry, UUID.randomUUID(), "solid[1]/added", "stated", "", "");
        assertThat(page("")).doesNotContain(" left ");
        hand.post(entry + "/school", "question=change&school=after-wait");
        after(1);
        assertThat(page("")).containsPattern("(2:00|1:5\\d) left .*3 min after mixing, then read once");
    }

    @Test
    void whatCoolsBesideTheCupIsReadFromItsTrendAtTheMomentOfMixing() {
        sitDown("neutralization");
        String at = "&at=" + Hand.encoded("second[1]/start");
        assertThat(page("?at=second%5B1%5D/start")).contains("Take timed readings of its trend");
        assertThat(page("?at=first%5B1%5D/start"))
                .contains("Take timed readings instead")
                .doesNotContain("its trend");
        hand.post(entry + "/clock", "trial=1&every=30" + at);
        after(4);
        String clock = hand.get(entry + "/clock?trial=1" + at).body();
        Matcher trace = Pattern.compile("name=\"trace\" value=\"([^\"]+)\"").matcher(clock);
        assertThat(trace.find()).isTrue();
        String given = "trial=1&trace=" + trace.group(1) + at;
        assertThat(hand.post(entry + "/clock/trend", "trial=1" + at + "&time=0:30")
                        .body())
                .contains("at least two readings");
        String[] read = {"58.0", "57.5", "57.0", "56.5"};
        for (int i = 0; i < read.length; i++) {
            hand.post(
                    entry + "/clock/readings",
                    given + "&text=" + read[i] + "&time=" + i + ":00&key=" + UUID.randomUUID());
        }
        // the cup's own clock is another, and no reading of the bath is on it
        assertThat(page("/clock")).contains("No clock is running").doesNotContain("58.0");
        hand.keep(entry, UUID.randomUUID(), "second[1]/poured", "stated", "", "");
        assertThat(page("/clock?trial=1" + at))
                .containsPattern("At 4:0\\d it stood at 5[56].\\d\\d ± 0.0[78]\\d °C, by the trend of 4");
        assertThat(hand.post(entry + "/clock/trend", "trial=1" + at + "&time=9:00")
                        .body())
                .contains("further from the readings", "value=\"9:00\"");
        assertThat(hand.post(entry + "/clock/trend", "trial=1" + at + "&time=4:00")
                        .statusCode())
                .isEqualTo(302);
        assertThat(page("")).containsPattern("by its trend ±0.078 56.00 °C");
        String file = hand.get(entry + "/run.json").body();
        assertThat(file).contains("\"readFor\" : \"second[1]/start\"", "\"role\" : \"trend\"", "\"minor\" : 2");
        Entry again = imports.take(file.getBytes(java.nio.charset.StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + again.id() + "/run.json").body()).contains("\"readFor\" : \"second[1]/start\"");
        assertThat(hand.get(entry + "/clock?trial=1&at=" + Hand.encoded("second[1]/amount"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Tag("browser")
    @Test
    void aWaitSurvivesAReloadAndCallsInWords() {
        Entry run = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(run.period().id(), "Juniper");
            paces.wait(
                    UUID.randomUUID(),
                    run,
                    new BenchWait.Given(1, "bath sample/start", 4, BenchWait.Outcome.BEGUN, "", "Juniper"));
            browser.open("/entries/" + run.id());
            assertThat(browser.text(".wait-time")).matches("0:0[1-4] left");
            browser.page().reload();
            browser.page().waitForSelector(".wait.over");
            assertThat(browser.text(".wait-time")).startsWith("over since 0:0");
            assertThat(browser.page().textContent(".waits [role=status]"))
                    .isEqualTo("bath, solid in it: the wait is over.");
            browser.page().click("text=Sound when a wait is over");
            assertThat(browser.page().getAttribute(".waits [aria-pressed]", "aria-pressed"))
                    .isEqualTo("true");
            browser.page().click("[aria-label^='Enough']");
            browser.page().waitForFunction("() => !document.querySelector('.wait')");
        }
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.shelf.Vessel;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What an instructor does for a whole class at once. */
class ForAllTest extends HouseTest {

    private Hand instructor;
    private String period;

    @BeforeEach
    void open() {
        instructor = new Hand(address(""));
        period = instructor.openPeriod("For all, " + UUID.randomUUID());
    }

    @AfterEach
    void fair() {
        FaultInjection.fair();
    }

    private static void give(Hand hand, String entry, String at, String text, String unit) {
        hand.keep(entry, UUID.randomUUID(), at, unit.equals("mL") ? "volume" : "read", text, unit);
    }

    private String run(Hand hand, Vessel vessel) {
        String entry = Hand.location(
                        hand.post("/entries", "experiment=specific-heat-of-solid&minded=true&vessel=" + vessel.id()))
                .replaceAll("\\?.*", "");
        give(hand, entry, "sample[1]/mass", "60.00", "g");
        hand.post(entry + "/observations", "role=stated&text=boiling&at=" + Hand.encoded("sample[1]/bath"));
        give(hand, entry, "water[1]/mass", "90.00", "g");
        give(hand, entry, "sample[1]/start", "99.0", "°C");
        give(hand, entry, "water[1]/start", "21.0", "°C");
        give(hand, entry, "mixed[1]/final", "25.4", "°C");
        return entry;
    }

    private String constant(Vessel vessel, String more) {
        return "vessel=" + vessel.id() + "&constant-width=1&fill=90&constant-source=" + Hand.encoded("weighed anew")
                + more;
    }

    /**
     * By hand: (90·4.184 + C)·4.4/(60·73.6) is 0.3752 for C = 0, and every J/°C adds 0.000996: 12 make it 0.3871.
     */
    @Test
    void oneConstantIsChangedForAllByOneDecision() {
        Vessel vessel = calorimeters.add(
                "F-" + UUID.randomUUID().toString().substring(0, 8),
                equip("all").kind());
        Hand alder = new Hand(address("")).join(period, "Alder");
        String one = run(alder, vessel);
        String other = run(new Hand(address("")).join(period, "Cedar"), vessel);
        String page = instructor.get(period + "/constant").body();
        assertThat(page).contains(vessel.name(), "now none, 2 runs");
        assertThat(instructor.post(period + "/constant", "constant=-3").body())
                .contains(
                        "Choose the vessel whose constant is changed.",
                        "A constant is larger than zero.",
                        "value=\"-3\"");
        HttpResponse<String> done = instructor.post(period + "/constant", constant(vessel, "&constant=12"));
        assertThat(done.body()).contains("2 runs draw on it now");
        for (String entry : new String[] {one, other}) {
            assertThat(instructor.get(entry + "/result").body()).contains("0.387");
            assertThat(decisionBook
                            .of(UUID.fromString(entry.replaceAll(".*/", "")))
                            .all())
                    .extracting(Decision::reason)
                    .containsExactly("weighed anew");
        }
        assertThat(instructor
                        .post(period + "/constant", constant(vessel, "&constant=40"))
                        .body())
                .as("somebody else may have changed it meanwhile")
                .contains("Not adopted: ", "weighed anew");
        String third = run(new Hand(address("")).join(period, "Elder"), vessel);
        assertThat(instructor.get(third + "/result").body()).as("from now on").contains("0.387");
        instructor.post(period + "/life", "state=CLOSED&reason=over");
        assertThat(instructor
                        .post(
                                period + "/constant",
                                constant(
                                        vessel,
                                        "&constant=40&seen-" + vessel.id() + "="
                                                + shelves.now()
                                                        .calibrations(vessel)
                                                        .get(0)
                                                        .id()))
                        .body())
                .contains("This period is not open");
    }

    @Test
    void dataAreGivenToEachBenchAndReaderItsOwnAndTakenBack() {
        assertThat(instructor
                        .post(period + "/data", "experiment=heat-of-solution&seed=41")
                        .body())
                .contains("There is nobody to give them to");
        Hand alder = new Hand(address("")).join(period, "Alder");
        Hand cedar = new Hand(address("")).join(period, "Cedar");
        String secret = secret();
        assertThat(alder.get("/bench").body()).doesNotContain("Data to work out");
        assertThat(instructor.get(period + "/data").body()).contains("Give each bench its own, and each of 1 reader");
        instructor.post(period + "/data", "experiment=heat-of-solution&seed=41");
        String own = period + "/handouts/data";
        assertThat(alder.get("/bench").body()).contains("Data to work out", "1 sheet, yours alone");
        Hand reader = Hand.stranger(address(""));
        reader.post("/read", "secret=" + secret);
        String first = alder.get(own).body();
        String second = cedar.get(own).body();
        String third = reader.get(own).body();
        assertThat(first)
                .contains("Simulated: no hand did this", "Bench Alder")
                .doesNotContain("true value", "Seed 41");
        assertThat(readings(first)).isNotEqualTo(readings(second)).isNotEqualTo(readings(third));
        assertThat(readings(second)).isNotEqualTo(readings(third));
        assertThat(alder.get(own + ".csv").body()).contains("Alder", "temperature at");
        assertThat(reader.get(period + "/data").statusCode()).as("the answers").isEqualTo(404);
        String given = instructor.get(period + "/data").body();
        assertThat(given).contains("Heat of solution, seed 41", "seed 42", "seed 43", "reader 1");
        Matcher back = Pattern.compile("name=\"back\"\\s+value=\"([^\"]+)\"").matcher(given);
        while (back.find()) {
            instructor.post(period + "/data", "back=" + back.group(1));
        }
        assertThat(alder.get(own).body()).contains("None were given to you.");
        assertThat(reader.get(own).body()).contains("None were given to you.");
    }

    private static String readings(String page) {
        return page.replaceAll("(?s).*<tbody>", "").replaceAll("(?s)</tbody>.*", "");
    }

    private String secret() {
        String made = instructor.post(period + "/readers", "").body();
        Matcher link = Pattern.compile("/read#([^\"<]+)").matcher(made);
        assertThat(link.find()).as(made).isTrue();
        return link.group(1);
    }

    /** Seven runs in which an equation was said after six minutes and both were measured after seven more. */
    @Test
    void onesOwnTimesOfTasksAreProposedFromPastPeriods() {
        for (int i = 0; i < 7; i++) {
            FaultInjection.clockOff(Duration.ZERO);
            Hand hand = new Hand(address("")).join(period, "Bench " + i);
            String entry = hand.begin("neutralization").replaceAll("\\?.*", "");
            FaultInjection.clockOff(Duration.ofMinutes(8));
            give(hand, entry, "first[1]/amount", "50.0", "mL");
            FaultInjection.clockOff(Duration.ofMinutes(13 + i % 3));
            give(hand, entry, "second[1]/amount", "50.0", "mL");
            FaultInjection.clockOff(Duration.ofMinutes(25 + i % 3));
            give(hand, entry, "second[1]/start", "21.0", "°C");
        }
        FaultInjection.fair();
        String hour = instructor
                .get(Hand.location(instructor.post(
                                "/periods", "title=Next+" + UUID.randomUUID() + "&date=2026-12-02&zone=UTC&mark=POINT"))
                        + "/hour?experiment=neutralization&benches=3")
                .body();
        // another class of this book may have taken its time, too
        assertThat(hour)
                .containsPattern("usual 6 min; yours 1[34] min, from ([789]|1\\d) runs")
                .containsPattern("usual 10 min; yours 12 min, from ([789]|1\\d) runs");
    }

    @Test
    @Tag("browser")
    void aStreamThatIsCutIsTakenUpAgain() {
        Hand alder = new Hand(address("")).join(period, "Alder");
        String entry = alder.begin("heat-of-solution").replaceAll("\\?.*", "");
        try (BenchBrowser browser = browser()) {
            Page look = browser.allowing("net::ERR").page();
            look.setViewportSize(1280, 800);
            browser.open(period + "/class");
            look.context().setOffline(true);
            give(alder, entry, "water[1]/mass", "87.65", "g");
            look.waitForTimeout(1000);
            assertThat(look.content()).doesNotContain("87.65 g");
            look.context().setOffline(false);
            look.waitForSelector("text=87.65 g");
            alder.post("/bench/hand", "up=true");
            look.waitForSelector(".urgent >> text=hand raised");
        }
    }

    /** WCAG 2.2, contrast ratio, from memory: (lighter + 0.05)/(darker + 0.05) of relative luminances. */
    @Test
    @Tag("browser")
    void onTheWallEveryTextHasAContrastOfSevenToOne() {
        run(new Hand(address("")).join(period, "Alder"), equip("wall"));
        try (BenchBrowser browser = browser()) {
            Page wall = browser.page();
            wall.setViewportSize(1920, 1080);
            browser.open(period + "/class/projector");
            assertThat(((Number) wall.evaluate("() => {"
                                    + "const light = (rgb) => rgb.match(/[\\d.]+/g).slice(0, 3).map((c) => c / 255)"
                                    + ".map((c) => c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)"
                                    + ".reduce((sum, c, i) => sum + c * [0.2126, 0.7152, 0.0722][i], 0);"
                                    + "const back = light(getComputedStyle(document.body).backgroundColor);"
                                    + "return Math.min(...[...document.querySelectorAll('main *')]"
                                    + ".filter((e) => !e.children.length && e.textContent.trim() && e.getClientRects().length)"
                                    + ".map((e) => light(e.closest('svg') ? getComputedStyle(e).fill : getComputedStyle(e).color))"
                                    + ".map((l) => (Math.max(l, back) + 0.05) / (Math.min(l, back) + 0.05))); }"))
                            .doubleValue())
                    .isGreaterThanOrEqualTo(7);
        }
    }

    /** Every page of the class at four widths: nothing runs over its edge, and a screen reader finds its way. */
    @Test
    @Tag("browser")
    void everyPageOfTheClassFitsItsScreen() {
        run(new Hand(address("")).join(period, "Alder"), equip("screens"));
        try (BenchBrowser browser = browser()) {
            Page page = browser.page();
            for (String path : new String[] {"/class", "/hour", "/after", "/data", "/data?second=true", "/constant"}) {
                for (int width : new int[] {390, 820, 1280, 1920}) {
                    page.setViewportSize(width, width == 1920 ? 1080 : 844);
                    browser.open(period + path);
                    assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                            .as("%s at %d", path, width)
                            .isLessThanOrEqualTo(width);
                }
                assertThat(browser.axe()).as(path).isEmpty();
            }
        }
    }
}

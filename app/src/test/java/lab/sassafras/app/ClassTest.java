package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The class page, and what passes between it and the benches. */
class ClassTest extends HouseTest {

    private Hand instructor;
    private String period;

    @BeforeEach
    void open() {
        instructor = new Hand(address(""));
        period = instructor.openPeriod("Class, " + UUID.randomUUID());
    }

    private Hand bench(String name) {
        return new Hand(address("")).join(period, name);
    }

    private String look() {
        return instructor.get(period + "/class").body();
    }

    private String id(String bench) {
        Matcher found = Pattern.compile("<option value=\"([0-9a-f-]{36})\">" + bench + "<")
                .matcher(look());
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    private static void give(Hand hand, String entry, String at, String text, String unit) {
        hand.post(
                entry + "/observations",
                "role=read&at=" + Hand.encoded(at) + "&text=" + text + "&unit=" + Hand.encoded(unit) + "&sure=true&key="
                        + UUID.randomUUID());
    }

    @Test
    void eachBenchStandsThereAndWhatNeedsALookFirst() {
        assertThat(look()).contains("No bench has joined yet");
        Hand alder = bench("Alder");
        bench("Cedar");
        String entry = alder.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        give(alder, entry, "sample[1]/mass", "32.00", "g");
        give(alder, entry, "water[1]/mass", "90.00", "g");
        alder.post("/bench/hand", "up=true");
        String page = look();
        assertThat(page)
                .contains(
                        "2 benches", "90.00 g", "nothing begun", "2 of 6 steps done", "No run is read to its end yet.")
                .containsPattern(
                        "class=\"raised\"><strong><a href=\"" + entry + "\">Alder</a></strong>\\s*<span>hand raised");
        alder.post("/bench/hand", "up=true");
        instructor.post(period + "/class/" + id("Alder"), "what=came");
        assertThat(look()).doesNotContain("hand raised");
        assertThat(alder.get("/bench").body()).contains("Come and look");
    }

    @Test
    void aNoteIsShownUntilItIsSeenAndABenchIsHeldUntilItIsLetGo() {
        Hand alder = bench("Alder");
        bench("Cedar");
        instructor.post(period + "/class/notes", "text=Ten+minutes+%3Cb%3Eleft%3C/b%3E");
        instructor.post(period + "/class/notes", "text=Only+you&bench=" + id("Cedar"));
        String page = alder.get("/bench").body();
        assertThat(page).contains("Ten minutes &lt;b&gt;left&lt;/b&gt;").doesNotContain("Only you");
        Matcher note = Pattern.compile("action=\"(/bench/notes/[0-9a-f-]+)\"").matcher(page);
        assertThat(note.find()).isTrue();
        alder.post(note.group(1), "");
        alder.post(note.group(1), "");
        assertThat(alder.get("/bench").body()).doesNotContain("Ten minutes");
        assertThat(look()).contains("not seen yet by Cedar", "to Cedar");
        instructor.post(period + "/class/" + id("Alder"), "what=hold&text=the+bath+boils+dry");
        instructor.post(period + "/class/" + id("Alder"), "what=beside&text=weighs+with+the+lid");
        assertThat(alder.get("/bench").body())
                .contains("Stop, and wait for", ": the bath boils dry")
                .doesNotContain("weighs with the lid");
        assertThat(look()).contains("held: the bath boils dry", "weighs with the lid");
        instructor.post(period + "/class/" + id("Alder"), "what=lift");
        assertThat(alder.get("/bench").body()).doesNotContain("Stop, and wait for");
    }

    @Test
    void whatCannotBeToldIsSaid() {
        bench("Alder");
        assertThat(instructor
                        .post(period + "/class/notes", "text=" + "x".repeat(501))
                        .body())
                .contains("1 to 500 characters; this one has 501", "x".repeat(501));
        assertThat(instructor.post(period + "/class/notes", "text=+").body()).contains("this one has 0");
        assertThat(instructor
                        .post(period + "/class/notes", "text=" + "x".repeat(500))
                        .statusCode())
                .isEqualTo(302);
        assertThat(instructor
                        .post(period + "/class/" + UUID.randomUUID(), "what=hold")
                        .statusCode())
                .isEqualTo(404);
        assertThat(Hand.location(instructor.get("/class"))).contains("/class");
    }

    /** Two instructors at once; a bench that is called otherwise stays the same. */
    @Test
    void whatTwoDoAtOnceIsDoneOnce() throws InterruptedException {
        Hand alder = bench("Alder");
        String bench = id("Alder");
        Hand other = new Hand(address(""));
        Thread[] both = {
            new Thread(() -> instructor.post(period + "/class/" + bench, "what=hold&text=one")),
            new Thread(() -> other.post(period + "/class/" + bench, "what=hold&text=two"))
        };
        for (Thread each : both) {
            each.start();
        }
        for (Thread each : both) {
            each.join();
        }
        assertThat(alder.get("/bench").body()).containsPattern("Stop, and wait for [^<]*: (one|two)");
        instructor.post(period + "/benches/" + bench, "name=Birch");
        assertThat(look())
                .contains(">Birch<")
                .containsPattern("held: (one|two)")
                .doesNotContain(">Alder<");
        instructor.post(period + "/class/" + bench, "what=lift");
        other.post(period + "/class/" + bench, "what=lift");
        assertThat(alder.get("/bench").body()).doesNotContain("Stop, and wait for");
    }

    @Test
    void aClosedPeriodIsReadAndNothingIsSaidToItsBenches() {
        Hand alder = bench("Alder");
        String bench = id("Alder");
        instructor.post(period + "/life", "state=CLOSED&reason=over");
        assertThat(alder.post("/bench/hand", "up=true").statusCode()).isEqualTo(403);
        assertThat(alder.get("/bench").body()).doesNotContain("Come and look");
        assertThat(look()).contains("nothing begun").doesNotContain("hand raised");
        assertThat(instructor.get(period + "/class/projector").body()).contains("No run is read to its end yet.");
        assertThat(bench).isNotEmpty();
    }

    private String solid(String bench, String mixed) {
        Hand hand = bench(bench);
        String entry = hand.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        give(hand, entry, "sample[1]/mass", "32.00", "g");
        hand.post(entry + "/observations", "role=stated&text=boiling&at=" + Hand.encoded("sample[1]/bath"));
        give(hand, entry, "water[1]/mass", "90.00", "g");
        give(hand, entry, "sample[1]/start", "99.0", "°C");
        give(hand, entry, "water[1]/start", "21.0", "°C");
        give(hand, entry, "mixed[1]/final", mixed, "°C");
        return entry;
    }

    /** By hand: one of six values that must be there is 17 %. */
    @Test
    void afterClassItIsSaidWhoLacksWhatAndWhatIsOpen() {
        String done = solid("Alder", "23.4");
        Hand cedar = bench("Cedar");
        String begun = cedar.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        give(cedar, begun, "sample[1]/mass", "32.00", "g");
        String page = instructor.get(period + "/after").body();
        assertThat(page)
                .contains("finished", ">100<", "17 %", "under way, lacks ", "Nothing was.")
                .contains("Still open:", "Cedar: Specific heat of a solid lacks ", "Close it all the same");
        assertThat(instructor
                        .get(period + "/after?deviation=0&completeness=0&corrections=0")
                        .body())
                .contains("Give at least one of them a weight.");
        assertThat(instructor.get(period + "/after?deviation=much").statusCode())
                .isEqualTo(422);
        assertThat(instructor
                        .get(period + "/marks.csv?deviation=0&completeness=1&corrections=0")
                        .body())
                .startsWith("bench,experiment,state,result,")
                .containsPattern("Alder,Specific heat of a solid,finished,.*,100,0,100.0")
                .containsPattern("Cedar,Specific heat of a solid,under way,,,17,0,16.7");
        assertThat(instructor.get(done + "/result").statusCode()).isEqualTo(200);
        instructor.post(period + "/life", "state=CLOSED&reason=the+class+is+over");
        assertThat(instructor.get(period + "/after").body()).contains("The period is not open");
    }

    @Test
    void eachBenchHasDataOfItsOwnAndTheAnswersStandOnTheSecondSheet() {
        bench("Alder");
        bench("Cedar");
        String sheets = instructor
                .get(period + "/data?experiment=neutralization&seed=7")
                .body();
        assertThat(sheets)
                .contains("Bench Alder", "Bench Cedar", "sheet <span>2</span>", "Simulated: no hand did this")
                .contains("constant of the calorimeter", ", mixed at ")
                .doesNotContain("true value", "kJ/mol");
        String second = instructor
                .get(period + "/data?experiment=neutralization&seed=7&second=true")
                .body();
        assertThat(second).contains("true value", "kJ/mol", "Seed 8.");
        assertThat(instructor
                        .get(period + "/data.csv?experiment=neutralization&seed=7&copies=2")
                        .body())
                .startsWith("sheet,bench,what,read")
                .contains("2,Cedar,", "1,Alder,temperature at ")
                .doesNotContain("kJ");
        assertThat(instructor
                        .get(period + "/data?experiment=cycle&seed=0&copies=65")
                        .body())
                .contains("Choose one of which a run is simulated.", "from 1 to 999999.", "from 1 to 64.");
    }

    @Test
    void dataOfARunAreReadWithoutWhatComesOfThem() {
        String entry = solid("Alder", "23.4");
        String page = instructor.get(entry + "/data").body();
        assertThat(page)
                .contains("23.4 °C", "32.00 g", "Conventions in use", "run.json", "observations.csv")
                .doesNotContain("J/(g·°C) ±", "specific heat of the sample");
        assertThat(instructor.get(entry + "/print").body()).contains("Data only, without the answer");
    }

    /** An outlier is worth repeating as long as the hour leaves the time of a trial. */
    @Test
    void whatIsWorthRepeatingIsSaidWhileThereIsTime() {
        ZonedDateTime now = HourTest.noon();
        period = Hand.location(instructor.post(
                "/periods",
                "title=Again+" + UUID.randomUUID() + "&date=" + now.toLocalDate() + "&zone="
                        + Hand.encoded(now.getZone().getId()) + "&mark=POINT"));
        for (int i = 1; i <= 7; i++) {
            solid("Bench " + i, i == 7 ? "29.0" : "23." + (3 + i % 3));
        }
        assertThat(look()).contains("outlier", "Worth repeating now: ");
        DateTimeFormatter time = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
        String from = "from=" + time.format(now.minusHours(2)) + "&until=";
        instructor.post(period + "/hour", from + time.format(now.plusMinutes(20)));
        assertThat(look()).contains("minutes left", "Worth repeating now: ");
        instructor.post(period + "/hour", from + time.format(now.minusMinutes(1)));
        assertThat(look()).contains("its time is over", "outlier").doesNotContain("Worth repeating now: ");
    }

    @Test
    @Tag("browser")
    void onTheWallNobodyIsNamedAndWhatIsWithheldIsToldByOneKey() {
        instructor.post(period + "/life", "withholds=true");
        for (int i = 1; i <= 13; i++) {
            String entry = solid("Bench " + i, "23." + i % 10);
            new Hand(address(""))
                    .join(period, "Bench " + i)
                    .post(entry + "/observations", "role=stated&text=brass&at=" + Hand.encoded("seen[1]/known"));
        }
        try (BenchBrowser browser = browser()) {
            Page wall = browser.page();
            wall.setViewportSize(1920, 1080);
            browser.open(period + "/class/projector");
            assertThat(wall.content()).doesNotContain("Bench 1", "reference 0.");
            assertThat(wall.locator(".wall-picture circle").count()).isEqualTo(12);
            assertThat(browser.axe()).isEmpty();
            assertThat(wall.evaluate("() => Math.min(...[...document.querySelectorAll('main *')]"
                            + ".filter((e) => !e.children.length && e.textContent.trim() && e.getClientRects().length)"
                            + ".map((e) => parseFloat(getComputedStyle(e).fontSize)))"))
                    .matches(size -> ((Number) size).doubleValue() >= 40, "no text is below 40 px");
            assertThat((Integer) wall.evaluate("() => document.documentElement.scrollHeight"))
                    .isLessThanOrEqualTo(1080);
            wall.keyboard().press("ArrowRight");
            wall.waitForSelector("text=page 2 of 2");
            assertThat(wall.locator(".wall-picture circle").count()).isEqualTo(1);
            wall.keyboard().press("r");
            wall.waitForSelector("text=reference 0.38");
            assertThat(wall.locator(".wall-picture .reference").count()).isEqualTo(1);
        }
    }

    @Test
    @Tag("browser")
    void aHandThatIsRaisedIsSeenAndANoteDisturbsNothing() {
        Hand alder = bench("Alder");
        try (BenchBrowser here = browser();
                BenchBrowser there = browser()) {
            Page look = here.page();
            look.setViewportSize(1280, 800);
            here.open(period + "/class");
            assertThat(here.axe()).isEmpty();
            Page at = there.join(period.replaceAll(".*/", ""), "Alder").page();
            String entry = alder.begin("heat-of-solution").replaceAll("\\?.*", "");
            there.open(entry);
            look.waitForSelector("text=Heat of solution, trial 1");
            at.fill("#text", "KCl");
            alder.post("/bench/hand", "up=true");
            look.waitForSelector(".urgent >> text=hand raised");
            look.fill("#text", "Ten minutes left");
            look.click("text=Tell >> nth=-1");
            at.waitForSelector(".said-note >> text=Ten minutes left");
            assertThat(at.inputValue("#text")).isEqualTo("KCl");
            for (int[] size : new int[][] {{820, 1180}, {390, 844}}) {
                look.setViewportSize(size[0], size[1]);
                assertThat((Integer) look.evaluate("() => document.documentElement.scrollWidth"))
                        .isLessThanOrEqualTo(size[0]);
            }
        }
    }
}

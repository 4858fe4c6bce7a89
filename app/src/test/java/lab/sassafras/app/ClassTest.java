package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
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

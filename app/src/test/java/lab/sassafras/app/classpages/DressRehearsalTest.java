package lab.sassafras.app.classpages;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import lab.sassafras.app.BenchBrowser;
import lab.sassafras.app.Hand;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A dress rehearsal: from its plan, by the hour, at the class page, to what is left after class. */
class DressRehearsalTest extends HouseTest {

    private static final Duration AT_MOST = Duration.ofSeconds(60);

    @Autowired
    private EntrySheets sheets;

    @Autowired
    private ClassBook book;

    @Autowired
    private RehearsalHands hands;

    private Hand hand;

    @BeforeEach
    void comeIn() {
        hand = new Hand(address(""));
    }

    private String plan(String experiment, String typed) {
        return Hand.location(hand.post("/prep/" + experiment, "name=Rehearsed+" + UUID.randomUUID() + "&" + typed));
    }

    private String begun(String plan, String typed) {
        HttpResponse<String> said = hand.post(plan + "/rehearsal", typed);
        assertThat(said.statusCode()).as(said.body()).isEqualTo(302);
        return Hand.location(said);
    }

    private String atItsEnd(String rehearsal) throws InterruptedException {
        Instant late = Instant.now().plus(AT_MOST);
        String page = hand.get(rehearsal).body();
        while ((!page.contains("all benches are done") || page.contains("being worked out"))
                && Instant.now().isBefore(late)) {
            Thread.sleep(200);
            page = hand.get(rehearsal).body();
        }
        assertThat(page).contains("all benches are done");
        return page;
    }

    private Period at(String rehearsal) {
        return periodBook
                .find(UUID.fromString(rehearsal.replaceAll(".*/periods/|/rehearsal", "")))
                .orElseThrow();
    }

    private List<Entry> entries(String rehearsal) {
        return entryBook.of(at(rehearsal));
    }

    private static List<Double> numbers(String page, String pattern) {
        return Pattern.compile(pattern)
                .matcher(page)
                .results()
                .map((MatchResult each) -> Double.valueOf(each.group(1)))
                .toList();
    }

    @Test
    @Tag("long")
    void aWholeEveningIsGoneThroughToItsEnd() throws InterruptedException {
        String plan = plan("heat-of-solution", "at-solid/mass=6");
        String at = begun(plan, "benches=3&trials=2&balance=1&from=18:00&until=18:40&speed=1000&seed=11&slip=digits");
        String page = atItsEnd(at);
        assertThat(page)
                .contains("Dress rehearsal", "all of it simulated", "1 balance", "two digits were exchanged")
                .contains("time, at 18:40: ", "after the end", "waited in all");
        assertThat(numbers(page, "class=\"figure\">(\\d\\d):\\d\\d</span>")).hasSize(4);
        List<Entry> runs = entries(at);
        assertThat(runs).hasSize(3).allMatch(Entry::simulated);
        for (Entry run : runs) {
            assertThat(sheets.of(run).sheet().trials()).isEqualTo(2);
            assertThat(sheets.of(run).reduction().result())
                    .as("it came to a result")
                    .isPresent();
        }
        String after = hand.get(at.replace("rehearsal", "after")).body();
        assertThat(numbers(after, "number\">(\\d+) %</td>")).containsExactly(100.0, 100.0, 100.0);
        assertThat(hand.get(at.replace("rehearsal", "class")).body()).contains("Dress", "simulated");
        assertThat(hand.get(at.replace("rehearsal", "hour")).body()).contains("all benches done 18:");
    }

    @Test
    void itIsBegunByItsPlanAndSaysWhoHasWhatIsShared() throws InterruptedException {
        String plan = plan("heat-of-solution", "at-solid/mass=6");
        assertThat(hand.get(plan).body()).contains("/rehearsal\">Rehearse an evening with it");
        String at = begun(plan, "benches=2&trials=1&balance=1&speed=1");
        assertThat(hand.get(at).body()).contains("Bench 1 until 18:", "by its own clock, at real speed", "18:00");
        assertThat(hand.get(at.replace("rehearsal", "class")).body()).contains("18:00 by its own clock", "2 benches");
        hand.post(at.replace("rehearsal", "life"), "state=CLOSED&reason=seen");
    }

    @Test
    void whatCannotBeIsSaidAndStaysTyped() {
        String plan = plan("heat-of-solution", "at-solid/mass=6");
        HttpResponse<String> none = hand.post(
                plan + "/rehearsal", "benches=40&trials=7&from=20:00&until=18:00&speed=0&seed=many&slip=digits");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body())
                .contains("A rehearsal has 1 to 32 benches.", "A rehearsal has 1 to 6 trials at each bench.")
                .contains("It ends before it begins.", "A whole number from 1 to 1000.", "at most nine digits")
                .contains("value=\"40\"", "value=\"many\"");
        assertThat(hand.post(plan("heat-of-solution", "at-water/mass=400") + "/rehearsal", "benches=2")
                        .body())
                .contains("it runs over");
        assertThat(hand.post(plan + "/rehearsal", "slip=soot").body()).contains("cannot go wrong in this experiment");
        assertThat(hand.post(plan + "/rehearsal", "benches=33").statusCode()).isEqualTo(422);
        assertThat(hand.get("/plans/" + UUID.randomUUID() + "/rehearsal").statusCode())
                .isEqualTo(404);
        assertThat(hand.get(hand.openPeriod("By hands, " + UUID.randomUUID()) + "/rehearsal")
                        .body())
                .contains("This period is no dress rehearsal");
    }

    /** A server killed in the middle: what was done stays done once, what was missed is done with its own time. */
    @Test
    @Tag("long")
    void itGoesOnFromWhereItWas() throws InterruptedException {
        String plan = plan("heat-of-solution", "at-solid/mass=6");
        String at = begun(plan, "benches=2&trials=1&balance=1&speed=1000&seed=3");
        Thread.sleep(1200);
        hands.goOn(book.rehearsal(at(at)).orElseThrow());
        atItsEnd(at);
        assertThat(entries(at)).hasSize(2).allSatisfy(run -> {
            assertThat(sheets.of(run).observations().all())
                    .extracting(each -> each.address() + " " + each.role())
                    .doesNotHaveDuplicates();
            assertThat(sheets.of(run).reduction().result()).isPresent();
        });
    }

    @Test
    @Tag("browser")
    void isLookedAtByKeyAndByScreenReader() {
        String plan = plan("heat-of-solution", "at-solid/mass=6");
        String at = begun(plan, "benches=2&trials=1&balance=1&speed=20");
        try (BenchBrowser browser = browser()) {
            for (int width : new int[] {1280, 390}) {
                browser.page().setViewportSize(width, 800);
                for (String path : List.of(plan + "/rehearsal", at)) {
                    browser.open(path);
                    assertThat(browser.axe()).as(path).isEmpty();
                    assertThat((Integer) browser.page().evaluate("() => document.documentElement.scrollWidth"))
                            .isLessThanOrEqualTo(width);
                }
            }
        }
        hand.post(at.replace("rehearsal", "life"), "state=CLOSED&reason=seen");
    }
}

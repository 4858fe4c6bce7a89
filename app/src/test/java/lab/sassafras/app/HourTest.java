package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.FaultInjection;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The hour of a period, by its page. */
class HourTest extends HouseTest {

    private static final String SOLID = "from=18:00&until=19:30&experiment=specific-heat-of-solid&trials=2"
            + "&balance=1&hot-plate=1&bath=1500&hot=95&watts=1000";

    private Hand hand;
    private String hour;

    @BeforeEach
    void open() {
        hand = new Hand(address(""));
        String period = hand.openPeriod("Hour, " + UUID.randomUUID());
        hour = period + "/hour";
        hand.post(period + "/benches", "names=Alder,+Cedar,+Elder");
    }

    @AfterEach
    void fair() {
        FaultInjection.fair();
    }

    /** When a task begins, as its link says. */
    private static LocalTime begins(String page, String task) {
        Matcher found =
                Pattern.compile("aria-label=\"" + task + ", (\\d\\d:\\d\\d) to").matcher(page);
        assertThat(found.find()).as("%s in %s", task, page).isTrue();
        return LocalTime.parse(found.group(1));
    }

    /** By hand: 1500 g from 22 to 95 °C take 458 kJ, of 600 W 12.7 min; six baths of 10 min; 8 and 7 after them. */
    @Test
    void saysWhenItIsDoneAndWhatHoldsItUp() {
        String page = hand.get(hour + "?" + SOLID).body();
        assertThat(begins(page, "Alder, in the bath")).isAfterOrEqualTo("18:13");
        assertThat(page)
                .contains("all benches done 19:28", "cannot be before 19:28")
                .contains("One hot plate for 3 benches: it is in use for 60 min in all, and that decides")
                .contains("One more hot plate: done 19:", "One trial fewer: done 18:");
        assertThat(hand.get(hour + "?" + SOLID.replace("19:30", "19:20")).body())
                .contains("done by 19:20; the last is 8 min over");
    }

    @Test
    void whatIsMovedStaysAndWhatCannotBeIsSaid() {
        String moved = hand.get(hour + "?" + SOLID + "&at-2-1-bath=18:40&pick=at-2-1-bath")
                .body();
        assertThat(begins(moved, "Cedar, in the bath")).isEqualTo("18:40");
        assertThat(begins(moved, "Cedar, mix, read")).isBetween(LocalTime.of(18, 50), LocalTime.of(18, 51));
        HttpResponse<String> cold = hand.get(hour + "?" + SOLID + "&at-2-1-bath=18:05&pick=at-2-1-bath");
        assertThat(cold.statusCode()).isEqualTo(422);
        assertThat(cold.body())
                .contains("before the hot plate is hot, after 13 min", "value=\"18:05\"", "all benches done");
        assertThat(hand.post(hour, SOLID + "&at-2-1-bath=18:05").statusCode()).isEqualTo(422);
        assertThat(hand.get(hour + "?" + SOLID.replace("hot-plate=1", "hot-plate=0"))
                        .body())
                .contains("There is no hot plate, and “in the bath” needs one.");
    }

    @Test
    void whatIsTypedWrongStandsAtItsField() {
        String page = hand.get(hour + "?from=18:00&until=17:00&trials=40&balance=many&watts=x&people=0&at-1-1-bath=soon"
                        + "&experiment=specific-heat-of-solid&min-specific-heat-of-solid-bath=999")
                .body();
        assertThat(page)
                .contains("It ends before it begins.", "A whole number from 1 to 12.", "A whole number from 0 to 64.")
                .contains("A whole number from 1 to 6.", "A whole number from 1 to 240.")
                .contains("value=\"17:00\"", "value=\"many\"", "value=\"x\"", "No hour can be laid of this yet.");
        assertThat(hand.get(hour + "?experiment=alchemy").body()).contains("There is no experiment of that name.");
        String many = new Hand(address("")).openPeriod("Nobody yet, " + UUID.randomUUID());
        assertThat(hand.get(many + "/hour?benches=400").body())
                .contains("A whole number from 1 to 64.", "value=\"400\"");
        assertThat(hand.get(many + "/hour?benches=3&experiment=specific-heat-of-solid")
                        .body())
                .contains("Bench 3, weigh");
    }

    @Test
    void isKeptAsItWasLaidAndIsACalendar() {
        assertThat(hand.post(hour, SOLID + "&at-2-1-bath=18:40&other=1").statusCode())
                .isEqualTo(302);
        String page = hand.get(hour).body();
        assertThat(begins(page, "Cedar, in the bath")).isEqualTo("18:40");
        assertThat(page).contains("Recorded last by").doesNotContain("name=\"other\"");
        List<VEvent> events = new ArrayList<>(Biweekly.parse(
                        hand.get(hour + ".ics?" + SOLID + "&at-2-1-bath=18:40").body())
                .first()
                .getEvents());
        events.sort(Comparator.comparing(each -> each.getDateStart().getValue()));
        assertThat(events).hasSize(21);
        assertThat(events.get(0).getSummary().getValue()).endsWith("weigh, balance 1");
        assertThat(events.stream().map(each -> each.getUid().getValue()).distinct())
                .hasSize(21);
        Hand bench = new Hand(address("")).join(hour.replace("/hour", ""), "Alder");
        assertThat(bench.get(hour).body())
                .as("of an instructor who sits at one")
                .contains("Hour by hour");
    }

    @Test
    void benchesMayDoDifferentThingsAndTasksTakeWhatIsTyped() {
        String page = hand.get(hour + "?" + SOLID + "&does-2=heat-of-solution&min-heat-of-solution-mix=33")
                .body();
        assertThat(page).contains("Cedar, mix, read", "Alder, in the bath").doesNotContain("Cedar, in the bath");
        Matcher mixes = Pattern.compile("Cedar, mix, read, (\\d\\d:\\d\\d) to (\\d\\d:\\d\\d)")
                .matcher(page);
        assertThat(mixes.find()).isTrue();
        assertThat(LocalTime.parse(mixes.group(1)).plusMinutes(33)).isEqualTo(mixes.group(2));
        assertThat(page).contains("usual 9 min");
    }

    @Test
    void whatSeveralPeopleMustDoIsNotDoneByOneAndPlansSayWhatBenchesDo() {
        assertThat(hand.get(hour + "?" + SOLID.replace("trials=2", "trials=12")).body())
                .contains("done by 19:30; the last is");
        assertThat(hand.get(hour + "?" + SOLID + "&min-specific-heat-of-solid-mix=240&until=23:59")
                        .statusCode())
                .isEqualTo(200);
        assertThat(hand.get(hour + "?" + SOLID.replace("trials=2", "trials=12") + "&min-specific-heat-of-solid-mix=240")
                        .body())
                .contains("This takes more than a day.");
    }

    /** Where it is about noon, whenever this is run. */
    static ZonedDateTime noon() {
        int ahead = 12 - ZonedDateTime.now(ZoneOffset.UTC).getHour();
        return ZonedDateTime.now(ZoneId.of("Etc/GMT" + (ahead > 0 ? "-" : "+") + Math.abs(ahead)));
    }

    /** A period of the day it is there. */
    private String today(String title, ZonedDateTime now) {
        return Hand.location(hand.post(
                "/periods",
                "title=" + title + UUID.randomUUID() + "&date=" + now.toLocalDate() + "&zone="
                        + Hand.encoded(now.getZone().getId()) + "&mark=POINT"));
    }

    @Test
    void onTheDayItIsSaidWhoIsBehindAndTheRestIsLaidAnew() {
        ZonedDateTime now = noon();
        String period = today("On+the+day+", now);
        Hand alder = new Hand(address("")).join(period, "Alder");
        new Hand(address("")).join(period, "Cedar");
        DateTimeFormatter time = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
        String fields = "from=" + time.format(now.minusMinutes(30)) + "&until=" + time.format(now.plusMinutes(60))
                + "&experiment=heat-of-solution&trials=1&balance=1";
        hand.post(period + "/hour", fields);
        String entry = alder.begin("heat-of-solution").replaceAll("\\?.*", "");
        alder.post(entry + "/observations", "role=stated&text=KCl&at=" + Hand.encoded("solute[1]/formula"));
        alder.post(
                entry + "/observations",
                "role=read&text=100.0&unit=g&at=" + Hand.encoded("water[1]/mass") + "&sure=true");
        String page = hand.get(period + "/hour").body();
        assertThat(page)
                .containsPattern("Alder 2[3-5] min behind<")
                .containsPattern("Cedar 2[3-5] min behind: the balance is taken until \\d\\d:\\d\\d");
        assertThat(hand.get(period + "/class").body()).contains("min behind: the balance is taken");
        Matcher anew = Pattern.compile("href=\"(/periods/[^\"]+/hour[?][^\"]*now=[^\"]*)\"")
                .matcher(page);
        assertThat(anew.find()).isTrue();
        String again = hand.get(anew.group(1).replace("&amp;", "&")).body();
        assertThat(begins(again, "Alder, weigh")).isEqualTo(time.format(now.minusMinutes(30)));
        assertThat(begins(again, "Cedar, weigh")).isAfterOrEqualTo(time.format(now));
        assertThat(begins(again, "Alder, mix, read")).isAfterOrEqualTo(time.format(now));
    }

    /** Its time to weigh has not come: whoever waits by the hour is not silent. */
    @Test
    void whoWaitsByTheHourIsNotSilentAndWhatIsOverByItIsDone() {
        ZonedDateTime now = noon();
        String period = today("Waiting+by+the+hour+", now);
        FaultInjection.clockOff(Duration.ofMinutes(-20));
        Hand cedar = new Hand(address("")).join(period, "Cedar");
        String entry = cedar.begin("heat-of-solution").replaceAll("\\?.*", "");
        FaultInjection.fair();
        assertThat(hand.get(period + "/class").body()).contains("nothing for 20 min");
        DateTimeFormatter time = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
        hand.post(
                period + "/hour",
                "from=" + time.format(now.minusMinutes(30)) + "&until=" + time.format(now.plusMinutes(90))
                        + "&experiment=heat-of-solution&trials=1&balance=1&at-1-1-weigh="
                        + time.format(now.plusMinutes(15)));
        assertThat(hand.get(period + "/class").body())
                .contains("waits for its time, " + time.format(now.plusMinutes(15)))
                .doesNotContain("nothing for 20 min", "min behind");
        assertThat(entry).startsWith("/entries/");
    }

    @Test
    @Tag("browser")
    void aTaskMovesByKeyAndByHand() {
        try (BenchBrowser browser = browser()) {
            Page page = browser.page();
            page.setViewportSize(1280, 800);
            browser.open(hour + "?" + SOLID);
            assertThat(browser.axe()).isEmpty();
            String bath = ".hour-picture [aria-label=Cedar] a[data-at=at-2-1-bath]";
            LocalTime before = begins(page.content(), "Cedar, in the bath");
            page.focus(bath);
            page.keyboard().press("Shift+ArrowDown");
            page.waitForSelector(".hour-picture .picked");
            assertThat(begins(page.content(), "Cedar, in the bath")).isEqualTo(before.plusMinutes(5));
            assertThat(page.evaluate("document.activeElement.dataset.at")).isEqualTo("at-2-1-bath");
            // 5.2 to the minute
            BoundingBox here = page.locator(bath + " text").boundingBox();
            page.mouse().move(here.x + 5, here.y + 5);
            page.mouse().down();
            page.mouse().move(here.x + 5, here.y + 5 + 52);
            page.mouse().up();
            page.waitForCondition(
                    () -> begins(page.content(), "Cedar, in the bath").equals(before.plusMinutes(15)));
        }
    }
}

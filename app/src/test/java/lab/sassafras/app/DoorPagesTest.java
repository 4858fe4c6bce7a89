package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.record.Period;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Coming in, as one sees it. */
@Tag("browser")
class DoorPagesTest extends HouseTest {

    private static final List<Integer> WIDTHS = List.of(1280, 768, 390);

    @Autowired
    private Codes codes;

    /** By a picture's address and the keyboard alone; the code stands in no address that is sent. */
    @Test
    void aTabletJoinsByItsCameraAndComesBackWithWhatItHadTyped() {
        Period period = period("Door, " + UUID.randomUUID());
        codes.renew(period);
        String code = codes.of(period).orElseThrow();
        try (BenchBrowser browser = browser().stranger().allowing("403")) {
            browser.open("/join#" + code);
            browser.page().waitForSelector("#name");
            assertThat(browser.page().url()).endsWith("/join");
            assertThat(browser.text("main")).contains(period.title());
            browser.type("Hazel").enter();
            browser.page().waitForURL("**/bench");
            String entry = Hand.with(address(""), browser.token())
                    .begin("specific-heat-of-solid")
                    .replaceAll("\\?.*", "");
            browser.open(entry + "?at=water%5B1%5D/start");
            UUID signIn = signIns.joined(period).get(0).id();
            new Hand(address("")).post("/periods/" + period.id() + "/away/" + signIn, "");
            browser.page().fill("#text", "21.4");
            browser.page().press("#text", "Enter");
            browser.page().waitForSelector("text=Come in first");
            browser.open("/join#" + code);
            browser.page().waitForSelector("#name");
            browser.type("Hazel").enter();
            browser.page().waitForURL("**/bench");
            browser.open(entry + "?at=water%5B1%5D/start");
            browser.page().waitForFunction("() => document.querySelector('#text').value === '21.4'");
            assertThat(periodBook.benches(period)).hasSize(1);
        }
    }

    /** At three widths nothing sticks out; whoever listens or types finds everything, on each page at one of them. */
    @Test
    void theDoorIsOpenToEverybody() {
        Period archived = period("At the door, archived");
        periodBook.become(archived, Period.State.ARCHIVED, "the term is over", "a test");
        String given = "/periods/" + archived.id();
        List<String> pages = List.of(
                "/people",
                "/audit",
                "/shelf/key",
                given,
                given + "/references",
                given + "/handouts",
                "/read",
                "/join",
                "/first");
        for (int turn = 0; turn < WIDTHS.size(); turn++) {
            try (BenchBrowser browser = browser()) {
                browser.page().setViewportSize(WIDTHS.get(turn), 800);
                for (int i = 0; i < pages.size(); i++) {
                    browser.open(pages.get(i));
                    check(browser, i % WIDTHS.size() == turn, pages.get(i));
                }
                browser.stranger().open("/door");
                check(browser, turn == 0, "/door");
                if (browser.page().isVisible("button:has-text('Instructors')")) {
                    browser.page().click("button:has-text('Instructors')");
                }
                browser.page().focus("#name");
                browser.press("Tab").type("wrong").enter();
                browser.page().waitForSelector("#sign-problem");
                check(browser, turn == 2, "/door, wrong");
            }
        }
    }

    private static void check(BenchBrowser browser, boolean looked, String page) {
        if (looked) {
            assertThat(browser.axe()).as(page).isEmpty();
        }
        assertThat(browser.page().evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                .as(page)
                .isEqualTo(true);
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Media;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Bench manners: one hand, wet gloves, two metres away. */
class KeyboardTest extends HouseTest {

    @Tag("browser")
    @Test
    void arrowsGoFromRowToRowAndSpaceMarksTheMomentFromAnywhere() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.expectAsked("Water in the calorimeter, settled").press("ArrowUp");
            browser.page().waitForURL("**sample**start");
            assertThat(browser.text(".correct h2")).contains("98.4 °C");
            browser.open("/entries/" + entry.id()).press("ArrowDown");
            browser.page().waitForURL("**sample**moved");
            browser.page().locator("#sheet-title").click();
            browser.answer(" ").expectAsked("reading turns");
            assertThat(browser.text(".row:has-text('solid moved')")).matches(".*\\d\\d:\\d\\d:\\d\\d.*");
        }
    }

    @Tag("browser")
    @Test
    void theNumberIsReadableAcrossTheRoomAndTheFieldHasTheFocus() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            assertThat((String) browser.page().evaluate("() => document.activeElement.id"))
                    .isEqualTo("text");
            assertThat((Double) browser.page()
                            .evaluate("() => parseFloat(getComputedStyle(document.querySelector('#text')).fontSize)"))
                    .isGreaterThan(80);
            assertThat((String) browser.page()
                            .evaluate("() => getComputedStyle(document.querySelector('#text')).fontFamily"))
                    .contains("Mono");
        }
    }

    @Tag("browser")
    @Test
    void theCautionForTheNextMovementStandsBesideThePresentOne() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            assertThat(browser.text(".caution.next")).contains("Next:", "The solid leaves the bath", "tongs");
        }
    }

    @Tag("browser")
    @Test
    void whatIsKeptIsSaidWithTheTimeOfThePeriodsZone() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = new BenchBrowser(address(""), "ja-JP", "Asia/Tokyo")) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            // last kept 19:47:30 UTC; Lisbon keeps UTC in November
            assertThat(browser.text(".kept")).contains("Last recorded 19:47:30");
            browser.give("21.2");
            assertThat(browser.text(".kept")).doesNotContain("19:47:30");
            assertThat(browser.text(".row:has-text('calorimeter, settled') .leaf >> nth=0"))
                    .isEmpty();
            assertThat(browser.page().getAttribute(".row:has-text('calorimeter, settled') svg", "aria-label"))
                    .isEqualTo("done");
        }
    }

    /** On paper there is the sheet and what it means, and none of the buttons. */
    /** From the bench's page a run begins in eight keys at most, whichever it is. */
    @Tag("browser")
    @Test
    void aRunBeginsInAFewKeys() {
        Entry entry = alone("8-salt.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn");
            java.util.Set<String> chosen = new java.util.HashSet<>();
            for (String letters : java.util.List.of(
                    "mixing", "known", "materia", "specifi", "liquid", "ice", "vapor", "soluti", "neutral", "enthalp",
                    "can", "bomb", "in", "cycle", "balance", "solub")) {
                assertThat(letters.length() + 1).isLessThanOrEqualTo(8);
                browser.page().evaluate("() => { typed.at = -9999; }");
                browser.type(letters);
                chosen.add(browser.page().inputValue("input[name=experiment]:checked"));
            }
            assertThat(chosen).hasSize(16);
            browser.enter();
            browser.page().waitForURL("**/entries/**");
            assertThat(browser.text("#sheet-title")).isEqualTo("Solubility and Gibbs energy");
        }
    }

    @Tag("browser")
    @Test
    void printLooksLikeAPageOfANotebook() {
        Entry entry = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "/result?open=all");
            browser.page().emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
            assertThat(browser.page().isVisible("#read-title")).isTrue();
            assertThat(browser.page().isVisible("svg.balance")).isTrue();
            assertThat(browser.page().isVisible("#working")).isTrue();
            assertThat(browser.page().isVisible("text=Copy as text")).isFalse();
            assertThat(browser.page().isVisible("nav[aria-label=Rooms]")).isFalse();
            assertThat((String) browser.page()
                            .evaluate("() => getComputedStyle(document.querySelector('.book')).backgroundColor"))
                    .isEqualTo("rgb(255, 255, 255)");
        }
    }

    @Tag("browser")
    @Test
    void theWorkingIsCopiedWithoutASecureContext() {
        Entry entry = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "/result?open=all");
            browser.page().click("text=Copy as LaTeX");
            browser.page().waitForSelector("text=copied");
            browser.open("/import");
            browser.page()
                    .evaluate("() => { const t = document.createElement('textarea'); t.id = 'paste'; "
                            + "document.body.append(t); t.focus(); }");
            browser.press("Control+V");
            assertThat(browser.page().inputValue("#paste"))
                    .startsWith("\\begin{aligned}")
                    .contains("q_{\\text{water}}");
        }
    }
}

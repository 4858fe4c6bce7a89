package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What hands in wet gloves do at the run page. */
@Tag("browser")
class AtTheBenchTest extends HouseTest {

    private List<Observation> at(Entry entry, String address) {
        return observationBook.of(entry.id()).at(address);
    }

    @Test
    void aValueIsQuestionedOnceAndKeptByAnotherKeyThanTheOneThatAsked() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.give("2.14");
            assertThat(browser.text(".sure")).contains("2.14 °C? Usual here is 15 to 30 °C.", "Yes, it is so");
            browser.give("2.14");
            assertThat(at(entry, "water[1]/start"))
                    .as("Enter twice keeps nothing")
                    .isEmpty();
            assertThat(browser.page().inputValue("#text")).isEqualTo("2.14");
            browser.press("y");
            browser.page().waitForSelector("button.moment");
            assertThat(at(entry, "water[1]/start"))
                    .singleElement()
                    .satisfies(kept -> assertThat(kept.text()).isEqualTo("2.14"));
        }
    }

    /** The thermometer of this run reads −10 to 60 °C: 25 lies halfway along the scale, 250 beyond its end. */
    @Test
    void thePointerOnTheInstrumentsScaleFollowsTheTyping() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            assertThat(browser.page().isVisible(".scale:not([hidden]) .pointer"))
                    .isFalse();
            browser.page().fill("#text", "25");
            assertThat(browser.page().getAttribute(".scale:not([hidden]) .pointer", "transform"))
                    .isEqualTo("translate(330 0)");
            browser.page().fill("#text", "250");
            assertThat(browser.page().getAttribute(".scale:not([hidden]) .pointer", "class"))
                    .contains("off");
            browser.page().selectOption("#unit", "K");
            browser.page().fill("#text", "298.15");
            assertThat(browser.page().getAttribute(".scale:not([hidden]) .pointer", "transform"))
                    .startsWith("translate(330");
            assertThat(browser.text(".scale:not([hidden])")).contains("usual range");
        }
    }

    @Test
    void answersAreLeavesChosenByTheirLetterAndKeptByEnterOrASecondTouch() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id() + "?at=seen%5B1%5D/magnetic");
            assertThat(browser.page().locator("main kbd").count()).isZero();
            browser.press("n");
            assertThat(browser.text(".leaf-line:has(:checked)")).isEqualTo("no");
            assertThat(at(entry, "seen[1]/magnetic")).as("chosen, not kept").isEmpty();
            browser.enter();
            browser.page().waitForURL("**after=**");
            assertThat(at(entry, "seen[1]/magnetic")).hasSize(1);
        }
        Entry other = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(other.period().id(), "Juniper").open("/entries/" + other.id() + "?at=seen%5B1%5D/magnetic");
            browser.page().click(".leaf-line >> nth=0");
            assertThat(at(other, "seen[1]/magnetic")).isEmpty();
            browser.page().click(".leaf-line >> nth=0");
            browser.page().waitForURL("**after=**");
            assertThat(at(other, "seen[1]/magnetic")).hasSize(1);
        }
    }

    @Test
    void chemistryIsTypedAsPeopleTypeItAndReadBackAndReagentsAreChosenFromTheEquation() {
        equip("typed chemistry");
        Hand hand = new Hand(address(""));
        String period = hand.openPeriod("typed chemistry");
        hand.join(period, "Rowan");
        String entry = hand.begin("neutralization");
        try (BenchBrowser browser = browser()) {
            browser.join(period.replace("/periods/", ""), "Rowan").open(entry);
            browser.give("hcl + naoh = nacl + h2o");
            assertThat(browser.text(".sure")).contains("is read as HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)");
            browser.press("y");
            browser.page().waitForSelector(".leaf-line");
            // which of them is the acid and which the base, the equation says: it is not asked again
            browser.answer("1").expectAsked("Concentration of the acid");
            assertThat(browser.text(".row:has-text('acid'):has(.how)")).contains("as the equation says HCl");
            browser.open(entry + "?at=acid%5B1%5D/formula");
            assertThat(browser.page().locator(".correct option").allInnerTexts())
                    .containsExactly("nothing, only strike it out", "HCl");
        }
    }

    @Test
    void whatIsHalfTypedWaitsForItsFieldAndThePageIsNotLeftOverItWithoutAsking() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.type("21.").press("ArrowUp");
            browser.page().waitForSelector(".correct");
            assertThat((Boolean) browser.page().evaluate("() => document.activeElement.matches('.correct input')"))
                    .as("the correction has the focus")
                    .isTrue();
            browser.open("/entries/" + entry.id());
            browser.page().waitForFunction("() => document.querySelector('#text').value === '21.'");
            List<String> asked = new ArrayList<>();
            browser.page().onDialog(dialog -> {
                asked.add(dialog.type());
                dialog.dismiss();
            });
            browser.page().click("text=Notebook");
            browser.page().waitForTimeout(300);
            assertThat(asked).containsExactly("beforeunload");
            assertThat(browser.page().inputValue("#text")).isEqualTo("21.");
            browser.page().fill("#text", "");
        }
    }

    @Test
    void theWayOfWeighingIsRememberedForThePlaceAndAProposedValueIsReplacedByTyping() {
        Entry entry = imported("2-grey-slug.json");
        entryBook.open(entry.id(), "trial", "Hawthorn");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "?at=water%5B3%5D/mass");
            // trials 1 and 2 weighed their water by difference
            browser.expectAsked("first without it");
            browser.open("/entries/" + entry.id() + "?at=sample%5B3%5D/start&way=assumed");
            assertThat(browser.page().inputValue("#text")).isEqualTo("100");
            browser.page().focus("#text");
            browser.type("97.5");
            assertThat(browser.page().inputValue("#text")).isEqualTo("97.5");
            browser.page().fill("#text", "100");
        }
    }

    @Test
    void everythingAFingerReachesForIsFortyFourPixelsHigh() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper");
            browser.page().setViewportSize(390, 844);
            browser.open("/entries/" + entry.id());
            assertThat(browser.page()
                            .evaluate(
                                    "() => [...document.querySelectorAll('main a, main button, main select, main input')]"
                                            + ".filter(each => each.getClientRects().length && !each.matches('.is-sr-only, [type=hidden]'))"
                                            + ".filter(each => each.getBoundingClientRect().height < 43.5)"
                                            + ".map(each => each.outerHTML.slice(0, 90))"))
                    .isEqualTo(List.of());
        }
    }
}

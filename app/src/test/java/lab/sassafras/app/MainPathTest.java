package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Vessel;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The main job in a real browser, by the keyboard alone. */
class MainPathTest extends HouseTest {

    /** The arrows go round all experiments, those of the tests among them. */
    private static final int MOST_PRESSES = 20;

    @Tag("browser")
    @Test
    void calibrateACupAdoptTheConstantMeasureASolidAndReadWhichItIs() {
        Vessel cup = equip("main path");
        Period period = period("Main path");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Rowan");
            begin(browser, 0);
            browser.expectAsked("What stands in the calorimeter").answer("1");
            browser.expectAsked("Weigh the cold water")
                    .tabTo(".tabs a:not([aria-current])")
                    .enter();
            browser.page().waitForURL("**way=tare");
            browser.expectAsked("first without it")
                    .give("2.34")
                    .expectAsked("now with it")
                    .give("62.34");
            browser.expectAsked("Cold water, settled")
                    .give("21.0")
                    .expectAsked("Weigh the hot water")
                    .give("60.00")
                    .expectAsked("moment of pouring")
                    .give("60.0")
                    .expectAsked("Pour the hot water");
            assertThat(browser.text(".caution")).contains("Pouring hot water", "Your lab’s own rules");
            browser.answer(" ").expectAsked("reading turns").give("39.8").expectAsked("All read");
            assertThat(browser.text(".row:has-text('by difference')"))
                    .contains("empty 2.34", "full 62.34", "by difference 60.00");

            browser.tabTo("a.act").enter();
            // 60 · 4.184 · 20.2 = 5071 J; − 60 · 4.184 · 18.8 = 4720 J; 351.5 ÷ 18.8 = 18.69 J/°C: too much for a cup
            assertThat(browser.text(".result")).startsWith("18.7 ±");
            assertThat(browser.text(".findings")).contains("cooled between reading and pouring");
            correctTheFinal(browser);
            // 60 · 4.184 · (60 − 40.2) ÷ 19.2 − 251.04 = 7.8 J/°C
            assertThat(browser.text(".result")).startsWith("7.8");
            browser.tabTo("#adopt-reason").type("one trial, for today").enter();
            browser.page().waitForURL("**/shelf/vessels/**");
            assertThat(browser.text(".calibrations")).contains("7.8", "in use", "one trial, for today");

            browser.open("/bench");
            begin(browser, 1);
            browser.expectAsked("Weigh the solid")
                    .give("84.20")
                    .expectAsked("What bath")
                    .answer("1")
                    .expectAsked("Weigh the water");
            // what warms has begun; the rest comes in the wait, and the page says what
            browser.page().click("button:has-text('in the bath')");
            browser.page().waitForSelector(".meanwhile");
            assertThat(browser.text(".meanwhile"))
                    .isEqualTo("Meanwhile: water in the calorimeter, colour, held by a magnet, density.");
            browser.page().focus("#text");
            browser.give("110.00")
                    .expectAsked("colour")
                    .answer("3")
                    .expectAsked("magnet")
                    .answer("2")
                    .expectAsked("Density")
                    .press("ArrowDown");
            browser.page().waitForURL("**sample**start");
            browser.expectAsked("Bath, after")
                    .give("99.0")
                    .expectAsked("settled")
                    .give("21.2")
                    .expectAsked("Move the solid")
                    .answer(" ")
                    .expectAsked("reading turns")
                    .give("26.2")
                    .expectAsked("once more");
            browser.open("/entries/"
                    + entryBook.of(periodBook.benches(period).get(0)).get(0).id() + "/result?open=all");
            // (110 · 4.184 + 7.845) · 5.0 ÷ (84.20 · 72.8) = 0.3818
            assertThat(browser.text(".result")).startsWith("0.3818 ±");
            assertThat(browser.text(".lead")).contains("It may be", "copper");
            assertThat(browser.text("#working")).contains("q(solid)", "released", "C(foam cup)");
            assertThat(browser.text(".balance title")).contains("absorbed", "released", "(found)");
            assertThat(shelves.now().inUse(cup)).isPresent();
        }
    }

    /** Begins the experiment of that place in the list, with the cup and instruments of this test. */
    private static void begin(BenchBrowser browser, int place) {
        browser.tabTo("input[name=experiment]");
        String title = place == 0 ? "Calorimeter constant" : "Specific heat of a solid";
        for (int i = 0;
                i < MOST_PRESSES
                        && !browser.text("label.choice:has(input:checked)").startsWith(title);
                i++) {
            browser.press("ArrowDown");
        }
        browser.tabTo("#vessel")
                .pick("cup main path")
                .tabTo("#balance")
                .pick("balance main path")
                .tabTo("#thermometer")
                .pick("thermometer main path")
                .tabTo("button.act:not(.strike)")
                .enter();
        browser.page().waitForURL("**/entries/**");
    }

    /** Changes an observation from the result page; everything follows, and the old value stays visible. */
    private static void correctTheFinal(BenchBrowser browser) {
        browser.tabTo(".row-label[href*='mixed']").enter();
        browser.page().waitForSelector(".correct");
        browser.tabTo("#text-0").type("40.2").enter();
        browser.page().waitForSelector(".problem");
        assertThat(browser.text(".problem")).contains("Say why");
        assertThat(browser.page().inputValue("#text-0")).isEqualTo("40.2");
        browser.tabTo("#reason-0").type("read from below").enter();
        browser.page().waitForSelector(".row s");
        assertThat(browser.text(".row:has(s)")).contains("39.8", "40.2", "“read from below”, Rowan");
        browser.tabTo("a.act").enter();
        browser.page().waitForSelector(".result");
    }
}

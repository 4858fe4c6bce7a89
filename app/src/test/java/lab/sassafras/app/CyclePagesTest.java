package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A cycle built on the entries of a bench: two runs make the third, which was measured as well. */
class CyclePagesTest extends HouseTest {

    private Hand hand;

    @BeforeEach
    void sitDown() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Cycle, " + UUID.randomUUID()), "Rowan");
    }

    private String begin(String experiment) {
        return hand.begin(experiment).replaceAll("\\?.*", "");
    }

    private void give(String entry, String at, String role, String text, String unit) {
        assertThat(hand.keep(entry, UUID.randomUUID(), at, role, text, unit).statusCode())
                .as(at + " " + text)
                .isIn(302, 422);
    }

    private String page(String entry, String after) {
        return hand.get(entry + after).body().replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
    }

    /** 2.00 g of sodium hydroxide in 100 g of water, 5.20 °C up: about −44.4 kJ/mol. */
    private String dissolving() {
        String entry = begin("heat-of-solution");
        give(entry, "solute[1]/formula", "stated", "NaOH", "");
        give(entry, "water[1]/mass", "read", "100.00", "g");
        give(entry, "solid[1]/mass", "read", "2.00", "g");
        give(entry, "water[1]/start", "read", "21.0", "°C");
        give(entry, "solution[1]/final", "read", "26.2", "°C");
        give(entry, "solution[1]/dissolved", "stated", "all", "");
        return entry;
    }

    /** 50 mL each of 1 mol/L, 6.7 °C up: about −56 kJ/mol. */
    private String neutralizing() {
        String entry = begin("neutralization");
        give(entry, "reaction[1]/equation", "stated", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)", "");
        give(entry, "reaction[1]/strength", "stated", "strong", "");
        give(entry, "acid[1]/formula", "stated", "HCl", "");
        give(entry, "acid[1]/concentration", "read", "1.00", "mol/L");
        give(entry, "base[1]/formula", "stated", "NaOH", "");
        give(entry, "base[1]/concentration", "read", "1.00", "mol/L");
        give(entry, "first[1]/amount", "volume", "50.0", "mL");
        give(entry, "second[1]/amount", "volume", "50.0", "mL");
        give(entry, "second[1]/start", "read", "21.0", "°C");
        give(entry, "first[1]/start", "read", "21.0", "°C");
        give(entry, "mixed[1]/final", "read", "27.7", "°C");
        return entry;
    }

    @Test
    void twoRunsMakeTheThirdWithTheSumAndTheLevelsOfEnergy() {
        String dissolving = dissolving();
        String neutralizing = neutralizing();
        assertThat(hand.get(neutralizing + "/result?open=all").body())
                .as("a single reaction has its two levels")
                .contains("class=\"levels\"", "Levels of energy");
        String cycle = begin("cycle");
        hand.post(cycle + "/open", "what=leg");
        give(cycle, "target[1]/equation", "stated", "NaOH(s) + HCl(aq) -> NaCl(aq) + H2O(l)", "");
        give(cycle, "leg[1]/from", "stated", "entry", "");
        assertThat(page(cycle, "?at=leg%5B1%5D/run")).contains("Heat of solution", "Heat of neutralization");
        give(cycle, "leg[1]/run", "stated", dissolving.replaceAll(".*/", ""), "");
        assertThat(page(cycle, "/result?open=all")).doesNotContain("Sum of the reactions");
        give(cycle, "leg[2]/from", "stated", "entry", "");
        give(cycle, "leg[2]/run", "stated", neutralizing.replaceAll(".*/", ""), "");
        String result = hand.get(cycle + "/result?open=all").body();
        String words = result.replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
        // −44.4 (102 g · 4.184 · 5.2 ÷ 0.0500 mol) and −56.1 make about −100.5
        assertThat(words)
                .contains("The overall reaction is made of reaction 1 as it stands, reaction 2 as it stands")
                .containsPattern("cancels: NaOH ?\\(aq\\)")
                .containsPattern(
                        "overall reaction ?NaOH ?\\(s\\) \\+ ?HCl ?\\(aq\\) → NaCl ?\\(aq\\) \\+ ?H2O ?\\(l\\) ?−100\\.\\d");
        assertThat(result).containsPattern("<s><span class=\"is-sr-only\">cancels");
        assertThat(words).contains("the reference for the reaction, from formation enthalpies");
        // the run file carries the runs it rests on, and says the same elsewhere
        String file = hand.get(cycle + "/run.json").body();
        assertThat(reduce(file).body()).containsPattern("\"value\" ?: ?-100\\.\\d");
    }

    @Test
    void legsThatDoNotMakeTheTargetAreNamedOnThePage() {
        String cycle = begin("cycle");
        give(cycle, "target[1]/equation", "stated", "Mg(s) + 1/2 O2(g) -> MgO(s)", "");
        give(cycle, "leg[1]/from", "stated", "typed", "");
        give(cycle, "leg[1]/equation", "stated", "Mg(s) + 2 H+(aq) -> Mg^2+(aq) + H2(g)", "");
        give(cycle, "leg[1]/heat", "read", "-466.9", "kJ/mol");
        assertThat(page(cycle, "/result?open=all"))
                .contains("However these legs are turned and multiplied, they do not make", "What does not cancel:");
        assertThat(hand.keep(
                                cycle,
                                UUID.randomUUID(),
                                "target[1]/equation",
                                "stated",
                                "Mg(s) + 1/3 O2(g) -> MgO(s)",
                                "")
                        .body())
                .contains("does not balance");
    }

    /** 1.00 g of an oxide or hydroxide in 100 mL of acid, warming it by so much. */
    private void neutralizedBy(String equation, String final_) {
        String run = begin("solid-with-solution");
        give(run, "reaction[1]/equation", "stated", equation, "");
        give(run, "solution[1]/concentration", "read", "1.00", "mol/L");
        give(run, "poured[1]/amount", "volume", "100", "mL");
        give(run, "added[1]/mass", "read", "1.00", "g");
        give(run, "poured[1]/start", "read", "21.0", "°C");
        give(run, "mixed[1]/final", "read", final_, "°C");
        give(run, "mixed[1]/reacted", "stated", "all", "");
    }

    /** A cycle of runs of the period is put together in 25 keys. */
    @Tag("browser")
    @Test
    void aCycleOfEntriesIsPutTogetherInAFewKeys() {
        neutralizedBy("Mg(OH)2(s) + 2 H+(aq) -> Mg^2+(aq) + 2 H2O(l)", "25.2");
        neutralizedBy("MgO(s) + 2 H+(aq) -> Mg^2+(aq) + H2O(l)", "29.2");
        String cycle = begin("cycle");
        int keys = 0;
        try (BenchBrowser browser = browser()) {
            browser.join(hand.period(), "Rowan").open(cycle);
            browser.give("MgO+H2O->Mg(OH)2");
            assertThat(browser.text(".sure")).contains("is read as MgO(s) + H2O(l) -> Mg(OH)2(s)");
            browser.press("y")
                    .page()
                    .waitForFunction(
                            "() => document.querySelector('#ask-title').textContent.includes('measured itself')");
            browser.enter().page().waitForSelector(".leaf-line");
            keys += "MgO+H2O->Mg(OH)2".length() + 3;
            browser.press("e").enter().page().waitForSelector("#pick");
            assertThat(browser.text(".known")).contains("the next run not named yet");
            browser.enter();
            browser.page().waitForFunction("() => document.activeElement.textContent.includes('One more')");
            browser.enter().page().waitForSelector(".leaf-line");
            assertThat(browser.text(".known")).contains("as in the one before");
            browser.enter().page().waitForSelector("#pick");
            browser.enter().page().waitForSelector("a.act:has-text('See the result')");
            keys += 6;
            assertThat(keys).isLessThanOrEqualTo(25);
            browser.open(cycle + "/result");
            // by hand: 101.0 g · 4.184 J/(g·°C) · 8.2 °C ÷ (1.00 g ÷ 40.304 g/mol) is −139.7, with 4.2 and 58.319
            // −103.5
            assertThat(browser.text("h1.result")).startsWith("−36");
        }
    }
}

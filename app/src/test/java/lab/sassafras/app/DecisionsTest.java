package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.usecase.AdoptConstant;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Decisions a person takes: each with its reason, none behind anybody's back. */
class DecisionsTest extends HouseTest {

    @Autowired
    private AdoptConstant adopting;

    @Autowired
    private EntrySheets sheets;

    @Tag("browser")
    @Test
    void leavingATrialOutNeedsAReasonAndMovesTheMean() {
        Entry entry = imported("1-calibration.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "/result?open=all");
            // the three trials: 8.14, 9.68 and 10.91 J/°C; mean 9.58
            assertThat(browser.text("h1.result")).startsWith("9.6 ± 3.5");
            browser.page().click("text=Exclude trial 3");
            browser.page().fill("#why-3", "splashed while pouring");
            browser.page().click("form:has(#why-3) button");
            browser.page().waitForSelector(".tabs .leftout");
            assertThat(browser.text("h1.result")).startsWith("8.9 ±");
            browser.page().click("text=Include trial 3 again");
            assertThat(browser.text("details:has(#why-3)")).contains("splashed while pouring");
        }
    }

    @Tag("browser")
    @Test
    void aNewerConstantIsOfferedAndNeverAppliedByItself() {
        Entry found = imported("1-calibration.json");
        Calibration first = adopting.adopt(sheets.of(found), "first", newest(found), Actor.house("Hawthorn"))
                .orThrow();
        try (BenchBrowser browser = browser()) {
            browser.join(found.period().id(), "Hawthorn").open("/bench");
            browser.page().check("input[value=specific-heat-of-solid]");
            browser.page().selectOption("#vessel", first.vesselId().toString());
            browser.page().click("button.act");
            browser.page().waitForURL("**/entries/**");
            String result = browser.page().url().replaceAll("\\?.*", "") + "/result";
            decisionBook.decide(
                    Optional.of(found.id()),
                    lab.sassafras.app.record.Decision.Kind.TRIAL,
                    "trial[3]",
                    "out",
                    "splashed",
                    "Hawthorn");
            adopting.adopt(sheets.of(found), "without the splashed trial", newest(found), Actor.house("Hawthorn"))
                    .orThrow();
            browser.open(result);
            assertThat(browser.text(".left")).contains("9.6 ± 3.5", "A newer constant was adopted", "8.9 ±");
            browser.page().click("text=Use the newer one");
            browser.page().waitForSelector(".lines:has-text('8.9 ±')");
            assertThat(browser.text(".left")).doesNotContain("A newer constant");

            browser.open("/shelf/vessels/" + first.vesselId());
            browser.page().click("text=Exclude >> nth=0");
            browser.page().fill("input[name=reason] >> nth=0", "the cup has a crack");
            browser.page().click("text=Exclude it >> nth=0");
            browser.page().waitForSelector(".calibrations .why");
            assertThat(browser.text(".calibrations li >> nth=0"))
                    .contains("excluded by Hawthorn: “the cup has a crack”");
            assertThat(browser.text(".calibrations li >> nth=1")).contains("in use");
        }
    }

    @Tag("browser")
    @Test
    void aSchoolPutInForceForOneEntryIsSaidAndFollowed() {
        Entry entry = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.text(".findings"))
                    .contains("No constant was adopted for F-07", "the calorimeter is ignored");
            String before = browser.text("h1.result");
            browser.settle("start of the solid", "fixed-point");
            browser.page().waitForSelector("text=this entry only");
            assertThat(browser.text("h1.result")).isNotEqualTo(before);
            assertThat(browser.text("#working")).contains("(25.4 − 100) °C");
            assertThat(browser.text(".table:has-text('start of the solid')")).contains("bath as read");
        }
    }

    @Tag("browser")
    @Test
    void theReferenceIsNamedWithItsSourceOnceTheSampleIsKnown() {
        Entry entry = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "?at=seen%5B1%5D/known");
            browser.page().selectOption("#pick", "zinc");
            browser.page().click("button.write");
            browser.page().waitForSelector(".row:has-text('what it is') .figure");
            browser.open("/entries/" + entry.id() + "/result?open=all");
            // cup ignored: 0.3797 against 0.388 is −2.1 %
            assertThat(browser.text(".page.right"))
                    .contains(
                            "Differs by more than the uncertainty from 0.388 J/(g·°C), the reference for zinc",
                            "per cent error −2.1 %",
                            "CRC Handbook",
                            "not verified against the source");
        }
    }

    @Tag("browser")
    @Test
    void twoDevicesInOneSlotAreBothKeptAndTheConflictIsShown() {
        Entry entry = imported("4-still-at-the-bench.json");
        for (String text : new String[] {"21.3", "21.6"}) {
            observationBook.keep(
                    UUID.randomUUID(),
                    entry.id(),
                    new Observation.Given(
                            "water[1]/start",
                            "read",
                            text,
                            "°C",
                            Optional.empty(),
                            null,
                            "tablet of " + text,
                            Optional.empty(),
                            null));
        }
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id() + "?at=water%5B1%5D/start");
            assertThat(browser.text(".findings"))
                    .contains("Two values stand", "21.3 (tablet of 21.3) and 21.6 (tablet of 21.6)");
            browser.page().fill("#reason-0", "the other tablet had it right");
            browser.page().click("form:has(#reason-0) button.strike");
            browser.page().waitForSelector(".row s");
            browser.page().waitForFunction("() => !document.querySelector('.findings')");
        }
    }

    /** The slope is put in force by a decision, travels with the run file, and can be taken back. */
    @Test
    void theSlopeIsPutInForceTravelsAndIsTakenBack() {
        Entry entry = imported("15-saltpetre.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Rowan");
        String path = "/entries/" + entry.id();
        assertThat(hand.post(path + "/combination", "combination=median").statusCode())
                .isEqualTo(422);
        hand.post(path + "/combination", "combination=line");
        assertThat(get(path + "/result?open=all").body())
                .contains("the slope of the line through the trials, 5 trials");
        String file = get(path + "/run.json").body();
        assertThat(file).contains("\"combination\" : \"line\"");
        Entry again = imports.take(file.getBytes(StandardCharsets.UTF_8), "slope.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + again.id() + "/run.json").body()).isEqualTo(file);
        hand.post(path + "/combination", "combination=mean");
        assertThat(get(path + "/result?open=all").body()).contains("mean of 5 trials");
    }
}

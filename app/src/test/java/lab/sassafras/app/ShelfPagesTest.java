package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lab.sassafras.app.record.Period;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Instrument;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Left the list, right the one taken down. */
class ShelfPagesTest extends HouseTest {

    @Tag("browser")
    @Test
    void aThermometerIsAddedOnceItsNumbersHold() {
        try (BenchBrowser browser = browser()) {
            browser.open("/shelf/new/instrument");
            browser.page().fill("#name", "thermometer Q-9");
            browser.page().selectOption("#kind", "THERMOMETER");
            browser.page().fill("#resolution", "0");
            browser.page().fill("#offset", "-0.1");
            browser.page().fill("#low", "50");
            browser.page().fill("#high", "-10");
            browser.page().click("text=Add the instrument");
            assertThat(browser.text("#resolution-problem")).contains("larger than zero");
            assertThat(browser.text("#offset-problem")).contains("cannot be negative");
            assertThat(browser.text("#high-problem")).contains("end above where it begins");
            assertThat(browser.page().inputValue("#name")).isEqualTo("thermometer Q-9");
            browser.page().fill("#resolution", "0.05");
            browser.page().fill("#offset", "0.1");
            browser.page().fill("#low", "-10");
            browser.page().fill("#high", "50");
            browser.page().fill("#gain", "11");
            browser.page().fill("#points", "0.3 0.0");
            browser.page().click("text=Add the instrument");
            assertThat(browser.text("#points-problem")).contains("Three numbers a line");
            browser.page().fill("#points", "0.3 0.0 0.1");
            browser.page().click("text=Add the instrument");
            assertThat(browser.text("#gain-problem")).contains("0 to 10 %");
            assertThat(browser.page().inputValue("#points")).isEqualTo("0.3 0.0 0.1");
            browser.page().fill("#gain", "0.4");
            browser.page().click("text=Add the instrument");
            browser.page().waitForURL("**/shelf/instruments/**");
            // 0.05 ÷ √12 = 0.0144
            assertThat(browser.text(".page.right"))
                    .contains("thermometer Q-9", "0.05 °C", "−10 to 50 °C", "0.014", "0.4 %", "0.3");
        }
        assertThat(instruments.all())
                .filteredOn(each -> each.name().equals("thermometer Q-9"))
                .extracting(Instrument::correction)
                .containsExactly(new Correction(0.004, List.of(new Correction.Point(0.3, 0, 0.1))));
    }

    @Tag("browser")
    @Test
    void aVesselWithoutAConstantSaysWhatToDo() {
        try (BenchBrowser browser = browser()) {
            browser.open("/shelf/new");
            browser.page().click("text=Add the vessel");
            assertThat(browser.text("#vessel-problem")).contains("Give it a name");
            browser.page().fill("#vessel", "tin T-1");
            browser.page().selectOption("#vesselKind", "metal-cup");
            browser.page().click("text=Add the vessel");
            browser.page().waitForURL("**/shelf/vessels/**");
            assertThat(browser.text(".page.right"))
                    .contains("tin T-1", "metal cup", "No constant was adopted yet", "ignored in the books");
        }
    }

    @Tag("browser")
    @Test
    void everySubstanceShowsItsSourceAndWhetherAnybodyOpenedIt() {
        try (BenchBrowser browser = browser()) {
            browser.open("/shelf");
            assertThat(browser.page().locator(".tables tbody tr").count()).isGreaterThanOrEqualTo(20);
            assertThat(browser.text("tr:has-text('zinc') >> nth=0")).contains("0.388", "CRC Handbook", "not verified");
            assertThat(browser.text("tr:has(a:text-is('water'))"))
                    .contains("IAPWS-IF97")
                    .doesNotContain("not verified");
            browser.page().click("a:text-is('copper')");
            assertThat(browser.text(".page.right")).contains("0.385 ± 0.002", "molar heat", "24.5", "nobody opened it");
            browser.open("/shelf/water");
            assertThat(browser.text(".page.right")).contains("4.1848", "4.1819", "1 cal/(g·°C)");
        }
    }

    @Tag("browser")
    @Test
    void aPeriodsConventionsAreInForceForItsEntries() {
        equip("conventions");
        try (BenchBrowser browser = browser()) {
            browser.open("/periods");
            browser.page().fill("#title", "Conventions");
            lab.sassafras.convention.Question.all()
                    .forEach(question -> browser.page()
                            .selectOption(
                                    "#school-" + question.key(),
                                    question.schools()
                                            .get(question.schools().size() - 1)
                                            .key()));
            browser.page().selectOption("#school-water", "4.18");
            browser.page().click("text=Open the period");
            browser.page().waitForURL("**/periods/*");
            assertThat(browser.text(".page.left")).contains("specific heat of water 4.18 J/(g·°C)", "decimal point");
            Period period = periodBook
                    .find(java.util.UUID.fromString(browser.page().url().replaceAll(".*/", "")))
                    .orElseThrow();
            assertThat(period.schools())
                    .containsEntry("water", "4.18")
                    .containsEntry("change", "integral")
                    .containsEntry("rounding", "figures")
                    .hasSize(lab.sassafras.convention.Question.all().size());
            browser.type("Elder").enter();
            browser.page().waitForURL("**/bench");
            browser.page().check("input[value=constant-by-mixing]");
            browser.page().click("button.act");
            browser.page().waitForURL("**/entries/**");
            browser.open(browser.page().url().replaceAll("\\?.*", "") + "/result?open=all");
            assertThat(browser.text(".page.left")).contains("4.18 J/(g·°C)");
            assertThat(browser.text(".page.right"))
                    .contains("No result yet", "Still to be read for trial 1", "timed readings");
        }
    }

    @Tag("browser")
    @Test
    void withoutABenchNothingCanBeDecidedAndTheWayIsShown() {
        var entry = imported("1-calibration.json");
        try (BenchBrowser browser = browser()) {
            browser.open("/bench");
            assertThat(browser.page().url()).endsWith("/periods");
            browser.open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.page().locator("text=Adopt this constant").count())
                    .isZero();
            assertThat(browser.text(".page.right")).contains("Join a bench to take decisions here");
        }
    }
}

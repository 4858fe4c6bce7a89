package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The experiments that only declare themselves, through file, API and page. */
class NewExperimentsTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * Worked by hand from the readings in the files, cup ignored: 148.20 · 4.184 · 19.0 ÷ 30.14 − 4.184 · 13.4 = 334.8;
     * 96.40 · 0.385 · 63.8 ÷ (71.25 · 12.9) = 2.576; 182.40 · 4.184 · 23.3 ÷ 7.06 − 4.184 · 62.1 = 2258.8;
     * 104.47 · 4.184 · 3.7 ÷ 0.11254 = 14.37 and 105.71 · 4.184 · 2.8 ÷ 0.08431 = 14.69, mean 14.53.
     */
    @ParameterizedTest
    @CsvSource({
        "5-ice.json, 334.8, 0.1, J/g",
        "6-liquid.json, 2.576, 0.001, J/(g·°C)",
        "7-steam.json, 2258.8, 0.3, J/g",
        "8-salt.json, 14.53, 0.01, kJ/mol"
    })
    void aFileIsWorkedOutToTheHandWorkedNumber(String file, double value, double off, String unit) {
        JsonNode answer = JSON.readTree(
                reduce(new String(demo(file), StandardCharsets.UTF_8)).body());
        assertThat(answer.at("/unknown/value").asDouble()).isCloseTo(value, within(off));
        assertThat(answer.at("/unknown/unit").asString()).isEqualTo(unit);
        double sum = 0;
        for (JsonNode heat : answer.at("/trials/0/heats")) {
            sum += heat.get("heat").asDouble();
        }
        assertThat(sum).isCloseTo(0, within(1e-6));
    }

    private Entry begin(BenchBrowser browser, String experiment) {
        equip("new");
        browser.page().reload();
        browser.page().check("input[value=" + experiment + "]");
        browser.page().selectOption("#vessel", "");
        browser.equipped("new").page().click("button.act");
        browser.page().waitForURL("**/entries/**");
        return entryBook
                .find(java.util.UUID.fromString(browser.page().url().replaceAll(".*/entries/|[?].*", "")))
                .orElseThrow();
    }

    /**
     * Neutralization by the keyboard alone: two solutions by volume, the second start assumed, a refused equation in
     * between.
     */
    @Tag("browser")
    @Test
    void aNeutralizationIsTakenDownByTheKeyboard() {
        equip("Larch");
        Period period = period("Acids and bases");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Larch");
            Entry entry = begin(browser, "neutralization");
            browser.give("HCl(aq) + NaOH(aq) -> NaCl(aq)");
            assertThat(browser.text(".problem")).contains("does not balance", "H 2 left, 0 right");
            browser.page().fill("#text", "");
            browser.give("HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                    .expectAsked("both strong")
                    .answer("1")
                    .expectAsked("Concentration of the acid")
                    .give("1.00")
                    .expectAsked("Concentration of the base")
                    .give("1.10")
                    .expectAsked("Acid in the calorimeter");
            assertThat(browser.text(".caution")).contains("goggles");
            browser.tabTo("a[href*='way=volume']").enter();
            browser.page().waitForURL("**way=volume**");
            browser.give("50.0").expectAsked("Base to be poured in");
            browser.open("/entries/" + entry.id() + "?at=second%5B1%5D/amount&way=volume");
            browser.give("50.0").expectAsked("Base, before pouring");
            browser.open("/entries/" + entry.id() + "?at=second%5B1%5D/start&way=assumed");
            browser.page().fill("#text", "21.5");
            browser.page().fill("#uncertainty", "0.5");
            browser.page().press("#text", "Enter");
            browser.page()
                    .waitForFunction(
                            "() => document.querySelector('#ask-title').textContent.includes('just before pouring')");
            browser.give("21.2")
                    .expectAsked("Pour the base in")
                    .answer(" ")
                    .expectAsked("Highest value")
                    .give("28.1");
            browser.open("/entries/" + entry.id() + "/result?open=all");
            // by hand: 50 · 4.184 · 6.9 + 50 · 4.184 · 6.6 = 2824.2 J in 0.0500 mol
            assertThat(browser.text("h1.result")).startsWith("−56.5 ±").contains("kJ/mol (95 %)");
            assertThat(browser.text(".what")).startsWith("heat of neutralization per mole of water");
            assertThat(browser.text(".page.right"))
                    .contains(
                            "Limiting reagent: acid",
                            "the smaller of n(acid) or n(base)",
                            "the reference for strong acid");
            assertThat(browser.axe()).isEmpty();
        }
    }

    /** A school put in force for the entry asks at once for what it needs, and its value enters. */
    @Tag("browser")
    @Test
    void aSchoolPutInForceAsksForWhatItNeeds() {
        Entry entry = imported("8-salt.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Alder").open("/entries/" + entry.id() + "/result?open=all");
            browser.settle("specific heat of water", "typed");
            assertThat(browser.text(".page.right")).contains("No result yet", "specific heat of water, typed");
            browser.page().click(".page.right a:has-text('specific heat of water, typed')");
            browser.give("4.814");
            browser.open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.text(".findings")).contains("Were two digits exchanged?");
            assertThat(browser.text(".page.left")).contains("a value typed from a handbook this entry only");
        }
    }

    /**
     * What was written down before mixing stands beside what was read; a thermometer mixed up is exchanged with a
     * reason.
     */
    @Tag("browser")
    @Test
    void aPredictionIsComparedAndAProbeReassigned() {
        Entry entry = imported("4-still-at-the-bench.json");
        equip("Other");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.page().click("text=predicted final temperature");
            browser.give("25.0").expectAsked("Water in the calorimeter");
            browser.give("21.0");
            browser.open("/entries/" + entry.id() + "?at=mixed%5B1%5D/final");
            browser.give("24.2");
            browser.open("/entries/" + entry.id() + "?at=water%5B1%5D/start");
            browser.page().fill("#text-0", "21.0");
            browser.page()
                    .selectOption(
                            "#instrument-0",
                            new com.microsoft.playwright.options.SelectOption().setLabel("thermometer Other"));
            browser.page().fill("#reason-0", "the two probes were exchanged");
            browser.page()
                    .waitForResponse(
                            answer -> answer.request().method().equals("POST"),
                            () -> browser.page().click("button.strike"));
            browser.open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.text(".page.right"))
                    .contains("Predicted 25.0 °C, read 24.2 °C: −0.8 °C off.", "Their offsets do not cancel");
            assertThat(browser.text(".page.left")).contains("the two probes were exchanged");
        }
    }

    @Tag("browser")
    @Test
    void severalSamplesStandSideBySideAndALineSaysWhatItsInterceptMeans() {
        Entry metals = imported("11-three-metals.json");
        Entry salt = imported("15-saltpetre.json");
        try (BenchBrowser browser = browser()) {
            browser.open("/entries/" + metals.id() + "/result?open=all");
            assertThat(browser.text(".page.right .table >> nth=0"))
                    .contains("A0.392 ± 0.044", "B0.891 ± 0.015", "C0.3993 ± 0.0084");
            browser.page().click(".page.right .table a:has-text('B')");
            assertThat(browser.text(".page.right"))
                    .contains("0.891 between 0.876 and 0.906", "aluminium")
                    .doesNotContain("Sample A:");
            // standard error 0.0175 kJ, Student at 3 degrees of freedom 3.182
            browser.open("/entries/" + salt.id() + "/result?open=all");
            assertThat(browser.text(".page.right"))
                    .contains(
                            "+0,264 ± 0,056 kJ",
                            "every trial carries the same amount of something else",
                            "heat lost = heat gained");
            browser.open("/entries/" + imported("12-ice-water.json").id() + "/result?open=all");
            assertThat(browser.text("h1.result")).startsWith("0 °C");
            assertThat(browser.text(".page.right")).contains("ice melted; the rest stays, at 0 °C: 62.2 ±");
        }
    }

    /** Two cups were exchanged: the trial is given the other one, and its constant counts for that trial alone. */
    @Tag("browser")
    @Test
    void aTrialIsGivenAnotherCup() {
        Entry slug = imported("2-grey-slug.json");
        Entry cup = imported("13-heater.json");
        var metal = calorimeters.vessel(cup.vesselId().orElseThrow()).orElseThrow();
        calorimeters.add(
                metal,
                java.util.Optional.empty(),
                lab.sassafras.measure.Measured.independent(40, 1),
                200,
                new lab.sassafras.app.shelf.Calibration.Adoption("by hand", "Alder", "for the test"));
        double before = value(slug);
        try (BenchBrowser browser = browser()) {
            browser.join(slug.period().id(), "Hawthorn").open("/entries/" + slug.id() + "?trial=2");
            browser.page().click("text=another calorimeter for this trial");
            browser.page()
                    .selectOption(
                            "#pick", new com.microsoft.playwright.options.SelectOption().setLabel("M-03, metal cup"));
            browser.page().click("button.write");
            browser.page().waitForFunction("() => document.querySelector('.page.left').textContent.includes('M-03')");
            browser.open("/entries/" + slug.id() + "/result?trial=2");
            assertThat(browser.text("#working")).contains("C(metal cup)", "40");
        }
        assertThat(value(slug)).isGreaterThan(before);
    }

    private double value(Entry entry) {
        return JSON.readTree(reduce(get("/entries/" + entry.id() + "/run.json").body())
                        .body())
                .at("/unknown/value")
                .asDouble();
    }

    /**
     * Equal moles: neither is surely limiting, so the answer by random draws stands in front, in the file's answer
     * and on the page.
     */
    @Test
    void nearEqualMolesTheDrawnAnswerStandsInFront() throws java.io.IOException {
        String even = java.nio.file.Files.readString(java.nio.file.Path.of("../docs/examples/neutralization.json"))
                .replace("\"1.10\"", "\"1.00\"");
        JsonNode answer = JSON.readTree(reduce(even).body());
        assertThat(answer.at("/trials/0/draws/bearsOutLinear").asBoolean()).isFalse();
        assertThat(answer.at("/trials/0/draws/high").asDouble()).isLessThan(-54);
        Entry entry = imports.take(even.getBytes(StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("class=\"between\"", "that of 50 000 random draws", "equal within their uncertainty");
    }

    @Tag("browser")
    @Test
    void aHeatOfSolutionShowsItsSignItsGramsAndItsReference() {
        Entry entry = imported("8-salt.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Alder").open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.text("h1.result")).startsWith("+14.5 ± 1.7 kJ/mol (95 %)");
            assertThat(browser.text(".page.right"))
                    .contains(
                            "endothermic, and ΔH is positive",
                            "heat of solution per gram weighed",
                            "+268.7",
                            "infinite dilution",
                            "the water alone")
                    .doesNotContain("does not lie between");
            browser.page().click(".tabs a:has-text('trial 2')");
            assertThat(browser.text("#working")).contains("n(solid)", "4.51 g ÷ 53.489", "kJ/mol, absorbed");
        }
        JsonNode derived = JSON.readTree(reduce(new String(demo("8-salt.json"), StandardCharsets.UTF_8))
                        .body())
                .at("/trials/0/derived");
        assertThat(derived.get(0).get("unit").asString()).isEqualTo("J/g");
        assertThat(derived.get(0).get("value").asDouble()).isCloseTo(268.7, within(0.1));
    }
}

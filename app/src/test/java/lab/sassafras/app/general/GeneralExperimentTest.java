package lab.sassafras.app.general;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import lab.sassafras.app.BenchBrowser;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A declared experiment no main file knows is entered, reduced, exported and taken in again. */
class GeneralExperimentTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    private EntrySheets sheets;

    /** A balance of its own for one place; each place proposes the one it was read on before. */
    private String balance(String name) {
        return instruments
                .add(new Instrument(
                        "", name + " balance", InstrumentKind.BALANCE, BenchUnit.GRAMS, 0.01, 0, 420, 0.01, 0))
                .key();
    }

    @Tag("browser")
    @Test
    void entersReducesExportsAndImportsAnExperimentOnlyDeclared() {
        Entry spoon = imported("3-too-much-for-a-cup.json");
        Period period = spoon.period();
        String large = balance("large");
        String small = balance("small");
        equip("for layers");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Linden");
            browser.page().check("input[value=vessel-from-layers]");
            browser.equipped("for layers").page().click("button.act");
            browser.page().selectOption("#instrument", large);
            browser.expectAsked("Weigh a layer")
                    .give("50.00")
                    .expectAsked("Layer, settled")
                    .give("30.0");
            browser.page().click("text=One more layer");
            browser.page().waitForURL("**layer%5B2%5D**");
            assertThat(browser.page().inputValue("#instrument")).isEqualTo(large);
            browser.give("40.00").give("20.0");
            browser.expectAsked("Formula of the metal").give("Cux");
            assertThat(browser.text(".problem")).contains("cannot be read as a formula");
            assertThat(browser.page().inputValue("#text")).isEqualTo("Cux");
            browser.page().fill("#text", "");
            browser.give("Cu").expectAsked("Weigh the pellet");
            browser.page().selectOption("#instrument", small);
            browser.give("60.00").expectAsked("Start of the pellet");
            browser.page().click("text=assumed");
            browser.page().waitForSelector("#uncertainty");
            browser.page().fill("#text", "0.0");
            browser.page().fill("#uncertainty", "0.3");
            browser.give("").expectAsked("Does the spoon count").answer("1").expectAsked("Which entry found");
            browser.page().selectOption("#pick", spoon.id().toString());
            browser.page().click("button.write");
            browser.page().waitForSelector("#text");
            browser.expectAsked("Final temperature").give("24.0").expectAsked("All read");
        }
        Entry entry = entryBook
                .of(periodBook.benches(period).stream()
                        .filter(bench -> bench.name().equals("Linden"))
                        .findFirst()
                        .orElseThrow())
                .get(0);
        String file = get("/entries/" + entry.id() + "/run.json").body();

        JsonNode reduced = JSON.readTree(reduce(file).body());
        // C = −[4.184 (50 · (24 − 30) + 40 · (24 − 20)) + 60 · 25/63.546 · 24 + C(spoon) · (24 − 30)] ÷ (24 − 30)
        double spoonConstant = JSON.readTree(
                        reduce(new String(demo("3-too-much-for-a-cup.json"))).body())
                .at("/unknown/value")
                .asDouble();
        double expected = (4.184 * (50 * -6 + 40 * 4) + 60 * 25 / 63.546 * 24) / 6 - spoonConstant;
        assertThat(reduced.at("/unknown/value").asDouble()).isCloseTo(expected, within(0.01));

        // and what the pellet weighed follows from the constant and all that was read beside it
        Sheet sheet = sheets.of(entry).sheet();
        Reduction turned = Reduction.of(
                sheet.supposing().seeking(Address.read("pellet[1]/mass"), Measured.exact(expected)),
                sheets.of(entry).conventions());
        assertThat(turned.result().orElseThrow().value()).isCloseTo(60, within(0.01));
        assertThat(turned.unit()).isEqualTo(BenchUnit.GRAMS);

        Entry again = imports.take(file.getBytes(java.nio.charset.StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(again.id()).isNotEqualTo(entry.id());
        assertThat(get("/entries/" + again.id() + "/run.json").body()).isEqualTo(file);
        assertThat(UUID.fromString(observationBook
                        .of(again.id())
                        .at("spoon[1]/constant")
                        .get(0)
                        .text()))
                .isNotEqualTo(spoon.id());
    }
}

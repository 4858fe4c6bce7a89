package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.List;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.shelf.OwnSubstances;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Instrument;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Left the list, right the one taken down. */
class ShelfPagesTest extends HouseTest {

    @Autowired
    private OwnSubstances own;

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
            assertThat(browser.page().locator(".table tbody tr").count()).isGreaterThanOrEqualTo(20);
            assertThat(browser.text("tr:has-text('zinc') >> nth=0")).contains("0.388", "CRC Handbook", "not verified");
            assertThat(browser.text("tr:has(a:text-is('water'))"))
                    .contains("IAPWS-IF97")
                    .doesNotContain("not verified");
            browser.page().click("a:text-is('copper')");
            assertThat(browser.text(".page.right"))
                    .contains("0.385 ± 0.002", "molar heat", "24.5", "not verified against the source");
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
            lab.sassafras.convention.ConventionQuestion.all()
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
                    .hasSize(lab.sassafras.convention.ConventionQuestion.all().size());
            browser.page().focus("#name");
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

    /** A constant is adopted by an instructor; a bench finds it and is not asked. */
    @Test
    void onlyAnInstructorAdopts() {
        var entry = imported("1-calibration.json");
        String page = "/entries/" + entry.id() + "/result?open=all";
        assertThat(new Hand(address("")).get(page).body()).contains("Adopt this constant", "Exclude this whole entry");
        Hand bench = Hand.with(address(""), signIns.bench(entry.bench(), "tablet"));
        assertThat(bench.get(page).body()).contains("Exclude this whole entry").doesNotContain("Adopt this constant");
        assertThat(bench.post("/entries/" + entry.id() + "/adopt", "reason=ours")
                        .statusCode())
                .isEqualTo(403);
    }

    private Hand seated(String name) {
        Hand hand = new Hand(address(""));
        hand.join(hand.openPeriod(name), "Rowan");
        return hand;
    }

    @Test
    void aConstantThatIsKnownIsTypedWithItsSourceAndThePageSaysWhatThatDid() {
        Hand hand = seated("known constant");
        Vessel cup = equip("known constant");
        String page = "/shelf/vessels/" + cup.id();
        HttpResponse<String> refused =
                hand.post(page + "/constant", "constant=0&constant-width=-1&fill=&constant-source=");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains(
                        "A constant is larger than zero",
                        "A ± is larger than zero",
                        "Say where the constant comes from");
        hand.post(
                page + "/constant",
                "constant=12.4+J/°C&constant-width=0.5&fill=0.1+kg&constant-source=label+of+the+cup");
        Calibration kept = shelves.now().inUse(cup).orElseThrow();
        assertThat(kept.value().value()).isEqualTo(12.4);
        assertThat(kept.value().ownUncertainty()).isEqualTo(0.5);
        assertThat(kept.fill()).isEqualTo(100);
        // U(95 %) of a value known with 0.5: 1.96 · 0.5
        assertThat(text(hand.get(page + "?adopted=true").body()))
                .contains(
                        "Adopted: entries begun from now on with " + cup.name() + " use 12.40 ± 0.98 J/°C",
                        "label of the cup");
        // without a ±, half a unit of the last figure as a rectangle: 1 ÷ √12; whoever saw no other may not put one
        // over it
        String seen = "&seen=" + kept.id();
        assertThat(hand.post(page + "/constant", "constant=13&fill=100&constant-source=last+year")
                        .body())
                .contains("Not adopted");
        hand.post(page + "/constant", "constant=13&fill=100&constant-source=last+year" + seen);
        assertThat(shelves.now().inUse(cup).orElseThrow().value().ownUncertainty())
                .isCloseTo(1 / Math.sqrt(12), within(1e-12));
        assertThat(text(hand.get(page).body())).contains("typed, ± half a unit of its last figure");
    }

    @Test
    void whatIsRetiredIsNotOfferedAndComesBack() {
        Hand hand = seated("retired");
        Vessel cup = equip("retired");
        Instrument balance = instruments.all().stream()
                .filter(each -> each.name().equals("balance retired"))
                .findFirst()
                .orElseThrow();
        String entry = hand.begin("heat-of-solution&vessel=" + cup.id() + "&balance=" + balance.key());
        for (String thing : List.of("/shelf/vessels/" + cup.id(), "/shelf/instruments/" + balance.key())) {
            assertThat(hand.post(thing + "/retired", "outcome=aside&reason=").statusCode())
                    .isEqualTo(422);
            hand.post(thing + "/retired", "outcome=aside&reason=it+leaks");
            assertThat(text(hand.get(thing).body())).contains("Retired by Rowan", "“it leaks”", "Bring it back");
        }
        assertThat(hand.get("/bench").body()).doesNotContain("cup retired", "balance retired");
        assertThat(hand.get(entry + "?at=water%5B1%5D/mass").body())
                .as("where it is used it is read")
                .contains("balance retired");
        hand.post("/shelf/vessels/" + cup.id() + "/retired", "outcome=adopted&reason=mended");
        hand.post("/shelf/instruments/" + balance.key() + "/retired", "outcome=adopted&reason=mended");
        assertThat(hand.get("/bench").body()).contains("cup retired", "balance retired");
    }

    @Test
    void anInstrumentOfTheSameNameIsAskedAboutAndABenchKeepsItsInstruments() {
        Hand hand = seated("doubled names");
        String typed = "name=probe+D-1&kind=THERMOMETER&resolution=0.1+°C&low=&high=&offset=&gain=&points=";
        assertThat(hand.post("/shelf/instruments", typed).statusCode()).isEqualTo(302);
        HttpResponse<String> asked = hand.post("/shelf/instruments", typed);
        assertThat(asked.body()).contains("There is a thermometer called probe D-1 already", "Add it all the same");
        assertThat(hand.post("/shelf/instruments", typed + "&sure=yes").statusCode())
                .isEqualTo(302);
        List<Instrument> both = instruments.all().stream()
                .filter(each -> each.name().equals("probe D-1"))
                .toList();
        assertThat(both).hasSize(2);
        hand.begin("heat-of-solution&thermometer=" + both.get(1).key());
        assertThat(hand.get("/bench").body())
                .as("what the bench had in hand last is proposed")
                .containsPattern("value=\"" + both.get(1).key() + "\"\\s+selected=\"selected\"");
    }

    /** Every kind of value the handbook has may be put beside it; its figures are kept, and a ± need not be known. */
    @Test
    void valuesOfOnesOwnOfEveryKindGoBeforeTheHandbooks() {
        Hand hand = seated("own kinds");
        hand.post("/shelf/own", "name=brick&kind=SOLID&value=0.390&uncertainty=&source=our+run&formula=&density=");
        assertThat(text(hand.get("/shelf/own").body())).contains("0.390 J/(g·°C)", "no ± was given");
        assertThat(hand.post("/shelf/own", "name=x&kind=FORMATION&value=-601.7&source=book&formula=MgO")
                        .body())
                .contains("needs a formula and a state");
        assertThat(hand.post("/shelf/own", "name=x&kind=REACTION&value=-10&source=book&formula=Zn(s)+->+Cu(s)")
                        .body())
                .contains("does not balance");
        assertThat(hand.post("/shelf/own", "name=x&kind=SOLID&value=0.5+kJ/mol&source=book")
                        .body())
                .contains("What is asked here is in J/(g·°C)");
        hand.post(
                "/shelf/own",
                "name=cerium+oxide&kind=FORMATION&value=-1088.7&uncertainty=1.5&source=book&formula=CeO2(s)");
        hand.post("/shelf/own", "name=squalane&kind=COMBUSTION&value=-19800&uncertainty=20&source=book&formula=C30H62");
        String equation = "Fe(s) + Cu^2+(aq) -> Fe^2+(aq) + Cu(s)";
        hand.post(
                "/shelf/own",
                "name=iron+and+copper&kind=REACTION&value=-150.2&uncertainty=0.6&source=book&formula="
                        + Hand.encoded(equation));
        ReferenceShelf shelf = shelves.now().handbook(ReferenceShelf.VERSION);
        assertThat(shelf.formation().rows())
                .anySatisfy(row -> assertThat(row.species() + row.enthalpy()).isEqualTo("CeO2(s)-1088.7"));
        assertThat(shelf.combustion(ChemicalFormula.read("C30H62"))
                        .orElseThrow()
                        .value())
                .isEqualTo(-19800);
        assertThat(shelf.heat(ChemicalEquation.read("Cu^2+(aq) + Fe(s) -> Cu(s) + Fe^2+(aq)"))
                        .orElseThrow()
                        .value())
                .as("in whatever order it is written")
                .isEqualTo(-150.2);
        own.all().stream()
                .filter(each -> each.kind() == OwnSubstance.Kind.REACTION)
                .forEach(each -> hand.post("/shelf/own/" + each.id(), "outcome=aside&reason=misread"));
        assertThat(shelves.now()
                        .handbook(ReferenceShelf.VERSION)
                        .heat(ChemicalEquation.read(equation))
                        .map(Reference::value)
                        .filter(value -> value == -150.2))
                .isEmpty();
    }

    /** An experiment says which kinds of vessel it takes: constants by mixing never begin with a bomb. */
    @Test
    void anExperimentIsBegunInAVesselItTakes() {
        Hand hand = seated("vessels");
        Vessel bomb =
                calorimeters.add("bomb vessels", Experiments.vessel("bomb").orElseThrow());
        HttpResponse<String> refused = hand.post("/entries", "experiment=constant-by-mixing&vessel=" + bomb.id());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(text(refused.body()))
                .contains("is done in a foam cup or", "not in a bomb calorimeter", "Choose another calorimeter");
        assertThat(hand.post("/entries", "minded=true&experiment=bomb-combustion&vessel=" + bomb.id())
                        .statusCode())
                .isEqualTo(302);
    }

    @Tag("browser")
    @Test
    void theListOfVesselsFollowsTheExperiment() {
        Hand hand = seated("list of vessels");
        calorimeters.add("bomb first", Experiments.vessel("bomb").orElseThrow());
        equip("list of vessels");
        try (BenchBrowser browser = browser()) {
            browser.join(hand.period(), "Rowan").open("/bench");
            String chosen = "() => document.getElementById('vessel').selectedOptions[0].dataset.kind";
            browser.page().check("input[value=bomb-combustion]");
            assertThat(browser.page().evaluate(chosen)).isEqualTo("bomb");
            browser.page().check("input[value=constant-by-mixing]");
            assertThat(browser.page().evaluate(chosen)).isEqualTo("foam-cup");
        }
    }

    private static String text(String page) {
        return page.replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
    }
}

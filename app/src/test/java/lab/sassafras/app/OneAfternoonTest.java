package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.shelf.OwnSubstances;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What an instructor does before, during and after an afternoon. */
@Tag("long")
class OneAfternoonTest extends HouseTest {

    @Autowired
    private OwnSubstances own;

    @Test
    void benchesAreMadeAtOnceRenamedAndTakenAwayWhileTheyWroteNothing() {
        Hand hand = new Hand(address(""));
        String period = hand.openPeriod("set-up");
        hand.post(period + "/benches", "names=Bench+1%E2%80%934%2C+Hawthorn");
        Period opened = periodBook
                .find(UUID.fromString(period.replace("/periods/", "")))
                .orElseThrow();
        assertThat(periodBook.benches(opened))
                .extracting(Bench::name)
                .containsExactly("Bench 1", "Bench 2", "Bench 3", "Bench 4", "Hawthorn");
        Bench second = periodBook.benches(opened).get(1);
        hand.post(period + "/benches/" + second.id(), "name=Window");
        assertThat(hand.post(period + "/benches/" + second.id(), "name=Bench+3").body())
                .contains("There is a bench of that name already");
        hand.post(period + "/benches/" + periodBook.benches(opened).get(0).id(), "away=yes");
        assertThat(periodBook.benches(opened))
                .extracting(Bench::name)
                .contains("Window")
                .doesNotContain("Bench 1", "Bench 2");
        hand.join(period, "Window");
        hand.begin("heat-of-solution");
        assertThat(hand.post(period + "/benches/" + second.id(), "away=yes").body())
                .contains("has entries, so it stays");
        assertThat(hand.get(period).body()).contains("bench=Window\">Window</a>");
        String window = "/notebook?period=" + opened.id() + "&bench=";
        assertThat(hand.get(window + "Window").body()).contains("Heat of solution", "All benches");
        assertThat(hand.get(window + "Hawthorn").body()).contains("No entry of this bench yet");
        assertThat(hand.get("/bench").body()).contains("Bench Window").doesNotContain("Bench Bench");
        assertThat(hand.post(period + "/benches", "names=Bench+9-3").body()).contains("counts backwards", "Bench 9-3");
    }

    @Test
    void conventionsChangeUntilTheFirstReadingAndASetUpIsCopied() {
        Hand hand = new Hand(address(""));
        String period = hand.openPeriod("conventions");
        hand.join(period, "Rowan");
        hand.post(period + "/conventions", "school-water=4.18");
        assertThat(periodBook
                        .find(UUID.fromString(period.replace("/periods/", "")))
                        .orElseThrow()
                        .schools())
                .containsEntry("water", "4.18");
        String entry = hand.begin("heat-of-solution");
        hand.keep(entry, UUID.randomUUID(), "solute[1]/formula", "stated", "NaCl", "");
        assertThat(hand.post(period + "/conventions", "school-water=4.184").body())
                .as("from then on it is said what would move, and nothing is changed")
                .contains("None of 0 results moves", "Why they are set anew");
        assertThat(periodBook
                        .find(UUID.fromString(period.replace("/periods/", "")))
                        .orElseThrow()
                        .schools())
                .containsEntry("water", "4.18");
        assertThat(hand.get("/periods?like=" + period.replace("/periods/", "")).body())
                .contains("value=\"conventions\"", "with the same");
    }

    /** Conventions set anew by a decision: it says how far results move, each keeps both, a departure stays. */
    @Test
    void conventionsAreSetAnewByADecisionAndEachResultKeepsBoth() {
        Entry follows = alone("8-salt.json");
        Hand hand = new Hand(address(""));
        String period = "/periods/" + follows.period().id();
        hand.join(period, "Rowan");
        String result = "/entries/" + follows.id() + "/result";
        String before = number(hand.get(result).body());
        Map<String, String> was =
                periodBook.find(follows.period().id()).orElseThrow().schools();
        String others = "school-water=1-cal&"
                + was.entrySet().stream()
                        .filter(each -> !each.getKey().equals("water"))
                        .map(each -> "school-" + each.getKey() + "=" + each.getValue())
                        .collect(Collectors.joining("&"));
        // 1 cal/(g·°C) is 4.184: nothing moves; 4.18 moves it by 0.1 %
        String asked = hand.post(period + "/conventions", others.replace("1-cal", "4.18"))
                .body();
        assertThat(asked).containsPattern("1 of 1 result moves, at most by 0\\.\\d+ %");
        assertThat(number(hand.get(result).body()))
                .as("nothing is changed by asking")
                .isEqualTo(before);
        String sure = "&sure=true&reason=";
        assertThat(hand.post(period + "/conventions", others.replace("1-cal", "4.18") + sure)
                        .body())
                .contains("Say why the conventions are set anew");
        hand.post(period + "/conventions", others.replace("1-cal", "4.18") + sure + "as+in+the+book");
        String page = hand.get(result).body();
        assertThat(page).contains("set anew by Rowan", "“as in the book”", "Before, this was " + before);
        assertThat(hand.get(period).body()).contains("set anew by Rowan");
        // a result that departs keeps its own
        hand.post("/entries/" + follows.id() + "/school", "question=water&school=4.184");
        String departed = number(hand.get(result).body());
        hand.post(period + "/conventions", others.replace("1-cal", "iapws") + sure + "once+more");
        assertThat(number(hand.get(result).body())).isEqualTo(departed);
    }

    private static String number(String page) {
        int title = page.indexOf("id=\"result-title\"");
        String heading = page.substring(title, page.indexOf("</h1>", title));
        return heading.substring(heading.indexOf('>') + 1)
                .replaceAll("<[^>]*>", "")
                .replaceAll("\\s+", " ")
                .replaceAll(" kJ.*", "")
                .strip();
    }

    @Test
    void benchesStartWithACupOfTheirOwn() {
        equip("own cup a");
        equip("own cup b");
        Hand one = new Hand(address(""));
        String period = one.openPeriod("own cups");
        one.join(period, "Alder");
        Hand other = new Hand(address("")).join(period, "Rowan");
        assertThat(proposed(one)).isNotEqualTo(proposed(other));
    }

    private static String proposed(Hand hand) {
        return hand.get("/bench").body().replaceAll("(?s).*<option value=\"([0-9a-f-]{36})\" selected.*", "$1");
    }

    /** Many cups at once; a name that is there already is asked for otherwise, and what was typed stays. */
    @Test
    void eightCupsAreAddedAtOnceAndNoNameStandsTwice() {
        Hand hand = new Hand(address(""));
        int before = shelves.now().vessels().size();
        assertThat(hand.post("/shelf/vessels", "vessel=Beaker+1-8&vesselKind=foam-cup")
                        .statusCode())
                .isEqualTo(302);
        assertThat(shelves.now().vessels())
                .hasSize(before + 8)
                .extracting(Vessel::name)
                .contains("Beaker 1", "Beaker 8");
        HttpResponse<String> twice = hand.post("/shelf/vessels", "vessel=Beaker+7-9&vesselKind=foam-cup");
        assertThat(twice.statusCode()).isEqualTo(422);
        assertThat(twice.body()).contains("There are some called Beaker 7, Beaker 8 already", "value=\"Beaker 7-9\"");
        assertThat(shelves.now().vessels()).hasSize(before + 8);
    }

    @Test
    void aVesselIsRenamedAndAnInstrumentMayLeaveItsRangeAndOffsetOut() {
        Vessel vessel = calorimeters.add("cup to rename", VesselKind.FOAM_CUP);
        Hand hand = new Hand(address(""));
        hand.join(hand.openPeriod("renaming"), "Rowan");
        hand.post("/shelf/vessels/" + vessel.id() + "/name", "name=F-90");
        assertThat(shelves.now().vessel(vessel.id()).orElseThrow().name()).isEqualTo("F-90");
        hand.post("/shelf/instruments", "name=plain+probe&kind=THERMOMETER&resolution=0.1&low=&high=&offset=");
        assertThat(instruments.all())
                .filteredOn(each -> each.name().equals("plain probe"))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.low()).isEqualTo(-10);
                    assertThat(each.high()).isEqualTo(110);
                    assertThat(each.offsetUncertainty()).isEqualTo(0.1);
                });
    }

    /** Added with source and ±, chosen, struck out: no longer offered, and still read where it was chosen. */
    @Test
    void aSubstanceOfOnesOwnIsAddedChosenAndStruckOut() {
        equip("own substance");
        Hand hand = new Hand(address(""));
        String period = hand.openPeriod("own substance");
        hand.join(period, "Rowan");
        assertThat(hand.post("/shelf/own", "name=candle&kind=SOLID&value=2.1&uncertainty=0&source=")
                        .body())
                .contains("larger than zero", "Say where the value comes from", "candle");
        hand.post(
                "/shelf/own",
                "name=candle&kind=SOLID&value=2.14&uncertainty=0.08&source=our+own+run&formula=&density=");
        OwnSubstance candle = own.all().get(own.all().size() - 1);
        String entry = hand.begin("specific-heat-of-liquid");
        String asked = "?at=shelf%5B1%5D/solid";
        assertThat(hand.get(entry + asked).body()).contains("candle");
        hand.keep(entry, UUID.randomUUID(), "shelf[1]/solid", "stated", candle.key(), "");
        assertThat(hand.get(hand.begin("specific-heat-of-liquid") + asked).body())
                .as("what the period knows is filled in, and said")
                .containsPattern("selected=\"selected\">candle")
                .contains("Filled in as in your run before.");
        hand.post("/shelf/own/" + candle.id(), "outcome=aside&reason=it+was+paraffin");
        assertThat(hand.get("/shelf/own").body()).contains("struck out by Rowan", "it was paraffin");
        assertThat(hand.get(hand.begin("specific-heat-of-liquid") + asked).body())
                .doesNotContain("candle", "Filled in");
        UUID id = UUID.fromString(entry.replace("/entries/", ""));
        assertThat(observationBook.of(id).standingAt("shelf[1]/solid")).hasSize(1);
        assertThat(shelves.now().handbook(ReferenceShelf.VERSION).find(candle.key()))
                .as("read where it was chosen")
                .isPresent();
        assertThat(Address.read("shelf[1]/solid").index()).isEqualTo(1);
    }

    /**
     * The first demo salt agrees with its reference; set aside it is struck in the list with its reason, and taken
     * back.
     */
    @Test
    void theListSaysWhoIsOffHowFarTheyAreAndWhatWasSetAside() {
        Entry entry = alone("8-salt.json");
        Entry open = alone("4-still-at-the-bench.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Alder");
        String list = "/notebook?period=" + entry.period().id();
        assertThat(row(hand.get(list).body(), entry)).contains("finished").containsPattern("[+−]0\\.\\d");
        assertThat(row(hand.get("/notebook?period=" + open.period().id()).body(), open))
                .contains("under way");
        hand.post("/entries/" + entry.id() + "/aside", "outcome=out&reason=the+lid+was+off");
        assertThat(row(hand.get(list).body(), entry)).contains("excluded", "the lid was off", "class=\"aside\"");
        assertThat(hand.get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("the lid was off", "Include this entry again");
        hand.post("/entries/" + entry.id() + "/aside", "outcome=in&reason=it+was+on");
        assertThat(row(hand.get(list).body(), entry)).contains("finished").doesNotContain("the lid was off");
    }

    private static String row(String page, Entry entry) {
        int at = page.indexOf("/entries/" + entry.id());
        return page.substring(page.lastIndexOf("<tr", at), page.indexOf("</tr>", at));
    }

    @Test
    void aPeriodIsPrintedAndLeavesAsOneTable() {
        Entry entry = imported("2-grey-slug.json");
        String csv =
                get("/periods/" + entry.period().id() + "/observations.csv").body();
        assertThat(csv.lines().findFirst().orElseThrow()).startsWith("entry,experiment,bench,address,what");
        assertThat(csv).contains(entry.id() + ",Specific heat of a solid,Hawthorn,sample[1]/mass,solid,read,71.46");
        assertThat(get("/periods/" + entry.period().id() + "/pages").body())
                .contains("print-page", "Specific heat of a solid", "(95 %)", "ΔT(water)");
        List<String> results = get("/periods/" + entry.period().id() + "/results/specific-heat-of-solid.csv")
                .body()
                .lines()
                .filter(line -> !line.startsWith(entry.id().toString()) || line.startsWith(entry.id() + ",Hawthorn"))
                .toList();
        assertThat(results.get(0)).contains("trial,specific heat of the solid (J/(g·°C)),\"U, 95 % (J/(g·°C))\"");
        assertThat(results)
                .anyMatch(line -> line.matches(entry.id() + ",Hawthorn,[^,]*,1,0\\.3[\\d.]*,0\\.[\\d.]*,yes,"))
                .anyMatch(line -> line.matches(entry.id() + ",Hawthorn,[^,]*,result,0\\.3[\\d.]*,0\\.[\\d.]*,yes,"));
        assertThat(get("/periods/" + entry.period().id() + "/results/of-nothing.csv")
                        .statusCode())
                .isEqualTo(404);
    }

    /** An entry of up to five trials prints on two sheets, with everything read in all; ten more on one more. */
    @Tag("browser")
    @ParameterizedTest
    @CsvSource({"2, 2", "5, 2", "15, 3"})
    void anEntryPrintsOnFewSheetsWithAllItsTrials(int trials, int sheets) {
        Entry entry = alone("8-salt.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Alder");
        for (int trial = 3; trial <= trials; trial++) {
            hand.post("/entries/" + entry.id() + "/open", "what=trial");
            String[][] given = {
                {"water[%d]/mass", "read", "100.12", "g"},
                {"solid[%d]/mass", "read", "5." + (10 + trial), "g"},
                {"water[%d]/start", "read", "21.8", "°C"},
                {"solution[%d]/final", "read", "18.3", "°C"},
                {"solution[%d]/dissolved", "stated", "all", ""}
            };
            for (String[] each : given) {
                hand.keep(
                        "/entries/" + entry.id(),
                        UUID.randomUUID(),
                        each[0].formatted(trial),
                        each[1],
                        each[2],
                        each[3]);
            }
        }
        try (BenchBrowser browser = browser()) {
            browser.open("/entries/" + entry.id() + "/print");
            assertThat(browser.text("main"))
                    .contains("trial " + trials, "Working, trial 1", "Uncertainty budget", "highest (lowest)");
            for (String format : List.of("A4", "Letter")) {
                String pdf = new String(
                        browser.page().pdf(new com.microsoft.playwright.Page.PdfOptions().setFormat(format)),
                        java.nio.charset.StandardCharsets.ISO_8859_1);
                assertThat(pdf.split("/Type /Page\\b", -1).length - 1)
                        .as(format)
                        .isBetween(1, sheets);
            }
        }
    }

    /**
     * 30 g of hot into 60 g of cold water that ends far too hot: negative beyond its ±, and no reason makes it a
     * constant.
     */
    @Test
    void aConstantThatCannotBeIsNotAdoptedWhateverTheReason() {
        Entry entry = imported("3-too-much-for-a-cup.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Alder");
        assertThat(hand.get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("needs your words for it");
        String path = "/entries/" + entry.id() + "/observations";
        String struck = observationBook
                .of(entry.id())
                .standingAt("mixed[1]/final")
                .get(0)
                .id()
                .toString();
        hand.post(
                path,
                "at=mixed%5B1%5D/final&role=read&text=49.0&unit=%C2%B0C&supersedes=" + struck
                        + "&reason=misread&sure=49.0");
        assertThat(hand.get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("cannot be adopted");
        assertThat(hand.post("/entries/" + entry.id() + "/adopt", "reason=because")
                        .body())
                .contains("cannot be adopted");
        assertThat(shelves.now()
                        .inUse(calorimeters
                                .vessel(entry.vesselId().orElseThrow())
                                .orElseThrow())
                        .flatMap(each ->
                                each.entryId().filter(Optional.of(entry.id()).get()::equals)))
                .isEmpty();
    }

    @Tag("browser")
    @Test
    void theHandbookIsSearchedAsOneTypes() {
        try (BenchBrowser browser = browser()) {
            browser.open("/shelf");
            browser.page().fill("#find", "nickel");
            assertThat(browser.page().locator(".found tbody tr:visible").allInnerTexts())
                    .hasSizeBetween(2, 4)
                    .allSatisfy(row -> assertThat(row).containsIgnoringCase("nickel"));
        }
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.Period;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The prep room, by its pages and files. */
class PrepTest extends HouseTest {

    private static final String SOLID = "/prep/specific-heat-of-solid";
    private static final Map<String, String> BRASS = Map.of(
            "at-seen/known", "brass",
            "at-sample/mass", "32",
            "at-sample/start", "99",
            "at-water/mass", "90",
            "at-water/start", "21",
            "vessel", "kind:foam-cup",
            "THERMOMETER", "kind:",
            "BALANCE", "kind:");

    private Hand hand;

    @BeforeEach
    void comeIn() {
        hand = new Hand(address(""));
    }

    private static String typed(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(each -> Hand.encoded(each.getKey()) + "=" + Hand.encoded(each.getValue()))
                .collect(Collectors.joining("&"));
    }

    private String kept(String name, String... more) {
        HttpResponse<String> said =
                hand.post(SOLID, typed(BRASS) + "&name=" + Hand.encoded(name) + String.join("", more));
        assertThat(said.statusCode()).as(said.body()).isEqualTo(302);
        return Hand.location(said);
    }

    private static String found(String text, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        assertThat(found.find()).as(pattern).isTrue();
        return found.group(1);
    }

    /** By hand: (32·0.380·99 + (90·4.184 + 5)·21)/(32·0.380 + 90·4.184 + 5) = 23.4 °C. */
    @Test
    void aPlanSaysWhatIsToBeExpected() {
        String page = hand.get(SOLID + "?" + typed(BRASS) + "&purpose=apart&other=iron&sought=sample/mass&wanted=4")
                .body();
        assertThat(page)
                .contains(
                        ">23.4</span>", "a change of +2.4 °C", "0.380 J/(g·°C) within ±", "The purpose asks for 9.1 %")
                .contains("It will do, with a chance of", "come to a change of +4.0 °C", "What would help most")
                .contains(
                        "The curve to expect", "not known here: read its sheet", "The mean of 3 trials that all go so");
        assertThat(hand.get(SOLID + "?" + typed(BRASS) + "&purpose=apart&other=copper")
                        .body())
                .contains("No amounts will do", "colour");
    }

    /** As a script asks while somebody types: the number without what takes longer. */
    @Test
    void theNumberComesBeforeWhatWouldHelp() {
        String path = SOLID + "?" + typed(BRASS);
        assertThat(hand.region(path, "expected")).contains(">23.4</span>").doesNotContain("What would help most");
        assertThat(hand.region(path, "help")).contains("What would help most").doesNotContain("23.4</span>");
    }

    @Test
    void whatCannotBeStandsBesideItsField() {
        String page = hand.get(SOLID
                        + "?at-sample/mass=-5&at-water/mass=much&at-seen/known=moonstone&sought=sample/mass&wanted=0")
                .body();
        assertThat(page)
                .contains("value=\"-5\"", "value=\"much\"", "“moonstone” is not a solid on the reference shelf")
                .contains("Say what is wanted, in degrees or in per cent.");
        assertThat(hand.post(SOLID, "name=x&at-sample/mass=-5").statusCode()).isEqualTo(422);
        assertThat(hand.post(SOLID, "name=&" + typed(BRASS)).body()).contains("A name");
        assertThat(hand.get(SOLID + "?at-sample/mass=0").body()).contains("Nothing can be expected of this");
        assertThat(hand.get(SOLID + "?" + typed(BRASS) + "&sought=sample/mass&wanted=500")
                        .body())
                .contains("No amount reaches it. The nearest is about");
        assertThat(hand.get(SOLID + "?vessel=" + UUID.randomUUID()).body()).contains("not on the shelf any more");
        assertThat(hand.post("/prep/neutralization", "name=x&at-acid/concentration=6")
                        .body())
                .contains("above the 2 mol/L", "Nothing was kept");
        assertThat(hand.get("/prep/cycle").statusCode()).isEqualTo(404);
        assertThat(hand.get("/prep/neutralization?at-acid/concentration=6").body())
                .contains("above the 2 mol/L that are allowed", "Nothing can be expected of this");
    }

    @Test
    void aPlanIsKeptOnceCopiedAndStandsBesideAnother() {
        String key = "&key=" + UUID.randomUUID();
        String one = kept("brass, once", key, "&purpose=within&percent=9");
        assertThat(kept("brass, once", key, "&purpose=within&percent=9")).isEqualTo(one);
        assertThat(hand.post(SOLID, typed(BRASS) + "&name=brass,+once" + key).body())
                .as("for another purpose")
                .contains("Another plan was kept under the same key");
        assertThat(hand.get(one).body()).contains("brass, once", "value=\"32\"", "The purpose asks for 9.0 %");
        String other = kept("brass, twice", "&at-sample/mass=64&copy=" + one.replaceAll(".*/", ""));
        assertThat(hand.get(other).body()).as("the later of two counts").contains("value=\"64\"");
        String both = hand.get(
                        "/plans/beside?one=" + one.replaceAll(".*/", "") + "&other=" + other.replaceAll(".*/", ""))
                .body();
        assertThat(both).contains("brass, once", "brass, twice", ">23.4</span>", ">25.7</span>");
        assertThat(hand.get("/prep").body()).contains("brass, once", "brass, twice");
        assertThat(hand.get("/plans/" + UUID.randomUUID()).statusCode()).isEqualTo(404);
    }

    @Test
    void aPlanGoesThroughItsFile() {
        String file = hand.get(kept("through a file") + "/plan.json").body();
        PlanFile read = PlanFile.read(file);
        assertThat(read.had().get("sample/mass").text()).isEqualTo("32");
        assertThat(read.expected())
                .hasEntrySatisfying(PlanFile.END, end -> assertThat(end).isBetween(23.3, 23.5));
        String again = Hand.location(hand.post("/prep", "file=" + Hand.encoded(file)));
        assertThat(hand.get(again + "/plan.json").body()).isEqualTo(file);
        String lying = Hand.location(hand.post(
                "/prep", "file=" + Hand.encoded(file.replaceAll("(final temperature, °C\" : )[\\d.]+", "$199"))));
        assertThat(hand.get(lying + "/plan.json").body()).as("reckoned here").isEqualTo(file);
        assertThat(hand.post(SOLID, "name=other&key=" + lying.replaceAll(".*/", ""))
                        .statusCode())
                .as("another under its key")
                .isEqualTo(422);
        for (String wrong : List.of(
                file.replace("\"32\"", "\"-5\""),
                "",
                "{",
                "[]",
                "null",
                "{\"format\":\"of another\"}",
                file.replace("\"1.2\"", "\"2.0\""),
                file.replace("specific-heat-of-solid", "tasting"))) {
            HttpResponse<String> said = hand.post("/prep", "file=" + Hand.encoded(wrong));
            assertThat(said.statusCode()).as(wrong).isEqualTo(422);
        }
        assertThat(hand.post("/prep", "file=" + Hand.encoded(file.replace("\"1.2\"", "\"1.7\"")))
                        .statusCode())
                .as("a later minor version is read")
                .isEqualTo(302);
        String first = hand.get(Hand.location(hand.post(
                        "/prep",
                        "file="
                                + Hand.encoded(file.replace("\"1.2\"", "\"1.0\"")
                                        .replaceAll("(?s)\"period\" : \\{.*?\\},\\s*\"expected", "\"expected")))))
                .body();
        assertThat(first).as("of version 1.0").contains("through a file", "name=\"benches\" value=\"8\"");
    }

    private static Schema schema() throws IOException {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(
                        Files.readString(Path.of("src/main/resources/schema/plan-file.schema.json")), InputFormat.JSON);
    }

    /** The example of the document is one by its schema, and so is what is written. */
    @Test
    void theExampleOfTheDocumentIsReadAsItStands() throws IOException {
        String example = found(Files.readString(Path.of("../docs/plan-file.md")), "(?s)```json\\n(.*?)```");
        Schema schema = schema();
        String plan = Hand.location(hand.post("/prep", "file=" + Hand.encoded(example)));
        for (String file : List.of(example, hand.get(plan + "/plan.json").body())) {
            assertThat(schema.validate(file, InputFormat.JSON)).isEmpty();
        }
        assertThat(schema.validate(example.replace("sassafras-plan", "another"), InputFormat.JSON))
                .isNotEmpty();
        assertThat(hand.get(plan).body()).contains("Brass, 32 g", ">23.4</span>", "The purpose asks for 9.1 %");
    }

    @Test
    void theListIsForEveryBench() {
        String plan = kept("to be listed");
        assertThat(hand.get(plan + "/list?benches=8&trials=3&spare=20").body())
                .contains("922 g", "brass", "eye protection", "not known here: read its sheet");
        String table = hand.get(plan + "/list.csv?benches=8&trials=3&spare=20").body();
        assertThat(table).startsWith("kind,what,amount,unit,how,shelf\r\n").contains("921.6,g,", "Hazards,");
        HttpResponse<String> none = hand.get(plan + "/list?benches=0&trials=many");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("1 to 60 benches", "value=\"many\"");
    }

    /** 922 g of brass, of which 100 g are there; a plate of 250 W takes 11 min for a bath the solid is 8 min in. */
    @Test
    void bottlesAndGearAreCounted() {
        String plan = kept("to be held against the shelf");
        String list = plan + "/list?benches=8&trials=3&spare=20";
        assertThat(hand.get(list).body()).contains("the shelf has none that was counted");
        assertThat(hand.get(plan).body()).doesNotContain("on a plate of 250 W");
        count("name=Brass+shot&substance=brass&amount=100&unit=g");
        count("name=hot+plate,+small&amount=1&power=250");
        assertThat(hand.get(list).body()).contains("the shelf has 100 g: 822 g short", "the shelf has 1: 1 short");
        assertThat(hand.get(plan).body()).contains("takes about 11 min on a plate of 250 W");
        assertThat(hand.get("/shelf/supplies?name=Brass+shot").body()).contains("100 g", "value=\"brass\"");
        count("name=as+strong+as+it+may+be&substance=HCl&amount=1000000&unit=mL&strength=30");
        count("name=as+strong+as+it+may+be&substance=HCl&amount=0&unit=mL");
        count("name=as+hot+as+it+may+be&amount=1&power=10000");
        count("name=as+hot+as+it+may+be&amount=0");
        count("name=Brass+shot&substance=brass&amount=0&unit=g");
        count("name=hot+plate,+small&amount=0");
        assertThat(hand.get(list).body()).contains("the shelf has none that was counted");
        Map.of(
                        "name=&amount=1",
                        "A name",
                        "name=x&amount=-1",
                        "from none to",
                        "name=x&amount=1000001",
                        "from none to 1000000",
                        "name=x&amount=much",
                        "much",
                        "name=x&amount=1&unit=g",
                        "A bottle holds a substance",
                        "name=x&substance=HCl&amount=1&unit=mL&strength=31",
                        "up to 30",
                        "name=x&amount=1&power=10001",
                        "up to 10000 W")
                .forEach((typed, why) -> {
                    HttpResponse<String> said = hand.post("/shelf/supplies", typed);
                    assertThat(said.statusCode()).as(typed).isEqualTo(422);
                    assertThat(said.body()).contains(why);
                });
    }

    private void count(String typed) {
        assertThat(hand.post("/shelf/supplies", typed).statusCode()).as(typed).isEqualTo(302);
    }

    /** How strong an acid may be is the instructor’s to say. */
    @Test
    void howStrongIsAllowed() {
        String acid = "/prep/neutralization?at-acid/concentration=1.5";
        assertThat(hand.get(acid).body()).doesNotContain("that are allowed");
        assertThat(hand.post("/hazards/strongest", "strongest=1").statusCode()).isEqualTo(302);
        assertThat(hand.get(acid).body()).contains("above the 1 mol/L that are allowed");
        assertThat(hand.get("/hazards").body()).contains("planned up to 1 mol/L, as");
        assertThat(hand.post("/hazards/strongest", "strongest=6").statusCode()).isEqualTo(302);
        assertThat(hand.post("/hazards/strongest", "strongest=6.1").body()).contains("up to 6 mol/L");
        assertThat(hand.post("/hazards/strongest", "strongest=strong").body()).contains("value=\"strong\"");
        hand.post("/hazards/strongest", "strongest=2");
    }

    /** A second thermometer is offered where the shelf has one, costs what it costs, and goes through the file. */
    @Test
    void aSecondThermometerIsChosen() {
        for (String name : List.of("R-first", "R-second")) {
            hand.post("/shelf/instruments", "kind=THERMOMETER&resolution=0.1&low=-10&high=110&offset=0.2&name=" + name);
        }
        String page = hand.get(SOLID).body();
        String first = found(page, "value=\"([0-9a-f-]{36})\"[^>]*>R-first, reads");
        String second = found(page, "value=\"([0-9a-f-]{36})\"[^>]*>R-second<");
        String two = "&THERMOMETER=" + first + "&on-water/start=" + second;
        assertThat(hand.get(SOLID + "?" + typed(BRASS) + two).body()).contains("Two thermometers stand in one account");
        String plan = kept("two thermometers", two);
        assertThat(found(hand.get(plan).body(), "(?s)name=\"on-water/start\".*?value=\"" + second + "\"([^>]*)>"))
                .contains("selected");
        assertThat(PlanFile.read(hand.get(plan + "/plan.json").body()).reads()).containsKey("THERMOMETER water/start");
        assertThat(hand.get(SOLID + "?on-water/start=" + UUID.randomUUID()).body())
                .contains("not on the shelf any more");
    }

    @Test
    void aHazardIsUnconfirmedUntilItsSheetIsSetBeside() {
        assertThat(hand.get("/hazards?substance=KNO3").body()).contains("unconfirmed: from memory", "H272");
        assertThat(hand.post("/hazards", "substance=KNO3&signal=Danger&statements=burns&sheet=x")
                        .body())
                .contains("codes such as H314", "value=\"burns\"");
        assertThat(hand.post("/hazards", "substance=KNO3&signal=Loud&statements=&sheet=x")
                        .statusCode())
                .isEqualTo(422);
        assertThat(hand.post("/hazards", "substance=KNO3&signal=&statements=&sheet=")
                        .statusCode())
                .isEqualTo(422);
        assertThat(hand.post(
                                "/hazards",
                                "substance=KNO3&signal=Danger&statements=H271+P210&sheet="
                                        + Hand.encoded("a supplier, 3 May"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(hand.get("/hazards?substance=KNO3").body())
                .contains("by its sheet: a supplier, 3 May", "H271")
                .doesNotContain("H272");
        assertThat(hand.get("/prep/heat-of-solution?at-solute/formula=KNO3").body())
                .contains("by its sheet: a supplier, 3 May");
    }

    /** Runs without a final temperature: what is read last, or the result, is expected instead. */
    @Test
    void whatIsForeseenIsPlannedToo() throws IOException {
        assertThat(hand.get("/prep/heating-curve").body())
                .contains(">the result to expect</p>", "The curve to expect", "lauric acid", ">J/g</span>")
                .doesNotContain("id=\"vessel\"", "a change of, in", "where both come together");
        assertThat(hand.get("/prep/constant-by-material?parts=3&at-part%5B3%5D/mass=11.5")
                        .body())
                .contains("name=\"at-part[3]/mass\" value=\"11.5\"")
                .doesNotContain("at-part[4]");
        assertThat(hand.get("/prep/constant-by-material?parts=70").body()).contains("A whole number from 1 to 6.");
        assertThat(hand.get("/prep/dissolving-equilibrium?at-solute/formula=BaSO4")
                        .body())
                .contains("Nothing can be expected of this", "How much of BaSO4 dissolves is not known here");
        String one = Hand.location(hand.post("/prep/constant-by-material", "name=one+part&parts=1"));
        assertThat(hand.get(one).body()).contains("at-part/mass").doesNotContain("at-part[2]");
        String plan = Hand.location(
                hand.post("/prep/dissolving-equilibrium", "name=filled&at-vessel/solvent=60&THERMOMETER=kind:"));
        assertThat(hand.get(plan).body()).contains(">67.66</span>", "7.66 g more than before");
        assertThat(hand.get(plan + "/list").body())
                .contains("potassium nitrate", "small graduated cylinder")
                .doesNotContain("foam cup");
        String file = hand.get(plan + "/plan.json").body();
        assertThat(schema().validate(file, InputFormat.JSON)).isEmpty();
        String again = Hand.location(hand.post("/prep", "file=" + Hand.encoded(file)));
        assertThat(hand.get(again + "/plan.json").body()).isEqualTo(file);
        Period period = period("Led by what is foreseen");
        hand.post(plan + "/periods", "period=" + period.id());
        Hand bench = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        assertThat(bench.get(bench.begin("dissolving-equilibrium")).body())
                .containsPattern("The plan “filled” expects −5\\.\\d+ ± 0\\.\\d+ kJ/mol");
    }

    /** Benches of a period that is led by a plan see what it expects, and their results stand beside it. */
    @Test
    void aPeriodIsLedByAPlan() {
        Period period = period("Led by a plan");
        String plan = kept("for tonight");
        Hand bench = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        String entry = bench.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        assertThat(bench.get(entry).body()).doesNotContain("for tonight");
        assertThat(hand.post(plan + "/periods", "period=" + period.id()).statusCode())
                .isEqualTo(302);
        assertThat(hand.get(plan).body()).contains("Take it away");
        assertThat(bench.get(entry).body()).contains("The plan “for tonight” expects 23.4 °C in the end");
        assertThat(bench.get(entry + "?at=mixed%5B1%5D/final").body()).contains("by the plan 2", "class=\"planned\"");
        bench.post(entry + "/observations", "at=mixed%5B1%5D/final&role=read&unit=%C2%B0C&text=23.5");
        assertThat(bench.get(entry + "/result").body()).contains("It came to 23.5 °C: as planned.");
        hand.post(plan + "/periods", "here=false&period=" + period.id());
        assertThat(bench.get(entry).body()).doesNotContain("for tonight");
        assertThat(hand.post(plan + "/periods", "period=" + UUID.randomUUID()).statusCode())
                .isEqualTo(404);
    }

    /** What plans say of benches, samples, times, conventions and vessels, a period begun from them has. */
    @Test
    void aPeriodBeginsFromPlans() {
        String said = "&benches=3&trials=2&school-water=iapws&time-bath-sample/start=7&sample=metal+";
        String one = kept("brass for three", said + "A").replaceAll(".*/", "");
        String two = kept("iron for three", "&at-seen/known=iron" + said + "B").replaceAll(".*/", "");
        assertThat(hand.get("/plans/" + one + "/list").body()).contains("230 g");
        String form =
                hand.get("/periods?plan-" + one + "=yes&plan-" + two + "=yes").body();
        assertThat(form).contains("Bench 1–3", "brass for three", "iron for three");
        assertThat(found(form, "(?s)value=\"iapws\"([^>]*)>")).contains("selected");
        String open = "title=From+plans&date=2027-03-04&zone=UTC&mark=POINT&names=Bench+1-3&school-water=iapws&plan-";
        String period = Hand.location(hand.post("/periods", open + one + "=yes&plan-" + two + "=yes"));
        String page = hand.get(period).body();
        assertThat(page).contains("2027-03-04", "Bench 1", "Bench 3", "metal A", "metal B");
        Hand first = new Hand(address("")).join(period, "Bench 1");
        String entry = first.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        assertThat(first.get(entry).body()).contains("“brass for three” expects 23.4", "metal A");
        assertThat(first.get(entry + "/paces").body()).contains("value=\"7\"");
        assertThat(first.post("/entries", "experiment=fusion-of-ice").body()).contains("not offered in this period");
        Hand second = new Hand(address("")).join(period, "Bench 2");
        assertThat(second.get(second.begin("specific-heat-of-solid").replaceAll("\\?.*", ""))
                        .body())
                .contains("“iron for three” expects", "metal B");
        hand.post("/plans/" + two + "/periods", "here=false&period=" + period.replaceAll(".*/", ""));
        assertThat(first.get(entry).body()).doesNotContain("expects 23.4");
        for (int i = 0; i < 13; i++) {
            kept("one of many " + i);
        }
        assertThat(hand.get("/periods").body().split("name=\"plan-"))
                .as("the newest twelve")
                .hasSize(13);
        String acid = Hand.location(hand.post("/prep/neutralization", "name=acid+too"))
                .replaceAll(".*/", "");
        String both = Hand.location(hand.post("/periods", open + acid + "=yes&plan-" + one + "=yes"));
        assertThat(hand.get(both).body().split("value=\"metal A\""))
                .as("each bench has the sample")
                .hasSize(4);
        assertThat(hand.post("/periods", open + UUID.randomUUID() + "=yes").body())
                .contains("not here any more", "value=\"From plans\"");
        assertThat(hand.get(SOLID + "?benches=400&time-bath-sample/start=soon&sample=" + "x".repeat(200))
                        .body())
                .contains("A whole number from 1 to 60", "value=\"400\"", "value=\"soon\"");
        assertThat(hand.get(SOLID + "?benches=61&trials=61&spare=201").body().split("A whole number from"))
                .hasSize(4);
        assertThat(hand.get(SOLID + "?benches=60&trials=60&spare=200").body()).doesNotContain("A whole number from");
        assertThat(hand.post(SOLID, "name=x&benches=400").body()).contains("“benches”: A whole number");
        // the next class goes by what the last one did
        assertThat(first.post(
                                entry + "/paces",
                                "bath+sample/start=8&before+curve/trace=3&until+curve/trace=9&settle+water/start=2"
                                        + "&once+mixed/final=3")
                        .statusCode())
                .isEqualTo(302);
    }

    /**
     * Without a cup: (32·0.380·99 + 90·4.184·21)/(32·0.380 + 90·4.184) = 23.44 °C. What only the bench can give is
     * reckoned as is usual, and said.
     */
    @Test
    void aPlanIsReckonedByItsConventions() {
        assertThat(hand.get(SOLID + "?" + typed(BRASS) + "&school-calorimeter=ignored")
                        .body())
                .contains(">23.44</span>");
        assertThat(hand.get(SOLID + "?" + typed(BRASS) + "&school-change=cooling")
                        .body())
                .contains(">23.4</span>", "asks for what is only read at the bench");
        assertThat(hand.get(SOLID + "?school-water=wine").body()).contains("There is no such convention.");
    }

    /** Before a hand moves something that burns, it is ticked that this was read. */
    @Test
    void whatBurnsIsTickedBeforeTheRunBegins() {
        Period period = period("Acid and base");
        Hand bench = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        String plan = Hand.location(hand.post("/prep/neutralization", "name=acid"));
        hand.post(plan + "/periods", "period=" + period.id());
        HttpResponse<String> asked = bench.post("/entries", "experiment=neutralization");
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body())
                .contains("hydrochloric acid: May be corrosive", "(unconfirmed, from memory)", "name=\"minded\"");
        String begun = Hand.location(bench.post("/entries", "experiment=neutralization&minded=true"));
        assertThat(bench.get(begun).body())
                .as("who ticked it, and when")
                .contains("Ticked before it began: hydrochloric acid: May be corrosive");
        assertThat(bench.post("/entries", "experiment=neutralization&simulated=true")
                        .statusCode())
                .isEqualTo(302);
        assertThat(bench.post("/entries", "experiment=fusion-of-ice").statusCode())
                .isEqualTo(302);
        assertThat(bench.post("/entries", "experiment=combustion-under-a-can").body())
                .contains("an open flame will burn", "name=\"minded\"");
        assertThat(bench.post("/entries", "experiment=bomb-combustion").body()).contains("oxygen under pressure");
        periodBook.join(period, "Without hands", true);
        Hand simulated = new Hand(address("")).join("/periods/" + period.id(), "Without hands");
        assertThat(simulated
                        .post("/entries", "experiment=combustion-under-a-can")
                        .statusCode())
                .as("at a simulated bench nothing burns")
                .isEqualTo(302);
    }

    /** What is known of a substance stands at the step that moves it; where nothing is known, that is said. */
    @Test
    void hazardsStandAtTheMovement() {
        Period period = period("What it does");
        Hand bench = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        String entry = bench.begin("heat-of-solution").replaceAll("\\?.*", "");
        String moved = entry + "?at=solid%5B1%5D/mass";
        assertThat(bench.get(moved).body()).doesNotContain("class=\"handled");
        bench.post(entry + "/observations", "at=solute%5B1%5D/formula&role=stated&text=NaOH");
        assertThat(bench.get(moved).body())
                .contains(
                        "class=\"handled", "sodium hydroxide", "Causes severe skin burns", "unconfirmed: from memory");
        assertThat(bench.get(entry + "?at=water%5B1%5D/start").body()).doesNotContain("class=\"handled");
        bench.post(entry + "/observations", "at=solute%5B1%5D/formula&role=stated&text=RbBr");
        assertThat(bench.get(moved).body()).contains("not known here: read its sheet");
    }

    @Test
    @Tag("browser")
    void theNumberChangesAsOneTypesAndWhatHelpsIsTakenByOneTouch() {
        try (BenchBrowser browser = browser()) {
            Page page = browser.open(SOLID + "?" + typed(BRASS)).page();
            page.waitForSelector(".gain-take a");
            assertThat(browser.text("#expected-title")).contains("23.4");
            page.fill("[name='at-sample/mass']", "64");
            page.waitForFunction("() => document.getElementById('expected-title').textContent.includes('25.7')");
            page.waitForSelector(".gain-take a");
            assertThat(page.url()).contains("64");
            page.fill("[name='at-sample/mass']", "-1");
            page.waitForFunction("() => document.querySelector('.findings, #expected-title')");
            assertThat(page.inputValue("[name='at-sample/mass']")).isEqualTo("-1");
            page.fill("[name='at-sample/mass']", "64");
            page.waitForFunction("() => document.getElementById('expected-title').textContent.includes('25.7')");
            page.waitForSelector(".gain-take a");
            String before = values(page);
            page.click(".gains li:first-child .gain-take a");
            page.waitForFunction(
                    "(before) => JSON.stringify([...document.querySelectorAll('#plan input, #plan select')]"
                            + ".map((each) => each.value)) !== before",
                    before);
            page.fill("#name", "as it was taken");
            page.click("#keep button");
            page.waitForURL("**/plans/**");
            assertThat(browser.text("main")).contains("as it was taken");
            for (int[] size : new int[][] {{1280, 800}, {820, 1180}, {390, 844}}) {
                page.setViewportSize(size[0], size[1]);
                String own = kept("looked at " + size[0]);
                for (String path : List.of(
                        "/prep",
                        SOLID + "?" + typed(BRASS),
                        SOLID + "?benches=4",
                        own + "/list",
                        "/hazards?substance=HCl",
                        "/hazards",
                        "/shelf/supplies",
                        "/periods?plan-" + own.replaceAll(".*/", "") + "=yes")) {
                    browser.open(path);
                    if (size[0] < 400) {
                        assertThat(browser.axe()).as(path + " at " + size[0]).isEmpty();
                    }
                    assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                            .as(path)
                            .isLessThanOrEqualTo(size[0]);
                }
            }
        }
    }

    private static String values(Page page) {
        return String.valueOf(
                page.evaluate(
                        "() => JSON.stringify([...document.querySelectorAll('#plan input, #plan select')].map((each) => each.value))"));
    }
}

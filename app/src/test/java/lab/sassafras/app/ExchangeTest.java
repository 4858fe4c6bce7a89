package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Runs out and in: files, schema, examples, the API. */
class ExchangeTest extends HouseTest {

    private static final Path DOCS = Path.of("../docs");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    static Stream<Path> examples() throws IOException {
        return Files.list(DOCS.resolve("examples"))
                .filter(path -> path.toString().endsWith(".json"))
                .sorted();
    }

    @ParameterizedTest
    @MethodSource("examples")
    void anExampleFitsTheSchemaAndComesBackToTheLetter(Path example) throws IOException {
        String file = Files.readString(example);
        var schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(
                        Files.readString(Path.of("src/main/resources/schema/run-file.schema.json")), InputFormat.JSON);
        assertThat(schema.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(schema.validate(file.replaceFirst("\"text\" : \"[^\"]*\"", "\"text\" : 20.0"), InputFormat.JSON))
                .isNotEmpty();
        assertThat(reduce(file).statusCode()).isEqualTo(200);
        Entry taken = imports.take(file.getBytes(java.nio.charset.StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/run.json").body()).isEqualTo(file.strip());
    }

    /** Each example comes with its arithmetic by hand, on the page beside it; its last line is what we must find. */
    @ParameterizedTest
    @MethodSource("examples")
    void anExampleComesToWhatWasWorkedByHandBesideIt(Path example) throws IOException {
        String page = Files.readString(Path.of(example.toString().replace(".json", ".md")));
        Matcher result =
                Pattern.compile("(?m)^Result: (\\S+) (\\S+), to ± (\\S+)$").matcher(page);
        assertThat(result.find()).isTrue();
        JsonNode answer = JSON.readTree(reduce(Files.readString(example)).body());
        assertThat(answer.at("/unknown/value").asDouble())
                .isCloseTo(
                        Double.parseDouble(result.group(1).replace('−', '-')),
                        within(Double.parseDouble(result.group(3))));
        assertThat(answer.at("/unknown/unit").asString()).isEqualTo(result.group(2));
        assertThat(answer.at("/trials/0/workingText").asString()).isNotBlank();
        assertThat(answer.at("/trials/0/missing").size()).isZero();
    }

    @Test
    void everyExperimentHasAnExampleWorkedByHand() throws IOException {
        assertThat(examples().map(path -> path.getFileName().toString().replace(".json", "")))
                .containsAll(lab.sassafras.experiment.Experiments.all().stream()
                        .map(each -> each.key())
                        .filter(key -> !key.contains("-from-"))
                        .toList());
    }

    @Test
    void reducingAFileGivesTheUnknownTheHeatsTheWorkingAndKeepsNothing() {
        int before = periodBook.all().size();
        JsonNode answer = JSON.readTree(
                reduce(new String(demo("3-too-much-for-a-cup.json"))).body());
        // 54.31 · 4.184 · (39.6 − 61.4) = −4953.7; 55.08 · 4.184 · 18.0 = +4148.2; C = 805.5 ÷ 18.0
        assertThat(answer.at("/unknown/value").asDouble()).isCloseTo(44.75, within(0.01));
        assertThat(answer.at("/unknown/unit").asString()).isEqualTo("J/°C");
        assertThat(answer.at("/unknown/standardUncertainty").asDouble()).isBetween(0.5, 2.0);
        assertThat(answer.at("/trials/0/heats/0/heat").asDouble()).isCloseTo(-4953.7, within(0.1));
        assertThat(answer.at("/trials/0/heats/0/words").asString()).isEqualTo("released");
        assertThat(answer.at("/trials/0/workingText").asString())
                .contains("q(calorimeter) = −(q(hot water) + q(cold water))", "= 805.5 J ÷ 18.0 °C", "= 44.7 J/°C");
        assertThat(answer.at("/alternatives").findValuesAsString("school"))
                .contains("4.18", "1-cal", "iapws", "carried", "difference");
        assertThat(answer.at("/suspects").findValuesAsString("key")).contains("cooled-in-transit", "warm-plate");
        assertThat(answer.at("/suspects/0/explains").asDouble()).isNotZero();
        assertThat(answer.at("/findings").findValuesAsString("code")).contains("constant.too-large");
        assertThat(periodBook.all()).hasSize(before);
    }

    @Tag("browser")
    @Test
    void aRunIsImportedFromThePageAndItsObservationsLeaveAsCsv() {
        imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.open("/import");
            browser.page().setInputFiles("#file", Path.of("src/main/resources/demo/2-grey-slug.json"));
            browser.page().click("button.act");
            // it is here already, so the page asks before it makes a second entry of it
            assertThat(browser.text(".finding"))
                    .contains("This file was brought in before", "Specific heat of a solid", "2-grey-slug.json");
            browser.page().click("text=Bring it in again");
            browser.page().waitForURL("**/result");
            assertThat(browser.text(".page.left"))
                    .contains("Brought in by Instructor of the tests", "from 2-grey-slug.json");
            assertThat(browser.text(".sheet")).contains("71.46");
            browser.page().click(".tabs a:has-text('trial 2')");
            assertThat(browser.text(".row s")).isEqualTo("26.3");
            String id = browser.page().url().replaceAll(".*/entries/([^/]+)/.*", "$1");
            String csv = get("/entries/" + id + "/observations.csv").body();
            assertThat(csv.lines().count())
                    .isEqualTo(1
                            + observationBook
                                    .of(java.util.UUID.fromString(id))
                                    .all()
                                    .size());
            assertThat(csv)
                    .contains(
                            "mixed[2]/final,\"after mixing, highest (lowest) temperature\",read,26.3,°C,thermometer R-2,,Hawthorn,")
                    .contains(",no,\"read from above, not at eye level\"");
            browser.open("/import");
            browser.page().setInputFiles("#file", Path.of("pom.xml"));
            browser.page().click("button.act");
            assertThat(browser.text(".problem")).contains("pom.xml:", "not a JSON file");
        }
    }

    /** 20,00 and 20.0 survive as typed; comma in, comma out, whatever the browser's own language and zone. */
    @Tag("browser")
    @Test
    void underAGermanBrowserAndAFarZoneThePeriodsOwnSettingRules() {
        var period = periodBook.open(
                "Abendkurs",
                java.time.LocalDate.of(2026, 11, 18),
                java.time.ZoneId.of("Pacific/Auckland"),
                lab.sassafras.measure.DecimalMark.COMMA,
                java.util.Map.of());
        equip("far");
        try (BenchBrowser browser = new BenchBrowser(address(""), "de-DE", "America/St_Johns")) {
            browser.join(period.id(), "Erle");
            browser.page().check("input[value=specific-heat-of-solid]");
            browser.page().selectOption("#vessel", "");
            browser.equipped("far").page().click("button.act");
            browser.page().waitForURL("**/entries/**");
            String id = browser.page().url().replaceAll(".*/entries/([^/?]+).*", "$1");
            browser.open("/entries/" + id + "?at=water%5B1%5D/start").give("20.0");
            assertThat(browser.text(".problem")).contains("decimals with a comma", "not guessed");
            browser.page().fill("#text", "");
            browser.give("20,00");
            browser.open("/entries/" + id + "?at=sample%5B1%5D/mass").give("50,0");
            browser.open("/entries/" + id + "?at=sample%5B1%5D/bath").answer("1");
            browser.open("/entries/" + id + "?at=water%5B1%5D/mass").give("100,00");
            browser.open("/entries/" + id + "?at=sample%5B1%5D/start").give("99,0");
            browser.open("/entries/" + id + "?at=mixed%5B1%5D/final").give("23,50");
            browser.open("/entries/" + id + "/result?open=all");
            // 418.4 · 3.50 ÷ (50 · 75.5) = 0.3879
            assertThat(browser.text(".result")).startsWith("0,3879 ±");
            assertThat(browser.text("#working"))
                    .contains("100,00 g × 4,184 J/(g·°C) × 3,50 °C")
                    .doesNotContain("20.0");
            assertThat(browser.page().locator("rect[width*=',']").count()).isZero();
            String file = get("/entries/" + id + "/run.json").body();
            assertThat(file).contains("\"20,00\"", "\"decimalMark\" : \"comma\"");
            assertThat(JSON.readTree(reduce(file).body()).at("/unknown/value").asDouble())
                    .isCloseTo(0.3879, within(0.004));
        }
    }

    /**
     * A thermometer two tenths low at both its points: what it read counts two tenths higher, here and after a round
     * trip.
     */
    @Test
    void pointsAndGainsTravelWithTheRunAndCorrectIt() throws IOException {
        String file = Files.readString(DOCS.resolve("examples/specific-heat-of-liquid.json"))
                .replaceFirst("\"minor\" : 0,", "\"minor\" : 3,")
                .replaceFirst(
                        "\"offsetUncertainty\" : 0.2",
                        "\"offsetUncertainty\" : 0.2,\n    \"gain\" : 0.004,\n    \"points\" : [ {\n"
                                + "      \"reading\" : -0.2,\n      \"actual\" : 0.0,\n      \"uncertainty\" : 0.05\n    }, {\n"
                                + "      \"reading\" : 99.8,\n      \"actual\" : 100.0,\n      \"uncertainty\" : 0.1\n    } ]");
        JsonNode answer = JSON.readTree(reduce(file).body());
        assertThat(answer.at("/findings").toString()).contains("corrected by the 2 points it was compared at");
        Entry taken = imports.take(file.getBytes(java.nio.charset.StandardCharsets.UTF_8), "points.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/run.json").body()).isEqualTo(file.strip());
        assertThat(JSON.readTree(reduce(file.replace("\"actual\" : 100.0", "\"actual\" : 10.0"))
                                .body())
                        .toString())
                .contains("instruments[1].points cannot be");
    }

    /** Version 2 grows by fields; one written by a later minor version is read without them, and says so. */
    @Test
    void aFileOfALaterMinorVersionIsReadAndWhatItAddsIsSaidToBeLost() throws IOException {
        String file = Files.readString(DOCS.resolve("examples/fusion-of-ice.json"));
        String later = file.replaceFirst("\"minor\" : 0,", "\"minor\" : 8, \"weather\" : \"fair\",");
        assertThat(reduce(later).statusCode()).isEqualTo(200);
        assertThat(reduce(later.replaceFirst("\"minor\" : 8", "\"minor\" : 0")).body())
                .contains("weather is not a field of a run file, version 2.7");
        Entry taken = imports.take(later.getBytes(java.nio.charset.StandardCharsets.UTF_8), "later.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/result?open=all").body())
                .contains("later.json (format 2.8, of which this version reads 2.7; what it adds was not recorded)");
    }

    /**
     * A value in a file is by whom it says; whoever brings the file is named beside it, and what is their own is not.
     */
    @Test
    void aRowSaysWhoItIsByAndWhoBroughtIt() {
        Entry brought = alone("1-calibration.json");
        assertThat(observationBook.of(brought.id()).all())
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.broughtBy()).contains("a test"))
                .allSatisfy(
                        each -> assertThat(each.who()).isEqualTo(brought.bench().name()));
        Entry own = imports.take(demo("1-calibration.json"), "run.json", Actor.at(brought.bench()))
                .orThrow();
        assertThat(own.simulated()).isFalse();
        assertThat(observationBook.of(own.id()).all())
                .allSatisfy(each -> assertThat(each.broughtBy()).isEmpty());
        assertThat(decisionBook.of(brought.id()).all())
                .allSatisfy(each -> assertThat(each.broughtBy()).contains("a test"));
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.verdict.Interval;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Entries run at the simulated bench: by nobody’s hand, told so everywhere, and kept apart from what is real. */
class SimulatedTest extends HouseTest {

    private static final String NEWTON = "NEWTON";

    @Autowired
    private EntrySheets sheets;

    private Period period;
    private Hand bench;
    private Hand instructor;
    private Vessel cup;

    @BeforeEach
    void aBench() {
        period = period("Simulated, " + UUID.randomUUID());
        Bench alder = periodBook.join(period, "Alder");
        bench = Hand.with(address(""), signIns.bench(alder, "a test"));
        instructor = new Hand(address("")).join("/periods/" + period.id(), "Alder");
        cup = equip(NEWTON);
    }

    /** One it is done in. */
    private Vessel vessel(Experiment experiment) {
        VesselKind kind = experiment.takes().contains(VesselKind.FOAM_CUP)
                ? VesselKind.FOAM_CUP
                : experiment.takes().iterator().next();
        String name = kind.key() + " " + NEWTON;
        return calorimeters.find(name, kind).orElseGet(() -> calorimeters.add(name, kind));
    }

    private String begun(Experiment experiment, Vessel vessel) {
        String with = "experiment=" + experiment.key() + "&simulated=true&vessel=" + vessel.id();
        for (Instrument each : instruments.all()) {
            if (each.name().endsWith(NEWTON)) {
                with += "&" + each.kind().word().replaceAll(" .*", "") + "=" + each.key();
            }
        }
        return Hand.location(bench.post("/entries", with)).replaceAll(".*(/entries/[0-9a-f-]{36}).*", "$1");
    }

    private String begun(String experiment) {
        return begun(Experiments.find(experiment).orElseThrow(), cup);
    }

    private EntrySheet sheet(String entry) {
        return sheets.of(
                entryBook.find(UUID.fromString(entry.replace("/entries/", ""))).orElseThrow());
    }

    private static String found(String page, String what) {
        Matcher matcher = Pattern.compile(what).matcher(page);
        assertThat(matcher.find()).as(what).isTrue();
        return matcher.group(1);
    }

    /** Each experiment that is run gives a result at once, near what was true; what it wrote down is all recorded. */
    @Tag("long")
    @Test
    void everyExperimentIsRunAtOnce() {
        for (Experiment experiment : Experiments.all()) {
            if (experiment.scene().isEmpty()) {
                continue;
            }
            String entry = begun(experiment, vessel(experiment));
            Hand.location(bench.post(entry + "/simulated", "speed=at+once&seed=5"));
            assertThat(bench.get(entry + "/simulated").body()).contains("not recorded");
            HttpResponse<String> recorded = bench.post(entry + "/simulated/record", "trial=1");
            assertThat(recorded.body().replaceAll("(?s).*role=\"alert\">([^<]*)<.*", "$1"))
                    .as(experiment.key())
                    .isEmpty();
            String page = bench.get(entry + "/simulated").body();
            assertThat(page).as(experiment.key()).doesNotContain("not recorded", "What was true");
            EntrySheet sheet = sheet(entry);
            assertThat(sheet.reduction().result()).as(experiment.key()).isPresent();
            String truth = found(
                    instructor.get(entry + "/simulated").body(),
                    "(?s)what is sought</th><td class=\"figure\">([^ <]+)");
            double sought = Double.parseDouble(truth.replace("−", "-").replace(",", ""));
            Interval interval = Interval.of(sheet.reduction().result().orElseThrow());
            // read as they are, without a curve, and a calorimeter of no constant left out: near, no more
            boolean constant = experiment.calorimeter() == Calorimeter.Use.FINDS_CONSTANT;
            assertThat(interval.value())
                    .as(experiment.key())
                    .isCloseTo(sought, within(Math.abs(sought) * (constant ? 3 : 0.3)));
        }
    }

    /** By touches: what the balance shows stands beside the field; two hands do one thing once; it goes on later. */
    @Test
    void aTrialIsDoneByTouches() {
        String entry = begun("constant-by-mixing");
        assertThat(bench.get(entry + "/simulated").body()).contains("Set it up", "some of the liquid splashed out");
        Hand.location(bench.post(entry + "/simulated", "speed=20+times+as+fast&seed=3"));
        assertThat(bench.post(entry + "/simulated/touch", "trial=1&place=1").body())
                .contains("Another hand did that");
        Hand.location(bench.post(entry + "/simulated/touch", "trial=1&place=0"));
        String page = bench.get(entry + "/simulated").body();
        assertThat(page).contains("Measure out about 50 g", "cup-picture");
        Hand.location(bench.post(entry + "/simulated/touch", "trial=1&place=1"));
        HttpResponse<String> second = bench.post(entry + "/simulated/touch", "trial=1&place=1");
        assertThat(second.statusCode()).isEqualTo(422);
        assertThat(second.body()).contains("Another hand did that already");
        String shown = found(bench.get(entry + "/simulated").body(), "<span class=\"figure\">(\\d+\\.\\d\\d g)</span>");
        assertThat(bench.get(entry + "?at=cold%5B1%5D/mass").body())
                .contains("simulated balance” shows", shown, "Record what it shows");
        Hand.location(bench.post(entry + "/simulated/record", "trial=1"));
        assertThat(sheet(entry).sheet().reading("cold/mass", 1)).isPresent();
        assertThat(bench.get(entry + "/observations.csv").body()).contains("shown at the simulated bench");
        assertThat(bench.get(entry + "/simulated").body()).contains(shown);
    }

    /** Every page, print and file of it says so, and a file brings it back as such. */
    @Test
    void whatIsSimulatedIsSaidSoEverywhere() {
        String entry = begun("specific-heat-of-solid");
        Hand.location(bench.post(entry + "/simulated", "speed=at+once&seed=9&slip=carried"));
        Hand.location(bench.post(entry + "/simulated/record", "trial=1"));
        for (String page : List.of("", "/result", "/print", "/table", "/clock", "/strip", "/live", "/simulated")) {
            assertThat(bench.get(entry + page).body()).as(page).contains("Simulated: no hand did this");
        }
        HttpResponse<String> run = bench.get(entry + "/run.json");
        assertThat(run.headers().firstValue("Content-Disposition").orElseThrow())
                .contains("\"simulated-specific");
        assertThat(run.body()).contains("\"simulated\" : true", "\"minor\" : 6");
        Entry again = imports.take(run.body().getBytes(StandardCharsets.UTF_8), "again.json", A_TEST)
                .orThrow();
        assertThat(again.simulated()).isTrue();
        assertThat(instructor.get("/entries/" + again.id() + "/simulated").body())
                .as("its file does not tell the seed")
                .doesNotContain("What was true");
        assertThat(instructor
                        .get("/periods/" + period.id() + "/observations.csv")
                        .body())
                .contains("\"Alder, simulated\"");
        assertThat(instructor.get(entry + "/simulated").body())
                .contains("What was true", "water was transferred with the sample", "seed");
        assertThat(bench.get(entry + "/simulated").body()).doesNotContain("What was true");
    }

    /** Its constant is adopted for nothing real, it is in no mean with real ones, nothing real draws on it. */
    @Test
    void whatIsSimulatedStaysApart() {
        String entry = begun("constant-by-mixing");
        Hand.location(bench.post(entry + "/simulated", "speed=at+once&seed=2"));
        Hand.location(bench.post(entry + "/simulated/record", "trial=1"));
        HttpResponse<String> adopted = instructor.post(entry + "/adopt", "reason=found&seen=");
        assertThat(adopted.statusCode()).isEqualTo(422);
        assertThat(adopted.body()).contains("belongs to no real vessel");
        Hand other = new Hand(address("")).join("/periods/" + period.id(), "Birch");
        String real = other.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        assertThat(other.get(real + "/clock").body())
                .as("what a simulated thermometer showed")
                .doesNotContain("simulated bench");
        assertThat(other.get(real + "/simulated").statusCode()).isEqualTo(404);
        String beside = instructor
                .get("/periods/" + period.id() + "/beside/constant-by-mixing")
                .body();
        assertThat(beside).contains("imulated");
        String cycle = bench.begin("cycle").replaceAll("\\?.*", "");
        String salt = begun("heat-of-solution");
        Hand.location(bench.post(salt + "/simulated", "speed=at+once&seed=2"));
        Hand.location(bench.post(salt + "/simulated/record", "trial=1"));
        assertThat(bench.get(cycle + "?at=leg%5B1%5D/run").body()).doesNotContain(salt.replace("/entries/", ""));
    }

    @Test
    void whatCannotBeIsSaidInWords() {
        String entry = begun("fusion-of-ice");
        assertThat(bench.post(entry + "/simulated", "speed=1000000&seed=4").body())
                .contains("at once, at real speed or 20 times as fast");
        assertThat(bench.post(entry + "/simulated", "speed=real&seed=seven").body())
                .contains("A seed is a whole number", "value=\"seven\"");
        assertThat(bench.post(entry + "/simulated", "speed=real&slip=carried").body())
                .contains("cannot go wrong in this experiment");
        assertThat(bench.post(entry + "/simulated/touch", "trial=1&place=0").body())
                .contains("not set up yet");
        assertThat(bench.post(entry + "/simulated/record", "trial=1").body()).contains("not set up yet");
        Hand.location(bench.post(entry + "/simulated", "speed=real&seed=4"));
        assertThat(bench.post(entry + "/simulated", "speed=real&seed=4").body()).contains("Another hand did that");
        assertThat(bench.post(entry + "/simulated/record", "trial=1").body()).contains("Nothing was shown");
        assertThat(bench.get(entry + "/simulated?trial=3").body()).contains("data-again=\"0\"");
        bench.post(entry + "/simulated/touch", "trial=1&place=0");
        assertThat(bench.get(entry + "/simulated?trial=1").body())
                .as("at real speed a reading comes every five seconds")
                .contains("data-again=\"2000\"");
        assertThat(bench.post("/entries", "experiment=cycle&simulated=true").body())
                .contains("nothing to run at the simulated bench");
    }

    @Tag("browser")
    @Test
    void theVesselGoesOnByItselfWhileOneLooks() {
        String entry = begun("constant-by-mixing");
        try (BenchBrowser browser = browser()) {
            browser.join(period.id(), "Alder");
            Page page = browser.open(entry + "/simulated").page();
            assertThat(browser.axe()).isEmpty();
            page.click("text=Set it up");
            page.click("text=Begin this trial");
            assertThat(page.getAttribute("#simulated", "data-again")).isEqualTo("1000");
            page.click("text=Measure out about 50 g");
            page.waitForSelector(".simulated-shown >> text=cold water");
            assertThat(browser.axe()).isEmpty();
            String before = page.textContent(".simulated-cup .tiny");
            page.waitForFunction("was => document.querySelector('.simulated-cup .tiny').textContent !== was", before);
            assertThat((Boolean) page.evaluate("() => document.activeElement.matches('#region-next button')"))
                    .as("what has the focus keeps it")
                    .isTrue();
            browser.press("Enter");
            page.waitForSelector(".simulated-shown >> text=settled");
            for (int width : List.of(820, 390)) {
                page.setViewportSize(width, 900);
                assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                        .isLessThanOrEqualTo(width);
            }
        }
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import lab.sassafras.app.record.BroughtIn;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Vessel;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A file works up to what is promised of it and proposes no more than it says; hands at once do not undo one another.
 */
class BoundedWorkTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static ObjectNode file(String name) {
        return (ObjectNode) JSON.readTree(demo(name));
    }

    /**
     * Four levels of references, three of them on every run: 121 runs, which worked anew at every mention would take
     * hours.
     */
    @Test
    void nestedReferencesAreEachWorkedOnce() {
        ObjectNode run = file("1-calibration.json");
        for (int level = 0; level < 4; level++) {
            ObjectNode above = file("1-calibration.json");
            ObjectNode references = above.putObject("references");
            for (String name : List.of("a", "b", "c")) {
                references.set(name, run);
            }
            run = above;
        }
        HttpResponse<String> answer = reduce(run.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        assertThat(JSON.readTree(answer.body()).at("/unknown/value").asDouble()).isGreaterThan(0);
        ObjectNode tooDeep = file("1-calibration.json");
        tooDeep.putObject("references").set("a", run);
        assertThat(reduce(tooDeep.toString()).body()).contains("goes too deep");
    }

    /** As much as docs/run-file.md promises: 5,000 observations, fifty trials. */
    @Tag("long")
    @Test
    void aFileAsLargeAsIsPromisedIsWorkedTakenInAndShown() {
        ObjectNode run = file("2-grey-slug.json");
        run.put("trials", 50);
        ArrayNode observations = (ArrayNode) run.get("observations");
        JsonNode mass = observations
                .valueStream()
                .filter(each -> each.get("at").asString().equals("water[1]/start"))
                .findFirst()
                .orElseThrow();
        for (int i = observations.size(); i < 5000; i++) {
            ObjectNode more = ((ObjectNode) mass.deepCopy())
                    .put("id", "more" + i)
                    .put("at", "water[" + (3 + i % 48) + "]/start")
                    .put("text", "2" + i % 9 + ".0");
            if (i % 48 < 20 && i > 2000) {
                more.put("supersedes", "more" + (i - 960))
                        .put("reason", "read again")
                        .put("at", "water[" + (3 + (i - 960) % 48) + "]/start");
            }
            observations.add(more);
        }
        assertThat(reduce(run.toString()).statusCode()).isEqualTo(200);
        Entry entry = imports.take(run.toString().getBytes(StandardCharsets.UTF_8), "large.json", A_TEST)
                .orThrow();
        for (String page : List.of("", "/result", "/result?trial=50", "/observations.csv", "/run.json")) {
            assertThat(get("/entries/" + entry.id() + page).statusCode())
                    .as(page)
                    .isEqualTo(200);
        }
    }

    @Test
    void anImportProposesAConstantAndLeavesTheOneInUse() {
        Entry found = imported("1-calibration.json");
        Vessel cup = calorimeters.vessel(found.vesselId().orElseThrow()).orElseThrow();
        Hand hand = new Hand(address("")).join("/periods/" + found.period().id(), "Hawthorn");
        Calibration own = adopted(hand, found);
        ObjectNode run = file("2-grey-slug.json");
        String name = "brought " + UUID.randomUUID().toString().substring(0, 8);
        run.set(
                "calorimeter",
                JSON.readTree(("{\"name\": \"%s\", \"kind\": \"foam-cup\", \"constant\": {\"value\": 7.5, "
                                + "\"ownUncertainty\": 0.4, \"fill\": 100, \"from\": \"elsewhere\"}}")
                        .formatted(cup.name())));
        int instruments = this.instruments.all().size();
        Entry brought = imports.take(
                        run.toString().getBytes(StandardCharsets.UTF_8),
                        name,
                        lab.sassafras.app.record.Actor.bringing("bench Rowan"))
                .orThrow();
        Shelf shelf = shelves.now();
        assertThat(shelf.inUse(cup).map(Calibration::id)).contains(own.id());
        assertThat(this.instruments.all())
                .as("nothing that is here was changed")
                .hasSize(instruments);
        assertThat(originBook.of(brought.id()).map(BroughtIn::who)).contains("bench Rowan");
        Calibration proposed = shelf.calibrations(cup).get(0);
        assertThat(shelf.broughtIn(proposed)).isTrue();
        assertThat(get("/shelf/vessels/" + cup.id()).body().replaceAll("\\s+", " "))
                .contains("brought in with a file, not in use");
        assertThat(hand.post("/shelf/calibrations/" + proposed.id(), "outcome=perhaps&reason=x")
                        .statusCode())
                .isEqualTo(422);
        assertThat(hand.post(
                                "/shelf/calibrations/" + proposed.id(),
                                "outcome=adopted&reason=" + Hand.encoded("found with the same cup"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(shelves.now().inUse(cup).map(Calibration::id)).contains(proposed.id());
    }

    private Calibration adopted(Hand hand, Entry found) {
        hand.post(
                "/entries/" + found.id() + "/adopt",
                "reason=good" + newest(found).map(seen -> "&seen=" + seen).orElse(""));
        return calorimeters
                .calibrations(
                        calorimeters.vessel(found.vesselId().orElseThrow()).orElseThrow())
                .get(0);
    }

    /** Sixteen hands press Adopt on the same page: one constant is adopted, and the others are told so. */
    @Test
    void ofSixteenAdoptionsAtOnceOneIsDone() throws Exception {
        Entry found = imported("1-calibration.json");
        Vessel cup = calorimeters.vessel(found.vesselId().orElseThrow()).orElseThrow();
        int before = calorimeters.calibrations(cup).size();
        String form = "reason=good" + newest(found).map(seen -> "&seen=" + seen).orElse("");
        ExecutorService hands = Executors.newFixedThreadPool(16);
        CountDownLatch start = new CountDownLatch(1);
        List<Future<HttpResponse<String>>> answers = IntStream.range(0, 16)
                .mapToObj(i -> hands.submit(() -> {
                    Hand hand = new Hand(address(""))
                            .join("/periods/" + found.period().id(), "Bench " + i);
                    start.await();
                    return hand.post("/entries/" + found.id() + "/adopt", form);
                }))
                .toList();
        start.countDown();
        int done = 0;
        for (Future<HttpResponse<String>> answer : answers) {
            done += answer.get().statusCode() == 302 ? 1 : 0;
            assertThat(answer.get().statusCode() == 302 || answer.get().body().contains("put another constant of"))
                    .as(answer.get().body())
                    .isTrue();
        }
        hands.shutdown();
        assertThat(done).isEqualTo(1);
        assertThat(calorimeters.calibrations(cup)).hasSize(before + 1);
    }
}

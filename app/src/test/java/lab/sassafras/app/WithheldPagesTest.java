package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.OwnReferences;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.shelf.OwnSubstances;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a result should be is withheld from benches: nothing they are sent hangs on it. */
class WithheldPagesTest extends HouseTest {

    /** Examples whose references a class may put on its shelf, each with what is planted for it. */
    private static final Map<String, String> PLANTED = Map.of(
            "heat-of-solution", "kind=SOLUTION&formula=NH4Cl&name=planted+salt",
            "combustion-under-a-can", "kind=COMBUSTION&formula=C2H5OH&name=planted+spirit",
            "bomb-combustion", "kind=COMBUSTION&formula=C10H8&name=planted+flakes",
            "solid-with-solution",
                    "kind=REACTION&name=planted+metals&formula="
                            + Hand.encoded("Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)"));

    @Autowired
    private WhoMay may;

    @Autowired
    private OwnSubstances own;

    @Autowired
    private OwnReferences references;

    private final Map<String, Entry> entries = new LinkedHashMap<>();
    private Hand instructor;

    /** Those, and some that are judged otherwise, each at a bench of a period that withholds. */
    private static final List<String> OTHERS =
            List.of("cycle", "neutralization", "fusion-of-ice", "specific-heat-of-solid", "heating-curve");

    /** One entry of each. */
    @BeforeEach
    void withhold() {
        instructor = new Hand(address(""));
        String title = "Withheld " + UUID.randomUUID();
        entries.clear();
        for (String name :
                Stream.concat(PLANTED.keySet().stream(), OTHERS.stream()).toList()) {
            String file = new String(example(name), StandardCharsets.UTF_8)
                    .replaceFirst("\"title\"\\s*:\\s*\"[^\"]*\"", "\"title\" : \"" + title + "\"")
                    .replaceFirst("\"date\"\\s*:\\s*\"[^\"]*\"", "\"date\" : \"2026-11-18\"")
                    .replaceFirst("\"bench\"\\s*:\\s*\"[^\"]*\"", "\"bench\" : \"Alder\"");
            entries.put(
                    name,
                    imports.take(file.getBytes(StandardCharsets.UTF_8), name, A_TEST)
                            .orThrow());
        }
        entries.values().stream().map(Entry::period).map(Period::id).distinct().forEach(id -> {
            Hand.location(instructor.post("/periods/" + id + "/life", "withholds=true"));
            Hand.location(instructor.post("/periods/" + id + "/life", "shared=true"));
        });
    }

    /** A fresh browser at the bench of an entry: which chapters stand open is remembered by a browser. */
    private Hand bench(Entry entry) {
        return Hand.with(address(""), signIns.bench(entry.bench(), "tablet"));
    }

    private Hand bench(String key) {
        return bench(entries.get(key));
    }

    private void plant(double value) {
        PLANTED.values()
                .forEach(each -> Hand.location(
                        instructor.post("/shelf/own", each + "&value=" + value + "&uncertainty=1&source=planted")));
        entries.forEach((key, entry) -> Hand.location(instructor.post(
                "/periods/" + entry.period().id() + "/references",
                "experiment=" + entry.experiment() + "&value=" + value + "&uncertainty=1&source=planted")));
    }

    private void takeAway() {
        own.all().stream()
                .filter(each -> each.name().startsWith("planted"))
                .map(OwnSubstance::id)
                .forEach(id -> instructor.post("/shelf/own/" + id, "outcome=aside&reason=taken+away"));
        references
                .all()
                .forEach(each -> each.periodId()
                        .ifPresent(period -> instructor.post(
                                "/periods/" + period + "/references/" + each.id(), "reason=taken+away")));
    }

    /** Everything one can ask for of the entries, their periods and one's own page. */
    private Map<String, String> everything(Function<Entry, Hand> who) {
        Map<String, String> pages = new LinkedHashMap<>();
        entries.forEach((key, entry) -> {
            Hand hand = who.apply(entry);
            Set<String> paths = new LinkedHashSet<>(List.of("/bench", "/notebook", "/shelf", "/shelf/values"));
            may.all().forEach((route, right) -> {
                boolean page = Set.of(Right.READ_ENTRY, Right.READ_CLASS, Right.READ_HANDOUTS)
                        .contains(right);
                if (page && route.startsWith("GET") && !route.endsWith("/changes")) {
                    paths.add(route.replaceFirst("GET ", "")
                            .replace("/entries/{id}", "/entries/" + entry.id())
                            .replace(
                                    "/periods/{id}",
                                    "/periods/" + entry.period().id())
                            .replace("{experiment}", key));
                }
            });
            paths.add(result(key));
            paths.forEach(path -> pages.put(key + " " + path, body(hand.get(path))));
        });
        return pages;
    }

    /** Without what is of the moment: the seal of forms, keys of what would be sent, how long a clock has run. */
    private static String body(HttpResponse<String> answer) {
        return answer.statusCode() + "\n"
                + answer.body()
                        .replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "")
                        .replaceAll("data-age=\"[^\"]*\"|aria-hidden=\"true\">[0-9:]+</p>", "")
                        .replaceAll("name=\"key\"\\s+value=\"[0-9a-f-]{36}\"", "");
    }

    @Test
    @Tag("long")
    void underTwoPlantedReferencesABenchIsSentTheSame() {
        try {
            plant(-11);
            Map<String, String> one = everything(this::bench);
            Map<String, String> told = told();
            takeAway();
            plant(-7777);
            Map<String, String> other = everything(this::bench);
            assertThat(one.entrySet().stream().filter(page -> page.getValue().startsWith("200")))
                    .hasSizeGreaterThan(150);
            one.forEach((path, page) ->
                    assertThat(page.equals(other.get(path))).as(path).isTrue());
            Map<String, String> toldOther = told();
            entries.keySet()
                    .forEach(key -> assertThat(told.get(key).equals(toldOther.get(key)))
                            .as(key + ", told everything")
                            .isFalse());
        } finally {
            takeAway();
        }
    }

    /** The results, told everything. */
    private Map<String, String> told() {
        Hand hand = new Hand(address(""));
        Map<String, String> pages = new LinkedHashMap<>();
        entries.keySet().forEach(key -> pages.put(key, body(hand.get(result(key)))));
        return pages;
    }

    private String result(String key) {
        return "/entries/" + entries.get(key).id() + "/result?open=all";
    }

    @Test
    void inItsPlaceStandsASentenceUntilItIsTold() {
        String page = result("heat-of-solution");
        assertThat(bench("heat-of-solution").get(page).body())
                .contains("is withheld in this period")
                .contains("Withheld in this period until your instructor tells it")
                .doesNotContain("the reference for", "chapter-causes");
        assertThat(bench("heat-of-solution").get("/shelf").body()).contains("The handbook is withheld in this period");
        assertThat(bench("heat-of-solution").get("/notebook").body()).doesNotContain("/shelf\"");
        assertThat(instructor.get(page).body()).contains("the reference for", "What was once seen cannot be unseen");
        assertThat(bench("heat-of-solution")
                        .post("/entries/" + entries.get("heat-of-solution").id() + "/reveal", "")
                        .statusCode())
                .isEqualTo(403);

        Hand.location(
                instructor.post("/entries/" + entries.get("heat-of-solution").id() + "/reveal", ""));
        assertThat(bench("heat-of-solution").get(page).body())
                .contains("the reference for")
                .doesNotContain("is withheld in this period");
        String other = result("neutralization");
        assertThat(bench("neutralization").get(other).body()).contains("is withheld in this period");
        Hand.location(instructor.post(
                "/periods/" + entries.get("neutralization").period().id() + "/life", "tell=neutralization"));
        assertThat(bench("neutralization").get(other).body()).doesNotContain("is withheld in this period");
        assertThat(bench("fusion-of-ice").get(result("fusion-of-ice")).body()).contains("is withheld in this period");
        Hand.location(instructor.post(
                "/periods/" + entries.get("fusion-of-ice").period().id() + "/life", "tell=all"));
        assertThat(bench("fusion-of-ice").get(result("fusion-of-ice")).body())
                .doesNotContain("is withheld in this period");
        // with everything told the handbook is open too
        assertThat(bench("fusion-of-ice").get("/shelf").statusCode()).isEqualTo(200);
        assertThat(bench("fusion-of-ice").get("/bench").body()).contains("/shelf\"");
    }

    /** Heats of the shelf would add up to the answer: a cycle asks for runs or typed heats meanwhile. */
    @Test
    void aCycleOfShelfHeatsGivesNoAnswerEither() {
        Hand bench = bench("cycle");
        String cycle = bench.begin("cycle").replaceAll("\\?.*", "");
        UUID id = UUID.fromString(cycle.replaceAll(".*/", ""));
        bench.keep(cycle, UUID.randomUUID(), "target[1]/equation", "stated", "Mg(s) + 1/2 O2(g) -> MgO(s)", "");
        bench.keep(cycle, UUID.randomUUID(), "leg[1]/from", "stated", "shelf", "");
        bench.keep(cycle, UUID.randomUUID(), "leg[1]/equation", "stated", "2 Mg(s) + O2(g) -> 2 MgO(s)", "");
        String page = bench.get(cycle + "/result").body();
        assertThat(page)
                .contains("The heats of the shelf are withheld in this period")
                .doesNotContain("−601");
        assertThat(instructor.get("/entries/" + id + "/result").body()).contains("−601");
    }

    /** What an instructor gives stands before the handbook: by a sample’s name in every period, or in one period. */
    @Test
    void anUnknownIsJudgedByItsKeyOnceItIsTold() {
        Entry slug = entries.get("specific-heat-of-solid");
        String name = "Unknown " + UUID.randomUUID().toString().substring(0, 8);
        Hand bench = bench(slug);
        String given =
                "experiment=specific-heat-of-solid&value=0.400&uncertainty=0.002&source=certificate&substance=planted+alloy";
        assertThat(instructor.post("/shelf/key", given).body()).contains("Say what the sample is called");
        Hand.location(instructor.post("/shelf/key", given + "&sample=" + Hand.encoded(name.toUpperCase())));
        assertThat(bench.get("/shelf/key").statusCode()).isEqualTo(403);
        assertThat(instructor.get("/shelf/key").body()).contains("planted alloy", "0.4000 ± 0.0020");
        instructor.keep("/entries/" + slug.id(), UUID.randomUUID(), "sample[1]/name", "stated", name, "");
        assertThat(bench.get(result("specific-heat-of-solid")).body()).doesNotContain("planted alloy");
        Hand.location(instructor.post("/periods/" + slug.period().id() + "/life", "tell=all"));
        assertThat(bench.get(result("specific-heat-of-solid")).body()).contains("planted alloy", "certificate");
    }
}

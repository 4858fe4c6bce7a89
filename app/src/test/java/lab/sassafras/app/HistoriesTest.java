package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Whatever two benches, an import and another version leave behind: every page answers, nothing is lost, a strike
 * helps.
 */
class HistoriesTest extends HouseTest {

    private static final List<String> FILES =
            List.of("2-grey-slug.json", "8-salt.json", "9-acid-and-base.json", "11-three-metals.json", "5-ice.json");
    private static final List<String> TEXTS =
            List.of("10.00", "20.5", "90.00", "50.0", "Copper", "Brass", "yellow", "NaCl", "yes", "");

    @Autowired
    private JdbcTemplate database;

    static LongStream seeds() {
        return LongStream.range(0, 24);
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("seeds")
    void everyPageStandsAndNothingIsLost(long seed) {
        Random random = new Random(seed);
        Entry entry = imported(FILES.get(random.nextInt(FILES.size())));
        List<Hand> hands = List.of(new Hand(address("")), new Hand(address("")));
        hands.forEach(hand -> hand.join("/periods/" + entry.period().id(), "Hawthorn"));
        for (int step = 0; step < 12; step++) {
            step(random, entry, hands.get(random.nextInt(2)));
        }
        everyPageAnswers(entry);
    }

    /**
     * A value given, corrected or struck out by a hand; sometimes one that looks at an older page, or another
     * version's row.
     */
    private void step(Random random, Entry entry, Hand hand) {
        List<Observation> all = observationBook.of(entry.id()).all();
        Observation any = all.get(random.nextInt(all.size()));
        String path = "/entries/" + entry.id();
        String text = TEXTS.get(random.nextInt(TEXTS.size()));
        HttpResponse<String> answer = switch (random.nextInt(5)) {
            case 0 -> hand.post(path + "/open", "what=" + EntryBook.TRIAL);
            case 1 -> laterVersion(random, entry, hand);
            case 2 ->
                hand.keep(
                        path,
                        UUID.randomUUID(),
                        any.address(),
                        any.role(),
                        text,
                        any.unit().orElse(""));
            default ->
                hand.post(
                        path + "/observations",
                        "at=" + Hand.encoded(any.address()) + "&role=" + any.role() + "&text=" + Hand.encoded(text)
                                + "&unit=" + Hand.encoded(any.unit().orElse(""))
                                + "&uncertainty=0.5&reason=slip&supersedes=" + any.id());
        };
        assertThat(answer.statusCode()).as(answer.body()).isIn(200, 302, 422);
    }

    private HttpResponse<String> laterVersion(Random random, Entry entry, Hand hand) {
        database.update(
                "insert into observation (id, entry_id, address, role, text, unit, who_id, made_at) values (?, ?, ?, "
                        + "?, ?, ?, ?, ?)",
                UUID.randomUUID(),
                entry.id(),
                List.of("trace[1]/reading", "no address", "sample[9]/mass", "mixed[1]/final")
                        .get(random.nextInt(4)),
                List.of("skipped", "read", "stated").get(random.nextInt(3)),
                List.of("+1000000000-01-01T00:00:00Z", "=1+1", "-900").get(random.nextInt(3)),
                List.of("furlong", "°C").get(random.nextInt(2)),
                entry.bench().id(),
                java.time.OffsetDateTime.parse("+9999-01-01T00:00:00Z".substring(1)));
        return hand.get("/entries/" + entry.id());
    }

    private void everyPageAnswers(Entry entry) {
        String path = "/entries/" + entry.id();
        int kept = observationBook.of(entry.id()).all().size();
        for (String page : List.of(
                path,
                path + "?trial=2",
                path + "/result",
                path + "/result?trial=2",
                path + "/result?open=all",
                path + "/table",
                path + "/print",
                path + "/run.json",
                path + "/observations.csv",
                "/notebook?period=" + entry.period().id(),
                "/bench")) {
            HttpResponse<String> answer = get(page);
            assertThat(answer.statusCode()).as(page + "\n" + answer.body()).isIn(200, 302);
            assertThat(answer.body()).as(page).doesNotContain("Exception").doesNotContainPattern("\\bNaN\\b");
        }
        assertThat(get(path + "/observations.csv").body().lines().count()).isEqualTo(kept + 1L);
    }

    @Tag("browser")
    @Test
    void aRowOfALaterVersionIsShownWithItsReasonAndStruckOutOnThePage() {
        Entry entry = imported("2-grey-slug.json");
        String result = get("/entries/" + entry.id() + "/result?open=all").body();
        database.update(
                "insert into observation (id, entry_id, address, role, text, unit, who_id, made_at) values (?, ?, "
                        + "'trace[1]/reading', 'skipped', "
                        + "'21.3', 'furlong', ?, current_timestamp)",
                UUID.randomUUID(),
                entry.id(),
                entry.bench().id());
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Hawthorn").open("/entries/" + entry.id() + "/result?open=all");
            assertThat(browser.text("h1.result")).isEqualTo(heading(result));
            assertThat(browser.text(".findings"))
                    .contains("What was recorded for trace[1]/reading, “21.3”, cannot be read by this version");
            browser.open("/entries/" + entry.id());
            assertThat(browser.text(".leftovers")).contains("trace[1]/reading", "21.3");
            browser.page().click(".leftovers summary");
            browser.page().fill(".leftovers input[name=reason]", "not ours");
            browser.page().click(".leftovers button");
            browser.page().waitForURL("**/entries/" + entry.id());
            assertThat(browser.page().locator(".leftovers").count()).isZero();
        }
    }

    private static String heading(String page) {
        return page.replaceAll("(?s).*<h1 class=\"result\"[^>]*>(.*?)</h1>.*", "$1")
                .replaceAll("<[^>]+>", "")
                .replaceAll("\\s+", " ")
                .strip();
    }

    @Test
    void anEntryOfAnUnknownExperimentStaysReadableAndDoesNotHideTheOthers() {
        Entry slug = imported("2-grey-slug.json");
        Entry strange = entryBook.begin(
                slug.bench(),
                new Entry.Plan(
                        "bomb-of-a-later-version", 7, 99, Optional.empty(), Optional.empty(), java.util.Map.of()));
        observationBook.keep(
                UUID.randomUUID(),
                strange.id(),
                new Observation.Given(
                        "pellet[1]/mass",
                        "read",
                        "1.0213",
                        "g",
                        Optional.empty(),
                        null,
                        "Hawthorn",
                        Optional.empty(),
                        null));
        everyPageAnswers(strange);
        assertThat(get("/entries/" + strange.id() + "/result?open=all").body())
                .contains("An experiment not known here", "1.0213");
        assertThat(get("/notebook?period=" + slug.period().id()).body())
                .contains("An experiment not known here", "Specific heat of a solid");
        assertThat(get("/entries/" + strange.id() + "/observations.csv").body())
                .contains("pellet[1]/mass,,read,1.0213,g");
    }

    /** Two samples misspelt, one described, both corrected: the case that once shut a whole period's notebook. */
    @Test
    void misspeltSamplesAreCorrectedOnTwoDevices() {
        Entry entry = imported("4-still-at-the-bench.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hawthorn");
        String path = "/entries/" + entry.id();
        hand.post(path + "/open", "what=trial");
        IntStream.of(1, 2)
                .forEach(trial -> assertThat(hand.keep(
                                        path,
                                        UUID.randomUUID(),
                                        "sample[" + trial + "]/name",
                                        "stated",
                                        trial == 1 ? "Coper" : "Bras",
                                        "")
                                .statusCode())
                        .isEqualTo(302));
        assertThat(hand.keep(path, UUID.randomUUID(), "seen[2]/colour", "stated", "yellow", "")
                        .statusCode())
                .isEqualTo(302);
        for (Observation name : observationBook.of(entry.id()).standing().stream()
                .filter(each -> each.address().endsWith("/name"))
                .toList()) {
            assertThat(hand.post(
                                    path + "/observations",
                                    "at=" + Hand.encoded(name.address()) + "&role=stated&reason=spelling&supersedes="
                                            + name.id() + "&text="
                                            + (name.text().equals("Coper") ? "Copper" : "Brass"))
                            .statusCode())
                    .isEqualTo(302);
        }
        everyPageAnswers(entry);
        assertThat(get(path).body()).doesNotContain("Also recorded, not asked for now");
    }
}

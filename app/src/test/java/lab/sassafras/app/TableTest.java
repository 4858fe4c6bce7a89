package lab.sassafras.app;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.expression.Estimate;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A run typed into a table, as on paper. */
class TableTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Beside one for each character and one to leave each cell, as many keys as this. */
    private static final int MORE_KEYS = 10;

    @Autowired
    private EntrySheets sheets;

    private Entry emptied(ObjectNode run) {
        ObjectNode empty = run.deepCopy();
        empty.putArray("observations");
        empty.remove("combination");
        return alone(empty.toString().getBytes(UTF_8), "empty.json");
    }

    /** What stands in a run file: its places as the table sends them, with what is typed there; moments are left. */
    private static Map<String, String> typed(ObjectNode run) {
        Set<String> struck = new HashSet<>();
        run.get("observations")
                .forEach(each -> struck.add(each.path("supersedes").asString("")));
        Map<String, String> typed = new LinkedHashMap<>();
        for (JsonNode each : run.get("observations")) {
            String text = each.get("text").asString();
            // moments are left, and readings on a clock are a table of their own
            boolean elsewhere = text.matches("\\d{4}-.*Z|trace-\\d+ from .*");
            if (!struck.contains(each.get("id").asString()) && !text.isEmpty() && !elsewhere) {
                typed.put(
                        each.get("at").asString() + "|" + each.get("role").asString(),
                        text
                                + (each.has("uncertainty")
                                        ? " +- " + each.get("uncertainty").asString()
                                        : ""));
            }
        }
        return typed;
    }

    /** One of each kind of table: in parts, without a vessel, on a curve, with trials, with ticks. */
    private static List<String> oneOfEachKind() {
        List<String> kinds = List.of("neutralization", "cycle", "heating-curve", "heat-of-solution", "bomb-combustion");
        return Boolean.getBoolean("sassafras.all") ? ONE_OF_EACH : kinds;
    }

    /**
     * A run worked by hand is typed in by the keyboard alone, in few keys, and gives the same number; all of them with
     * {@code -Dsassafras.all=true}.
     */
    @Tag("browser")
    @ParameterizedTest
    @MethodSource("oneOfEachKind")
    void anExampleIsTypedByTheKeyboardAlone(String example) {
        ObjectNode run = (ObjectNode) JSON.readTree(example(example));
        Entry entry = emptied(run);
        Map<String, String> left = typed(run);
        int characters =
                left.values().stream().mapToInt(text -> text.length() + 1).sum();
        int keys = 0;
        try (BenchBrowser browser = browser()) {
            Page page = browser.join(entry.period().id(), entry.bench().name()).page();
            browser.open("/entries/" + entry.id() + "/table" + ways(left));
            for (int step = 0; step < 200 && !left.isEmpty(); step++) {
                page.waitForSelector("form.data-table:not([aria-busy=true])");
                // what another value says by itself stands already
                left.entrySet()
                        .removeIf(each ->
                                observationBook
                                        .of(entry.id())
                                        .standingAt(each.getKey().replaceAll("\\|.*", ""))
                                        .stream()
                                        .anyMatch(there -> there.text().equals(each.getValue())));
                if (left.isEmpty()) {
                    break;
                }
                String place = (String)
                        page.evaluate(
                                "() => { const cell = document.activeElement.closest('td');"
                                        + " const sent = cell && cell.querySelector('[name=cell], [name=tick]'); return sent ? sent.value : ''; }");
                assertThat(place).as("the keys go on; left are " + left).isNotEmpty();
                String tick = place.replaceAll("=.*", "");
                String text = left.remove(tick);
                if (text != null && place.contains("=")) {
                    browser.press(" ");
                    keys++;
                    // its cell is a link by then, and Enter goes on from there as well
                    page.waitForSelector("td.saved:focus-within");
                } else if (text != null) {
                    String words = (String) page.evaluate(
                            "text => { const at = document.activeElement; if (at.tagName !== 'SELECT') { return text; }"
                                    + " return [...at.options].find((each) => each.value === text).textContent; }",
                            text);
                    browser.type(words);
                    keys += Math.min(words.length(), text.length());
                }
                browser.enter();
                keys++;
            }
            page.waitForSelector("form.data-table:not([aria-busy=true])");
            assertThat(page.locator(".cells .problem, .cells .sure").allInnerTexts())
                    .isEmpty();
        }
        assertThat(keys).as("keys for " + characters).isLessThanOrEqualTo(characters + MORE_KEYS);
        if (run.has("traces")) {
            return;
        }
        double there = sheets.of(alone(example(example), example))
                .reduction()
                .result()
                .map(Estimate::value)
                .orElseThrow();
        assertThat(sheets.of(entryBook.find(entry.id()).orElseThrow())
                        .reduction()
                        .result()
                        .map(Estimate::value)
                        .orElseThrow())
                // an instrument an example names for one reading is, in a table, the one the run proposes
                .isCloseTo(there, within(Math.abs(there) * 1e-6));
    }

    private HttpResponse<String> sent(Hand hand, String table, String... cells) {
        StringBuilder form = new StringBuilder("key=" + UUID.randomUUID());
        for (int i = 0; i < cells.length; i += 2) {
            form.append("&cell=")
                    .append(Hand.encoded(cells[i]))
                    .append("&text=")
                    .append(Hand.encoded(cells[i + 1]));
        }
        return hand.post(table, form.toString());
    }

    private List<String> standing(Entry entry) {
        return observationBook.of(entry.id()).standing().stream()
                .map(Observation::text)
                .toList();
    }

    private Entry salt() {
        return emptied((ObjectNode) JSON.readTree(example("heat-of-solution")));
    }

    /** Without script the table is one form: what can be is recorded in one commit, the rest stays with the reason. */
    @Test
    void allAtOnceRecordsWhatCanBeAndKeepsTheRestInItsCells() {
        Entry entry = salt();
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hazel");
        String table = "/entries/" + entry.id() + "/table";
        HttpResponse<String> answer = sent(
                hand,
                table,
                "solute[1]/formula|stated",
                "NH4Cl",
                "water[1]/mass|read",
                "98.45",
                "water[2]/mass|read",
                "a lot",
                "solid[1]/mass|read",
                "602",
                "solid[1]/added|stated",
                "8 o'clock",
                "solid[2]/added|stated",
                "20:16",
                "water[2]/start|read",
                "");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("3 values were not recorded", "value=\"a lot\"", "value=\"602\"", "Record as")
                .contains("is not a time of day");
        assertThat(standing(entry)).hasSize(3).contains("NH4Cl", "98.45");
        assertThat(hand.post(
                                table,
                                "key=2&cell=" + Hand.encoded("solid[1]/mass|read") + "&text=602&sure="
                                        + Hand.encoded("solid[1]/mass|read=603"))
                        .statusCode())
                .as("nobody was asked about this one")
                .isEqualTo(422);
        assertThat(hand.post(
                                table,
                                "key=2&cell=" + Hand.encoded("solid[1]/mass|read") + "&text=602&sure="
                                        + Hand.encoded("solid[1]/mass|read=602"))
                        .statusCode())
                .as("recorded as typed")
                .isEqualTo(302);
        assertThat(standing(entry)).contains("602");
        assertThat(hand.get(table).body()).contains("98.45, recorded; correct it");
        // the same form sent again records nothing twice
        String twice = "key=7&cell=" + Hand.encoded("water[2]/mass|read") + "&text=101.2";
        hand.post(table, twice);
        hand.post(table, twice);
        assertThat(standing(entry)).filteredOn("101.2"::equals).hasSize(1);
    }

    @Test
    void aPasteIsMatchedByTheNamesOfRowsAndNothingFilledIsOverwritten() {
        Entry entry = salt();
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hazel");
        String table = "/entries/" + entry.id() + "/table";
        sent(hand, table, "water[1]/mass|read", "98.45");
        String pasted = "what\ttrial 1\ttrial 2\ttrial 3\nsolid (g)\t6.02\t4.51\t7\nwater\t99\t101.20\ncolour\tred";
        String page =
                hand.post(table + "/paste", "text=" + Hand.encoded(pasted)).body();
        assertThat(page.replaceAll("<[^>]*>", "").replaceAll("\\s+", " "))
                .contains(
                        "Record 3 values", "there is no trial 3", "filled already, with 98.45", "no row of that name");
        assertThat(standing(entry)).as("said before anything is recorded").containsExactly("98.45");
        // by a semicolon and no names: from the row where it was pasted
        String block = hand.post(table + "/paste", "from=water%2Fstart&text=" + Hand.encoded("21.8;21.9"))
                .body();
        assertThat(block).contains("Record 2 values", "water[2]/start|read");
    }

    @Tag("browser")
    @Test
    void aPasteTakesTwoKeysAndADoubtedCellIsRecordedAsTyped() {
        Entry entry = salt();
        try (BenchBrowser browser = browser()) {
            Page page = browser.join(entry.period().id(), "Hazel").page();
            browser.open("/entries/" + entry.id() + "/table");
            page.evaluate("""
                    () => { const data = new DataTransfer();
                      data.setData('text/plain', 'water\\t98.45\\t101.20\\nsolid\\t602\\t4.51');
                      document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })); }
                    """);
            page.waitForSelector("#record-pasted:focus");
            browser.enter();
            page.waitForSelector(".cells .sure");
            assertThat(standing(entry)).containsExactlyInAnyOrder("98.45", "101.20", "4.51");
            assertThat(page.inputValue("td:has(.sure) [name=text]")).isEqualTo("602");
            page.click("text=Record as typed");
            page.waitForSelector("td.saved:has-text('602')");
            assertThat(browser.text("#table-said")).contains("saved", "602");
            assertThat(browser.axe()).isEmpty();
            page.locator("[name=text]").first().fill("NaCl");
            browser.press("Escape");
            assertThat(page.locator("[name=text]").first().inputValue()).isEmpty();
        }
    }

    /** Where ticks are demanded nothing below is writable until they are set by hand. */
    @Test
    void aBombsCellsAreLockedUntilItsTicksAreSet() {
        Entry entry = emptied((ObjectNode) JSON.readTree(example("bomb-combustion")));
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hazel");
        String table = "/entries/" + entry.id() + "/table";
        assertThat(hand.get(table).body())
                .contains("first tick off", "value=\"bucket[1]/start|read\"")
                .doesNotContain("value=\"fired[1]/at|stated\"", "value=\"bucket[1]/highest|read\"");
        String paste = hand.post(table + "/paste", "text=" + Hand.encoded("no bubbles under water\tyes"))
                .body();
        assertThat(paste).contains("ticked by hand, trial by trial");
        for (String check : List.of("vessel", "charge", "leak")) {
            hand.post(table, "key=1&tick=" + Hand.encoded("check[1]/" + check + "|stated=done"));
        }
        assertThat(hand.get(table).body()).contains("value=\"fired[1]/at|stated\"");
    }

    /** How places are read that are not read as the table proposes. */
    private static String ways(Map<String, String> typed) {
        Map<String, String> ways = new LinkedHashMap<>();
        typed.keySet().forEach(place -> {
            String role = place.replaceAll(".*\\|", "");
            if (!role.equals("stated")) {
                ways.put(place.replaceAll("\\[\\d+]|\\|.*", ""), role.equals("gross") ? "tare" : role);
            }
        });
        StringBuilder query = new StringBuilder("?");
        ways.forEach((path, role) ->
                query.append("way=").append(path).append(':').append(role).append('&'));
        return query.toString();
    }

    /** Copied from paper: what must be ticked off was ticked off there; nothing is locked, and the result says so. */
    @Test
    void aRunCopiedFromPaperIsNotLockedAndItsResultSaysSo() {
        ObjectNode run = (ObjectNode) JSON.readTree(example("bomb-combustion"));
        Entry entry = emptied(run);
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hazel");
        String table = "/entries/" + entry.id() + "/table";
        assertThat(hand.get(table).body()).contains("first tick off");
        assertThat(hand.post(table + "/paper", "reason=").body()).contains("Say whose paper it is");
        hand.post(table + "/paper", "reason=Hazel+s+book%2C+page+12");
        assertThat(hand.get(table).body()).doesNotContain("first tick off").contains("The ticks");
        for (JsonNode each : run.get("observations")) {
            if (!each.get("at").asString().startsWith("check")) {
                hand.keep(
                        "/entries/" + entry.id(),
                        UUID.randomUUID(),
                        each.get("at").asString(),
                        each.get("role").asString(),
                        each.get("text").asString(),
                        each.path("unit").asString(""));
            }
        }
        String result = hand.get("/entries/" + entry.id() + "/result").body();
        assertThat(result).contains("Copied from paper (Hazel: “Hazel s book, page 12”)", "was not ticked off here");
        // the decision goes with its file
        ObjectNode file = (ObjectNode)
                JSON.readTree(hand.get("/entries/" + entry.id() + "/run.json").body());
        assertThat(file.get("minor").asInt()).isEqualTo(4);
        Entry again = alone(file.toString().getBytes(UTF_8), "copied.json");
        assertThat(hand.get("/entries/" + again.id() + "/result").body()).contains("Copied from paper (Hazel");
    }

    /** The readings of a curve on paper are a table of their own: looked at, and kept as a file would be. */
    @Tag("browser")
    @Test
    void timesAndTemperaturesAreTypedIntoATableOfTheirOwn() {
        Entry entry = salt();
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), entry.bench().name())
                    .open("/entries/" + entry.id() + "/clock/file?trial=2");
            browser.page().click("summary:has-text('Type them from paper')");
            browser.page().focus(".data-rows tbody input");
            for (int i = 0; i < 14; i++) {
                browser.type(i / 2 + (i % 2 == 0 ? ":00" : ":30"))
                        .enter()
                        .type(i < 6 ? "21.8" : "18." + (i % 10))
                        .enter();
            }
            assertThat(browser.page().locator(".data-rows tbody tr").count()).isGreaterThanOrEqualTo(14);
            browser.page().click("text=Look at them");
            assertThat(browser.text("main")).contains("14 readings");
            browser.page().click("text=Record these readings");
            browser.page().waitForURL("**/strip?trial=2");
        }
    }
}

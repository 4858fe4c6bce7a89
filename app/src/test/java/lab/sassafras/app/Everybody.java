package lab.sassafras.app;

import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Everybody there may be at a house: benches of several periods, an instructor, a reader and a stranger. */
abstract class Everybody extends HouseTest {

    @Autowired
    protected WhoMay may;

    @Autowired
    protected Codes codes;

    @Autowired
    protected ReaderLinks links;

    @Autowired
    protected JdbcTemplate database;

    protected Period period;
    protected Period closed;
    protected final Map<String, Hand> hands = new LinkedHashMap<>();
    protected final Map<String, String> entries = new LinkedHashMap<>();

    /** Two benches of one period, one of another and one of a period that was closed, each with an entry. */
    @BeforeEach
    void letThemIn() {
        period = period("People, " + UUID.randomUUID());
        closed = period("Closed, " + UUID.randomUUID());
        hands.clear();
        entries.clear();
        sit("own", period, "Alder");
        sit("another's", period, "Birch");
        sit("another period's", period("Others, " + UUID.randomUUID()), "Alder");
        sit("closed", closed, "Alder");
        periodBook.become(closed, Period.State.CLOSED, "all results are in", "a test");
        hands.put("instructor", new Hand(address("")));
        hands.put("stranger", Hand.stranger(address("")));
        Hand reader = Hand.stranger(address(""));
        reader.post("/read", "secret=" + links.make(entry("own")));
        hands.put("reader", reader);
    }

    protected void sit(String whose, Period in, String name) {
        Bench bench = periodBook.join(in, name);
        hands.put(whose, Hand.with(address(""), signIns.bench(bench, "tablet")));
        entries.put(whose, hands.get(whose).begin("specific-heat-of-solid").replaceAll(".*/([0-9a-f-]{36}).*", "$1"));
    }

    protected Entry entry(String whose) {
        return entryBook.find(UUID.fromString(entries.get(whose))).orElseThrow();
    }

    /** What somebody is told at a route: 1 allowed, 3 to the door, 4 not there, F refused in words. */
    protected String answer(Hand hand, String route, String entry, UUID ofPeriod) {
        String path = route.replaceAll("^\\S+ ", "")
                .replaceAll("^/entries/\\{id}", "/entries/" + entry)
                .replaceAll("^/periods/\\{id}", "/periods/" + ofPeriod)
                .replace("{number}", "1")
                .replace("{experiment}", "specific-heat-of-solid")
                .replace("{what:once|part}", "once")
                .replace("{things:vessels|instruments}", "vessels")
                .replace("{list:solutions|formation|values}", "values")
                .replaceAll("\\{[^}]*}", UUID.randomUUID().toString());
        HttpResponse<String> said;
        if (route.startsWith("GET")) {
            if (path.endsWith("/changes")) {
                // a stream does not end; who may not have one is told so at once
                return hand.listens(path);
            }
            said = hand.get(path);
        } else {
            said = path.startsWith("/import") && !path.endsWith("again") || path.equals("/api/reduce")
                    ? hand.upload(path.equals("/import/clock") ? path + "?entry=" + entry : path, "x.json", new byte[0])
                    : hand.post(path, "");
        }
        if (said.statusCode() == 403) {
            return "F";
        }
        if (said.statusCode() == 302
                && said.headers().firstValue("Location").orElse("").contains("/door")) {
            return "3";
        }
        boolean hidden = said.body().contains("There is no entry at that address.")
                || said.body().contains("There is no lab period at that address.");
        return said.statusCode() == 404 && hidden ? "4" : "1";
    }
}

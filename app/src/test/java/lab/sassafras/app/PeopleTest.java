package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Who may do what: every route the framework knows, asked for by everybody, about what is theirs and what is not. */
class PeopleTest extends HouseTest {

    @Autowired
    private WhoMay may;

    @Autowired
    private Codes codes;

    @Autowired
    private ReaderLinks links;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping routes;

    private Period period;
    private Period closed;
    private final Map<String, Hand> hands = new LinkedHashMap<>();
    private final Map<String, String> entries = new LinkedHashMap<>();

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

    private void sit(String whose, Period in, String name) {
        Bench bench = periodBook.join(in, name);
        hands.put(whose, Hand.with(address(""), signIns.bench(bench, "tablet")));
        entries.put(whose, hands.get(whose).begin("specific-heat-of-solid").replaceAll(".*/([0-9a-f-]{36}).*", "$1"));
    }

    private Entry entry(String whose) {
        return entryBook.find(UUID.fromString(entries.get(whose))).orElseThrow();
    }

    private Set<String> known() {
        Set<String> all = new TreeSet<>();
        routes.getHandlerMethods().keySet().forEach(each -> {
            Set<RequestMethod> methods = each.getMethodsCondition().getMethods();
            for (String pattern : each.getPatternValues()) {
                methods.forEach(method -> all.add(method + " " + pattern));
            }
        });
        return all;
    }

    @Test
    void everyRouteTheFrameworkKnowsHasALine() {
        Set<String> lines = new TreeSet<>(may.all().keySet());
        // these two are not among the controllers' mappings
        assertThat(lines.remove("GET /health")).isTrue();
        assertThat(lines).isEqualTo(known());
    }

    private static final List<String> VISITORS =
            List.of("own", "another's", "another period's", "closed", "instructor", "reader", "stranger");

    /** What each right answers whom: 1 allowed, 3 to the door, 4 not there, F refused in words. */
    private static final Map<Right, String> ANSWERS = new EnumMap<>(Map.of(
            //                 own, another's, another period's, closed, instructor, reader, stranger
            Right.READ_ENTRY, "1444113",
            Right.WRITE_ENTRY, "14441FF",
            Right.DECIDE, "F4441FF",
            Right.READ_CLASS, "FF44143",
            Right.LEAD, "FF44143",
            Right.RUN_HOUSE, "FFFF1F3",
            Right.READ_SHELF, "11111F3",
            Right.HAVE_SEAT, "11111F3",
            Right.BEGIN, "111FFFF"));

    /** Every route about what is in the open period, asked for by each of seven. */
    @Test
    void everybodyIsAnsweredAsTheTableSays() {
        List<String> wrong = new ArrayList<>();
        may.all().forEach((route, right) -> {
            if (right == Right.ANYONE || route.contains("/leave")) {
                return;
            }
            StringBuilder answers = new StringBuilder();
            for (String who : VISITORS) {
                answers.append(answer(hands.get(who), route, entries.get("own"), period.id()));
            }
            String expected = ANSWERS.get(right);
            if (route.startsWith("POST")) {
                // whoever did not come in is refused in words where they would change something
                expected = expected.substring(0, 6) + "F";
            }
            if (right == Right.READ_CLASS && !route.contains("{id}")) {
                // without a period named it is one's own
                expected = "FFFF1F3";
            }
            if (right == Right.LEAD && route.contains("/entries/")) {
                expected = "F4441FF";
            }
            if (right == Right.LEAD && !route.contains("{id}")) {
                expected = "FFFF1F3";
            }
            if (!answers.toString().equals(expected)) {
                wrong.add(route + " (" + right + "): " + answers + ", not " + expected);
            }
        });
        assertThat(wrong).isEmpty();
    }

    /** A closed period is read and nothing is recorded in it, by its bench or by anybody. */
    @Test
    void inAClosedPeriodNothingIsRecorded() {
        String own = entries.get("closed");
        may.all().forEach((route, right) -> {
            if (right == Right.WRITE_ENTRY || right == Right.DECIDE) {
                assertThat(answer(hands.get("closed"), route, own, closed.id()))
                        .as(route)
                        .isEqualTo("F");
                assertThat(answer(hands.get("instructor"), route, own, closed.id()))
                        .as(route)
                        .isEqualTo("F");
            } else if (right == Right.READ_ENTRY && !route.contains("changes")) {
                assertThat(answer(hands.get("closed"), route, own, closed.id()))
                        .as(route)
                        .isEqualTo("1");
            }
        });
        assertThat(hands.get("closed").post("/entries", "experiment=cycle").body())
                .contains("This period is closed");
        HttpResponse<String> shut =
                hands.get("closed").keep("/entries/" + own, UUID.randomUUID(), "sample[1]/name", "stated", "brass", "");
        assertThat(shut.body()).contains("This period is closed").contains("An instructor can open it again");
        assertThat(observationBook.of(UUID.fromString(own)).all()).isEmpty();
        assertThat(hands.get("closed").get("/entries/" + own + "/changes").statusCode())
                .isEqualTo(204);
    }

    /** Not even that a number was shown is noted by looking at what is closed. */
    @Test
    void lookingAtWhatIsClosedWritesNothing() {
        Entry entry = alone("2-grey-slug.json");
        periodBook.become(entry.period(), Period.State.CLOSED, "all in", "a test");
        assertThat(get("/entries/" + entry.id() + "/result").statusCode()).isEqualTo(200);
        assertThat(shown(entry)).isZero();
        periodBook.become(entry.period(), Period.State.OPEN, "once more", "a test");
        // so that its sheet is read anew
        decisionBook.decide(
                Optional.of(entry.id()), Decision.Kind.TRIAL, "trial 1", Decision.IN, "looked at again", "a test");
        assertThat(get("/entries/" + entry.id() + "/result").statusCode()).isEqualTo(200);
        assertThat(shown(entry)).isOne();
    }

    private int shown(Entry entry) {
        return database.queryForObject("select count(*) from shown where entry_id = ?", Integer.class, entry.id());
    }

    /** Whoever is sent away, or whose period is closed, hears nothing more: the stream ends. */
    @Test
    void aStreamEndsWithItsSignIn() throws Exception {
        for (String ending : List.of("away", "closed")) {
            Bench bench = periodBook.join(period, "Cedar " + ending);
            Hand tablet = Hand.with(address(""), signIns.bench(bench, "tablet"));
            UUID signIn = signIns.joined(period).stream()
                    .filter(each -> each.bench().orElseThrow().id().equals(bench.id()))
                    .findFirst()
                    .orElseThrow()
                    .id();
            String entry = tablet.begin("cycle").replaceAll("\\?.*", "");
            try (InputStream stream = tablet.stream(entry + "/changes")) {
                assertThat(stream.read()).isEqualTo(':');
                long began = System.nanoTime();
                String path = "/periods/" + period.id();
                hands.get("instructor")
                        .post(path + (ending.equals("away") ? "/away/" + signIn : "/life"), "state=CLOSED&reason=over");
                int next = stream.read();
                while (next >= 0) {
                    next = stream.read();
                }
                assertThat(System.nanoTime() - began).isLessThan(5_000_000_000L);
            }
        }
    }

    /** What nobody has looks like what somebody else has. */
    @Test
    void anothersEntryLooksLikeNone() {
        Hand own = hands.get("own");
        String theirs =
                own.get("/entries/" + entries.get("another's") + "/result").body();
        String none = own.get("/entries/" + UUID.randomUUID() + "/result").body();
        assertThat(withoutSeal(theirs)).isEqualTo(withoutSeal(none));
    }

    private static String withoutSeal(String page) {
        return page.replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
    }

    /** Where the instructor lets them, benches read each other's entries, and write in none but their own. */
    @Test
    void benchesSeeEachOtherWhereTheInstructorLetsThem() {
        hands.get("instructor").post("/periods/" + period.id() + "/life", "shared=true");
        Hand own = hands.get("own");
        String theirs = "/entries/" + entries.get("another's");
        assertThat(own.get(theirs + "/result").statusCode()).isEqualTo(200);
        assertThat(own.get("/notebook").body()).contains("Birch");
        assertThat(own.post(theirs + "/aside", "outcome=out&reason=theirs").statusCode())
                .isEqualTo(403);
        assertThat(hands.get("another period's").get(theirs + "/result").statusCode())
                .isEqualTo(404);
    }

    private String answer(Hand hand, String route, String entry, UUID ofPeriod) {
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

    @Test
    void theDocumentSaysWhatTheHouseDoes() throws Exception {
        StringBuilder made = new StringBuilder();
        may.document()
                .forEach((right, lines) -> made.append("### May ")
                        .append(right.words())
                        .append("\n\n")
                        .append(lines)
                        .append("\n\n"));
        Path document = Path.of("../docs/people.md");
        String written = Files.readString(document);
        String begin = "<!-- made from WhoMay -->\n\n";
        if (Boolean.getBoolean("sassafras.write")) {
            Files.writeString(
                    document,
                    written.substring(0, written.indexOf(begin) + begin.length())
                            + made.toString().strip() + "\n");
        }
        assertThat(Files.readString(document)).endsWith(begin + made.toString().strip() + "\n");
    }

    @Test
    void aBenchComesInByItsCodeAndBackToTheSameBench() {
        codes.renew(period);
        String code = codes.of(period).orElseThrow();
        Hand tablet = Hand.stranger(address(""));
        assertThat(tablet.post(
                                "/join",
                                "code=" + Hand.encoded(Codes.inGroups(code).toLowerCase()))
                        .body())
                .contains(period.title(), "Alder, Birch");
        assertThat(Hand.location(tablet.post("/join", "code=" + code + "&name=Alder")))
                .isEqualTo("/bench");
        assertThat(tablet.get("/bench").body())
                .contains("Bench Alder".replace("Bench ", ""))
                .contains("Your entries");
        assertThat(tablet.get("/entries/" + entries.get("own")).statusCode()).isEqualTo(200);
        assertThat(periodBook.benches(period)).hasSize(2);

        codes.renew(period);
        assertThat(tablet.get("/bench").statusCode()).as("who joined stays").isEqualTo(200);
        Hand late = Hand.stranger(address(""));
        HttpResponse<String> refused = late.post("/join", "code=" + code + "&name=Alder");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("No period has that code").contains("value=\"" + code);

        UUID signIn = signIns.joined(period).get(0).id();
        hands.get("instructor").post("/periods/" + period.id() + "/away/" + signIn, "");
        assertThat(List.of(tablet, hands.get("own"), hands.get("another's")))
                .filteredOn(each -> each.get("/bench").statusCode() == 302)
                .hasSize(1);
    }

    @Test
    void aPasswordLetsInAndItsInstructorIsLockedOutEverywhereAtOnce() {
        Hand hazel = hands.get("instructor");
        String name = "Hazel " + UUID.randomUUID();
        assertThat(hazel.post("/people", "name=" + name + "&password=short").body())
                .contains("at least 8 characters");
        assertThat(hazel.post("/people", "name=" + name + "&password=" + "ü".repeat(40))
                        .body())
                .contains("at most 72 bytes")
                .doesNotContain("ü".repeat(40));
        Hand.location(hazel.post("/people", "name=" + Hand.encoded(name) + "&password=cups+and+lids"));
        assertThat(hazel.post("/people", "name=" + Hand.encoded(name) + "&password=cups+and+lids")
                        .body())
                .contains("of that name already");

        Hand other = Hand.stranger(address(""));
        HttpResponse<String> wrong = other.post("/door", "name=" + Hand.encoded(name) + "&password=cups");
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("do not belong together").contains(name);
        String wanted = "/entries/" + entries.get("own") + "/result?trial=1";
        String door = Hand.location(other.get(wanted));
        assertThat(door).isEqualTo("/door?to=" + Hand.encoded(wanted));
        assertThat(Hand.location(other.post(
                        "/door",
                        "name=" + Hand.encoded(name.toUpperCase()) + "&password=cups+and+lids&to="
                                + Hand.encoded(wanted))))
                .isEqualTo(wanted);
        assertThat(other.get(wanted).statusCode()).isEqualTo(200);

        UUID person = people.all().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow()
                .person();
        hazel.post("/people/" + person, "what=LOCK");
        assertThat(Hand.location(other.get(wanted))).startsWith("/door");
        assertThat(other.post("/door", "name=" + Hand.encoded(name) + "&password=cups+and+lids")
                        .body())
                .contains("locked out");
    }

    /** Addresses that lead out of the house are not gone to after signing in. */
    @Test
    void theDoorLeadsNowhereElse() {
        people.addOrReset("Rowan of the door", "a long password");
        for (String to : List.of("//elsewhere.example", "/\\elsewhere.example", "https://elsewhere.example", "x")) {
            assertThat(Hand.location(Hand.stranger(address(""))
                            .post("/door", "name=Rowan+of+the+door&password=a+long+password&to=" + Hand.encoded(to))))
                    .as(to)
                    .isEqualTo("/");
        }
    }

    /** A bound instructor leads the periods named and no other, and keeps neither shelf nor people. */
    @Test
    void anInstructorOfSomePeriodsSeesNoOther() {
        UUID bound = people.add("Bound " + UUID.randomUUID(), "a long password", Set.of(period.id()));
        Hand hand = Hand.with(address(""), signIns.instructor(bound, "tablet"));
        assertThat(hand.get("/periods/" + period.id()).statusCode()).isEqualTo(200);
        assertThat(hand.get("/periods").body()).contains(period.title()).doesNotContain(closed.title());
        assertThat(hand.get("/periods/" + closed.id()).statusCode()).isEqualTo(404);
        assertThat(hand.get("/entries/" + entries.get("own")).statusCode()).isEqualTo(200);
        assertThat(hand.get("/entries/" + entries.get("closed")).statusCode()).isEqualTo(404);
        assertThat(hand.get("/import").statusCode()).isEqualTo(403);
        assertThat(hand.post("/people", "name=x&password=a+long+password").statusCode())
                .isEqualTo(403);
    }

    @Test
    void theLastWhoMayKeepTheHouseIsNotLockedOut() {
        people.all().stream().filter(each -> !each.locked()).skip(1).forEach(each -> {
            people.lock(each.person(), true);
        });
        UUID last = people.all().stream()
                .filter(each -> !each.locked())
                .findFirst()
                .orElseThrow()
                .person();
        try {
            assertThatThrownBy(() -> people.lock(last, true))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("last");
        } finally {
            people.all().forEach(each -> people.lock(each.person(), false));
        }
    }

    /** A bench is offered what its class does; next week’s period is led as this one. */
    @Test
    void aPeriodOffersSomeExperimentsAndIsCopiedForNextWeek() {
        Hand hazel = hands.get("instructor");
        String path = "/periods/" + period.id();
        Hand.location(hazel.post(path + "/life", "offering=true&offers=heat-of-solution&offers=cycle"));
        assertThat(hazel.post(path + "/life", "offering=true&offers=alchemy").body())
                .contains("no such experiment");
        Hand.location(hazel.post(path + "/life", "withholds=true"));
        Hand own = hands.get("own");
        assertThat(own.get("/bench").body())
                .contains("value=\"heat-of-solution\"", "value=\"cycle\"")
                .doesNotContain("value=\"fusion-of-ice\"");
        assertThat(own.post("/entries", "experiment=fusion-of-ice").body()).contains("is not offered in this period");
        assertThat(own.post("/entries", "experiment=cycle").statusCode()).isEqualTo(302);

        String next = Hand.location(hazel.post(
                "/periods", "title=Next+week&date=2026-12-06&zone=UTC&mark=POINT&benches=yes&like=" + period.id()));
        Period copied =
                periodBook.find(UUID.fromString(next.replaceAll(".*/", ""))).orElseThrow();
        assertThat(copied.offers()).containsExactlyInAnyOrder("heat-of-solution", "cycle");
        assertThat(copied.withholds()).isTrue();
        assertThat(periodBook.benches(copied)).extracting(Bench::name).containsExactly("Alder", "Birch");
        assertThat(codes.of(copied)).isPresent().isNotEqualTo(codes.of(period));
    }

    /** A link lets one entry be read until it is revoked; then whoever read by it is out. */
    @Test
    void aLinkIsReadByAndRevoked() {
        Hand hazel = hands.get("instructor");
        String path = "/entries/" + entries.get("own");
        String made = hazel.post(path + "/readers", "").body();
        String secret = made.replaceAll("(?s).*/read#([A-Za-z0-9_-]{43}).*", "$1");
        Hand reader = Hand.stranger(address(""));
        assertThat(reader.post("/read", "secret=made+up").body()).contains("leads nowhere any more");
        assertThat(Hand.location(reader.post("/read", "secret=" + secret))).isEqualTo(path + "/result");
        assertThat(reader.get(path + "/result").body())
                .contains("you read one entry")
                .doesNotContain("Exclude this whole entry", "Make a link");
        assertThat(reader.get("/").headers().firstValue("Location"))
                .hasValueSatisfying(to -> assertThat(to).endsWith(path + "/result"));
        UUID link = links.of(entry("own")).stream()
                .reduce((one, other) -> other)
                .orElseThrow()
                .id();
        Hand.location(hazel.post(path + "/readers/" + link, ""));
        assertThat(Hand.location(reader.get(path + "/result"))).startsWith("/door");
        assertThat(Hand.stranger(address("")).post("/read", "secret=" + secret).statusCode())
                .isEqualTo(422);
        assertThat(hands.get("reader").get(path + "/result").statusCode())
                .as("another link holds")
                .isEqualTo(200);
    }

    /** What nobody means well is refused in words at its field, and nothing of it is kept. */
    @Test
    void whatCannotBeIsSaidAtTheDoor() {
        codes.renew(period);
        codes.renew(closed);
        String code = codes.of(period).orElseThrow();
        Hand late = Hand.stranger(address(""));
        assertThat(late.post("/join", "code=" + codes.of(closed).orElseThrow()).body())
                .contains("period of that code is closed");
        assertThat(late.post("/join", "code=" + code + "&name=" + "x".repeat(10_000))
                        .body())
                .contains("at most 60 characters");
        assertThat(late.post("/join", "code=" + code + "&name=" + Hand.encoded("\u202Ekcul\u200B"))
                        .body())
                .contains("signs that nobody can see");
        assertThat(late.post("/join", "code=" + code + "&name=").body()).contains("Give your bench a name");
        assertThat(late.post("/join", "code=").body()).contains("Type the code of your period");
        assertThat(periodBook.benches(period)).extracting(Bench::name).containsExactly("Alder", "Birch");
        // two tablets give one name: it is one bench
        Hand.location(late.post("/join", "code=" + code + "&name=Alder"));
        assertThat(periodBook.benches(period)).hasSize(2);
        // a token of another house, an old one, none at all
        for (String token : List.of("x", "A".repeat(43), "A".repeat(5000), "\u00e9")) {
            Hand other = Hand.stranger(address(""));
            assertThat(signIns.visitor(token).stranger()).as(token).isTrue();
            assertThat(other.get("/periods").statusCode()).isEqualTo(302);
        }
        String name = "y".repeat(10_000);
        assertThat(hands.get("instructor")
                        .post("/people", "name=" + name + "&password=a+long+password")
                        .body())
                .contains("at most 60 characters");
        assertThat(people.all()).noneMatch(each -> each.name().startsWith("yyy"));
    }

    @Test
    void aPeriodIsClosedAndOpenedAgainWithAReason() {
        Hand hazel = hands.get("instructor");
        String at = "/periods/" + period.id() + "/life";
        assertThat(hazel.post(at, "state=CLOSED").body()).contains("Say why the period is closed");
        Hand.location(hazel.post(at, "state=CLOSED&reason=all+in"));
        assertThat(hands.get("own").post("/entries", "experiment=cycle").statusCode())
                .isEqualTo(403);
        Hand.location(hazel.post(at, "state=OPEN&reason=one+was+missing"));
        assertThat(hands.get("own").post("/entries", "experiment=cycle").statusCode())
                .isEqualTo(302);
        assertThat(decisionBook.of(Decision.Kind.PERIOD).all().stream()
                        .filter(each -> each.subject().equals(period.id().toString()))
                        .map(each -> each.outcome() + ": " + each.reason()))
                .containsExactly("closed: all in", "open: one was missing");
    }
}

package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Vessel;
import org.junit.jupiter.api.Test;

/** A period from its draft to the archive, and what its benches may begin and see meanwhile. */
class PeriodLifeTest extends Everybody {

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

    /** What another bench gave is proposed, and its result may be taken into a cycle, only where it may be read. */
    @Test
    void ofBenchesThatSeeNothingOfEachOtherNothingIsProposed() {
        Hand another = hands.get("another's");
        Hand own = hands.get("own");
        another.keep(
                another.begin("heat-of-solution").replaceAll("\\?.*", ""),
                UUID.randomUUID(),
                "solute[1]/formula",
                "stated",
                "KNO3",
                "");
        String mine = own.begin("heat-of-solution").replaceAll("\\?.*", "") + "?at=solute%5B1%5D/formula";
        String cycle = own.begin("cycle").replaceAll("\\?.*", "") + "?at=leg%5B1%5D/run";
        assertThat(own.get(mine).body()).doesNotContain("Birch");
        assertThat(own.get(cycle).body()).doesNotContain("Birch");
        hands.get("instructor").post("/periods/" + period.id() + "/life", "shared=true");
        assertThat(own.get(mine).body()).contains("as bench Birch has it");
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

    private int shown(Entry entry) {
        return database.queryForObject("select count(*) from shown where entry_id = ?", Integer.class, entry.id());
    }

    /** Benches take in hand what their period lends; one is given its cup, and its sample under a name. */
    @Test
    void aBenchIsGivenItsCupAndItsSample() {
        Hand hazel = hands.get("instructor");
        Hand own = hands.get("own");
        String mark = UUID.randomUUID().toString().substring(0, 8);
        Vessel lent = equip("lent " + mark);
        Vessel other = equip("kept " + mark);
        String life = "/periods/" + period.id() + "/life";
        assertThat(hazel.post(life, "offering=true&things=" + UUID.randomUUID()).body())
                .contains("not on the shelf any more");
        Hand.location(hazel.post(life, "offering=true&things=" + lent.id()));
        assertThat(own.get("/bench").body()).contains(lent.name()).doesNotContain(other.name());
        String begin = "experiment=specific-heat-of-solid&vessel=";
        assertThat(own.post("/entries", begin + other.id()).body()).contains("lends other things");

        Hand.location(hazel.post(
                "/periods/" + period.id() + "/benches/" + entry("own").bench().id(),
                "give=yes&sample=Unknown+3&vessel=" + lent.id()));
        assertThat(own.get("/bench").body())
                .contains("as your instructor gave them out", "Unknown 3")
                .containsPattern("value=\"" + lent.id() + "\"[^>]*selected");
        String begun = Hand.location(own.post("/entries", begin + lent.id()));
        assertThat(own.get(begun + "/observations.csv").body()).contains("sample[1]/name", "Unknown 3");
        assertThat(hands.get("another's").get("/bench").body()).doesNotContain("Unknown 3");
    }

    /** A draft is its instructors’ alone; once it is opened its benches come in by the code they were told. */
    @Test
    void aDraftIsPreparedAndOpened() {
        Hand hazel = hands.get("instructor");
        Period draft = periodBook
                .find(UUID.fromString(Hand.location(hazel.post(
                                "/periods",
                                "title=Draft&date=2026-12-06&zone=UTC&mark=POINT&draft=yes&benches=yes&like="
                                        + period.id()))
                        .replaceAll(".*/", "")))
                .orElseThrow();
        String join = "code=" + codes.of(draft).orElseThrow() + "&name=Alder";
        assertThat(Hand.stranger(address("")).post("/join", join).body()).contains("has not begun yet");
        hazel.post("/periods/" + draft.id() + "/join", "name=Alder");
        String tried = hazel.begin("specific-heat-of-solid");
        assertThat(tried).as("who leads it tries it").contains("/entries/");

        Hand.location(hazel.post("/periods/" + draft.id() + "/life", "state=OPEN"));
        assertThat(Hand.stranger(address("")).post("/join", join).statusCode()).isEqualTo(302);
        assertThat(hazel.post("/periods/" + draft.id() + "/life", "state=DRAFT&reason=again")
                        .body())
                .contains("not one that can become so");
    }

    /** Archived, it is read by instructors; its tablets are out, and nothing is written in it by anybody. */
    @Test
    void anArchivedPeriodIsForInstructors() {
        Hand hazel = hands.get("instructor");
        String life = "/periods/" + closed.id() + "/life";
        assertThat(hazel.post("/periods/" + period.id() + "/life", "state=ARCHIVED&reason=early")
                        .body())
                .as("an open one is closed first")
                .contains("not one that can become so");
        Hand.location(hazel.post(life, "state=ARCHIVED&reason=the+term+is+over"));
        may.all().forEach((route, right) -> {
            if (right != Right.ANYONE && route.startsWith("GET") && route.contains("{id}")) {
                assertThat(answer(hands.get("closed"), route, entries.get("closed"), closed.id()))
                        .as(route)
                        .isEqualTo("3");
            }
            if (right == Right.WRITE_ENTRY) {
                assertThat(answer(hazel, route, entries.get("closed"), closed.id()))
                        .as(route)
                        .isEqualTo("F");
            }
        });
        assertThat(hazel.get("/entries/" + entries.get("closed") + "/result").statusCode())
                .isEqualTo(200);
        assertThat(hazel.get("/periods").body()).contains("Archived, ");
        codes.renew(closed);
        assertThat(Hand.stranger(address(""))
                        .post("/join", "code=" + codes.of(closed).orElseThrow() + "&name=Alder")
                        .body())
                .contains("is closed");
        Hand.location(hazel.post(life, "state=CLOSED&reason=looked+for+again"));
    }

    /** Names are erased in one place, and with them from every row, page and file; numbers stay. */
    @Test
    void namesAreErasedFromAClosedPeriod() {
        Entry entry = alone("2-grey-slug.json");
        Period its = entry.period();
        String own = entry.bench().name();
        String file = "/entries/" + entry.id() + "/run.json";
        String number = get("/entries/" + entry.id() + "/result")
                .body()
                .replaceAll("(?s).*(<h1 class=\"result.*?</h1>).*", "$1");
        String result = "/entries/" + entry.id() + "/result?open=all";
        periodBook.rename(entry.bench(), "Mara and Koen");
        // numbers that are names already, in another order than they are given
        periodBook.join(its, "Bench 3");
        periodBook.join(its, "Bench 1");
        decisionBook.decide(
                Optional.of(entry.id()), Decision.Kind.TRIAL, "trial 1", Decision.IN, "looked at again", "Koen");
        assertThat(get(file).body()).contains("Koen", own);
        Hand tablet = Hand.with(address(""), signIns.bench(entry.bench(), "tablet"));
        assertThat(tablet.post("/bench/members", "names=" + "K.,".repeat(3) + "x\u202Ey")
                        .body())
                .contains("A name", "x\u202Ey");
        Hand.location(tablet.post("/bench/members", "names=Koen%2C+M.+R.%2C"));
        assertThat(tablet.get("/bench").body()).contains("Here: Koen, M. R.");
        Hand hazel = hands.get("instructor");
        String life = "/periods/" + its.id() + "/life";
        assertThat(hazel.post(life, "erase=true&reason=grades+are+given").body())
                .contains("Close the period first");
        Hand.location(hazel.post(life, "state=CLOSED&reason=all+in"));
        assertThat(hazel.post(life, "erase=true").body()).contains("Say why the names are erased");
        Hand.location(hazel.post(life, "erase=true&reason=grades+are+given"));

        for (String page :
                List.of(file, result, "/entries/" + entry.id() + "/observations.csv", "/periods/" + its.id())) {
            assertThat(get(page).body())
                    .as(page)
                    .doesNotContain("Koen")
                    .doesNotContain("Mara")
                    .doesNotContain(own);
        }
        assertThat(get(file).body()).contains("\"bench\" : \"Bench 1\"");
        assertThat(get(result).body()).contains(number);
        assertThat(database.queryForList(
                        "select name from person_name join person on person.id = person_id where period_id = ?",
                        String.class,
                        its.id()))
                .contains("Bench 1", "Person 1")
                .allMatch(name -> name.matches("(Bench|Person) \\d+"));
        assertThat(hazel.get("/periods/" + its.id()).body()).contains("names erased", "grades are given");
    }
}

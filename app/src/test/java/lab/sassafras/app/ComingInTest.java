package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.record.Bench;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** The door: who comes in by what, and who is sent away. */
class ComingInTest extends Everybody {

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
                .contains("you read by a link")
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

    /** Every step of what is offered, with what can hurt before the hand moves; a link is to that and nothing else. */
    @Test
    void handoutsAreReadByALink() {
        Hand hazel = hands.get("instructor");
        String path = "/periods/" + period.id() + "/handouts";
        String all = hands.get("own").get(path).body();
        for (Experiment each : Experiments.all()) {
            String one =
                    hands.get("own").get(path + "?experiment=" + each.key()).body();
            assertThat(one).contains(HtmlUtils.htmlEscape(each.words().title(), "UTF-8"));
            each.procedure().stream()
                    .filter(step -> step.offer() == Step.Offer.ASKED
                            && step.under().isEmpty()
                            && step.half().isEmpty())
                    .forEach(step -> {
                        String ask = escaped(each.words().ask(step.path()));
                        assertThat(one).as(each.key()).contains(ask);
                        assertThat(all).contains(ask);
                        each.words()
                                .caution(step.path())
                                .ifPresent(caution -> assertThat(one).containsSubsequence(escaped(caution), ask));
                    });
        }
        Hand.location(hazel.post("/periods/" + period.id() + "/life", "offering=true&offers=fusion-of-ice"));
        assertThat(hands.get("own").get(path + "?experiment=bomb-combustion").body())
                .contains("Heat of fusion of ice")
                .doesNotContain("Combustion in a bomb");
        Hand.location(hazel.post("/periods/" + period.id() + "/life", "offering=true"));

        String secret = hazel.post("/periods/" + period.id() + "/readers", "")
                .body()
                .replaceAll("(?s).*/read#([A-Za-z0-9_-]{43}).*", "$1");
        Hand reader = Hand.stranger(address(""));
        assertThat(Hand.location(reader.post("/read", "secret=" + secret))).isEqualTo(path);
        assertThat(reader.get(path).body()).contains("you read by a link").doesNotContain("Make a link");
        assertThat(reader.get("/").headers().firstValue("Location"))
                .hasValueSatisfying(to -> assertThat(to).endsWith(path));
        assertThat(reader.get("/entries/" + entries.get("own") + "/result").statusCode())
                .isEqualTo(404);
        assertThat(reader.get("/periods/" + closed.id() + "/handouts").statusCode())
                .isEqualTo(404);
        UUID link = links.of(period).get(0).id();
        assertThat(hazel.post("/periods/" + closed.id() + "/readers/" + link, "")
                        .body())
                .as("by its own period only")
                .contains("revoked already");
        Hand.location(hazel.post("/periods/" + period.id() + "/readers/" + link, ""));
        assertThat(Hand.location(reader.get(path))).startsWith("/door");
    }

    /** As a template writes it, with the period's decimal mark. */
    private String escaped(String text) {
        return HtmlUtils.htmlEscape(period.figures().sentence(text), "UTF-8").replace("&rsquo;", "’");
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

    /** Who came in, was refused, decided, and was given a file: found by kind and words, on the page and as a file. */
    @Test
    void whatHappensAtTheDoorsIsAudited() {
        Hand hazel = hands.get("instructor");
        String name = "Audited " + UUID.randomUUID();
        UUID person = people.add(name, "a long password", Set.of());
        Hand tablet = Hand.stranger(address(""));
        tablet.post("/door", "name=" + name + "&password=a+wrong+password");
        Hand.location(tablet.post("/door", "name=" + name + "&password=a+long+password"));
        tablet.get("/periods/" + period.id() + "/observations.csv");
        tablet.get("/periods/" + period.id() + "/observations.csv");
        tablet.post("/periods/" + period.id() + "/life", "withholds=true");
        tablet.post("/periods/" + period.id() + "/life", "withholds=false");
        tablet.post("/periods/" + period.id() + "/life", "state=CLOSED&reason=all+in");
        Hand.location(tablet.post("/door/leave", "everywhere=true"));
        assertThat(tablet.get("/people").statusCode()).as("out").isEqualTo(302);
        hands.get("own").get("/people");

        String seen = hazel.get("/audit?text=" + Hand.encoded(name)).body();
        assertThat(seen)
                .contains("signed in, on a", "closed: “all in”", "observations-", "left everywhere")
                .contains("withheld what results should be, " + period.title())
                .contains("withheld nothing more, " + period.title())
                .containsOnlyOnce("exports</span>");
        assertThat(hazel.get("/audit?kind=EXPORT&text=" + Hand.encoded(name)).body())
                .contains("observations-")
                .doesNotContain("signed in, on a");
        assertThat(hazel.get("/audit?kind=DOOR").body()).contains("a sign-in failed, from 127.0.0.1");
        assertThat(hazel.get("/audit?kind=REFUSAL&text=get+/people").body()).contains("Alder", "GET /people");
        assertThat(hazel.get("/audit.csv?text=" + Hand.encoded(name)).body())
                .startsWith("at,kind,who,what")
                .contains(",doors," + name + ",");
        assertThat(hazel.get("/audit?text=no+such+thing").body()).contains("Nothing of that kind");
        people.lock(person, true);
    }
}

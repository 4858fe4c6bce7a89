package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route that writes, by the framework's own list, and what becomes of it where something that can hurt is not
 * ticked off. A route that is new must say here which it is.
 */
class WritingRoutesTest extends HouseTest {

    /**
     * Who brings what a route keeps: a hand that is asked, a file that tells, readings that are pushed, or no value at
     * all.
     */
    private enum Bringer {
        /** A value of the run itself: refused while its step is not ticked off. */
        ASKED,
        /** Told as it was: nothing is refused for lack of ticks. */
        TELLING,
        /** Recorded always; no trial may use it without its ticks. */
        PUSHING,
        /** A decision about what stands, or something no tick goes before. */
        DECIDES,
        /** Shelf, period, bench or house. */
        AROUND
    }

    private static final Map<String, Bringer> ROUTES = new TreeMap<>(Map.ofEntries(
            Map.entry("/entries/{id}/notes", Bringer.ASKED),
            Map.entry("/entries/{id}/observations", Bringer.ASKED),
            Map.entry("/entries/{id}/table", Bringer.ASKED),
            Map.entry("/entries/{id}/table/paste", Bringer.ASKED),
            Map.entry("/entries/{id}/clock/mixing", Bringer.ASKED),
            Map.entry("/entries/{id}/clock/trend", Bringer.ASKED),
            Map.entry("/entries/{id}/strip/mixing", Bringer.ASKED),
            Map.entry("/entries/{id}/strip/pick", Bringer.ASKED),
            Map.entry("/entries/{id}/live/take", Bringer.ASKED),
            Map.entry("/entries/{id}/strip/stretches", Bringer.ASKED),
            Map.entry("/entries/{id}/strip/{what:once|part}", Bringer.ASKED),
            Map.entry("/import", Bringer.TELLING),
            Map.entry("/import/again", Bringer.TELLING),
            Map.entry("/entries/{id}/simulated/record", Bringer.ASKED),
            Map.entry("/entries/{id}/simulated", Bringer.DECIDES),
            Map.entry("/entries/{id}/simulated/touch", Bringer.DECIDES),
            Map.entry("/api/reduce", Bringer.TELLING),
            Map.entry("/entries/{id}/clock", Bringer.PUSHING),
            Map.entry("/entries/{id}/clock/readings", Bringer.PUSHING),
            Map.entry("/entries/{id}/clock/room", Bringer.PUSHING),
            Map.entry("/import/clock", Bringer.PUSHING),
            Map.entry("/entries/{id}/clock/file/keep", Bringer.PUSHING),
            Map.entry("/entries/{id}/adopt", Bringer.DECIDES),
            Map.entry("/entries/{id}/reveal", Bringer.DECIDES),
            Map.entry("/entries/{id}/readers", Bringer.AROUND),
            Map.entry("/entries/{id}/readers/{link}", Bringer.AROUND),
            Map.entry("/push/{batch}", Bringer.PUSHING),
            Map.entry("/bench/probes", Bringer.AROUND),
            Map.entry("/bench/probes/{token}", Bringer.AROUND),
            Map.entry("/bench/probes/{token}/place", Bringer.AROUND),
            Map.entry("/bench/probes/compared", Bringer.AROUND),
            Map.entry("/periods/{id}/readers", Bringer.AROUND),
            Map.entry("/periods/{id}/readers/{link}", Bringer.AROUND),
            Map.entry("/read", Bringer.AROUND),
            Map.entry("/entries/{id}/aside", Bringer.DECIDES),
            Map.entry("/entries/{id}/broken-off", Bringer.DECIDES),
            Map.entry("/entries/{id}/combination", Bringer.DECIDES),
            Map.entry("/entries/{id}/instruments", Bringer.DECIDES),
            Map.entry("/entries/{id}/open", Bringer.DECIDES),
            Map.entry("/entries/{id}/paces", Bringer.DECIDES),
            Map.entry("/entries/{id}/pin", Bringer.DECIDES),
            Map.entry("/entries/{id}/school", Bringer.DECIDES),
            Map.entry("/entries/{id}/strip/readings", Bringer.DECIDES),
            Map.entry("/entries/{id}/trials/{number}", Bringer.DECIDES),
            Map.entry("/entries/{id}/waits", Bringer.DECIDES),
            Map.entry("/bench/leave", Bringer.AROUND),
            Map.entry("/bench/members", Bringer.AROUND),
            Map.entry("/periods/{id}/references", Bringer.AROUND),
            Map.entry("/periods/{id}/references/{row}", Bringer.AROUND),
            Map.entry("/shelf/key", Bringer.AROUND),
            Map.entry("/shelf/key/{row}", Bringer.AROUND),
            Map.entry("/entries", Bringer.AROUND),
            Map.entry("/periods", Bringer.AROUND),
            Map.entry("/periods/{id}/benches", Bringer.AROUND),
            Map.entry("/periods/{id}/benches/{bench}", Bringer.AROUND),
            Map.entry("/periods/{id}/conventions", Bringer.AROUND),
            Map.entry("/periods/{id}/constant", Bringer.AROUND),
            Map.entry("/periods/{id}/data", Bringer.AROUND),
            Map.entry("/periods/{id}/hour", Bringer.AROUND),
            Map.entry("/plans/{plan}/rehearsal", Bringer.AROUND),
            Map.entry("/periods/{id}/class/notes", Bringer.AROUND),
            Map.entry("/periods/{id}/class/{bench}", Bringer.AROUND),
            Map.entry("/bench/hand", Bringer.AROUND),
            Map.entry("/bench/notes/{note}", Bringer.AROUND),
            Map.entry("/periods/{id}/join", Bringer.AROUND),
            Map.entry("/entries/{id}/table/paper", Bringer.AROUND),
            Map.entry("/entries/{id}/clock/file/typed", Bringer.AROUND),
            Map.entry("/shelf/calibrations/{id}", Bringer.AROUND),
            Map.entry("/shelf/instruments", Bringer.AROUND),
            Map.entry("/shelf/own", Bringer.AROUND),
            Map.entry("/shelf/own/{id}", Bringer.AROUND),
            Map.entry("/prep", Bringer.AROUND),
            Map.entry("/prep/{experiment}", Bringer.AROUND),
            Map.entry("/plans/{plan}/periods", Bringer.AROUND),
            Map.entry("/hazards", Bringer.AROUND),
            Map.entry("/hazards/strongest", Bringer.AROUND),
            Map.entry("/shelf/supplies", Bringer.AROUND),
            Map.entry("/shelf/vessels", Bringer.AROUND),
            Map.entry("/shelf/vessels/{id}/constant", Bringer.AROUND),
            Map.entry("/shelf/{things:vessels|instruments}/{id}/retired", Bringer.AROUND),
            Map.entry("/shelf/{things:vessels|instruments}/{id}/name", Bringer.AROUND),
            Map.entry("/door", Bringer.AROUND),
            Map.entry("/door/demo", Bringer.AROUND),
            Map.entry("/door/leave", Bringer.AROUND),
            Map.entry("/first", Bringer.AROUND),
            Map.entry("/join", Bringer.AROUND),
            Map.entry("/people", Bringer.AROUND),
            Map.entry("/people/{id}", Bringer.AROUND),
            Map.entry("/keeping/instructor", Bringer.AROUND),
            Map.entry("/periods/{id}/code", Bringer.AROUND),
            Map.entry("/periods/{id}/life", Bringer.AROUND),
            Map.entry("/periods/{id}/away/{signIn}", Bringer.AROUND),
            Map.entry("/keeping/back-up", Bringer.AROUND)));

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping routes;

    private Hand hand;
    private String entry;

    @BeforeEach
    void sitDown() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Writing, " + UUID.randomUUID()), "Rowan");
        entry = hand.begin("bomb-combustion").replaceAll("\\?.*", "");
    }

    @Test
    void everyRouteThatWritesStandsHere() {
        Set<String> writing = new TreeSet<>();
        routes.getHandlerMethods().keySet().stream()
                .filter(each -> !Set.of(RequestMethod.GET)
                        .containsAll(each.getMethodsCondition().getMethods()))
                .forEach(each -> writing.addAll(each.getPatternValues()));
        assertThat(writing).isEqualTo(ROUTES.keySet());
    }

    /**
     * Every hand that would have a bomb's trial read from a clock, or its temperatures kept, is told what is to be
     * ticked off.
     */
    @Test
    void withoutItsTicksNoHandKeepsAnythingOfABombsFiring() {
        hand.post(entry + "/clock", "trial=1&every=30");
        String trace =
                hand.get(entry + "/clock?trial=1").body().replaceAll("(?s).*name=\"trace\" value=\"([^\"]+)\".*", "$1");
        for (int i = 0; i < 12; i++) {
            String given = "trial=1&trace=" + trace + "&key=" + UUID.randomUUID() + "&time=0:0" + i % 10 + "&text=2"
                    + (i < 6 ? "1" : "3") + ".5" + i;
            assertThat(hand.post(entry + "/clock/readings", given).statusCode())
                    .as("readings are recorded always")
                    .isEqualTo(302);
        }
        Map<String, String> asked = Map.of(
                "/clock/mixing",
                "trial=1&trace=" + trace,
                "/strip/mixing",
                "trial=1&time=0:05",
                "/strip/pick",
                "trial=1&start=21.50&end=23.50",
                "/observations",
                "at=" + Hand.encoded("fired[1]/at") + "&role=stated&text=",
                "/table",
                "cell=" + Hand.encoded("fired[1]/at|stated") + "&text=19:12&key=1");
        asked.forEach((route, body) -> {
            HttpResponse<String> answer = hand.post(entry + route, body);
            assertThat(answer.statusCode()).as(route).isEqualTo(422);
            assertThat(answer.body()).as(route).contains("Not yet. First tick off");
        });
        for (String route : new String[] {"/strip/stretches", "/strip/once", "/strip/part"}) {
            assertThat(hand.post(entry + route, "trial=1&time=1:00&part=0.5").statusCode())
                    .as(route)
                    .isEqualTo(422);
        }
        assertThat(hand.get(entry + "/result?trial=1").body()).doesNotContain("class=\"headline\"");
    }
}

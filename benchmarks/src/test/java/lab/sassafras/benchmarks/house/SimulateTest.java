package lab.sassafras.benchmarks.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.Hand;
import org.junit.jupiter.api.Test;

/** A class of simulated benches as a process of its own, against the real application. */
class SimulateTest {

    private static final Pattern CODE = Pattern.compile("class=\"code-shown\"[^>]*>([^<]+)<");
    private static final String MARKED = "Simulated: no hand did this";

    @Test
    void itJoinsByTheCodePushesAndIsMarkedAsSimulated() throws Exception {
        try (Server server = Server.start(Files.createTempDirectory("simulate"), Server.QUICK_START, Map.of())) {
            Hand instructor = new Hand(server.base());
            String period = instructor.openPeriod("A simulated class");
            Hand real = new Hand(server.base()).join(period, "Alder");
            instructor.post(period + "/code", "");
            Matcher code = CODE.matcher(instructor.get(period).body());
            assertThat(code.find()).isTrue();
            Thread simulating = new Thread(() -> simulate(code.group(1), server.base()));
            simulating.setDaemon(true);
            simulating.start();
            Hand hand = null;
            for (int tries = 0; tries < 120 && (hand == null || !pushes(hand)); tries++) {
                Thread.sleep(250);
                hand = instructor.get(period).body().contains("Simulated 2")
                        ? new Hand(server.base()).join(period, "Simulated 2")
                        : null;
            }
            assertThat(hand).isNotNull();
            assertThat(pushes(hand)).isTrue();
            assertThat(hand.get("/bench/probes").body()).contains(MARKED);
            assertThat(hand.get(hand.begin("heat-of-solution")).body()).contains(MARKED);
            assertThat(real.get(real.begin("heat-of-solution")).body()).doesNotContain(MARKED);
        }
    }

    /** Only a seed and the seconds of touches are kept: what was shown before the server died is shown after it. */
    @Test
    void aServerKilledInTheMiddleGoesOnFromWhereItWas() throws Exception {
        Path home = Files.createTempDirectory("simulated");
        String entry;
        String shown;
        try (Server server = Server.start(home, Server.QUICK_START, Map.of())) {
            Hand hand = new Hand(server.base()).join(new Hand(server.base()).openPeriod("Killed"), "Alder");
            entry = hand.begin("heat-of-solution&simulated=true").replaceAll("\\?.*", "");
            hand.post(entry, "speed=20+times+as+fast&seed=3");
            hand.post(entry + "/touch", "trial=1&place=0");
            hand.post(entry + "/touch", "trial=1&place=1");
            shown = weighed(hand.get(entry).body());
            server.kill();
        }
        try (Server server = Server.start(home, Server.QUICK_START, Map.of())) {
            Hand instructor = Hand.stranger(server.base());
            instructor.post("/door", "name=Rowan&password=a+long+password");
            assertThat(weighed(instructor.get(entry).body())).isEqualTo(shown);
        }
    }

    private static String weighed(String page) {
        Matcher figure = Pattern.compile("<span class=\"figure\">(\\d+\\.\\d\\d g)</span>")
                .matcher(page);
        assertThat(figure.find()).isTrue();
        return figure.group(1);
    }

    private static boolean pushes(Hand hand) {
        return hand.get("/bench/probes").body().contains("simulated thermometer");
    }

    private static void simulate(String code, String address) {
        try {
            Simulate.main(new String[] {code, address, "2", "100"});
        } catch (Exception ended) {
            throw new IllegalStateException(ended);
        }
    }
}

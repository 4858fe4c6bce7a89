package lab.sassafras.benchmarks.house;

import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import lab.sassafras.app.Hand;

/** A plan as somebody types: the number with its interval and warnings, and what would help, of every experiment. */
public final class Planning {

    private static final List<String> EXPERIMENTS = List.of(
            "constant-by-mixing",
            "constant-by-known-heat",
            "specific-heat-of-solid",
            "specific-heat-of-liquid",
            "heat-of-solution",
            "neutralization",
            "solid-with-solution",
            "fusion-of-ice",
            "condensing-steam",
            "combustion-under-a-can",
            "bomb-constant",
            "bomb-combustion");
    private static final int WARM = 30;
    private static final int TIMES = 60;

    private Planning() {}

    public static void main(String[] arguments) throws Exception {
        try (Server server = Server.start(Files.createTempDirectory("planning"), Server.FULL_COMPILER, Map.of())) {
            Hand hand = new Hand(server.base());
            for (String region : List.of("expected", "help")) {
                Times all = new Times();
                for (int i = -WARM; i < TIMES; i++) {
                    for (String each : EXPERIMENTS) {
                        long began = System.nanoTime();
                        int length = hand.region("/prep/" + each + "?name=" + i, region)
                                .length();
                        if (i >= 0) {
                            all.add(length > 0 ? (System.nanoTime() - began) / 1e6 : Double.NaN);
                        }
                    }
                }
                all.print("a plan, " + region + ", of twelve experiments");
            }
        }
    }
}

package lab.sassafras.benchmarks.house;

import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.IntFunction;
import lab.sassafras.app.Hand;

/** Pages of the demo class beside the simplest page there is, the one that says there is none; in turn, warm. */
public final class Pages {

    private static final int WARM = 600;
    private static final int MEASURED = 600;

    private Pages() {}

    public static void main(String[] arguments) throws Exception {
        try (Server server = Server.start(
                Files.createTempDirectory("pages"), Server.FULL_COMPILER, Map.of("SPRING_PROFILES_ACTIVE", "demo"))) {
            Hand hand = new Hand(server.base());
            List<String> entries = Book.entries(hand);
            Map<String, IntFunction<String>> pages = new LinkedHashMap<>();
            pages.put("page not found, the simplest", i -> "/nowhere");
            pages.put("result", i -> entries.get(i % entries.size()) + "/result");
            pages.put("run", i -> entries.get(i % entries.size()));
            pages.put("notebook", i -> "/notebook");
            pages.put("shelf", i -> "/shelf");
            Map<String, Times> times = new LinkedHashMap<>();
            for (int i = 0; i < WARM + MEASURED; i++) {
                int turn = i;
                pages.forEach(
                        (name, path) -> (turn < WARM ? new Times() : times.computeIfAbsent(name, any -> new Times()))
                                .of(() -> hand.get(path.apply(turn))));
            }
            Times simplest = Objects.requireNonNull(times.get("page not found, the simplest"));
            times.forEach((name, each) -> each.printBeside(name, simplest));
        }
    }
}

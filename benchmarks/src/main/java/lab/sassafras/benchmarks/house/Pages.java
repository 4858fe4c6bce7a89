package lab.sassafras.benchmarks.house;

import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
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
            pages.put("result, as it opens", i -> entries.get(i % entries.size()) + "/result?open=working");
            pages.put("result, all chapters open", i -> entries.get(i % entries.size()) + "/result?open=all");
            pages.put("run", i -> entries.get(i % entries.size()));
            pages.put("notebook", i -> "/notebook");
            pages.put("shelf", i -> "/shelf");
            String table = table(hand);
            pages.put("table of 12 trials", i -> table);
            Map<String, Times> times = new LinkedHashMap<>();
            for (int i = 0; i < WARM + MEASURED; i++) {
                int turn = i;
                pages.forEach(
                        (name, path) -> (turn < WARM ? new Times() : times.computeIfAbsent(name, any -> new Times()))
                                .of(() -> hand.get(path.apply(turn))));
            }
            Times simplest = Objects.requireNonNull(times.get("page not found, the simplest"));
            times.forEach((name, each) -> each.printBeside(name, simplest));
            Times cells = new Times();
            for (int trial = 1; trial <= 12; trial++) {
                for (String place :
                        List.of("water[%d]/mass", "solid[%d]/mass", "water[%d]/start", "solution[%d]/final")) {
                    String cell = Hand.encoded(place.formatted(trial) + "|read");
                    String form = "key=" + UUID.randomUUID() + "&cell=" + cell + "&text=2" + trial % 10 + ".5&sure="
                            + cell + "%3D2" + trial % 10 + ".5";
                    cells.of(() -> hand.get(Hand.location(hand.post(table, form))));
                }
            }
            cells.print("a cell kept in a table of 12 trials, and the table again");
        }
    }

    /** A run of twelve trials, to be typed in. @return the path of its table */
    private static String table(Hand hand) {
        hand.join(hand.openPeriod("Table"), "Alder");
        String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        for (int trial = 2; trial <= 12; trial++) {
            hand.post(entry + "/open", "what=trial");
        }
        return entry + "/table";
    }
}

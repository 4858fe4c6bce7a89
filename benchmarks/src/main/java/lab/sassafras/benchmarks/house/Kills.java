package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.Hand;

/**
 * A server killed at seeded moments while several hands save; every value it acknowledged must be there afterwards,
 * once.
 */
public final class Kills {

    private static final int HANDS = 3;

    private final Map<UUID, String> acknowledged = new ConcurrentHashMap<>();
    private final AtomicInteger counter = new AtomicInteger();

    /**
     * What came of it.
     *
     * @param acknowledged values acknowledged
     * @param missing      those among them that are not in the book, or not once
     */
    public record Outcome(int acknowledged, List<String> missing) {}

    public static void main(String[] arguments) throws Exception {
        int kills = arguments.length == 0 ? 20 : Integer.parseInt(arguments[0]);
        Outcome outcome = new Kills().of(kills);
        System.out.printf(
                "%-60s %d values acknowledged over %d kills, missing: %s%n",
                "kills", outcome.acknowledged(), kills, outcome.missing().isEmpty() ? "none" : outcome.missing());
    }

    /** Kills so many times. */
    public Outcome of(int kills) throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("kills");
        Random random = new Random(20261118);
        String period = "";
        String entry = "";
        for (int kill = 0; kill < kills; kill++) {
            Server server = Server.start(home, Server.QUICK_START, Map.of());
            if (entry.isEmpty()) {
                Hand first = new Hand(server.base());
                period = first.openPeriod("Kills");
                entry = first.join(period, "Rowan").begin("specific-heat-of-solid");
            }
            int before = acknowledged.size();
            List<Thread> hands = hands(server, period, entry);
            // seeded, and never before something was there to lose
            Thread.sleep(200 + random.nextInt(900));
            while (acknowledged.size() == before) {
                Thread.sleep(5);
            }
            server.kill();
            for (Thread hand : hands) {
                hand.join();
            }
        }
        try (Server server = Server.start(home, Server.QUICK_START, Map.of())) {
            Map<String, Long> kept = kept(
                    new Hand(server.base()).get(entry + "/observations.csv").body());
            return new Outcome(
                    acknowledged.size(),
                    acknowledged.values().stream()
                            .filter(text -> kept.getOrDefault(text, 0L) != 1)
                            .toList());
        }
    }

    private List<Thread> hands(Server server, String period, String entry) {
        List<Thread> hands = IntStream.range(0, HANDS)
                .mapToObj(each -> new Thread(() -> save(server, period, entry)))
                .toList();
        hands.forEach(Thread::start);
        return hands;
    }

    /** Saves until the server is gone; what was answered is remembered. */
    private void save(Server server, String period, String entry) {
        try {
            Hand hand = new Hand(server.base()).join(period, "Rowan");
            for (; ; ) {
                UUID key = UUID.randomUUID();
                int next = counter.getAndIncrement();
                String text = String.format("%d.%03d", 20 + next / 1000, next % 1000);
                if (hand.keep(entry, key, "water[1]/start", "read", text, "°C").statusCode() == 302) {
                    acknowledged.put(key, text);
                }
            }
        } catch (UncheckedIOException | IllegalStateException gone) {
            // killed: what was not answered is not promised
        }
    }

    /** Every text in the observations, with how often it stands there. */
    private static Map<String, Long> kept(String csv) {
        return csv.lines()
                .skip(1)
                .map(line -> line.replaceAll(".*,read,([^,]+),.*", "$1"))
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    }
}

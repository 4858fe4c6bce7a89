package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Function;
import java.util.stream.Collectors;
import lab.sassafras.app.Hand;

/**
 * Kills the real application while probes push to eight benches, ten readings a second each, and starts it again: every
 * acknowledged row must be there once, in the one stretch of its probe. What was not answered is sent again.
 */
public final class PushKills {

    private static final int BENCHES = 8;
    private static final long PACE_MS = 100;

    /** A probe with what it has to send and what was acknowledged of it. */
    private static final class Probe {
        private final Queue<String> acknowledged = new ConcurrentLinkedQueue<>();
        private String token = "";
        private UUID batch = UUID.randomUUID();
        private String value = "";
        private String waiting = "";
        private int next;

        /** A row as it is sent, under one identity until it is answered. */
        String row() {
            if (waiting.isEmpty()) {
                batch = UUID.randomUUID();
                value = String.format(Locale.ROOT, "%.3f", 20 + next++ / 1000.0);
                waiting = String.format(
                        Locale.ROOT,
                        "{\"probe\": \"cup\", \"t\": %.3f, \"value\": %s}",
                        System.nanoTime() / 1e9,
                        value);
            }
            return waiting;
        }
    }

    /**
     * What came of it.
     *
     * @param acknowledged rows acknowledged
     * @param missing      those among them that are not in the book, or not once
     * @param stretches    of all probes together
     */
    public record Outcome(int acknowledged, List<String> missing, int stretches) {}

    private final List<Probe> probes = new ArrayList<>();
    private final HttpClient http = HttpClient.newHttpClient();

    public static void main(String[] arguments) throws Exception {
        int kills = arguments.length == 0 ? 20 : Integer.parseInt(arguments[0]);
        Outcome outcome = new PushKills().of(kills);
        System.out.printf(
                "%-60s %d rows acknowledged over %d kills, missing: %s; %d stretches of %d probes%n",
                "kills while probes push",
                outcome.acknowledged(),
                kills,
                outcome.missing().isEmpty() ? "none" : outcome.missing(),
                outcome.stretches(),
                BENCHES);
    }

    /** Kills so many times. */
    public Outcome of(int kills) throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("push-kills");
        Random random = new Random(20261130);
        String period = "";
        for (int kill = 0; kill < kills; kill++) {
            Server server = Server.start(home, Server.QUICK_START, Map.of());
            if (period.isEmpty()) {
                period = new Hand(server.base()).openPeriod("Pushing");
                for (int i = 0; i < BENCHES; i++) {
                    probes.add(new Probe());
                    probes.get(i).token = new Hand(server.base())
                            .join(period, "Bench " + i)
                            .post("/bench/probes", "name=a+test")
                            .body()
                            .replaceAll("(?s).*id=\"secret\" readonly value=\"([^\"]+)\".*", "$1");
                }
            }
            int before = acknowledged();
            List<Thread> pushing = probes.stream()
                    .map(probe -> new Thread(() -> push(server, probe)))
                    .toList();
            pushing.forEach(Thread::start);
            Thread.sleep(500 + random.nextInt(1000));
            // however slow the machine is: more than one row of each has something to lose
            while (acknowledged() - before <= BENCHES) {
                Thread.sleep(5);
            }
            server.kill();
            for (Thread each : pushing) {
                each.join();
            }
        }
        try (Server server = Server.start(home, Server.QUICK_START, Map.of())) {
            return found(server, period);
        }
    }

    private int acknowledged() {
        return probes.stream().mapToInt(each -> each.acknowledged.size()).sum();
    }

    /** Pushes until the server is gone; what was answered is remembered, and what was not is sent again. */
    private void push(Server server, Probe probe) {
        try {
            for (; ; ) {
                String row = probe.row();
                int status = http.send(
                                HttpRequest.newBuilder(URI.create(server.base() + "/push/" + probe.batch))
                                        .header("Authorization", "Bearer " + probe.token)
                                        .header("Content-Type", "application/x-ndjson")
                                        .POST(BodyPublishers.ofString(row))
                                        .build(),
                                BodyHandlers.discarding())
                        .statusCode();
                if (status == 200) {
                    probe.acknowledged.add(probe.value);
                    probe.waiting = "";
                }
                Thread.sleep(PACE_MS);
            }
        } catch (IOException gone) {
            // killed: what was not answered is not promised
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private Outcome found(Server server, String period) {
        List<String> missing = new ArrayList<>();
        int stretches = 0;
        for (int i = 0; i < BENCHES; i++) {
            Hand hand = new Hand(server.base()).join(period, "Bench " + i);
            Map<String, Long> kept = hand.get(hand.begin("heat-of-solution").replaceAll("\\?.*", "") + "/clock.csv")
                    .body()
                    .lines()
                    .skip(1)
                    .map(line -> String.format(Locale.ROOT, "%.3f", Double.parseDouble(line.split(",", -1)[1])))
                    .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
            probes.get(i).acknowledged.stream()
                    .filter(text -> kept.getOrDefault(text, 0L) != 1)
                    .forEach(missing::add);
            stretches += 1 + hand.get("/bench/probes").body().split("new stretch begins", -1).length - 1;
        }
        return new Outcome(acknowledged(), missing, stretches);
    }
}

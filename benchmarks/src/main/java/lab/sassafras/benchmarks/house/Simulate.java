package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import lab.sassafras.app.Hand;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.simulate.Bench;

/**
 * Benches of a simulated class, as a process of their own: each joins the period by its code, makes a token as a person
 * would, and pushes what its thermometer shows, by the same format as a real probe.
 */
public final class Simulate {

    private static final int MOST = 32;
    private static final double SLOWEST = 0.1;
    private static final double FASTEST = 100;
    /** What could not be sent is tried again after this (ms). */
    private static final long A_LITTLE = 1000;

    private final HttpClient http = HttpClient.newHttpClient();

    private Simulate() {}

    public static void main(String[] arguments) throws Exception {
        if (arguments.length < 1 || arguments.length > 5) {
            System.err.println("./simulate CODE [ADDRESS [BENCHES [SPEED [EXPERIMENT]]]]");
            System.exit(2);
        }
        String address = arguments.length > 1 ? arguments[1] : "http://127.0.0.1:8420";
        int benches = arguments.length > 2 ? (int) number(arguments[2], 1, MOST, "benches") : 8;
        double speed = arguments.length > 3 ? number(arguments[3], SLOWEST, FASTEST, "times as fast") : 1;
        String key = arguments.length > 4 ? arguments[4] : "heat-of-solution";
        Experiment experiment = Experiments.find(key)
                .filter(each -> each.scene().isPresent())
                .orElseThrow(() -> new IllegalArgumentException("Nothing of “" + key + "” is simulated."));
        List<Thread> all = new ArrayList<>();
        for (int i = 1; i <= benches; i++) {
            String token = token(address, arguments[0], "Simulated " + i);
            long seed = i;
            all.add(new Thread(() -> new Simulate().push(address, token, experiment, seed, speed)));
        }
        all.forEach(Thread::start);
        System.out.println(benches + " simulated benches push to " + address + "; Ctrl-C ends them.");
        for (Thread each : all) {
            each.join();
        }
    }

    private static double number(String text, double low, double high, String what) {
        double number = text.matches("\\d{1,6}(\\.\\d{1,3})?") ? Double.parseDouble(text) : Double.NaN;
        if (!(number >= low && number <= high)) {
            System.err.printf(Locale.ROOT, "From %s to %s %s, not “%s”.%n", low, high, what, text);
            System.exit(2);
        }
        return number;
    }

    private static String token(String address, String code, String name) {
        Hand hand = Hand.stranger(address);
        HttpResponse<String> joined =
                hand.post("/join", "code=" + Hand.encoded(code) + "&name=" + Hand.encoded(name) + "&simulated=true");
        if (joined.statusCode() / 100 != 3) {
            System.err.println("Nobody knows the code “" + code + "”, or its period is not open.");
            System.exit(1);
        }
        return hand.post("/bench/probes", "name=simulated")
                .body()
                .replaceAll("(?s).*id=\"secret\" readonly value=\"([^\"]+)\".*", "$1");
    }

    /** One trial after another, as fast as it is wished; what is not taken is sent again. */
    private void push(String address, String token, Experiment experiment, long seed, double speed) {
        long began = System.nanoTime();
        double before = 0;
        try {
            for (int trial = 1; ; trial++) {
                List<Bench.Sample> curve = bench(seed, experiment.key().startsWith("bomb"))
                        .trial(trial)
                        .over(experiment.scene().orElseThrow())
                        .curve();
                for (Bench.Sample each : curve) {
                    double t = before + each.seconds() / speed;
                    double now = (System.nanoTime() - began) / 1e9;
                    Thread.sleep(Math.max(0, (long) (1000 * (t - now))));
                    UUID batch = UUID.randomUUID();
                    while (!sent(address, token, batch, t, each.temperature())) {
                        Thread.sleep(A_LITTLE);
                    }
                }
                before += curve.get(curve.size() - 1).seconds() / speed;
            }
        } catch (InterruptedException | IllegalStateException over) {
            System.err.println("Simulated " + seed + " ended: " + over.getMessage());
        }
    }

    private boolean sent(String address, String token, UUID batch, double t, double value) throws InterruptedException {
        try {
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(address + "/push/" + batch))
                            .header("Authorization", "Bearer " + token)
                            .header("Content-Type", "application/x-ndjson")
                            .POST(BodyPublishers.ofString(String.format(
                                    Locale.ROOT,
                                    "{\"probe\": \"simulated thermometer\", \"t\": %.3f, \"value\": %s}",
                                    t,
                                    value)))
                            .build(),
                    BodyHandlers.ofString());
            if (answer.statusCode() == 401 || answer.statusCode() == 403) {
                throw new IllegalStateException(answer.body());
            }
            return answer.statusCode() == 200;
        } catch (IOException away) {
            return false;
        }
    }

    private static Bench bench(long seed, boolean bomb) {
        return Bench.usual(seed, bomb ? 1800 : 9);
    }
}

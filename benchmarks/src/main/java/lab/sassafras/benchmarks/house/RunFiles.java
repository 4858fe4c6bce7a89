package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.Hand;

/** Run files that are large or nested, worked out over HTTP; the largest promised also brought in. */
public final class RunFiles {

    private static final int TIMES = 7;
    private static final int MILLION = 1_000_000;

    private RunFiles() {}

    public static void main(String[] arguments) throws Exception {
        try (Server server = Server.start(Files.createTempDirectory("files"), Server.FULL_COMPILER, Map.of())) {
            HttpClient http = HttpClient.newHttpClient();
            String slug = new String(Book.run("2-grey-slug.json", "Files"), StandardCharsets.UTF_8);
            measure(server, http, "a run without references", slug);
            measure(server, http, "references two deep", nested(2, 2));
            measure(server, http, "references four deep", nested(4, 1));
            measure(server, http, "references four deep, three on every run", nested(4, 3));
            String large = large(slug);
            measure(server, http, "5,000 observations, 50 trials", large);
            Hand hand = new Hand(server.base());
            Times imported = new Times();
            String entry =
                    Hand.location(imported.of(() -> hand.upload("large.json", large.getBytes(StandardCharsets.UTF_8))));
            imported.print("the same brought in");
            Times page = new Times();
            for (int i = 0; i < TIMES; i++) {
                page.of(() -> hand.get(entry));
            }
            page.print("its result page");
            million(hand);
        }
    }

    /** A clock as full as one can be: brought in, looked at, and given out again. */
    private static void million(Hand hand) throws IOException, InterruptedException {
        StringBuilder rows = new StringBuilder(20 * MILLION);
        Random random = new Random(1);
        for (int i = 0; i < MILLION; i++) {
            double since = i / 10.0 - MILLION / 30.0;
            double rise = since < 0 ? 0 : 6 * Math.exp(-since / 20_000) * (1 - Math.exp(-since / 20));
            rows.append(String.format(
                    Locale.ROOT,
                    "%s[%.1f,%.3f]",
                    i == 0 ? "" : ",",
                    i / 10.0,
                    21 + rise + 0.02 * random.nextGaussian()));
        }
        byte[] file = new String(Book.run("16-iron-on-a-clock.json", "Million"), StandardCharsets.UTF_8)
                .replaceFirst("(?s)\"readings\" : \\[.*?\\] \\]", "\"readings\" : [" + rows + "]")
                .getBytes(StandardCharsets.UTF_8);
        Times imported = new Times();
        String entry = Hand.location(imported.of(() -> hand.upload("million.json", file)))
                .replace("/result", "");
        imported.print("a clock of a million readings brought in (" + file.length / 1_000_000 + " MB)");
        Times strip = new Times();
        Times given = new Times();
        for (int i = 0; i < TIMES; i++) {
            strip.of(() -> hand.get(entry + "/strip"));
            given.of(() -> hand.get(entry + "/run.json"));
        }
        strip.print("its temperature curve");
        given.print("its run file");
    }

    private static void measure(Server server, HttpClient http, String what, String file)
            throws IOException, InterruptedException {
        Times times = new Times();
        for (int i = 0; i < TIMES; i++) {
            long began = System.nanoTime();
            int status = http.send(
                            HttpRequest.newBuilder(URI.create(server.base() + "/api/reduce"))
                                    .header("Cookie", "sassafras-here=" + new Hand(server.base()).token())
                                    .header("Content-Type", "application/json")
                                    .POST(BodyPublishers.ofString(file))
                                    .build(),
                            BodyHandlers.ofString())
                    .statusCode();
            times.add((System.nanoTime() - began) / 1e6);
            if (status != 200) {
                System.out.println(what + " answered " + status);
            }
        }
        times.print(String.format(Locale.ROOT, "/api/reduce, %s (%d kB)", what, file.length() / 1000));
    }

    /** A calibration with so many levels of references, so many on every run. */
    private static String nested(int levels, int each) throws IOException {
        String plain = new String(Book.run("1-calibration.json", "Nested"), StandardCharsets.UTF_8).strip();
        String run = plain;
        for (int level = 0; level < levels; level++) {
            String below = run;
            String references = IntStream.range(0, each)
                    .mapToObj(i -> "\"r" + i + "\": " + below)
                    .collect(Collectors.joining(", "));
            run = plain.substring(0, plain.lastIndexOf('}')) + ", \"references\": {" + references + "}}";
        }
        return run;
    }

    /** As much as docs/run-file.md promises in one run. */
    private static String large(String slug) {
        String one =
                "{\"id\": \"m%d\", \"at\": \"water[%d]/start\", \"role\": \"read\", \"text\": \"2%d.%d\", \"unit\": "
                        + "\"°C\", \"who\": \"Files\", "
                        + "\"when\": \"2026-11-18T19:00:00Z\"}";
        String more = IntStream.range(0, 4900)
                .mapToObj(i -> String.format(Locale.ROOT, one, i, 3 + i % 48, i % 9, i % 7))
                .collect(Collectors.joining(", "));
        return slug.replaceFirst("\"trials\"\\s*:\\s*\\d+", "\"trials\": 50")
                .replaceFirst("\"observations\"\\s*:\\s*\\[", "\"observations\": [" + more + ", ");
    }
}

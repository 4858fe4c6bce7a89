package lab.sassafras.benchmarks.house;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/**
 * ./demo started again, beside plain java -jar of the same jar on the same book, in turn; until the address is
 * printed.
 */
public final class StartUp {

    private static final int TIMES = 5;

    private StartUp() {}

    public static void main(String[] arguments) throws Exception {
        Path home = Files.createTempDirectory("start-up").resolve("book");
        demo(home, true);
        Times plain = new Times();
        Times demo = new Times();
        for (int i = 0; i < TIMES; i++) {
            long began = System.nanoTime();
            try (Server server =
                    Server.start(LaidOut.plain(), home, List.of(), Map.of("SPRING_PROFILES_ACTIVE", "demo"))) {
                plain.add((System.nanoTime() - began) / 1e6);
            }
            demo.add(demo(home, false));
        }
        plain.print("plain java -jar, second start");
        demo.print("./demo, second start");
        System.out.printf(
                Locale.ROOT,
                "%-58s %.2f%n",
                "./demo against plain java -jar, of the medians",
                demo.percentile(50) / plain.percentile(50));
    }

    /** Starts ./demo and closes it. @return until it printed its address (ms) */
    private static double demo(Path home, boolean untilTheArchiveIsMade) throws IOException, InterruptedException {
        Path root = LaidOut.plain().resolve("../../..").normalize();
        File said = File.createTempFile("demo", ".out");
        ProcessBuilder command = new ProcessBuilder(root.resolve("demo").toString());
        command.environment()
                .putAll(Map.of(
                        "SASSAFRAS_DEMO_HOME", home.toString(), "SASSAFRAS_PORT", String.valueOf(Server.freePort())));
        long began = System.nanoTime();
        Process process = command.redirectErrorStream(true).redirectOutput(said).start();
        while (!Files.readString(said.toPath()).contains("is open at")) {
            if (process.waitFor(10, TimeUnit.MILLISECONDS)) {
                throw new IOException(Files.readString(said.toPath()));
            }
        }
        double milliseconds = (System.nanoTime() - began) / 1e6;
        while (untilTheArchiveIsMade && !archived(root)) {
            Thread.sleep(200);
        }
        process.destroy();
        process.waitFor();
        return milliseconds;
    }

    private static boolean archived(Path root) throws IOException {
        try (var files = Files.walk(root.resolve("app/target"), 2)) {
            return files.anyMatch(
                    each -> each.endsWith("classes.jsa") && Files.exists(each.resolveSibling("classes.jsa.size")));
        }
    }
}

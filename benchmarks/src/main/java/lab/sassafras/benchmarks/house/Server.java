package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.io.Reader;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import lab.sassafras.app.Hand;

/** A running server on a book of its own. */
public final class Server implements AutoCloseable {

    /** As ./demo starts it, but for the archive of classes. */
    public static final List<String> FULL_COMPILER = List.of("-XX:+UseSerialGC");
    /** Starts sooner and works slower; for what is about something else than speed. */
    public static final List<String> QUICK_START = List.of("-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1");

    private static final String INSTRUCTOR = "name=Rowan&password=a+long+password";

    private final Process process;
    private final Path home;
    private final String base;

    private Server(Process process, Path home, String base) {
        this.process = process;
        this.home = home;
        this.base = base;
    }

    /** Starts a server and waits until it is ready. */
    public static Server start(Path home, List<String> options, Map<String, String> settings)
            throws IOException, InterruptedException {
        return start(LaidOut.jar(), home, options, settings);
    }

    static Server start(Path jar, Path home, List<String> options, Map<String, String> settings)
            throws IOException, InterruptedException {
        Server server = started(jar, home, options, settings);
        server.letHandsIn(read(home.resolve("running.properties")).getProperty("word"));
        return server;
    }

    /** Starts one that no hand comes into, such as one by HTTPS. */
    static Server startUnasked(Path home, Map<String, String> settings) throws IOException, InterruptedException {
        return started(LaidOut.jar(), home, QUICK_START, settings);
    }

    private static Server started(Path jar, Path home, List<String> options, Map<String, String> settings)
            throws IOException, InterruptedException {
        int port = freePort();
        Process process = launch(jar, home, port, options, settings, List.of());
        Path running = home.resolve("running.properties");
        while (!String.valueOf(process.pid()).equals(read(running).getProperty("pid"))) {
            if (process.waitFor(20, TimeUnit.MILLISECONDS)) {
                throw new IOException("the server did not start: " + said(home));
            }
        }
        return new Server(process, home, read(running).getProperty("scheme", "http") + "://127.0.0.1:" + port);
    }

    /** Every hand is an instructor's, made by who can read the folder; a jar from before asks nobody. */
    private void letHandsIn(String word) throws IOException, InterruptedException {
        HttpRequest making = HttpRequest.newBuilder(URI.create(base + "/keeping/instructor"))
                .header("X-Sassafras-Word", word)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(INSTRUCTOR))
                .build();
        int made = HttpClient.newHttpClient()
                .send(making, BodyHandlers.discarding())
                .statusCode();
        Hand.door(base, () -> {
            if (made != 200) {
                return "";
            }
            Hand hand = Hand.stranger(base);
            hand.post("/door", INSTRUCTOR);
            return hand.token();
        });
    }

    /** What its heap holds after a collection (MB). */
    long heap() throws IOException, InterruptedException {
        asked("GC.run");
        return Pattern.compile("used (\\d+)K")
                        .matcher(asked("GC.heap_info").replaceAll("(?s)Metaspace.*", ""))
                        .results()
                        .mapToLong(each -> Long.parseLong(each.group(1)))
                        .sum()
                / 1024;
    }

    private String asked(String what) throws IOException, InterruptedException {
        Process asking = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(),
                        String.valueOf(process.pid()),
                        what)
                .redirectErrorStream(true)
                .start();
        String said = new String(asking.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        asking.waitFor();
        return said;
    }

    /** Starts what is expected to say something and end. @return what it said, and its exit code before it */
    public static String sayAndEnd(Path home, int port, Map<String, String> settings, String... words)
            throws IOException, InterruptedException {
        Process process = launch(LaidOut.jar(), home, port, QUICK_START, settings, List.of(words));
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            return "it did not end: " + said(home);
        }
        return process.exitValue() + " " + said(home);
    }

    private static Process launch(
            Path jar, Path home, int port, List<String> options, Map<String, String> settings, List<String> words)
            throws IOException {
        ProcessBuilder command = new ProcessBuilder(LaidOut.command(jar, options, words));
        command.environment()
                .putAll(Map.of(
                        "SASSAFRAS_HOME",
                        home.toString(),
                        "SASSAFRAS_PORT",
                        String.valueOf(port),
                        "SASSAFRAS_ADDRESS",
                        "127.0.0.1"));
        command.environment().putAll(settings);
        return command.redirectErrorStream(true)
                .redirectOutput(output(home).toFile())
                .start();
    }

    private static Path output(Path home) {
        return Path.of(
                System.getProperty("java.io.tmpdir"), "sassafras-" + Integer.toHexString(home.hashCode()) + ".out");
    }

    private static String said(Path home) throws IOException {
        return Files.readString(output(home)).strip();
    }

    static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            return free.getLocalPort();
        }
    }

    private static Properties read(Path file) throws IOException {
        Properties properties = new Properties();
        if (Files.exists(file)) {
            try (Reader in = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
                properties.load(in);
            } catch (java.nio.file.NoSuchFileException gone) {
                // between the two looks
            }
        }
        return properties;
    }

    public String base() {
        return base;
    }

    public Path home() {
        return home;
    }

    /** Kills it as a power switch would kill the process, without a word. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** What it printed so far. */
    public String printed() throws IOException {
        return said(home);
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        if (!process.waitFor(20, TimeUnit.SECONDS)) {
            kill();
        }
    }
}

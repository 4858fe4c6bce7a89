package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.io.InputStream;
import java.net.HttpURLConnection;
import java.net.Socket;
import java.net.URI;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Driver;
import java.sql.PreparedStatement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import lab.sassafras.app.Hand;

/**
 * What a whole class and a large book cost, by the jar as it is and, where one is named, by a jar of before, each on a
 * copy of the same book.
 */
public final class InTurn {

    private static final int ENTRIES = Integer.getInteger("entries", 1000);
    private static final int MEGABYTES = Integer.getInteger("megabytes", 600);
    private static final int LISTENERS = 60;
    private static final int ASLEEP = 4;
    /** What was told before anything is measured: a stream that lets go of nothing shows by then. */
    private static final int EVENTS = Integer.getInteger("events", 10_000);

    private InTurn() {}

    public static void main(String[] arguments) throws Exception {
        Path now = LaidOut.jar();
        Path before = arguments.length == 0 ? now : Path.of(arguments[0]);
        SortedMap<String, Path> jars =
                new TreeMap<>(before.equals(now) ? Map.of("now", now) : Map.of("before", before, "now", now));
        Path filled = filled(before);
        for (Map.Entry<String, Path> each : jars.entrySet()) {
            crowd(each.getKey(), each.getValue(), copy(filled));
        }
        large(filled);
        for (Map.Entry<String, Path> each : jars.entrySet()) {
            backUp(each.getKey(), each.getValue(), copy(filled));
        }
    }

    /** A book with a period of many entries of one experiment. */
    private static Path filled(Path jar) throws Exception {
        Path home = Files.createTempDirectory("in-turn").resolve("book");
        Files.createDirectories(home);
        try (Server server = Server.start(jar, home, Server.FULL_COMPILER, Map.of())) {
            Hand hand = new Hand(server.base());
            for (int i = 0; i < ENTRIES; i++) {
                Book.bring(hand, "8-salt.json", "Bench " + i);
            }
        }
        return home;
    }

    private static Path copy(Path home) throws IOException {
        Path other = Files.createTempDirectory("in-turn").resolve("book");
        Files.createDirectories(other);
        Files.copy(home.resolve("book.mv.db"), other.resolve("book.mv.db"));
        return other;
    }

    private static void crowd(String name, Path jar, Path home) throws Exception {
        try (Server server = Server.start(jar, home, Server.FULL_COMPILER, Map.of())) {
            Hand hand = new Hand(server.base());
            String notebook = hand.get("/notebook").body();
            String period = notebook.replaceAll("(?s).*/notebook\\?period=([0-9a-f-]{36}).*", "$1");
            String entry = notebook.replaceAll("(?s).*?/entries/([0-9a-f-]{36})/result.*", "/entries/$1");
            String beside = "/periods/" + period + "/beside/heat-of-solution";
            settled(hand, beside);
            Times warm = new Times();
            for (int i = 0; i < 10; i++) {
                warm.of(() -> hand.get(beside));
            }
            warm.print(name + ": " + ENTRIES + " side by side, warm");
            Times changed = new Times();
            hand.join("/periods/" + period, "Bench 1");
            for (int i = 0; i < 10; i++) {
                hand.keep(entry, UUID.randomUUID(), "water[1]/start", "read", "21." + i, "°C");
                changed.of(() -> hand.get(beside));
            }
            changed.print(name + ": " + ENTRIES + " side by side, one changed");
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %8.0f ms%n",
                    name + ": first piece of the printed period",
                    firstPiece(server, hand, "/periods/" + period + "/pages"));
            listened(name, server, hand, "/periods/" + period);
        }
    }

    private static void settled(Hand hand, String beside) throws InterruptedException {
        for (int i = 0; i < 60 && hand.get(beside).body().contains("being worked out"); i++) {
            Thread.sleep(1000);
        }
        hand.get(beside);
    }

    private static double firstPiece(Server server, Hand hand, String path) throws IOException {
        long began = System.nanoTime();
        HttpURLConnection http =
                (HttpURLConnection) URI.create(server.base() + path).toURL().openConnection();
        http.setRequestProperty("Cookie", hand.here());
        try (InputStream in = http.getInputStream()) {
            in.readNBytes(4000);
            return (System.nanoTime() - began) / 1e6;
        }
    }

    /** A hand with six entries keeps; sixty pages of its bench listen, and four that read nothing. */
    private static void listened(String name, Server server, Hand hand, String period) throws Exception {
        hand.join(period, "Alder");
        List<String> entries = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            entries.add(hand.begin("heat-of-solution").replaceAll("\\?.*", ""));
        }
        Times quiet = new Times();
        for (int i = 0; i < 200; i++) {
            String entry = entries.get(i % 6);
            String text = "2" + i % 10 + "." + i % 7;
            Times into = i < 50 ? new Times() : quiet;
            into.of(() -> hand.keep(entry, UUID.randomUUID(), "water[1]/start", "read", text, "°C"));
        }
        quiet.print(name + ": a value kept, six entries at the bench, nobody listens");
        String clock = entries.get(5);
        hand.post(clock + "/clock", "trial=1&every=5");
        String trace =
                hand.get(clock + "/clock").body().replaceAll("(?s).*name=\"trace\" value=\"([0-9a-f-]{36})\".*", "$1");
        Times readings = new Times();
        for (int i = 0; i < 200; i++) {
            String form = "trial=1&trace=" + trace + "&key=" + UUID.randomUUID() + "&time=&text=21." + i % 10;
            Times into = i < 50 ? new Times() : readings;
            into.of(() -> hand.post(clock + "/clock/readings", form));
        }
        readings.print(name + ": a reading kept, six entries at the bench");
        List<Socket> asleep = new ArrayList<>();
        if (!name.equals("before")) {
            for (int i = 0; i < ASLEEP; i++) {
                asleep.add(opened(server, hand, entries.get(0), 4096));
            }
        }
        Semaphore told = new Semaphore(0);
        List<Socket> listening = new ArrayList<>();
        for (int i = 0; i < LISTENERS; i++) {
            Socket socket = opened(server, hand, entries.get(0), 65536);
            listening.add(socket);
            Thread reader = new Thread(() -> read(socket, told));
            reader.setDaemon(true);
            reader.start();
        }
        for (int i = 0; i < EVENTS; i++) {
            hand.post(
                    clock + "/clock/readings",
                    "trial=1&trace=" + trace + "&key=" + UUID.randomUUID() + "&time=&text=21." + i % 10);
        }
        Times later = new Times();
        for (int i = 0; i < 200; i++) {
            String form = "trial=1&trace=" + trace + "&key=" + UUID.randomUUID() + "&time=&text=21." + i % 10;
            later.of(() -> hand.post(clock + "/clock/readings", form));
        }
        later.print(name + ": a reading kept after " + EVENTS);
        // a page is told at most once a second
        Thread.sleep(2000);
        Times all = new Times();
        Times kept = new Times();
        for (int i = 0; i < 60; i++) {
            told.drainPermits();
            String text = "2" + i % 10 + "." + i % 7;
            long began = System.nanoTime();
            kept.of(() -> hand.keep(entries.get(0), UUID.randomUUID(), "water[1]/start", "read", text, "°C"));
            if (told.tryAcquire(LISTENERS, 15, TimeUnit.SECONDS)) {
                all.add((System.nanoTime() - began) / 1e6);
            }
            Thread.sleep(1100);
        }
        String who = LISTENERS + " listen" + (asleep.isEmpty() ? "" : ", " + ASLEEP + " sleep");
        kept.print(name + ": a value kept, " + who);
        all.print(name + ": until all know, " + who);
        System.out.printf(Locale.ROOT, "%-58s p99 %8.2f ms%n", "", all.percentile(99));
        for (Socket each : listening) {
            each.close();
        }
        for (Socket each : asleep) {
            each.close();
        }
    }

    private static Socket opened(Server server, Hand hand, String entry, int buffer) throws IOException {
        URI at = URI.create(server.base());
        Socket socket = new Socket();
        socket.setReceiveBufferSize(buffer);
        socket.connect(new java.net.InetSocketAddress(at.getHost(), at.getPort()));
        socket.getOutputStream()
                .write(("GET " + entry + "/changes?page=" + UUID.randomUUID() + " HTTP/1.1\r\nHost: 127.0.0.1:"
                                + at.getPort() + "\r\nCookie: " + hand.here()
                                + "; sassafras-browser=" + UUID.randomUUID()
                                + "\r\nUser-Agent: " + UUID.randomUUID() + "\r\nAccept: text/event-stream\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static void read(Socket socket, Semaphore told) {
        byte[] buffer = new byte[4096];
        try {
            InputStream in = socket.getInputStream();
            for (int n = in.read(buffer); n > 0; n = in.read(buffer)) {
                String text = new String(buffer, 0, n, StandardCharsets.UTF_8);
                if (text.contains("event:changed")) {
                    told.release();
                }
            }
        } catch (IOException closed) {
            // the measurement is over
        }
    }

    /** Fills the book with numbers as readings on a clock are, in a table nobody reads, until it is large. */
    private static void large(Path home) throws Exception {
        Random random = new Random(1);
        try (URLClassLoader h2 = new URLClassLoader(new URL[] {driver().toUri().toURL()});
                Connection book = Class.forName("org.h2.Driver", true, h2)
                        .asSubclass(Driver.class)
                        .getDeclaredConstructor()
                        .newInstance()
                        .connect("jdbc:h2:file:" + home.resolve("book"), user())) {
            book.createStatement()
                    .executeUpdate("create table filler (id uuid primary key, seconds double precision array, "
                            + "temperatures double precision array)");
            try (PreparedStatement row = book.prepareStatement("insert into filler values (?, ?, ?)")) {
                for (long rows = MEGABYTES * 1_000_000L / 8_200; rows > 0; rows--) {
                    Double[] seconds = new Double[500];
                    Double[] temperatures = new Double[500];
                    for (int i = 0; i < 500; i++) {
                        seconds[i] = rows * 500.0 + i;
                        temperatures[i] = 20 + Math.rint(random.nextGaussian() * 100) / 100;
                    }
                    row.setObject(1, UUID.randomUUID());
                    row.setObject(2, seconds);
                    row.setObject(3, temperatures);
                    row.executeUpdate();
                }
            }
        }
    }

    private static void backUp(String name, Path jar, Path home) throws Exception {
        long size = Files.size(home.resolve("book.mv.db"));
        Server server = Server.start(jar, home, Server.FULL_COMPILER, Map.of());
        AtomicBoolean over = new AtomicBoolean();
        List<Thread> writers = new ArrayList<>();
        Times keep = new Times();
        for (int i = 0; i < 4; i++) {
            Hand hand = new Hand(server.base());
            String period = hand.openPeriod("Writer " + i);
            hand.join(period, "Alder");
            String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
            Thread writer = new Thread(() -> {
                while (!over.get()) {
                    keep.of(() -> hand.keep(entry, UUID.randomUUID(), "water[1]/start", "read", "21.4", "°C"));
                }
            });
            writers.add(writer);
            writer.start();
        }
        long began = System.nanoTime();
        Path to = backedUp(server);
        double took = (System.nanoTime() - began) / 1e9;
        over.set(true);
        for (Thread each : writers) {
            each.join();
        }
        System.out.printf(
                Locale.ROOT,
                "%-58s %8.1f s for %d MB, %d MB packed; a value kept meanwhile in p95 %.0f ms%n",
                name + ": back-up beside four writers",
                took,
                size / 1_000_000,
                Files.size(to) / 1_000_000,
                keep.percentile(95));
        long closing = System.nanoTime();
        server.close();
        System.out.printf(Locale.ROOT, "%-58s %8.1f s%n", name + ": closing", (System.nanoTime() - closing) / 1e9);
        Files.delete(to);
    }

    /** Asks a server for a back-up, as ./backup does. @return where it is */
    private static Path backedUp(Server server) throws IOException {
        Properties running = new Properties();
        try (InputStream in = Files.newInputStream(server.home().resolve("running.properties"))) {
            running.load(in);
        }
        HttpURLConnection http = (HttpURLConnection)
                URI.create(server.base() + "/keeping/back-up").toURL().openConnection();
        http.setRequestMethod("POST");
        http.setRequestProperty("X-Sassafras-Word", running.getProperty("word"));
        http.setDoOutput(true);
        http.getOutputStream().close();
        try (InputStream answer = http.getInputStream()) {
            return Path.of(new String(answer.readAllBytes(), StandardCharsets.UTF_8).strip());
        }
    }

    private static Properties user() {
        Properties user = new Properties();
        user.setProperty("user", "sa");
        user.setProperty("password", "");
        return user;
    }

    /** The database's own jar, as the laid-out application has it. */
    private static Path driver() throws IOException, InterruptedException {
        try (var libraries = Files.list(LaidOut.jar().resolveSibling("lib"))) {
            return libraries
                    .filter(each -> each.getFileName().toString().startsWith("h2-"))
                    .findFirst()
                    .orElseThrow();
        }
    }
}

package lab.sassafras.benchmarks.house;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import lab.sassafras.app.Hand;

/**
 * What probes push: how many readings a second one script has acknowledged, beside plain JDBC that inserts the same
 * rows with the same commits; how soon a page hears of a reading while 32 benches push; what an hour of one bench’s
 * page
 * takes.
 */
public final class Pushing {

    private static final int BATCH = 200;
    private static final int BATCHES = 2_000;
    /** So many go before those that are timed: a server that runs for weeks is not measured while it is compiled. */
    private static final int WARM = 4_000;

    private static final int ROUNDS = 2;
    private static final int UNDER_WAY = 8;
    private static final int SENDERS = 10;
    private static final int TOKENS_OF_ONE = 20;
    private static final int BENCHES = 32;
    private static final int READERS = 8;
    private static final int ONE_BY_ONE = 1_000;
    private static final int TURNS = 4;
    private static final String PARTS = System.getProperty("parts", "");
    /** Whether each bench begins at an instant of its own, so that nothing of theirs can be kept in one commit. */
    private static final boolean APART = Boolean.getBoolean("apart");

    private static final int SECONDS = Integer.getInteger("seconds", 60);

    private static final HttpClient HTTP =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    private Pushing() {}

    public static void main(String[] arguments) throws Exception {
        Pushing pushing = new Pushing();
        try (Server server = Server.start(Files.createTempDirectory("pushing"), Server.FULL_COMPILER, Map.of())) {
            List<String> tokens = tokens(server);
            for (int round = 0; round < ROUNDS && part("acknowledged"); round++) {
                double ours = acknowledged(server, tokens, 1);
                double plain = plainJdbc();
                System.out.printf(Locale.ROOT, "%-58s %.2f%n", "of plain JDBC", ours / plain);
                double queued = acknowledged(server, tokens, UNDER_WAY);
                System.out.printf(Locale.ROOT, "%-58s %.2f%n", "of plain JDBC", queued / plain);
                double refused = unread(server);
                System.out.printf(
                        Locale.ROOT,
                        "%-58s %.2f%n",
                        "what that and plain JDBC would come to of plain JDBC",
                        1 / (1 + plain / refused));
            }
            if (part("hour")) {
                pushing.anHour(server);
            }
            if (part("stopped")) {
                stopped(server);
            }
        }
        for (int rows : part("listened") ? new int[] {10, 1} : new int[0]) {
            try (Server server = Server.start(Files.createTempDirectory("pushing"), Server.FULL_COMPILER, Map.of())) {
                pushing.listened(server, rows);
            }
        }
    }

    /** With {@code -Dparts=hour,stopped} only those. */
    private static boolean part(String name) {
        return PARTS.isEmpty() || List.of(PARTS.split(",")).contains(name);
    }

    static String token(Hand hand) {
        return hand.post("/bench/probes", "name=a+script")
                .body()
                .replaceAll("(?s).*id=\"secret\" readonly value=\"([^\"]+)\".*", "$1");
    }

    static int push(Server server, String token, String rows, double now) throws IOException, InterruptedException {
        return HTTP.send(
                        HttpRequest.newBuilder(URI.create(server.base() + "/push/" + UUID.randomUUID() + "?now="
                                        + String.format(Locale.ROOT, "%.3f", now)))
                                .header("Authorization", "Bearer " + token)
                                .header("Content-Type", "application/x-ndjson")
                                .POST(BodyPublishers.ofString(rows))
                                .build(),
                        BodyHandlers.discarding())
                .statusCode();
    }

    /** Rows as a script prints them, cheaply: the script's own work is in what is measured. */
    static String rows(double from, double every, int many) {
        StringBuilder rows = new StringBuilder(48 * many);
        for (int i = 0; i < many; i++) {
            long thousandths = Math.round(1000 * (from + every * i));
            rows.append(i == 0 ? "" : "\n")
                    .append("{\"probe\": \"cup\", \"t\": ")
                    .append(thousandths / 1000)
                    .append('.')
                    .append(String.valueOf(1000 + thousandths % 1000), 1, 4)
                    .append(", \"value\": 21.0")
                    .append(i % 7)
                    .append('}');
        }
        return rows.toString();
    }

    /** So many tokens that one script that takes them in turn stays below what each may. */
    private static List<String> tokens(Server server) {
        String period = new Hand(server.base()).openPeriod("Pushing");
        List<String> tokens = new ArrayList<>();
        for (int i = 0; i < SENDERS; i++) {
            Hand hand = new Hand(server.base()).join(period, "Bench " + i);
            for (int j = 0; j < TOKENS_OF_ONE; j++) {
                tokens.add(token(hand));
            }
        }
        return tokens;
    }

    /**
     * One script that has so many batches under way at once, each of another probe. @return readings a second
     */
    private static double acknowledged(Server server, List<String> tokens, int underWay)
            throws IOException, InterruptedException {
        acknowledged(server, tokens, underWay, WARM);
        long began = System.nanoTime();
        int refused = acknowledged(server, tokens, underWay, BATCHES);
        double each = BATCH * (BATCHES - refused) / ((System.nanoTime() - began) / 1e9);
        System.out.printf(
                Locale.ROOT,
                "%-58s %,.0f readings a second (%d of %d batches refused)%n",
                "acknowledged over HTTP, 200 a batch, " + underWay + " under way",
                each,
                refused,
                BATCHES);
        return each;
    }

    private static int acknowledged(Server server, List<String> tokens, int underWay, int batches)
            throws InterruptedException {
        AtomicInteger refused = new AtomicInteger();
        List<Thread> all = new ArrayList<>();
        for (int one = 0; one < underWay; one++) {
            int first = one;
            all.add(new Thread(() -> {
                try (Script script = new Script(server.base())) {
                    for (int i = first; i < batches; i += underWay) {
                        double now = System.nanoTime() / 1e9;
                        String token = tokens.get(i % tokens.size());
                        refused.addAndGet(
                                script.push(token, rows(now - BATCH * 1e-4, 1e-4, BATCH), now) == 200 ? 0 : 1);
                    }
                } catch (IOException gone) {
                    refused.incrementAndGet();
                }
            }));
        }
        all.forEach(Thread::start);
        for (Thread each : all) {
            each.join();
        }
        return refused.get();
    }

    /** The same batches by a token that is none, so nothing is kept: what the way there and back takes. */
    private static double unread(Server server) throws IOException {
        long began = 0;
        try (Script script = new Script(server.base())) {
            for (int i = -WARM; i < BATCHES; i++) {
                if (i == 0) {
                    began = System.nanoTime();
                }
                double now = System.nanoTime() / 1e9;
                script.push("none", rows(now - BATCH * 1e-4, 1e-4, BATCH), now);
            }
        }
        double each = BATCH * BATCHES / ((System.nanoTime() - began) / 1e9);
        System.out.printf(
                Locale.ROOT,
                "%-58s %,.0f readings a second%n",
                "the same batches over HTTP, by a token that is none",
                each);
        return each;
    }

    /** The same rows, the same commits, and nothing else. @return readings a second */
    private static double plainJdbc() throws SQLException, IOException {
        Path home = Files.createTempDirectory("plain");
        try (Connection database =
                DriverManager.getConnection("jdbc:h2:file:" + home.resolve("plain") + ";WRITE_DELAY=0", "sa", "")) {
            database.createStatement()
                    .execute("create table trace_chunk (id uuid primary key, seq bigint generated always as identity, "
                            + "trace_id uuid not null, seconds double precision array not null, temperatures double "
                            + "precision array not null, who_id uuid not null, made_at timestamp(6) with time zone)");
            database.createStatement().execute("create index trace_chunk_trace on trace_chunk (trace_id, seq)");
            database.setAutoCommit(false);
            UUID trace = UUID.randomUUID();
            long began = 0;
            for (int i = -WARM; i < BATCHES; i++) {
                if (i == 0) {
                    began = System.nanoTime();
                }
                try (PreparedStatement insert = database.prepareStatement(
                        "insert into trace_chunk (id, trace_id, seconds, temperatures, who_id, made_at) values (?, ?, ?, ?, ?, ?)")) {
                    Double[] seconds = new Double[BATCH];
                    Double[] temperatures = new Double[BATCH];
                    for (int j = 0; j < BATCH; j++) {
                        seconds[j] = i + 1e-4 * j;
                        temperatures[j] = 21 + 0.01 * (j % 7);
                    }
                    insert.setObject(1, UUID.randomUUID());
                    insert.setObject(2, trace);
                    insert.setObject(3, seconds);
                    insert.setObject(4, temperatures);
                    insert.setObject(5, trace);
                    insert.setObject(6, Instant.now().atOffset(ZoneOffset.UTC));
                    insert.executeUpdate();
                }
                database.commit();
            }
            double each = BATCH * BATCHES / ((System.nanoTime() - began) / 1e9);
            System.out.printf(
                    Locale.ROOT, "%-58s %,.0f readings a second%n", "plain JDBC, the same rows and commits", each);
            return each;
        }
    }

    /** An hour of one bench at ten a second: its page beside the simplest. */
    private void anHour(Server server) throws IOException, InterruptedException {
        String period = new Hand(server.base()).openPeriod("An hour");
        Hand hand = new Hand(server.base()).join(period, "Alder");
        String token = token(hand);
        double now = System.nanoTime() / 1e9;
        for (int i = 0; i < 36; i++) {
            while (push(server, token, rows(now - 3600 + 100 * i, 0.1, 1000), now) == 429) {
                Thread.sleep(500);
            }
        }
        String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        Times simplest = new Times();
        Times live = new Times();
        int bytes = 0;
        for (int i = 0; i < 60; i++) {
            long began = System.nanoTime();
            hand.get("/bench");
            double one = (System.nanoTime() - began) / 1e6;
            began = System.nanoTime();
            bytes = hand.get(entry + "/live?whole=true").body().length();
            if (i >= 20) {
                simplest.add(one);
                live.add((System.nanoTime() - began) / 1e6);
            }
        }
        simplest.print("the bench's page");
        live.printBeside("the live curve of 36,000 readings", simplest);
        System.out.printf(Locale.ROOT, "%-58s %,d characters%n", "its page", bytes);
    }

    /** What keeping takes while nobody looks on, while pages do, and while as many were opened that take nothing. */
    private enum Looking {
        NOBODY("nobody looks on"),
        TAKING(READERS + " pages look on"),
        STOPPED(READERS + " pages take nothing any more");

        private final String words;

        Looking(String words) {
            this.words = words;
        }
    }

    private static void stopped(Server server) throws IOException, InterruptedException {
        String period = new Hand(server.base()).openPeriod("Stopped");
        Hand hand = new Hand(server.base()).join(period, "Alder");
        String token = token(hand);
        push(server, token, rows(0, 0.001, 10), 1);
        String live = hand.begin("heat-of-solution").replaceAll("\\?.*", "") + "/live";
        double begun = System.nanoTime() / 1e9;
        Map<Looking, Times> kept = new EnumMap<>(Looking.class);
        for (int round = -1; round < TURNS; round++) {
            for (Looking each : Looking.values()) {
                List<Socket> readers = new ArrayList<>();
                String listens = listens(hand, live);
                for (int i = 0; each != Looking.NOBODY && i < READERS; i++) {
                    readers.add(asking(server, hand, listens + "&page=" + i, each == Looking.TAKING));
                }
                Times now = round < 0 ? new Times() : kept.computeIfAbsent(each, any -> new Times());
                oneByOne(server, token, begun, now);
                for (Socket reader : readers) {
                    reader.close();
                }
            }
        }
        kept.forEach((each, times) -> {
            times.print("a batch of ten, " + each.words);
            System.out.printf(Locale.ROOT, "%-58s p99 %.1f ms%n", "", times.percentile(99));
        });
    }

    /** Where a page listens that was read just now. */
    private static String listens(Hand hand, String live) {
        return hand.get(live)
                .body()
                .replaceAll("(?s).*data-listens=\"([^\"]+)\".*", "$1")
                .replace("&amp;", "&");
    }

    private static void oneByOne(Server server, String token, double begun, Times kept)
            throws IOException, InterruptedException {
        try (Script script = new Script(server.base())) {
            for (int i = 0; i < ONE_BY_ONE; i++) {
                double t = 1 + System.nanoTime() / 1e9 - begun;
                long began = System.nanoTime();
                int status = script.push(token, rows(t - 0.009, 0.001, 10), t);
                kept.add(status == 200 ? (System.nanoTime() - began) / 1e6 : Double.NaN);
                Thread.sleep(12);
            }
        }
    }

    /** A page that asks for its stream, and takes what comes of it or nothing. */
    private static Socket asking(Server server, Hand hand, String path, boolean takes) throws IOException {
        URI base = URI.create(server.base());
        Socket socket = new Socket();
        socket.setReceiveBufferSize(1024);
        socket.connect(new InetSocketAddress(base.getHost(), base.getPort()));
        socket.getOutputStream()
                .write(("GET " + path + " HTTP/1.1\r\nHost: " + base.getAuthority() + "\r\nCookie: " + hand.here()
                                + "\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        if (takes) {
            Thread reader = new Thread(() -> drain(socket));
            reader.setDaemon(true);
            reader.start();
        }
        return socket;
    }

    private static void drain(Socket socket) {
        try {
            socket.getInputStream().transferTo(OutputStream.nullOutputStream());
        } catch (IOException closed) {
            // it looked on as long as it was to
        }
    }

    /** Benches that push ten a second, each with a page that listens: from push to page, and the heap meanwhile. */
    private void listened(Server server, int rows) throws Exception {
        String period = new Hand(server.base()).openPeriod("Listening");
        Times heard = new Times();
        AtomicBoolean over = new AtomicBoolean();
        List<Thread> all = new ArrayList<>();
        Queue<String> failed = new ConcurrentLinkedQueue<>();
        for (int i = 0; i < BENCHES; i++) {
            Hand hand = new Hand(server.base()).join(period, "Bench " + i);
            String token = token(hand);
            double begun = System.nanoTime() / 1e9;
            push(server, token, rows(0, 0.1, 10), 1);
            String listens = listens(hand, hand.begin("heat-of-solution").replaceAll("\\?.*", "") + "/live");
            Queue<long[]> sent = new ConcurrentLinkedQueue<>();
            long later = APART ? (long) i * rows * 100_000_000L / BENCHES : 0;
            all.add(new Thread(() -> listen(hand, listens, sent, rows, heard, over, failed)));
            all.add(new Thread(() -> {
                try {
                    for (long next = System.nanoTime() + later; !over.get(); next += rows * 100_000_000L) {
                        Thread.sleep(Math.max(0, (next - System.nanoTime()) / 1_000_000));
                        // read when it was due, however late it is sent
                        double t = 1 + next / 1e9 - begun;
                        sent.add(new long[] {System.nanoTime()});
                        double now = 1 + System.nanoTime() / 1e9 - begun;
                        if (push(server, token, rows(t - 0.1 * (rows - 1), 0.1, rows), now) != 200) {
                            failed.add("a batch was refused");
                        }
                    }
                } catch (IOException | InterruptedException gone) {
                    failed.add(gone.toString());
                }
            }));
        }
        // what was under way when a page was rendered is sent once more: let it be long ago
        Thread.sleep(3000);
        all.forEach(Thread::start);
        Thread.sleep(1000L * SECONDS);
        long early = server.heap();
        Thread.sleep(2000);
        heard.clear();
        Thread.sleep(1000L * SECONDS);
        // a heap is measured by collecting it, which nobody is to wait for in what was heard
        over.set(true);
        long late = server.heap();
        heard.print("from push to page, 32 benches, " + (rows == 1 ? "single rows" : "batches of ten"));
        System.out.printf(
                Locale.ROOT,
                "%-58s p99 %.1f ms; heap after collection %d MB, then %d MB; failures: %s%n",
                "",
                heard.percentile(99),
                early,
                late,
                failed.stream().distinct().toList());
        for (Thread each : all) {
            each.interrupt();
        }
    }

    private static void listen(
            Hand hand,
            String path,
            Queue<long[]> sent,
            int rows,
            Times heard,
            AtomicBoolean over,
            Queue<String> failed) {
        try (BufferedReader stream =
                new BufferedReader(new InputStreamReader(hand.stream(path), StandardCharsets.UTF_8))) {
            for (String line = stream.readLine(); line != null && !over.get(); line = stream.readLine()) {
                if (line.startsWith("event:anew")) {
                    failed.add("a page was to read itself anew");
                }
                if (line.startsWith("event:points")) {
                    long now = System.nanoTime();
                    int marks = stream.readLine().split("h0", -1).length - 1;
                    for (int i = 0; i < marks / rows; i++) {
                        long[] each = sent.poll();
                        synchronized (heard) {
                            heard.add(each == null ? Double.NaN : (now - each[0]) / 1e6);
                        }
                    }
                }
            }
        } catch (IOException | InterruptedException gone) {
            failed.add(gone.toString());
        }
    }
}

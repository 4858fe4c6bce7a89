package lab.sassafras.benchmarks.house;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import lab.sassafras.app.Hand;

/**
 * A class at work: 32 benches that keep a value every five seconds and push ten readings a second, and an instructor’s
 * class page: how soon its lines show what was kept, and what keeping takes meanwhile. Then 200 readers of a hand-out.
 */
public final class ClassRoom {

    private static final int BENCHES = 32;
    private static final int READERS = 200;
    private static final int SECONDS = Integer.getInteger("seconds", 60);
    /** Such a part of it goes before what is timed, so that a server is not measured while it is compiled. */
    private static final double WARM = 1;

    private ClassRoom() {}

    public static void main(String[] arguments) throws Exception {
        // a browser unpacks itself as it is made, which must not fall into what is measured
        try (Chromium browser = new Chromium();
                Server server = Server.start(Files.createTempDirectory("class"), Server.FULL_COMPILER, Map.of())) {
            Hand instructor = new Hand(server.base());
            String period = instructor.openPeriod("Class");
            atWork(server, browser, instructor, period);
            readers(server, period);
        }
    }

    private static void atWork(Server server, Chromium browser, Hand instructor, String period) throws Exception {
        AtomicBoolean over = new AtomicBoolean();
        Queue<String> failed = new ConcurrentLinkedQueue<>();
        Queue<Long> kept = new ConcurrentLinkedQueue<>();
        Times keeping = new Times();
        Times shown = new Times();
        Times lines = new Times();
        List<Thread> all = new ArrayList<>();
        for (int i = 0; i < BENCHES; i++) {
            Hand hand = new Hand(server.base()).join(period, "Bench " + i);
            String token = Pushing.token(hand);
            String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
            double begun = System.nanoTime() / 1e9;
            all.add(new Thread(() -> push(server, token, begun, over, failed)));
            long late = 5000L * i / BENCHES;
            all.add(new Thread(() -> {
                try {
                    Thread.sleep(late);
                    for (int value = 0; !over.get(); value++) {
                        long began = System.nanoTime();
                        int status = hand.post(
                                        entry + "/observations",
                                        "role=read&unit=g&sure=true&at=" + Hand.encoded("water[1]/mass") + "&text=10"
                                                + value % 10 + ".0&key=" + UUID.randomUUID())
                                .statusCode();
                        if (status >= 400) {
                            failed.add("a value was answered " + status);
                        }
                        long now = System.nanoTime();
                        synchronized (keeping) {
                            keeping.add((now - began) / 1e6);
                        }
                        kept.add(now);
                        Thread.sleep(5000);
                    }
                } catch (InterruptedException gone) {
                    Thread.currentThread().interrupt();
                }
            }));
        }
        all.add(new Thread(() -> watch(instructor, period, kept, shown, lines, over, failed)));
        all.forEach(Thread::start);
        Thread.sleep((long) (1000 * SECONDS * WARM));
        keeping.clear();
        shown.clear();
        lines.clear();
        Thread.sleep(1000L * SECONDS);
        keeping.print("a value kept, 32 benches that push");
        shown.print("from kept to shown on the class page");
        lines.print("the lines of the class page, as they are fetched");
        System.out.printf(
                Locale.ROOT,
                "%-58s p99 %.0f ms; failures: %s%n",
                "",
                shown.percentile(99),
                failed.stream().distinct().toList());
        // a browser beside them takes of the same two cores
        double costs = costs(server, browser, instructor, period);
        over.set(true);
        System.out.printf(
                Locale.ROOT,
                "%-58s %.3f of %d s%n",
                "what the class page works meanwhile (TaskDuration)",
                costs,
                SECONDS);
        all.forEach(Thread::interrupt);
    }

    /** The part of a second that the page works in a browser of its own. */
    private static double costs(Server server, Chromium browser, Hand instructor, String period) {
        try (BrowserContext context = browser.context(server, instructor)) {
            Page page = context.newPage();
            page.navigate(period + "/class");
            CDPSession tools = context.newCDPSession(page);
            tools.send("Performance.enable");
            double worked = Chromium.tasks(tools);
            double began = System.nanoTime() / 1e9;
            page.waitForTimeout(1000.0 * SECONDS);
            return (Chromium.tasks(tools) - worked) / (System.nanoTime() / 1e9 - began);
        }
    }

    private static void push(Server server, String token, double begun, AtomicBoolean over, Queue<String> failed) {
        try {
            for (long next = System.nanoTime(); !over.get(); next += 1_000_000_000L) {
                Thread.sleep(Math.max(0, (next - System.nanoTime()) / 1_000_000));
                double t = 1 + System.nanoTime() / 1e9 - begun;
                if (Pushing.push(server, token, Pushing.rows(t - 0.9, 0.1, 10), t) != 200) {
                    failed.add("a batch was refused");
                }
            }
        } catch (IOException | InterruptedException gone) {
            // over
        }
    }

    /** The page as its script does: told that something is new, it fetches the lines. */
    private static void watch(
            Hand hand,
            String period,
            Queue<Long> kept,
            Times shown,
            Times lines,
            AtomicBoolean over,
            Queue<String> failed) {
        try (BufferedReader stream = new BufferedReader(
                new InputStreamReader(hand.stream(period + "/changes?page=wall"), StandardCharsets.UTF_8))) {
            for (String line = stream.readLine(); line != null && !over.get(); line = stream.readLine()) {
                if (line.startsWith("data:")) {
                    List<Long> before = new ArrayList<>();
                    for (Long each = kept.poll(); each != null; each = kept.poll()) {
                        before.add(each);
                    }
                    long began = System.nanoTime();
                    hand.region(period + "/class", "entries");
                    long now = System.nanoTime();
                    lines.add((now - began) / 1e6);
                    before.forEach(each -> shown.add((now - each) / 1e6));
                }
            }
        } catch (IOException | InterruptedException | IllegalStateException gone) {
            if (!over.get()) {
                failed.add(gone.toString());
            }
        }
    }

    private static void readers(Server server, String period) throws InterruptedException {
        Times read = new Times();
        CountDownLatch done = new CountDownLatch(READERS);
        Hand one = new Hand(server.base()).join(period, "Bench 0");
        one.get(period + "/handouts");
        for (int i = 0; i < READERS; i++) {
            Hand reader = new Hand(server.base());
            new Thread(() -> {
                        long began = System.nanoTime();
                        reader.get(period + "/handouts");
                        synchronized (read) {
                            read.add((System.nanoTime() - began) / 1e6);
                        }
                        done.countDown();
                    })
                    .start();
        }
        done.await();
        read.print("a hand-out, 200 readers at once");
    }
}

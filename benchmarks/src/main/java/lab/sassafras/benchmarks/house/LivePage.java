package lab.sassafras.benchmarks.house;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import lab.sassafras.app.Hand;

/**
 * The live page in a browser: how soon each of twelve tabs hears its stream, what the page costs while a probe pushes
 * ten readings a second, and what its heap holds after five minutes and after an hour of them.
 */
public final class LivePage {

    private static final int TABS = 12;
    private static final int SECONDS = Integer.getInteger("seconds", 30);
    private static final int OF_A_BATCH = 1000;
    private static final String HEARS = "() => live.stream && live.stream.readyState === EventSource.OPEN";
    /** A browser without a screen calls all its tabs visible. */
    private static final String HIDES = "() => { Object.defineProperty(document, 'visibilityState', "
            + "{ value: 'hidden', configurable: true }); document.dispatchEvent(new Event('visibilitychange')); }";

    private LivePage() {}

    public static void main(String[] arguments) throws Exception {
        try (Server server = Server.start(Files.createTempDirectory("live"), Server.FULL_COMPILER, Map.of());
                Chromium browser = new Chromium()) {
            tabs(server, browser);
            costs(server, browser);
            anHour(server, browser);
        }
    }

    /** A bench with a probe that began to push a moment ago. */
    private record Pushed(Hand hand, String token, double begun) {

        static Pushed of(Server server, String title, double begun) {
            String period = new Hand(server.base()).openPeriod(title);
            Hand hand = new Hand(server.base()).join(period, "Alder");
            return new Pushed(hand, Pushing.token(hand), begun);
        }

        String page() {
            return hand.begin("heat-of-solution").replaceAll("\\?.*", "") + "/live";
        }
    }

    private static double now() {
        return System.nanoTime() / 1e9;
    }

    private static void tabs(Server server, Chromium browser) throws Exception {
        Pushed bench = Pushed.of(server, "Tabs", now() - 10);
        Pushing.push(server, bench.token(), Pushing.rows(bench.begun(), 0.1, 100), now());
        String path = bench.page();
        List<Double> opened = new ArrayList<>();
        try (BrowserContext context = browser.context(server, bench.hand())) {
            for (int i = 0; i <= TABS; i++) {
                context.pages().forEach(before -> before.evaluate(HIDES));
                double began = now();
                Page page = context.newPage();
                page.navigate(path);
                page.waitForFunction(HEARS);
                if (i > 0) {
                    opened.add(now() - began);
                }
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-58s slowest %.2f s of %d, the first aside%n",
                "a tab of one browser, from its opening to its stream",
                opened.stream().mapToDouble(each -> each).max().orElseThrow(),
                TABS);
    }

    /** The part of a second that the page works while a probe pushes ten readings a second, two at once. */
    private static void costs(Server server, Chromium browser) throws Exception {
        Pushed bench = Pushed.of(server, "Costs", now() - 10);
        Pushing.push(server, bench.token(), Pushing.rows(bench.begun(), 0.1, 100), now());
        try (BrowserContext context = browser.context(server, bench.hand())) {
            Page page = context.newPage();
            page.navigate(bench.page());
            page.waitForFunction(HEARS);
            CDPSession tools = context.newCDPSession(page);
            tools.send("Performance.enable");
            double worked = Chromium.tasks(tools);
            double began = now();
            for (int i = 0; i < 5 * SECONDS; i++) {
                double t = now();
                Pushing.push(server, bench.token(), Pushing.rows(t - 0.1, 0.1, 2), t);
                page.waitForTimeout(Math.max(0, 1000 * (began + 0.2 * (i + 1) - now())));
            }
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %.3f of %d s%n",
                    "what the page works while ten readings a second come",
                    (Chromium.tasks(tools) - worked) / (now() - began),
                    SECONDS);
        }
    }

    /** An hour of readings, as fast as they may be pushed: what the heap holds after five minutes of them, and all. */
    private static void anHour(Server server, Chromium browser) throws Exception {
        Pushed bench = Pushed.of(server, "An hour", now() - 3600);
        double now = now();
        Pushing.push(server, bench.token(), Pushing.rows(bench.begun(), 0.1, 10), now);
        try (BrowserContext context = browser.context(server, bench.hand())) {
            Page page = context.newPage();
            page.navigate(bench.page() + "?whole=true");
            page.waitForFunction(HEARS);
            CDPSession tools = context.newCDPSession(page);
            double early = 0;
            for (int i = 0; i < 36; i++) {
                String rows =
                        Pushing.rows(bench.begun() + 1 + 0.1 * OF_A_BATCH * i, 0.1, OF_A_BATCH - (i == 35 ? 20 : 0));
                while (Pushing.push(server, bench.token(), rows, now) == 429) {
                    page.waitForTimeout(200);
                }
                page.waitForTimeout(500);
                early = i == 2 ? heap(page, tools) : early;
            }
            double late = heap(page, tools);
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %.1f MB after five minutes, %.1f MB after an hour: %.2f%n",
                    "heap of the page, its readings drawn",
                    early / 1e6,
                    late / 1e6,
                    late / early);
        }
    }

    private static double heap(Page page, CDPSession tools) {
        page.waitForTimeout(3000);
        tools.send("HeapProfiler.collectGarbage");
        return tools.send("Runtime.getHeapUsage").get("usedSize").getAsDouble();
    }
}

package lab.sassafras.benchmarks.house;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.Cookie;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import lab.sassafras.app.Hand;

/** A browser that is asked what its pages cost. */
final class Chromium implements AutoCloseable {

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Browser browser = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));

    /** {@return a window of its own, in which a hand is signed in} */
    BrowserContext context(Server server, Hand hand) {
        BrowserContext context = browser.newContext(
                new Browser.NewContextOptions().setBaseURL(server.base()).setViewportSize(1280, 800));
        context.addCookies(List.of(new Cookie(hand.here().replaceAll("=.*", ""), hand.token()).setUrl(server.base())));
        return context;
    }

    /** {@return how long a page has worked since it was opened (s)} */
    static double tasks(CDPSession tools) {
        for (var each : tools.send("Performance.getMetrics").getAsJsonArray("metrics")) {
            JsonObject metric = each.getAsJsonObject();
            if (metric.get("name").getAsString().equals("TaskDuration")) {
                return metric.get("value").getAsDouble();
            }
        }
        throw new IllegalStateException("the browser tells no TaskDuration");
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}

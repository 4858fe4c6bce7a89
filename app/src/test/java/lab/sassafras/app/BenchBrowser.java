package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Tracing;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lab.sassafras.app.access.WhoIsHere;

/** A person at the bench with a browser. What the browser complains of is remembered and checked at the end. */
public final class BenchBrowser implements AutoCloseable {

    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final Browser CHROMIUM = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));

    private final BrowserContext context;
    private final Page page;
    private final List<String> complaints = new ArrayList<>();
    // The browser's own line about an answer of 422 is no complaint: refusing is what is tested.
    private final List<String> allowed = new ArrayList<>(List.of("422"));

    BenchBrowser(String base, String locale, String zone) {
        context = CHROMIUM.newContext(new Browser.NewContextOptions()
                .setBaseURL(base)
                .setLocale(locale)
                .setTimezoneId(zone)
                .setViewportSize(1280, 800));
        context.addCookies(List.of(new Cookie(WhoIsHere.COOKIE, Hand.token(base)).setUrl(base)));
        context.tracing().start(new Tracing.StartOptions().setSnapshots(true));
        page = context.newPage();
        page.setDefaultTimeout(30_000);
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && allowed.stream().noneMatch(message.text()::contains)) {
                complaints.add(message.text());
            }
        });
    }

    public Page page() {
        return page;
    }

    /** From now on somebody who did not come in. */
    BenchBrowser stranger() {
        context.clearCookies();
        return this;
    }

    /** What it came in by. */
    String token() {
        return context.cookies().stream()
                .filter(each -> each.name.equals(WhoIsHere.COOKIE))
                .map(each -> each.value)
                .findFirst()
                .orElse("");
    }

    /** What the browser may complain of in this test, because the test makes it happen. */
    public BenchBrowser allowing(String complaint) {
        allowed.add(complaint);
        return this;
    }

    public BenchBrowser open(String path) {
        page.navigate(path);
        return this;
    }

    /** Joins a bench by the keyboard. */
    public BenchBrowser join(Object period, String bench) {
        open("/periods/" + period);
        page.waitForFunction("() => document.readyState === 'complete'");
        page.focus("#name");
        type(bench);
        enter();
        page.waitForURL("**/bench");
        return this;
    }

    /** Tabs on until the focus is where it is wanted. */
    public BenchBrowser tabTo(String selector) {
        for (int i = 0; i < 80; i++) {
            if ((Boolean) page.evaluate("s => document.activeElement.matches(s)", selector)) {
                return this;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("the keyboard does not reach " + selector + " on " + page.url());
    }

    public BenchBrowser type(String text) {
        page.keyboard().type(text);
        return this;
    }

    /** Picks the option of the focused list that begins so. */
    public BenchBrowser pick(String beginning) {
        return type(beginning);
    }

    public BenchBrowser press(String key) {
        page.keyboard().press(key);
        return this;
    }

    public BenchBrowser enter() {
        return press("Enter");
    }

    /** Takes the instruments a test put on the shelf, whatever else stands there. */
    public BenchBrowser equipped(String name) {
        page.selectOption("#balance", new SelectOption().setLabel("balance " + name));
        page.selectOption("#thermometer", new SelectOption().setLabel("thermometer " + name));
        return this;
    }

    /** Answers a question otherwise for the entry whose result is shown. */
    public BenchBrowser settle(String question, String school) {
        page.click("summary:has-text('Use another convention')");
        String line = ".questions > li:has(summary:has-text('" + question + "'))";
        page.click(line + " summary");
        page.check(line + " input[value='" + school + "']");
        page.click(line + " button");
        page.waitForLoadState();
        return this;
    }

    /** What the bench page asks. */
    public String asked() {
        return page.textContent("#ask-title").strip();
    }

    /** Types a value and keeps it, then waits for the answer. */
    public BenchBrowser give(String text) {
        String key = ready();
        type(text);
        enter();
        return settled(key);
    }

    /** Marks the moment with Space, or chooses the leaf of that number by the arrows; then waits for the answer. */
    public BenchBrowser answer(String press) {
        String key = ready();
        press(" ");
        if (!press.equals(" ")) {
            for (int leaf = 1; leaf < Integer.parseInt(press); leaf++) {
                press("ArrowDown");
            }
            enter();
        }
        return settled(key);
    }

    /** Gives a value that is asked about, and says that it is so. */
    public BenchBrowser insist(String text) {
        give(text);
        page.waitForSelector(".sure");
        return pressed("y");
    }

    private BenchBrowser pressed(String press) {
        String key = ready();
        press(press);
        return settled(key);
    }

    /**
     * Waits as a person does until the page stands and a field has the focus; a key pressed before that goes nowhere.
     */
    private String ready() {
        page.waitForFunction("() => document.readyState === 'complete' && (!document.querySelector('#text') "
                + "|| document.activeElement.matches('main input'))");
        return (String) page.evaluate("() => document.querySelector('main [name=key]')?.value ?? ''");
    }

    private BenchBrowser settled(String key) {
        page.waitForFunction("old => (document.querySelector('main [name=key]')?.value ?? '') !== old", key);
        return this;
    }

    public BenchBrowser expectAsked(String part) {
        assertThat(asked()).contains(part);
        return this;
    }

    public String text(String selector) {
        return page.textContent(selector).replaceAll("\\s+", " ").strip();
    }

    /** What axe-core finds wrong with the page as it stands. */
    public List<String> axe() {
        // no page here has frames, for whose sake it would open a page of its own
        return new AxeBuilder(page)
                .setLegacyMode(true).analyze().getViolations().stream()
                        .map(rule ->
                                rule.getId() + ": " + rule.getNodes().get(0).getHtml())
                        .toList();
    }

    @Override
    public void close() {
        context.tracing().stop(new Tracing.StopOptions().setPath(KeptTraces.next()));
        context.close();
        assertThat(complaints).as("complaints of the browser").isEmpty();
    }
}

package lab.sassafras.benchmarks.house;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import lab.sassafras.app.Hand;

/**
 * A whole dress rehearsal: from a plan, at twenty times, with slips, the class page looked at all the while and the
 * server killed in the middle of it. Tells what the page costs, and who finished when.
 */
public final class Rehearsing {

    private static final int BENCHES = Integer.getInteger("benches", 8);
    private static final int TRIALS = Integer.getInteger("trials", 2);
    private static final int SPEED = Integer.getInteger("speed", 20);
    private static final long EVERY = 2000;

    private Rehearsing() {}

    public static void main(String[] arguments) throws Exception {
        Path home = Files.createTempDirectory("rehearsal");
        String at;
        try (Server server = Server.start(home, Server.FULL_COMPILER, Map.of())) {
            Hand instructor = new Hand(server.base());
            String plan = Hand.location(instructor.post("/prep/heat-of-solution", "name=Rehearsed&at-solid/mass=6"));
            at = Hand.location(instructor.post(
                    plan + "/rehearsal",
                    "benches=" + BENCHES + "&trials=" + TRIALS + "&speed=" + SPEED
                            + "&balance=2&seed=7&slip=lid-off&slip=undissolved&slip=digits"));
            watched(server, instructor, at, 50);
            server.kill();
        }
        System.out.println("killed in the middle, and started again");
        try (Server server = Server.start(home, Server.FULL_COMPILER, Map.of())) {
            Hand instructor = new Hand(server.base());
            watched(server, instructor, at, 100);
            System.out.println(told(instructor.get(at).body()));
            String after = instructor.get(at.replace("rehearsal", "after")).body();
            System.out.println("runs read to their end: "
                    + Pattern.compile("number\">100 %").matcher(after).results().count() + " of " + BENCHES);
        }
    }

    /** Looks at the class until so much of the evening is over. */
    private static void watched(Server server, Hand instructor, String at, int percent) throws InterruptedException {
        Times page = new Times();
        int passed = 0;
        try (Chromium browser = new Chromium();
                BrowserContext context = browser.context(server, instructor)) {
            Page shown = context.newPage();
            shown.navigate(at.replace("rehearsal", "class"));
            CDPSession tools = context.newCDPSession(shown);
            tools.send("Performance.enable");
            double worked = Chromium.tasks(tools);
            double began = System.nanoTime() / 1e9;
            while (passed < percent) {
                shown.waitForTimeout(EVERY);
                long asked = System.nanoTime();
                String body = instructor.get(at).body();
                page.add((System.nanoTime() - asked) / 1e6);
                passed = body.contains("all benches are done")
                        ? 100
                        : Integer.parseInt(body.replaceAll("(?s).*<progress max=\"100\" value=\"(\\d+)\".*", "$1"));
            }
            page.print("the rehearsal’s page, looked at every two seconds");
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %.3f%n",
                    "what the class page works meanwhile (TaskDuration)",
                    (Chromium.tasks(tools) - worked) / (System.nanoTime() / 1e9 - began));
        }
    }

    private static String told(String page) {
        return page.replaceAll("(?s).*<h1", "<h1")
                .replaceAll("(?s)</section>.*", "")
                .replaceAll("</tr>|</li>|</h2>", "\n")
                .replaceAll("<[^>]+>", " ")
                .replaceAll("[ \t]+", " ")
                .replaceAll("\n\\s+", "\n");
    }
}

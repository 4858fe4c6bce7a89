package lab.sassafras.benchmarks.house;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import lab.sassafras.app.Hand;

/**
 * The notebook of a period with a thousand entries: first look after a start, looks after that, and after one value
 * more.
 */
public final class Notebook {

    private static final int ENTRIES = 1000;

    private Notebook() {}

    public static void main(String[] arguments) throws Exception {
        Path home = Files.createTempDirectory("notebook");
        try (Server server = Server.start(home, Server.FULL_COMPILER, Map.of())) {
            Hand hand = new Hand(server.base());
            for (int i = 0; i < ENTRIES; i++) {
                Book.bring(hand, i % 2 == 0 ? "2-grey-slug.json" : "8-salt.json", "Bench " + i);
            }
        }
        try (Server server = Server.start(home, Server.FULL_COMPILER, Map.of())) {
            Hand hand = new Hand(server.base());
            String page = "/notebook";
            Times first = new Times();
            int shown = first.of(() -> hand.get(page)).body().split("/entries/").length - 1;
            first.print("notebook of " + shown + " entries, first look after a start");
            Times ready = new Times();
            ready.of(() -> untilAllAreThere(hand, page));
            ready.print("the same, until no result is still being worked out");
            Times after = new Times();
            for (int i = 0; i < 60; i++) {
                (i < 30 ? new Times() : after).of(() -> hand.get(page));
            }
            after.print("the same, looked at again");
            String entry = Book.entries(hand).get(0);
            Hand bench = new Hand(server.base())
                    .join(hand.get("/periods").body().replaceAll("(?s).*?(/periods/[0-9a-f-]{36}).*", "$1"), "Bench 0");
            Times one = new Times();
            for (int i = 0; i < 30; i++) {
                bench.post(entry + "/open", "what=trial");
                one.of(() -> hand.get(page));
            }
            one.print("the same, after something was added to one entry");
        }
    }

    private static String untilAllAreThere(Hand hand, String page) {
        String shown = hand.get(page).body();
        while (shown.contains("being worked out")) {
            shown = hand.get(page).body();
        }
        return shown;
    }
}

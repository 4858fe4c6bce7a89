package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lab.sassafras.app.Hand;

/** Run files of the demo class, and what a server has of them. */
final class Book {

    private static final Pattern ENTRY = Pattern.compile("/entries/([0-9a-f-]{36})/result");
    private static final Pattern PERIOD = Pattern.compile("/notebook\\?period=([0-9a-f-]{36})");

    private Book() {}

    /** A run file of the demo, at a bench of another name, so that it is another run. */
    static byte[] run(String file, String bench) throws IOException {
        Path demo = Stream.of("app", "../app")
                .map(each -> Path.of(each, "src/main/resources/demo", file))
                .filter(Files::exists)
                .findFirst()
                .orElseThrow();
        return Files.readString(demo)
                .replaceFirst("\"bench\"\\s*:\\s*\"[^\"]*\"", "\"bench\": \"" + bench + "\"")
                .getBytes(StandardCharsets.UTF_8);
    }

    /** Brings a run in. @return path of the entry */
    static String bring(Hand hand, String file, String bench) throws IOException {
        return Hand.location(hand.upload(bench + ".json", run(file, bench))).replace("/result", "");
    }

    /** Paths of every entry a server has. */
    static List<String> entries(Hand hand) {
        Set<String> entries = new LinkedHashSet<>();
        String notebook = hand.get("/notebook").body();
        add(entries, notebook);
        Matcher period = PERIOD.matcher(notebook);
        while (period.find()) {
            add(entries, hand.get(period.group()).body());
        }
        return List.copyOf(entries);
    }

    private static void add(Set<String> entries, String page) {
        Matcher entry = ENTRY.matcher(page);
        while (entry.find()) {
            entries.add("/entries/" + entry.group(1));
        }
    }
}

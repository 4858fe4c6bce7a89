package lab.sassafras.app.notebook;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lab.sassafras.app.sheet.EntrySheet;
import org.springframework.stereotype.Component;

/** The chapters of results: their titles, worked once for each kept result and trial, and which of them are open. */
@Component
class Chapters {

    private final Cache<EntrySheet, Map<Integer, List<Chapter.Title>>> titles =
            Caffeine.newBuilder().weakKeys().build();

    /**
     * One of them as the page shows it.
     *
     * @param key     as it stands in addresses
     * @param title   what it is called
     * @param essence what it comes to
     * @param open    whether it is open
     * @param turned  which are open once it is opened, or closed again
     */
    public record Shown(String key, String title, String essence, boolean open, String turned) {}

    /** The chapters of a result. */
    List<Shown> of(EntrySheet entry, ResultView view, OpenChapters open) {
        return titles
                .get(entry, any -> new ConcurrentHashMap<>())
                .computeIfAbsent(view.shownTrial(), any -> titles(view))
                .stream()
                .map(each -> new Shown(
                        each.key(),
                        each.title(),
                        each.essence(),
                        open.has(each.key()),
                        open.turned(each.key()).text()))
                .toList();
    }

    private static List<Chapter.Title> titles(ResultView view) {
        return Arrays.stream(Chapter.values())
                .map(each -> each.of(view))
                .flatMap(Optional::stream)
                .toList();
    }
}

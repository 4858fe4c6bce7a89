package lab.sassafras.app.notebook;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.verdict.Lazy;
import org.springframework.stereotype.Component;

/** The chapters of results: their titles, worked once for each kept result and trial, and which of them are open. */
@Component
class Chapters {

    /** What one trial of a kept result shows, worked once. */
    private record Told(ResultView view, Lazy<List<Chapter.Title>> titles) {}

    /** A result as its page shows it, the same for as long as nothing is added to it. */
    ResultView view(EntrySheet entry, Optional<Integer> trial) {
        return told(entry, new ResultView(entry, trial)).view();
    }

    private Told told(EntrySheet entry, ResultView view) {
        return entry.reduction()
                .once(view.shownTrial(), Told.class, () -> new Told(view, new Lazy<>(() -> titles(view))));
    }

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
        return told(entry, view).titles().get().stream()
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

package lab.sassafras.app.sheet;

import java.util.List;
import java.util.stream.Collectors;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;

/**
 * What must be ticked off before a step that can hurt. Asked where a value is kept that a hand gives; a file tells what
 * was done and is not asked.
 */
public final class Ticks {

    private Ticks() {}

    /**
     * One of them.
     *
     * @param words in words
     * @param query of the page that asks for it
     */
    public record Open(String words, String query) {}

    /** What is still open before a step; nothing where the run is copied from paper and was ticked off there. */
    public static List<Open> open(EntrySheet entry, Address step) {
        if (entry.decisions().copiedFromPaper().isPresent()) {
            return List.of();
        }
        return entry.sheet().tasks().unticked(step).stream()
                .map(each -> new Open(
                        entry.experiment().words().label(each.path()),
                        new WrittenSheet.Link(each.toString(), null).query()))
                .toList();
    }

    /** Refuses where anything is still open before a step. */
    public static void check(EntrySheet entry, Address step) {
        List<Open> open = open(entry, step);
        if (!open.isEmpty()) {
            throw new Refused("Not yet. First tick off: "
                    + open.stream().map(Open::words).collect(Collectors.joining("; ")) + ".");
        }
    }
}

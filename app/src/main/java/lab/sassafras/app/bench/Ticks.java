package lab.sassafras.app.bench;

import java.util.List;
import java.util.stream.Collectors;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.experiment.Address;
import lab.sassafras.measure.Refused;

/** What must be ticked off before a step that can hurt. Files tell what was done and are not asked. */
final class Ticks {

    private Ticks() {}

    /**
     * One of them.
     *
     * @param words in words
     * @param query of the page that asks for it
     */
    record Open(String words, String query) {}

    static List<Open> open(EntrySheet entry, Address step) {
        return entry.sheet().unticked(step).stream()
                .map(each -> new Open(
                        entry.experiment().words().label(each.path()),
                        new WrittenSheet.Link(each.toString(), null).query()))
                .toList();
    }

    /** @throws Refused where anything is still open */
    static void check(EntrySheet entry, Address step) {
        List<Open> open = open(entry, step);
        if (!open.isEmpty()) {
            throw new Refused("Not yet. First tick off: "
                    + open.stream().map(Open::words).collect(Collectors.joining("; ")) + ".");
        }
    }
}

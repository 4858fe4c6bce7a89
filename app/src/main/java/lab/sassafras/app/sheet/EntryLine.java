package lab.sassafras.app.sheet;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import lab.sassafras.app.record.Entry;
import lab.sassafras.experiment.Experiments;

/** An entry in a list. */
public record EntryLine(String id, String title, String when) {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH);

    public static EntryLine of(Entry entry, ZoneId zone) {
        String title = Experiments.find(entry.experiment()).map(each -> each.words().title()).orElse(entry.experiment());
        return new EntryLine(entry.id().toString(), title, WHEN.format(entry.createdAt().atZone(zone)));
    }
}

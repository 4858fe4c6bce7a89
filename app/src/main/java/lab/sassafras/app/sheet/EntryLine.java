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
        String title = Experiments.findOrUnknown(entry.experiment()).words().title()
                + (entry.simulated() ? ", simulated" : "");
        return new EntryLine(entry.id().toString(), title, WrittenTime.of(entry.createdAt(), zone, WHEN));
    }
}

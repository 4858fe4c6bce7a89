package lab.sassafras.app.sheet;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.NoteBook;
import org.springframework.stereotype.Component;

/** Notes at an entry as a page shows them. */
@Component
public class WrittenNotes {

    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    private final NoteBook notes;

    WrittenNotes(NoteBook notes) {
        this.notes = notes;
    }

    /** A note: what it says, by whom, and when in the zone of its period. */
    public record Written(String text, String who, String at) {}

    /** {@return those at an entry, in order} */
    public List<Written> of(Entry entry) {
        return notes.of(entry.id()).stream()
                .map(each -> new Written(
                        each.text(),
                        each.who(),
                        WrittenTime.of(each.madeAt(), entry.period().zone(), MOMENT)))
                .toList();
    }
}

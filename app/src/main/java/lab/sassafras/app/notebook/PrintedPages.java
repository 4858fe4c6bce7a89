package lab.sassafras.app.notebook;

import java.util.Iterator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.function.Function;
import lab.sassafras.app.notebook.NotebookController.Printed;
import lab.sassafras.app.record.Entry;
import lab.sassafras.measure.TimeBudget;
import org.jspecify.annotations.Nullable;

/**
 * Entries as pages, each worked only when the page before it is on its way, so that the first arrive at once. Where the
 * time of a request runs out, the rest is counted, not left out in silence.
 */
public final class PrintedPages implements Iterable<Printed> {

    private final List<Entry> entries;
    private final Function<Entry, Printed> printing;
    private int worked;

    PrintedPages(List<Entry> entries, Function<Entry, Printed> printing) {
        this.entries = List.copyOf(entries);
        this.printing = printing;
    }

    /** How many are not among those that were handed out. */
    public int left() {
        return entries.size() - worked;
    }

    @Override
    public Iterator<Printed> iterator() {
        return new Iterator<>() {
            private @Nullable Printed next;
            private boolean late;

            @Override
            public boolean hasNext() {
                if (next == null && !late && worked < entries.size()) {
                    try {
                        next = printing.apply(entries.get(worked));
                    } catch (TimeBudget.OutOfTime out) {
                        late = true;
                    }
                }
                return next != null;
            }

            @Override
            public Printed next() {
                if (!hasNext() || next == null) {
                    throw new NoSuchElementException();
                }
                Printed given = next;
                next = null;
                worked++;
                return given;
            }
        };
    }
}

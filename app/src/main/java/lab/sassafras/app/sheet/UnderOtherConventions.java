package lab.sassafras.app.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.verdict.Reduction;
import org.springframework.stereotype.Service;

/** What results come to where the conventions of their period are others: those that may come, and those that were. */
@Service
public class UnderOtherConventions {

    /** Relative difference of two numbers that are one and the same. */
    private static final double SAME = 1e-9;

    private final EntryBook entryBook;
    private final PeriodBook periodBook;
    private final EntrySheets sheets;

    UnderOtherConventions(EntryBook entryBook, PeriodBook periodBook, EntrySheets sheets) {
        this.entryBook = entryBook;
        this.periodBook = periodBook;
        this.sheets = sheets;
    }

    /**
     * How far the results of a period move.
     *
     * @param results how many there are
     * @param moved   how many come to another number, or to none
     * @param percent by how much at most (%)
     * @param lost    how many would come to no number, for want of a reading the conventions ask for
     */
    public record Moved(int results, int moved, double percent, int lost) {}

    /** How far the results of a period would move under other conventions of it. */
    public Moved moved(Period period, Map<String, String> schools) {
        int results = 0;
        int moved = 0;
        int lost = 0;
        double most = 0;
        for (EntrySheet entry : entryBook.of(period).stream().map(sheets::of).toList()) {
            TimeBudget.check();
            Optional<Estimate> now = entry.reduction().result();
            if (now.isPresent()) {
                Optional<Estimate> then = under(entry, schools).result();
                double by = then.map(each -> relative(now.get().value(), each.value()))
                        .orElse(0.0);
                results++;
                moved += then.isEmpty() || by > SAME ? 1 : 0;
                lost += then.isEmpty() ? 1 : 0;
                most = Math.max(most, 100 * by);
            }
        }
        return new Moved(results, moved, most, lost);
    }

    private static double relative(double one, double other) {
        return Math.abs(other - one) / Math.max(Math.abs(one), Double.MIN_NORMAL);
    }

    private static Reduction under(EntrySheet entry, Map<String, String> schools) {
        Conventions other = Conventions.of(entry.decisions().schools()).over(Conventions.of(schools));
        return Reduction.of(entry.sheet().with(entry.sheet().setting().with(other)), other);
    }

    /**
     * What a result was before the conventions of its period were set anew.
     *
     * @param decided  the last decision over them
     * @param reduction under the conventions the entry was begun with
     */
    public record Former(PeriodBook.Resettled decided, Reduction reduction) {}

    /** What a result was under the conventions it was begun with; empty where they are still in use. */
    public Optional<Former> former(EntrySheet entry) {
        List<PeriodBook.Resettled> since = periodBook.resettled(entry.entry().period()).stream()
                .filter(each -> each.decision().madeAt().isAfter(entry.entry().createdAt()))
                .toList();
        if (since.isEmpty()) {
            return Optional.empty();
        }
        Map<String, String> schools = new HashMap<>(entry.entry().period().schools());
        for (int i = since.size() - 1; i >= 0; i--) {
            schools.put(since.get(i).question(), since.get(i).was());
        }
        return Optional.of(new Former(since.get(since.size() - 1), under(entry, schools)));
    }
}

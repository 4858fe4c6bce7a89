package lab.sassafras.app.people;

import java.util.function.Predicate;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import org.springframework.stereotype.Component;

/**
 * From whom it is withheld what a result should be. A bench of a period that withholds answers gets sheets that are
 * worked without them, so that no page, file or list made of a sheet can hold one.
 */
@Component
public class Withholding {

    private final PeriodBook periodBook;

    Withholding(PeriodBook periodBook) {
        this.periodBook = periodBook;
    }

    /** Whether it is withheld from whoever the work in hand is done for. */
    public boolean from(Entry entry) {
        return concerned(entry.period()) && !periodBook.told(entry.period()).tells(entry);
    }

    /** The same of many entries of a period, for a list. */
    public Predicate<Entry> of(Period period) {
        if (!concerned(period)) {
            return any -> false;
        }
        PeriodBook.Told told = periodBook.told(period);
        return entry -> !told.tells(entry);
    }

    /** Whether the handbook is not for a visitor: for a bench whose period withholds answers and has not told all. */
    boolean handbook(Visitor visitor) {
        return visitor.role() == Role.BENCH
                && visitor.seat()
                        .map(Bench::period)
                        .filter(period -> period.withholds()
                                && !periodBook.told(period).revealed().contains(PeriodBook.Told.all(period)))
                        .isPresent();
    }

    private static boolean concerned(Period period) {
        return period.withholds()
                && Visitors.now().filter(visitor -> !visitor.instructor()).isPresent();
    }
}

package lab.sassafras.app.notebook;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.people.Visitors;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.record.Shown;
import lab.sassafras.app.record.ShownBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Records each number when it is first shown, and says where the same readings gave another number before. */
@Component
class FirstShown {

    private static final Logger LOG = LoggerFactory.getLogger(FirstShown.class);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);
    /** Relative difference of two numbers that are one and the same. */
    private static final double SAME = 1e-9;

    private final ShownBook shownBook;
    private final Cache<EntrySheet, Optional<String>> said =
            Caffeine.newBuilder().weakKeys().build();

    FirstShown(ShownBook shownBook) {
        this.shownBook = shownBook;
    }

    /** What was shown before, in words, where today's method gives another number from the same readings. */
    Optional<String> otherwise(EntrySheet entry) {
        return said.get(entry, this::worked);
    }

    private Optional<String> worked(EntrySheet entry) {
        return entry.reduction().result().flatMap(now -> {
            int method = entry.experiment().method();
            String state = state(entry);
            List<Shown> before = shownBook.of(entry.entry().id(), state);
            boolean known = before.stream().anyMatch(each -> each.method() == method);
            // looking at a closed period writes nothing, nor does a reader
            boolean reader = Visitors.now().flatMap(Visitor::reads).isPresent();
            if (!known && !reader && entry.entry().period().open()) {
                note(entry, new Shown.Key(entry.entry().id(), state, method), now);
            }
            return before.stream()
                    .filter(each -> !same(each.value(), now.value()) || !same(each.uncertainty(), now.uncertainty()))
                    .findFirst()
                    .map(each -> inWords(entry, each, method));
        });
    }

    /** A number that cannot be noted, as on a full disk, is shown all the same. */
    private void note(EntrySheet entry, Shown.Key key, Estimate now) {
        try {
            shownBook.note(
                    key,
                    now.value(),
                    now.uncertainty(),
                    entry.reduction().unit().symbol());
        } catch (Refused | DataAccessException | TransactionException failed) {
            LOG.warn(
                    "the number of entry {} could not be noted: {}",
                    entry.entry().id(),
                    failed.getMessage());
        }
    }

    private static boolean same(double one, double other) {
        return Math.abs(one - other) <= SAME * Math.max(Math.abs(one), Math.abs(other));
    }

    private static String inWords(EntrySheet entry, Shown before, int method) {
        Figures figures = entry.entry().period().figures();
        return "On " + WrittenTime.of(before.shownAt(), entry.entry().period().zone(), DAY)
                + " these same readings gave "
                + figures.byUncertainty(before.value(), before.uncertainty()) + " ± "
                + figures.uncertainty(before.uncertainty()) + " " + before.unit() + " (standard uncertainty)"
                + ", by method " + before.method() + ". What stands here is by today’s method, " + method + ".";
    }

    /** What a number was worked from: how much was kept of the entry and of those it draws on. */
    private static String state(EntrySheet entry) {
        return Hashes.of(entry.stamps().toString());
    }
}

package lab.sassafras.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Function;
import java.util.function.Predicate;
import lab.sassafras.app.people.Withholding;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.EntryRows;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revision;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.settings.HouseSettings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Where every entry of a period stands, for lists. A line is kept until something is added to its entry; an entry that
 * cannot be worked does not hide the others. Many lines at once are worked by a hand of their own, newest periods first
 * when the server opens, so that nobody waits longer than a moment: what is not worked by then is said to be.
 */
@Service
public class EntrySummaries {

    private static final Logger LOG = LoggerFactory.getLogger(EntrySummaries.class);
    /** Entries worked at once by whoever asks. */
    private static final int FEW = 20;

    private static final int PERIODS_AT_OPENING = 5;

    private final EntrySheets sheets;
    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final Revisions stamps;
    private final Withholding withholding;
    private final Cache<Key, Kept<EntrySummary>> kept;
    private final Cache<Key, Kept<Optional<BesideLine>>> besides;
    private final Map<Key, CompletableFuture<Void>> inHand = new ConcurrentHashMap<>();
    private final ExecutorService hand = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "standing-lines");
        thread.setDaemon(true);
        return thread;
    });

    EntrySummaries(
            EntrySheets sheets,
            PeriodBook periodBook,
            EntryBook entryBook,
            Revisions stamps,
            Withholding withholding,
            HouseSettings settings) {
        this.withholding = withholding;
        this.kept = Caffeine.newBuilder().maximumSize(settings.limits().lines()).build();
        this.besides = Caffeine.newBuilder()
                .maximumSize((long) BESIDE * settings.limits().entries())
                .build();
        this.sheets = sheets;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.stamps = stamps;
    }

    /** What lies beside others is a tenth of a whole entry to keep. */
    private static final int BESIDE = 10;

    private record Kept<T>(T line, List<Revision> stamps, Revisions.Shelf shelf) {}

    /** An entry as it is told to one or the other: without what its result should be, or with it. */
    private record Key(UUID of, boolean withheld) {}

    /** What comes of working an entry out. */
    private record Worked(EntrySummary line, Optional<BesideLine> beside) {}

    @EventListener(ApplicationReadyEvent.class)
    void open() {
        hand.execute(() -> periodBook.all().stream()
                .limit(PERIODS_AT_OPENING)
                .forEach(each -> workOut(each, kept, any -> false, false)));
    }

    @PreDestroy
    void close() {
        hand.shutdownNow();
    }

    /**
     * Lines of entries of a period, in their order.
     *
     * @param patience how long to wait where many are not worked yet
     */
    public List<EntrySummary> of(List<Entry> entries, Period period, Duration patience) {
        Map<UUID, EntrySummary> lines = lines(kept, Worked::line, entries, period, patience);
        return entries.stream()
                .map(entry -> lines.getOrDefault(entry.id(), EntrySummary.waiting(entry)))
                .toList();
    }

    /**
     * What entries of a period give to be laid beside each other, by their identity and in their order; one that has no
     * result yet gives nothing, and one that is not there is still being worked.
     *
     * @param patience how long to wait where many are not worked yet
     */
    public Map<UUID, Optional<BesideLine>> beside(List<Entry> entries, Period period, Duration patience) {
        Map<UUID, Optional<BesideLine>> lines = lines(besides, Worked::beside, entries, period, patience);
        Map<UUID, Optional<BesideLine>> inOrder = new LinkedHashMap<>();
        entries.forEach(
                entry -> Optional.ofNullable(lines.get(entry.id())).ifPresent(line -> inOrder.put(entry.id(), line)));
        return inOrder;
    }

    private <T> Map<UUID, T> lines(
            Cache<Key, Kept<T>> cache,
            Function<Worked, T> part,
            List<Entry> entries,
            Period period,
            Duration patience) {
        Revisions.Shelf shelf = stamps.shelf();
        Map<UUID, Revision> now = stamps.of(period);
        Predicate<Entry> withheld = withholding.of(period);
        Key key = new Key(period.id(), entries.stream().anyMatch(withheld));
        Map<UUID, T> lines = held(cache, entries, now, shelf, withheld);
        List<Entry> stale =
                entries.stream().filter(entry -> !lines.containsKey(entry.id())).toList();
        if (stale.size() > FEW) {
            await(
                    inHand.computeIfAbsent(
                            key,
                            any -> CompletableFuture.runAsync(
                                    () -> workOut(period, cache, withheld, key.withheld()), hand)),
                    patience);
            lines.putAll(held(cache, stale, now, shelf, withheld));
        } else {
            stale.forEach(entry -> lines.put(
                    entry.id(),
                    part.apply(
                            worked(entry, entryBook.rows(entry.id()), own(entry, now), shelf, withheld.test(entry)))));
        }
        return lines;
    }

    private static void await(CompletableFuture<Void> work, Duration patience) {
        try {
            work.get(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException | ExecutionException notYet) {
            LOG.debug("not all lines are worked yet", notYet);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private <T> Map<UUID, T> held(
            Cache<Key, Kept<T>> cache,
            List<Entry> entries,
            Map<UUID, Revision> now,
            Revisions.Shelf shelf,
            Predicate<Entry> withheld) {
        Map<UUID, T> lines = new LinkedHashMap<>();
        entries.forEach(entry -> Optional.ofNullable(cache.getIfPresent(new Key(entry.id(), withheld.test(entry))))
                .filter(known -> known.shelf.equals(shelf) && holds(known.stamps, own(entry, now)))
                .ifPresent(known -> lines.put(entry.id(), known.line)));
        return lines;
    }

    /** The book is asked only for one that draws on others. */
    private boolean holds(List<Revision> then, Revision own) {
        return then.get(0).equals(own) && (then.size() == 1 || sheets.holds(then, own));
    }

    private static Revision own(Entry entry, Map<UUID, Revision> now) {
        return now.getOrDefault(entry.id(), new Revision(entry.id(), 0, 0, 0, 0, ""));
    }

    /** Works out every line of a period that is not kept. */
    private <T> void workOut(Period period, Cache<Key, Kept<T>> cache, Predicate<Entry> withheld, boolean some) {
        try {
            long began = System.nanoTime();
            Revisions.Shelf shelf = stamps.shelf();
            Map<UUID, Revision> now = stamps.of(period);
            List<Entry> entries = entryBook.of(period);
            Set<UUID> held = held(cache, entries, now, shelf, withheld).keySet();
            Map<UUID, EntryRows> rows = held.size() == entries.size() ? Map.of() : entryBook.rows(period);
            entries.stream()
                    .filter(entry -> !held.contains(entry.id()))
                    .takeWhile(any -> !Thread.currentThread().isInterrupted())
                    .forEach(entry -> worked(
                            entry,
                            rows.getOrDefault(entry.id(), EntryRows.NONE),
                            own(entry, now),
                            shelf,
                            withheld.test(entry)));
            LOG.info(
                    "worked out {} lines of “{}” in {} ms",
                    entries.size() - held.size(),
                    period.title(),
                    (System.nanoTime() - began) / 1_000_000);
        } finally {
            inHand.remove(new Key(period.id(), some));
        }
    }

    private Worked worked(Entry entry, EntryRows rows, Revision own, Revisions.Shelf shelf, boolean withheld) {
        try {
            EntrySheet sheet = sheets.fresh(entry, rows, own, shelf, withheld);
            Key key = new Key(entry.id(), withheld);
            Worked worked = new Worked(EntrySummary.of(sheet), BesideLine.of(sheet));
            kept.put(key, new Kept<>(worked.line, sheet.stamps(), shelf));
            besides.put(key, new Kept<>(worked.beside, sheet.stamps(), shelf));
            return worked;
        } catch (RuntimeException fault) {
            LOG.error("entry {} could not be worked", entry.id(), fault);
            return new Worked(EntrySummary.notWorked(entry), Optional.empty());
        }
    }
}

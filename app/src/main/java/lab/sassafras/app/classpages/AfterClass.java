package lab.sassafras.app.classpages;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.notebook.ToLookAt;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.app.sheet.EntrySummary;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.hour.Marks;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Slot;
import org.springframework.stereotype.Component;

/** What a class leaves behind: who is done, who lacks what, what was corrected or excluded, what is still open. */
@Component
class AfterClass {

    /** How long is waited for runs that are not worked out yet. */
    private static final Duration A_WHILE = Duration.ofSeconds(2);

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    private final PeriodBook periods;
    private final EntryBook entries;
    private final EntrySheets sheets;
    private final EntrySummaries summaries;
    private final ClassBook book;
    private final java.time.Clock clock;

    AfterClass(
            PeriodBook periods,
            EntryBook entries,
            EntrySheets sheets,
            EntrySummaries summaries,
            ClassBook book,
            java.time.Clock clock) {
        this.periods = periods;
        this.entries = entries;
        this.sheets = sheets;
        this.summaries = summaries;
        this.book = book;
        this.clock = clock;
    }

    /**
     * A run as it was left.
     *
     * @param entry       of it
     * @param bench       that did it
     * @param what        it is
     * @param state       in words
     * @param result      with its interval; empty without one
     * @param lacks       what must be filled next; empty where nothing must
     * @param talk        what to talk about with its bench
     * @param off         deviation in units of what both intervals allow
     * @param complete    part of what is to be read that was
     * @param corrections something was corrected so many times
     */
    public record Run(
            UUID entry,
            String bench,
            String what,
            String state,
            String result,
            String lacks,
            List<String> talk,
            OptionalDouble off,
            double complete,
            int corrections) {

        /** {@return its mark; empty where none can be given} */
        public OptionalDouble mark(Marks marks) {
            return marks.of(off, complete, corrections);
        }

        /** {@return how much of it was read, in per cent} */
        public long percent() {
            return Math.round(100 * complete);
        }
    }

    /** A correction or an exclusion, with its reason. */
    public record Change(UUID entry, String bench, String what, String reason, String who, String when, Instant at) {}

    /**
     * What was left.
     *
     * @param runs    the benches’ runs, by bench
     * @param changes in the order they were made
     * @param open    what is still open, in words
     */
    public record Left(List<Run> runs, List<Change> changes, List<String> open) {}

    Left of(Period period) {
        List<Entry> all = new ArrayList<>(entries.of(period));
        all.sort(Comparator.comparing((Entry each) -> each.bench().name()).thenComparing(Entry::createdAt));
        Map<UUID, EntrySummary> stand = new HashMap<>();
        summaries.of(all, period, A_WHILE).forEach(each -> stand.put(each.entry(), each));
        List<BesideLine> beside = summaries.beside(all, period, A_WHILE).values().stream()
                .flatMap(Optional::stream)
                .toList();
        ToLookAt look = new ToLookAt(beside, clock.instant(), period.zone(), period.figures());
        List<Run> runs = new ArrayList<>();
        List<Change> changes = new ArrayList<>();
        for (Entry each : all) {
            EntrySheet sheet = sheets.of(each);
            EntrySummary line = stand.getOrDefault(each.id(), EntrySummary.waiting(each));
            List<Change> own = changes(each, sheet, period);
            changes.addAll(own);
            runs.add(new Run(
                    each.id(),
                    each.bench().name(),
                    sheet.experiment().words().title(),
                    line.waiting() ? "being worked out" : line.state().words(),
                    line.result().map(Object::toString).orElse(""),
                    line.state() == EntrySummary.State.UNDER_WAY ? line.lacks() : "",
                    look.of(line),
                    line.off().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                    complete(sheet),
                    (int) sheet.observations().all().stream()
                            .filter(row -> row.supersedes().isPresent())
                            .count()));
        }
        changes.sort(Comparator.comparing(Change::at));
        return new Left(runs, changes, open(period, runs));
    }

    /** What part of what must be filled is. */
    private static double complete(EntrySheet sheet) {
        List<Tasks.Ask> asks = IntStream.rangeClosed(1, sheet.sheet().trials())
                .mapToObj(trial -> sheet.sheet().tasks().asks(trial))
                .flatMap(List::stream)
                .filter(ask -> !ask.step().aside()
                        && sheet.experiment()
                                .slot(ask.address().path())
                                .filter(Slot::optional)
                                .isEmpty())
                .toList();
        long done = asks.stream().filter(sheet.sheet().tasks()::done).count();
        return asks.isEmpty() ? 0 : (double) done / asks.size();
    }

    private static List<Change> changes(Entry entry, EntrySheet sheet, Period period) {
        List<Change> all = new ArrayList<>();
        for (Observation each : sheet.observations().all()) {
            each.supersedes()
                    .flatMap(sheet.observations()::find)
                    .ifPresent(old -> all.add(new Change(
                            entry.id(),
                            entry.bench().name(),
                            label(sheet, each.address()) + ": " + old.text()
                                    + (each.strikeOut() ? " struck" : " corrected to " + each.text()),
                            each.reason().orElse(""),
                            each.who(),
                            WrittenTime.of(each.madeAt(), period.zone(), HOUR),
                            each.madeAt())));
        }
        for (Decision each : sheet.decisions().all()) {
            if (each.outcome().equals(Decision.OUT)
                    || each.outcome().equals(Decision.ASIDE)
                    || each.outcome().equals(Decision.IN)) {
                all.add(new Change(
                        entry.id(),
                        entry.bench().name(),
                        (each.subject().equals(Decisions.ENTRY) ? "the run" : each.subject())
                                + (each.outcome().equals(Decision.IN) ? " included again" : " excluded"),
                        each.reason(),
                        each.who(),
                        WrittenTime.of(each.madeAt(), period.zone(), HOUR),
                        each.madeAt()));
            }
        }
        return all;
    }

    private static String label(EntrySheet sheet, String address) {
        String path = address.replaceAll("\\[\\d+\\]", "");
        return sheet.experiment().slot(path).isPresent()
                ? sheet.experiment().words().label(path)
                : address;
    }

    private List<String> open(Period period, List<Run> runs) {
        List<String> open = new ArrayList<>();
        Passed passed = book.passed(period);
        runs.stream()
                .filter(each -> each.state().equals(EntrySummary.State.UNDER_WAY.words()))
                .forEach(each -> open.add(each.bench() + ": " + each.what()
                        + (each.lacks().isEmpty() ? " is under way" : " lacks " + each.lacks())));
        for (Bench bench : periods.benches(period)) {
            if (passed.raised(bench).isPresent()) {
                open.add(bench.name() + ": hand raised");
            }
            if (passed.held(bench).isPresent()) {
                open.add(bench.name() + ": held");
            }
        }
        return open;
    }
}

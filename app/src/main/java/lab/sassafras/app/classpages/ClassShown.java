package lab.sassafras.app.classpages;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lab.sassafras.app.classroom.ClassEvent;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.hour.BenchNow;
import lab.sassafras.hour.Concern;
import org.jspecify.annotations.Nullable;

/** The benches of a period, what needs a look and what was told, as the class page has them in words. */
final class ClassShown {

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** Of seconds nobody reads more (s). */
    private static final int STEP = 5;

    private ClassShown() {}

    /**
     * A bench as it is shown.
     *
     * @param id      of it
     * @param name    of it
     * @param entry   its newest run; null where it began none
     * @param what    it does
     * @param leaves  of its procedure
     * @param inHand  the step in hand, in words
     * @param last    value recorded last
     * @param ago     how long that is ago
     * @param silent  whether that is long
     * @param looks   what needs a look
     * @param waits   for what it waits by the hour; empty where it does not
     * @param raised  whether its hand is raised
     * @param held    why it is held; null where it is not
     * @param beside  what an instructor noted beside it
     */
    public record Row(
            UUID id,
            String name,
            @Nullable UUID entry,
            String what,
            String leaves,
            String inHand,
            String last,
            String ago,
            boolean silent,
            List<String> looks,
            String waits,
            boolean raised,
            @Nullable String held,
            List<String> beside) {}

    /** What needs a look, with where it leads; null where the bench began nothing. */
    public record Urgent(
            String bench,
            String words,
            String ago,
            String kind,
            @Nullable UUID entry) {}

    /** A note that was told, and who saw it. */
    public record Told(String text, String to, String when, String seen) {}

    static Urgent urgent(Concern concern, Optional<ClassLines.BenchLine> line) {
        return new Urgent(
                concern.bench(),
                concern.words(),
                line.map(each -> ago(concern.since(), each.now().now())).orElse(""),
                concern.kind().name().toLowerCase(Locale.ROOT),
                line.flatMap(ClassLines.BenchLine::entry).map(Entry::id).orElse(null));
    }

    /** Nobody is silent who waits by the hour. */
    static boolean looked(Concern concern, Map<String, String> waits) {
        return concern.kind() != Concern.Kind.SILENT || !waits.containsKey(concern.bench());
    }

    static Row row(ClassLines.BenchLine line, Passed passed, Map<String, String> waits) {
        BenchNow now = line.now();
        List<Concern> concerns =
                now.concerns().stream().filter(each -> looked(each, waits)).toList();
        String inHand = now.sheet().isEmpty()
                ? "nothing begun"
                : now.next()
                        .map(ask -> now.sheet()
                                .orElseThrow()
                                .experiment()
                                .words()
                                .label(ask.address().path()))
                        .orElse("all read");
        boolean begun = now.sheet().isPresent();
        String ago = ago(now.lastAt(), now.now());
        return new Row(
                line.bench().id(),
                line.bench().name(),
                line.entry().map(Entry::id).orElse(null),
                now.sheet()
                        .map(sheet -> sheet.experiment().words().title() + ", trial " + sheet.trials())
                        .orElse(""),
                line.leaves(),
                inHand,
                line.lastText(),
                !begun ? "" : now.next().isEmpty() ? "done " + ago : ago,
                concerns.stream().anyMatch(each -> each.kind() == Concern.Kind.SILENT),
                concerns.stream().map(Concern::words).toList(),
                waits.getOrDefault(line.bench().name(), ""),
                passed.raised(line.bench()).isPresent(),
                passed.held(line.bench())
                        .map(each -> each.text().isEmpty() ? "stop, wait for me" : each.text())
                        .orElse(null),
                passed.beside(line.bench()).stream()
                        .map(each -> each.text() + " (" + each.who() + ")")
                        .toList());
    }

    private static String ago(Instant since, Instant now) {
        Duration time = Duration.between(since, now);
        return time.toSeconds() < STEP
                ? "just now"
                : time.toMinutes() < 1
                        ? time.toSeconds() / STEP * STEP + " s ago"
                        : time.toHours() < 2
                                ? time.toMinutes() + " min ago"
                                : time.toDays() < 2 ? time.toHours() + " h ago" : time.toDays() + " days ago";
    }

    /** How long a trial takes this class: the median of the runs in which all is read; empty before there is one. */
    static Optional<Duration> trial(ClassLines.ClassNow now) {
        List<Duration> times = now.benches().stream()
                .filter(each ->
                        each.now().sheet().isPresent() && each.now().next().isEmpty())
                .map(each -> Duration.between(
                                now.clock().at(each.entry().orElseThrow().createdAt()),
                                each.now().lastAt())
                        .dividedBy(each.now().sheet().orElseThrow().trials()))
                .sorted()
                .toList();
        return times.isEmpty() ? Optional.empty() : Optional.of(times.get(times.size() / 2));
    }

    static Told told(ClassEvent note, Passed passed, List<ClassLines.BenchLine> benches, Period period) {
        Set<UUID> seen = passed.seenBy(note);
        Stream<Bench> to = benches.stream()
                .map(ClassLines.BenchLine::bench)
                .filter(bench -> note.benchId().map(bench.id()::equals).orElse(true));
        List<Bench> all = to.toList();
        List<String> not = all.stream()
                .filter(bench -> !seen.contains(bench.id()))
                .map(Bench::name)
                .toList();
        return new Told(
                note.text(),
                note.benchId().isEmpty()
                        ? "to all"
                        : "to " + all.stream().map(Bench::name).findFirst().orElse("a bench"),
                WrittenTime.of(note.madeAt(), period.zone(), HOUR) + ", " + note.who(),
                not.isEmpty()
                        ? "seen" + (note.benchId().isEmpty() ? " by all" : "")
                        : not.size() == all.size() ? "not seen yet" : "not seen yet by " + String.join(", ", not));
    }
}

package lab.sassafras.app.classpages;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lab.sassafras.app.chart.LeavesPicture;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.EveningClock;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.plans.Planned;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.BenchWait;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Paces;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revision;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.hour.BenchNow;
import lab.sassafras.hour.Sight;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import org.springframework.stereotype.Component;

/** How the benches of a period stand, each by the sheet of its newest run: nothing is reduced for it. */
@Component
class ClassLines {

    /** Sheets that are remembered as they stood. */
    private static final int REMEMBERED = 500;
    /** So many runs make a median of a class. */
    private static final int FEW = 3;

    private final PeriodBook periods;
    private final EntryBook entries;
    private final EntrySheets sheets;
    private final Revisions revisions;
    private final ClassBook book;
    private final Paces paces;
    private final Planned planned;
    private final Clock clock;
    private final Cache<UUID, Known> known =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    ClassLines(
            PeriodBook periods,
            EntryBook entries,
            EntrySheets sheets,
            Revisions revisions,
            ClassBook book,
            Paces paces,
            Planned planned,
            Clock clock) {
        this.periods = periods;
        this.entries = entries;
        this.sheets = sheets;
        this.revisions = revisions;
        this.book = book;
        this.paces = paces;
        this.planned = planned;
        this.clock = clock;
    }

    /** What is known of a run as long as nothing is added to it. */
    private record Known(
            Revision of,
            Sight sight,
            String leaves,
            Optional<Line> last,
            String lastText,
            Instant lastAt,
            Map<String, List<Duration>> took,
            OptionalDouble expected) {}

    /**
     * A bench of the class.
     *
     * @param bench    itself
     * @param entry    its newest run; empty where it began none
     * @param now      how it stands
     * @param lastText value recorded last, as typed with its unit; empty where none was
     * @param leaves   its procedure, drawn
     */
    record BenchLine(Bench bench, Optional<Entry> entry, BenchNow now, String lastText, String leaves) {}

    /**
     * A class.
     *
     * @param benches of it, in order
     * @param entries all runs of it, the newest first
     * @param passed  between them and their instructor
     * @param clock   it goes by
     */
    record ClassNow(List<BenchLine> benches, List<Entry> entries, Passed passed, EveningClock clock) {}

    ClassNow of(Period period) {
        EveningClock by = book.clock(period);
        Instant now = by.at(clock.instant());
        List<Entry> all = entries.of(period);
        Map<UUID, Entry> newest = new HashMap<>();
        all.forEach(each -> newest.putIfAbsent(each.bench().id(), each));
        Map<UUID, Revision> stamps = revisions.of(period);
        Passed passed = book.passed(period);
        Map<UUID, List<BenchWait>> waiting = paces.waits(period);
        Map<UUID, Known> ofBench = new LinkedHashMap<>();
        newest.forEach((bench, entry) -> ofBench.put(bench, known(entry, stamps.get(entry.id()))));
        List<BenchLine> lines = new ArrayList<>();
        for (Bench bench : periods.benches(period)) {
            Optional<Entry> entry = Optional.ofNullable(newest.get(bench.id()));
            Optional<Known> is = Optional.ofNullable(ofBench.get(bench.id()));
            BenchNow stands = new BenchNow(
                    bench.name(),
                    is.map(Known::sight),
                    is.flatMap(Known::last),
                    is.map(each -> by.at(each.lastAt())).orElse(now),
                    passed.raised(bench).map(by::at),
                    is.map(each -> waits(waiting.getOrDefault(bench.id(), List.of()), entry.orElseThrow(), each, by))
                            .orElse(Map.of()),
                    Optional.empty(),
                    is.map(Known::expected).orElse(OptionalDouble.empty()),
                    now);
            lines.add(new BenchLine(
                    bench,
                    entry,
                    is.map(each -> stands.taking(median(each, stands, ofBench, by)))
                            .orElse(stands),
                    is.map(Known::lastText).orElse(""),
                    is.map(Known::leaves).orElse("")));
        }
        return new ClassNow(lines, all, passed, by);
    }

    private Known known(Entry entry, @org.jspecify.annotations.Nullable Revision now) {
        Known before = known.getIfPresent(entry.id());
        if (before != null && before.of().equals(now)) {
            return before;
        }
        EntrySheet sheet = sheets.of(entry);
        Optional<Observation> last = sheet.observations().last();
        Sight sight = Sight.of(sheet.sheet());
        Known fresh = new Known(
                sheet.stamps().get(0),
                sight,
                LeavesPicture.svg(sight.leaves()),
                last.flatMap(each -> line(sheet.sheet(), each)),
                sheet.observations().all().stream()
                        .flatMap(each -> each.unit().map(unit -> each.text() + " " + unit).stream())
                        .reduce("", (earlier, later) -> later),
                last.map(Observation::madeAt).orElse(entry.createdAt()),
                took(entry, sheet),
                planned.ends(entry.bench(), entry.experiment())
                        .map(each -> OptionalDouble.of(each.end()))
                        .orElse(OptionalDouble.empty()));
        known.put(entry.id(), fresh);
        return fresh;
    }

    private static Optional<Line> line(Sheet sheet, Observation of) {
        try {
            return sheet.at(Address.read(of.address())).stream()
                    .filter(line -> line.text().equals(of.text()))
                    .findFirst();
        } catch (Refused unreadable) {
            return Optional.empty();
        }
    }

    /** How long each step took, by its path: since what was recorded before it. */
    private static Map<String, List<Duration>> took(Entry entry, EntrySheet sheet) {
        Map<String, List<Duration>> took = new HashMap<>();
        Instant before = entry.createdAt();
        for (Observation each : sheet.observations().all()) {
            String path = each.address().replaceAll("\\[\\d+\\]", "");
            took.computeIfAbsent(path, any -> new ArrayList<>()).add(Duration.between(before, each.madeAt()));
            before = each.madeAt();
        }
        return took;
    }

    private static Optional<Duration> median(Known of, BenchNow stands, Map<UUID, Known> all, EveningClock by) {
        return stands.next().flatMap(ask -> {
            List<Duration> times = all.values().stream()
                    .filter(each -> each.sight()
                            .sheet()
                            .experiment()
                            .key()
                            .equals(of.sight().sheet().experiment().key()))
                    .flatMap(each -> each.took().getOrDefault(ask.address().path(), List.of()).stream())
                    .sorted()
                    .toList();
            return times.size() < FEW ? Optional.empty() : Optional.of(by.took(times.get(times.size() / 2)));
        });
    }

    private static Map<String, Instant> waits(List<BenchWait> of, Entry entry, Known is, EveningClock by) {
        Map<String, Instant> waits = new LinkedHashMap<>();
        for (BenchWait each : of) {
            String path = each.pace().substring(each.pace().indexOf(' ') + 1);
            if (each.entryId().equals(entry.id())
                    && !each.ended()
                    && is.sight().sheet().experiment().slot(path).isPresent()
                    && !is.sight().sheet().filled(is.sight().sheet().address(path, each.trial()))) {
                waits.put(
                        is.sight().sheet().experiment().words().label(path),
                        by.at(each.madeAt()).plusSeconds((long) each.seconds()));
            }
        }
        return waits;
    }
}

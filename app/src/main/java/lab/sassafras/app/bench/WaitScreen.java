package lab.sassafras.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.app.record.BenchWait;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Paces;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.ClassPaces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.declaration.Pace;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import org.springframework.stereotype.Component;

/** What a bench waits for: the paces of its experiment, as the class has them, and the waits begun. */
@Component
class WaitScreen {

    private final Paces paces;
    private final ClassPaces ofClass;
    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Traces traces;
    private final Clock clock;

    WaitScreen(Paces paces, ClassPaces ofClass, EntryBook entryBook, EntrySheets sheets, Traces traces, Clock clock) {
        this.paces = paces;
        this.ofClass = ofClass;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.traces = traces;
        this.clock = clock;
    }

    /** What is waited for, seen from a trial of an entry with something asked. */
    Waiting waiting(EntrySheet entry, int trial, Optional<Tasks.Ask> now) {
        List<Waiting.Timer> timers = new ArrayList<>();
        paces.waits(entry.entry().bench()).stream()
                .filter(each ->
                        !each.ended() && each.madeAt().isAfter(clock.instant().minus(traces.longest())))
                .forEach(each -> timer(entry, trial, each).ifPresent(timers::add));
        once(entry, trial).ifPresent(timers::add);
        List<Waiting.Begin> begins =
                now.map(ask -> begins(entry, trial, ask, timers)).orElse(List.of());
        return new Waiting(timers, begins, exposed(entry, trial));
    }

    private List<Waiting.Begin> begins(EntrySheet entry, int trial, Tasks.Ask ask, List<Waiting.Timer> running) {
        Figures figures = entry.entry().period().figures();
        return ofClass.of(entry).entrySet().stream()
                .filter(each -> each.getKey().kind().timer()
                        && each.getKey().kind() != Pace.Kind.ONCE
                        && open(entry, trial, each.getKey(), ask)
                        && running.stream()
                                .noneMatch(timer -> timer.pace()
                                                .equals(each.getKey().key())
                                        && timer.trial() == trial
                                        && timer.entry().equals(entry.entry().id())))
                .map(each -> new Waiting.Begin(
                        each.getKey().key(),
                        entry.experiment()
                                .words()
                                .get("pace." + each.getKey().kind().key()),
                        figures.plain(each.getValue())))
                .toList();
    }

    /** Whether a wait may begin while something is asked: at its own step, or since the step it begins after. */
    private static boolean open(EntrySheet entry, int trial, Pace pace, Tasks.Ask ask) {
        boolean since = pace.from()
                .filter(from -> !ask.address().path().equals(from)
                        && entry.sheet().filled(entry.sheet().address(from, trial)))
                .isPresent();
        return (since || pace.path().equals(ask.address().path()))
                && !entry.sheet().filled(entry.sheet().address(pace.path(), trial));
    }

    /** What can be done while a wait runs: the rows still open before the step it is for. */
    private static String meanwhile(EntrySheet entry, int trial, Pace pace) {
        return entry.sheet().tasks().asks(trial).stream()
                .takeWhile(ask -> !ask.address().path().equals(pace.path()))
                .filter(ask -> !ask.step().aside() && !entry.sheet().tasks().done(ask))
                .map(ask -> entry.experiment().words().label(ask.address().path()))
                .collect(Collectors.joining(", "));
    }

    private Optional<Waiting.Timer> timer(EntrySheet here, int trial, BenchWait wait) {
        boolean own = wait.entryId().equals(here.entry().id());
        Optional<EntrySheet> entry =
                own ? Optional.of(here) : entryBook.find(wait.entryId()).map(sheets::of);
        return entry.flatMap(each -> each.experiment().paces().stream()
                .filter(pace -> pace.key().equals(wait.pace()))
                .filter(pace -> !readSince(each, pace, wait))
                .map(pace -> new Waiting.Timer(
                        wait.entryId(),
                        wait.trial(),
                        pace.key(),
                        each.experiment().words().label(pace.path()),
                        where(here, trial, each, wait.trial()),
                        each.entry().period().figures().plain(wait.seconds() / 60) + " min "
                                + each.experiment()
                                        .words()
                                        .get("pace." + pace.kind().key()),
                        left(wait.madeAt(), wait.seconds()),
                        pace.kind() == Pace.Kind.BATH ? meanwhile(each, wait.trial(), pace) : "",
                        link(each.entry(), each.sheet().address(pace.path(), wait.trial()))))
                .findFirst());
    }

    private static String where(EntrySheet here, int trial, EntrySheet there, int its) {
        if (!there.entry().id().equals(here.entry().id())) {
            return there.experiment().words().title();
        }
        return its == trial ? "" : "trial " + its;
    }

    /** A wait is over for good once what follows it was read. */
    private static boolean readSince(EntrySheet entry, Pace pace, BenchWait wait) {
        return entry
                .observations()
                .standingAt(entry.sheet().address(pace.path(), wait.trial()).toString())
                .stream()
                .anyMatch(each -> each.madeAt().isAfter(wait.madeAt()));
    }

    /** The wait for the one reading, where the change is read so: it begins by itself, with mixing. */
    private Optional<Waiting.Timer> once(EntrySheet entry, int trial) {
        boolean asked = entry.conventions().in(ConventionQuestion.CHANGE) == TemperatureChange.AFTER_WAIT;
        Optional<Pace> pace = entry.experiment().paces().stream()
                .filter(each -> asked && each.kind() == Pace.Kind.ONCE)
                .filter(each -> entry.sheet().reading(each.path(), trial).isEmpty())
                .findFirst();
        return pace.flatMap(each -> mixedAt(entry, trial).map(mixed -> {
                    double minutes = ofClass.of(entry).getOrDefault(each, each.usual());
                    return new Waiting.Timer(
                            entry.entry().id(),
                            trial,
                            "",
                            entry.experiment().words().label(each.path()),
                            "",
                            entry.entry().period().figures().plain(minutes) + " min "
                                    + entry.experiment().words().get("pace.once"),
                            left(mixed, minutes * 60),
                            "",
                            link(entry.entry(), entry.sheet().address(each.path(), trial)));
                }))
                .filter(each -> each.left() > -traces.longest().toMillis());
    }

    /** When a trial was mixed, by its clock or by its own mark. */
    Optional<Instant> mixedAt(EntrySheet entry, int trial) {
        Optional<Instant> onClock = Clocks.use(entry, trial)
                .flatMap(use -> Shelf.identity(use.trace())
                        .flatMap(traces::find)
                        .flatMap(trace ->
                                Clocks.mixed(use).map(at -> trace.begunAt().plusMillis(Math.round(1000 * at)))));
        return onClock.or(() -> entry.experiment()
                .mixing()
                .map(path -> entry.sheet().address(path, trial))
                .flatMap(address -> last(entry, address)));
    }

    private static Optional<Instant> last(EntrySheet entry, Address address) {
        return entry.observations().standingAt(address.toString()).stream()
                .map(Observation::madeAt)
                .reduce((earlier, later) -> later);
    }

    private Optional<Waiting.Exposed> exposed(EntrySheet entry, int trial) {
        return entry.sheet()
                .tasks()
                .exposed(trial)
                .flatMap(each -> last(entry, each.place())
                        .map(weighed -> Duration.between(weighed, clock.instant()))
                        .filter(age -> age.compareTo(traces.longest()) < 0)
                        .map(age -> new Waiting.Exposed(each.name(), age.toMillis())));
    }

    /**
     * What the clock of a trial goes by: how long before mixing and up to when is read (s), and the rise to stop at.
     */
    ClockPlan.Times times(EntrySheet entry) {
        return new ClockPlan.Times(
                Math.round(60 * ofClass.amount(entry, Pace.Kind.BEFORE).orElse(0.0)),
                Math.round(60 * ofClass.amount(entry, Pace.Kind.UNTIL).orElse(0.0)),
                rise(entry));
    }

    private Optional<Double> rise(EntrySheet entry) {
        return ofClass.of(entry).entrySet().stream()
                .filter(each -> each.getKey().kind() == Pace.Kind.RISE
                        && entry.sheet().tasks().asks(1).stream()
                                .anyMatch(ask -> ask.address()
                                        .path()
                                        .equals(each.getKey().path())))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    private long left(Instant from, double seconds) {
        return Duration.between(clock.instant(), from.plusMillis(Math.round(1000 * seconds)))
                .toMillis();
    }

    private static String link(Entry entry, Address address) {
        return "/entries/" + entry.id() + new WrittenSheet.Link(address.toString(), null).query();
    }
}

package lab.sassafras.app.sheet;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Which part of what a probe pushes on and on is of which trial: what one trial is read from ends where the next
 * begins.
 */
@Service
@Transactional(readOnly = true)
public class Turns {

    private final EntryBook entryBook;
    private final ObservationBook observationBook;
    private final PeriodBook periodBook;
    private final Traces traces;
    private final Clock clock;

    Turns(EntryBook entryBook, ObservationBook observationBook, PeriodBook periodBook, Traces traces, Clock clock) {
        this.entryBook = entryBook;
        this.observationBook = observationBook;
        this.periodBook = periodBook;
        this.traces = traces;
        this.clock = clock;
    }

    /**
     * A trial that is read from a trace.
     *
     * @param entry it is of
     * @param place where it says so
     * @param use   which stretch of it
     */
    public record Turn(Entry entry, Address place, TraceUse use) {

        boolean of(EntrySheet other, int trial) {
            return entry.id().equals(other.entry().id()) && place.index() == trial;
        }
    }

    /** {@return every trial of a bench that is read from a trace, in the order they were mixed} */
    List<Turn> of(Bench bench) {
        return entryBook.of(bench).stream()
                .flatMap(this::of)
                .sorted(Comparator.comparingDouble(turn -> turn.use().mixing()))
                .toList();
    }

    private Stream<Turn> of(Entry entry) {
        Experiment experiment = Experiments.findOrUnknown(entry.experiment());
        return observationBook.of(entry.id()).standing().stream()
                .filter(each -> WrittenSheet.slot(experiment, each)
                        .flatMap(Slot::elsewhere)
                        .equals(Optional.of(Slot.Elsewhere.TRACE)))
                .flatMap(each -> TraceUse.of(each.text()).stream()
                        .map(use -> new Turn(entry, Address.read(each.address()), use)));
    }

    /** The trial of a trace that was mixed last before a second of it; empty where none was. */
    public Optional<Turn> before(EntrySheet entry, int trial, Trace trace, double mixing) {
        return periodBook.bench(trace.benchId()).stream()
                .flatMap(bench -> of(bench).stream())
                .filter(turn -> turn.use().trace().equals(trace.id().toString())
                        && turn.use().mixing() < mixing
                        && !turn.of(entry, trial))
                .reduce((earlier, later) -> later);
    }

    /**
     * From which second of a trace a trial is read: from when it was begun, where another was read from the same trace
     * before; or else halfway between both, where that is not known.
     *
     * @param before the trial read from it before
     * @param mixing of this one (s)
     */
    public double since(EntrySheet entry, int trial, Trace trace, Turn before, double mixing) {
        double begun = second(trace, begun(entry, trial));
        double earlier = before.use().mixing();
        return begun > earlier && begun < mixing ? begun : Math.rint((earlier + mixing) / 2);
    }

    /** Whether a trace went on after a trial was begun. */
    boolean goesOn(EntrySheet entry, int trial, Trace trace) {
        return traces.ends(trace).last() > second(trace, begun(entry, trial));
    }

    /** From when on a trace is of a trial that is not marked on it yet (s). */
    double begunOn(EntrySheet entry, int trial, Trace trace) {
        return Math.max(0, second(trace, begun(entry, trial)));
    }

    private static double second(Trace trace, Instant at) {
        return Math.floor(Duration.between(trace.begunAt(), at).toMillis() / 1000.0);
    }

    /** The first was begun with its entry, another when something was first given of it, or else now. */
    private Instant begun(EntrySheet entry, int trial) {
        return trial == 1
                ? entry.entry().createdAt()
                : entry.observations().all().stream()
                        .filter(each ->
                                WrittenSheet.slot(entry.experiment(), each).isPresent()
                                        && Address.read(each.address()).index() == trial)
                        .map(Observation::madeAt)
                        .min(Comparator.naturalOrder())
                        .orElseGet(clock::instant);
    }
}

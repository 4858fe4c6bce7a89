package lab.sassafras.app.sheet;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.app.probes.Place;
import lab.sassafras.app.probes.ProbePlace;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Room;
import lab.sassafras.curve.Told;
import lab.sassafras.curve.Trend;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds on which clock a trial, or a temperature by its trend, is read. */
@Service
@Transactional(readOnly = true)
public class Clocks {

    /** What a thermometer that is not on the shelf is taken to show (°C). */
    private static final double USUAL_DISPLAY = 0.1;
    /** Of what a probe reads of the room one counts for each (s). No source. */
    private static final double ONE_EACH = 30;

    private final EntryBook entryBook;
    private final DecisionBook decisionBook;
    private final Traces traces;
    private final Instruments instruments;
    private final Probes probes;
    private final Turns turns;
    private final PeriodBook periodBook;
    private final Clock clock;

    Clocks(
            EntryBook entryBook,
            DecisionBook decisionBook,
            Traces traces,
            Instruments instruments,
            Probes probes,
            Turns turns,
            PeriodBook periodBook,
            Clock clock) {
        this.turns = turns;
        this.periodBook = periodBook;
        this.probes = probes;
        this.instruments = instruments;
        this.entryBook = entryBook;
        this.decisionBook = decisionBook;
        this.traces = traces;
        this.clock = clock;
    }

    /** Where a trial names its readings on a clock; empty where the experiment reads none. */
    public static Optional<Address> placeOf(EntrySheet entry, int trial) {
        return entry.experiment().groups().stream()
                .flatMap(group -> group.slots().stream()
                        .filter(slot -> slot.elsewhere().equals(Optional.of(Slot.Elsewhere.TRACE)))
                        .map(slot -> Address.of(group.key() + "/" + slot.key(), trial)))
                .findFirst();
    }

    /** As above. @throws Refused where the experiment reads nothing on a clock */
    public static Address place(EntrySheet entry, int trial) {
        return placeOf(entry, trial).orElseThrow(() -> new Refused("This experiment has no timed readings."));
    }

    /** Which stretch of which readings a trial is read from. */
    public static Optional<TraceUse> use(EntrySheet entry, int trial) {
        return placeOf(entry, trial)
                .flatMap(address -> entry.sheet().stated(address.path(), trial))
                .flatMap(TraceUse::of);
    }

    /** When a trial was mixed on its clock (s); empty while it is not marked, and where nothing is mixed. */
    public static Optional<Double> mixed(EntrySheet entry, int trial) {
        return use(entry, trial).flatMap(Clocks::mixed);
    }

    /** As above, of a use. */
    public static Optional<Double> mixed(TraceUse use) {
        return use.marked().isPresent() ? Optional.of(use.marked().getAsDouble()) : Optional.empty();
    }

    /** Whether what a trial's readings give is told without a moment of mixing. */
    public static boolean toldWhole(EntrySheet entry, int trial) {
        return placeOf(entry, trial)
                .map(place -> entry.experiment().curves().get(place.path()))
                .filter(purpose -> !purpose.marked())
                .isPresent();
    }

    /** Why a trial's readings tell nothing yet where nothing is mixed; empty where they do, or there are none. */
    public static Optional<String> untold(EntrySheet entry, int trial) {
        return placeOf(entry, trial)
                .filter(any -> toldWhole(entry, trial))
                .flatMap(place -> entry.sheet().curves().told(place))
                .filter(Told.None.class::isInstance)
                .map(none -> ((Told.None) none).reason());
    }

    /**
     * The clock of a trial: the one it is read from, or else the one named for it, or else the newest of its bench
     * that no trial is read from yet.
     */
    public Optional<ClockReadings> of(EntrySheet entry, int trial) {
        return use(entry, trial)
                .map(TraceUse::trace)
                .or(() -> placeOf(entry, trial).flatMap(address -> named(entry, address)))
                .or(() -> free(entry, trial))
                .flatMap(id -> readings(entry, id))
                .map(readings -> part(entry, trial, readings));
    }

    /** Of what a probe pushes on and on, the part that is of one trial. */
    private ClockReadings part(EntrySheet entry, int trial, ClockReadings whole) {
        if (!whole.trace().channel().equals(Trace.PROBE)) {
            return whole;
        }
        Optional<TraceUse> use = use(entry, trial);
        if (use.isPresent()) {
            return whole.between(use.get().from(), use.get().to());
        }
        return turns.before(entry, trial, whole.trace(), TraceUse.LONGEST).isEmpty()
                ? whole
                : whole.between(turns.begunOn(entry, trial, whole.trace()), TraceUse.LONGEST);
    }

    /** The readings whose trend gives what stands at an address; empty while no clock was begun for it. */
    public Optional<ClockReadings> trend(EntrySheet entry, Address address) {
        return named(entry, address).flatMap(id -> readings(entry, id));
    }

    /** Where the trend of readings stood at a moment (s). @throws Refused where they do not reach so far */
    public Trend trendAt(ClockReadings readings, double seconds) {
        return Trend.at(
                readings.counting(),
                seconds,
                readings.trace()
                        .instrumentId()
                        .flatMap(instruments::find)
                        .map(Instrument::resolution)
                        .orElse(USUAL_DISPLAY));
    }

    private static Optional<String> named(EntrySheet entry, Address address) {
        return entry.decisions().last(Decision.Kind.CLOCK, address.toString()).map(Decision::outcome);
    }

    private Optional<ClockReadings> readings(EntrySheet entry, String id) {
        return Shelf.identity(id)
                .flatMap(traces::find)
                .map(trace -> ClockReadings.of(trace, traces.readings(trace.id()), entry.decisions()));
    }

    private Optional<String> free(EntrySheet entry, int trial) {
        Bench bench = entry.entry().bench();
        Set<String> taken =
                turns.of(bench).stream().map(turn -> turn.use().trace()).collect(Collectors.toSet());
        Set<String> named = entryBook.of(bench).stream()
                .flatMap(each -> decisionBook.of(each.id()).clocks().values().stream())
                .collect(Collectors.toSet());
        Instant oldest = clock.instant().minus(traces.longest());
        return traces.of(bench).stream()
                .filter(each ->
                        each.begunAt().isAfter(oldest) && !each.channel().equals(Trace.TREND) && each.ofTemperature())
                // what was simulated in an entry belongs to it; at a simulated bench probes push as at any other
                .filter(each -> !each.simulated() || each.channel().equals(Trace.PROBE))
                .filter(each -> !named.contains(each.id().toString()))
                // a probe goes on from one trial to the next, a clock is begun for one
                .filter(each -> !taken.contains(each.id().toString())
                        || each.channel().equals(Trace.PROBE) && turns.goesOn(entry, trial, each))
                .filter(each -> place(each).filter(at -> at != Place.CUP).isEmpty())
                // of several probes the one that was said to be there comes before those nobody said anything of
                .min(Comparator.comparing(
                                (Trace each) -> taken.contains(each.id().toString()))
                        .thenComparing(each -> place(each).isEmpty()))
                .map(each -> each.id().toString());
    }

    private Optional<Place> place(Trace trace) {
        return trace.channel().equals(Trace.PROBE)
                ? probes.standing(trace.id()).flatMap(ProbePlace.Standing::place)
                : Optional.empty();
    }

    /** Temperature of the room while something was read on a clock, where that was read. */
    public Optional<Room> room(Period period, ClockReadings readings) {
        return Room.of(room(period, readings.trace(), last(readings)));
    }

    /**
     * Temperatures of the room that are of a trace (°C): those that were typed, and what a probe of its bench read in
     * the room while it ran.
     *
     * @param last second of its last reading
     */
    public List<Double> room(Period period, Trace of, double last) {
        List<Double> all = new ArrayList<>(traces.room(period, of, last));
        traces.of(periodBook.bench(of.benchId()).orElseThrow()).stream()
                .filter(each -> each.ofTemperature() && place(each).equals(Optional.of(Place.ROOM)))
                .forEach(each -> all.addAll(now(each, of.begunAt(), of.at(last))));
        return all;
    }

    /** What a trace shows from one moment to another, one reading for each half minute. */
    private List<Double> now(Trace trace, Instant from, Instant to) {
        Map<Long, Double> shown = new LinkedHashMap<>();
        traces.readings(trace.id()).stream()
                .filter(each -> !trace.at(each.seconds()).isBefore(from)
                        && !trace.at(each.seconds()).isAfter(to)
                        && Reading.canBe(each.temperature()))
                .forEach(each -> shown.putIfAbsent((long) (each.seconds() / ONE_EACH), each.temperature()));
        return List.copyOf(shown.values());
    }

    /** Whether the room read now would be of what was read on a clock: not long after it, nor of a run brought in. */
    public boolean roomCounts(ClockReadings readings) {
        return Traces.isOf(readings.trace(), last(readings), clock.instant());
    }

    private static double last(ClockReadings readings) {
        return readings.lines().isEmpty()
                ? 0
                : readings.lines().get(readings.lines().size() - 1).seconds();
    }
}

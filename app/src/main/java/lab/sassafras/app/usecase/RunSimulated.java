package lab.sassafras.app.usecase;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Persons;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.simulated.SimulatedBenches;
import lab.sassafras.app.simulated.SimulatedBook;
import lab.sassafras.app.simulated.SimulatedRun;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Stated;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Slip;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Runs an entry at the simulated bench: begins it, does the next thing there, records what was shown. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.ASKED)
public class RunSimulated {

    /** At once, real, and so many times as fast. */
    public static final Map<String, Double> SPEEDS = Map.of("at once", 0.0, "real", 1.0, "20 times as fast", 20.0);

    private static final String SHOWN = "shown at the simulated bench";
    /** A constant of a calorimeter that has none on record, where its kind does not tell (J/°C). */
    private static final double USUAL = 8;

    private final SimulatedBook book;
    private final SimulatedBenches benches;
    private final EntrySheets sheets;
    private final WayIn way;
    private final Traces traces;
    private final Persons persons;
    private final Clock clock;
    private final TransactionTemplate whole;

    RunSimulated(
            SimulatedBook book,
            SimulatedBenches benches,
            EntrySheets sheets,
            WayIn way,
            Traces traces,
            Persons persons,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.book = book;
        this.benches = benches;
        this.sheets = sheets;
        this.way = way;
        this.traces = traces;
        this.persons = persons;
        this.clock = clock;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * Begins the run of an entry.
     *
     * @param speed one of {@link #SPEEDS}
     * @param seed  a whole number; empty for any
     * @param slips keys of what is to go wrong
     */
    public Answer<Boolean> begin(EntrySheet entry, String speed, String seed, Set<String> slips, Actor actor) {
        return Answer.of(() -> {
            long drawn = seed(seed);
            begun(
                    entry,
                    new SimulatedRun.Given(
                            drawn, speed(speed), wished(entry, slips), capacity(entry, drawn), Map.of(), ""),
                    actor);
        });
    }

    private void begun(EntrySheet entry, SimulatedRun.Given given, Actor actor) {
        if (!entry.entry().simulated()) {
            throw new Refused("This entry is done by hands. Begin another one to run it at the simulated bench.");
        }
        once(() -> book.begin(entry.entry(), given, who(entry, actor)));
    }

    /**
     * Begins the run of an entry as a plan has it.
     *
     * @param speed  times as fast as real
     * @param seed   everything drawn follows from it
     * @param slips  keys of what is to go wrong
     * @param wished amounts and temperatures, by the path of a slot (bench unit)
     * @param taken  substance that is taken where it is one of several; empty where it is drawn
     */
    public Answer<Boolean> begin(
            EntrySheet entry,
            double speed,
            long seed,
            Set<String> slips,
            Map<String, Double> wished,
            String taken,
            Actor actor) {
        return Answer.of(() -> begun(
                entry,
                new SimulatedRun.Given(seed, speed, wished(entry, slips), capacity(entry, seed), wished, taken),
                actor));
    }

    /**
     * A hand did the next thing at a moment; what it did already stays done.
     *
     * @param seconds on the clock of the trial (s)
     * @param at      when that was
     */
    public Answer<Boolean> touched(EntrySheet entry, int trial, int place, double seconds, Instant at, Actor actor) {
        return Answer.of(() -> {
            SimulatedRun run = book.of(entry.entry())
                    .orElseThrow(() -> new Refused("The simulated bench of this entry was not set up yet."));
            if (book.touches(run, trial).size() == place) {
                once(() -> book.touch(run, trial, place, seconds, who(entry, actor), at));
            }
        });
    }

    private static double speed(String key) {
        return Optional.ofNullable(SPEEDS.get(key))
                .orElseThrow(() -> new Refused("It runs at once, at real speed or 20 times as fast. Choose one."));
    }

    private long seed(String typed) {
        if (typed.isBlank()) {
            return clock.millis() % 1_000_000;
        }
        if (!typed.strip().matches("\\d{1,9}")) {
            throw new Refused("A seed is a whole number of at most nine digits, or nothing.");
        }
        return Long.parseLong(typed.strip());
    }

    private static Set<Slip> wished(EntrySheet entry, Set<String> keys) {
        Set<Slip> possible = Slip.in(entry.experiment()
                .scene()
                .orElseThrow(() -> new Refused("This experiment has nothing to run at the simulated bench.")));
        Set<Slip> wished = java.util.EnumSet.noneOf(Slip.class);
        keys.forEach(key -> wished.add(Slip.of(key)
                .filter(possible::contains)
                .orElseThrow(() -> new Refused("That cannot go wrong in this experiment. Choose among those shown."))));
        return wished;
    }

    /** The true one lies off the one on record by as much as that is uncertain. */
    private static double capacity(EntrySheet entry, long seed) {
        return entry.calibration()
                .map(constant -> constant.value().value() + constant.value().uncertainty() * Bench.error(seed))
                .or(() -> entry.vessel().map(each -> each.kind().typical() * (1 + 0.1 * Bench.error(seed))))
                .filter(each -> each > 1)
                .orElse(USUAL);
    }

    /**
     * Does the next thing.
     *
     * @param place how often the trial had been touched where this hand looked
     */
    public Answer<Boolean> touch(EntrySheet entry, int trial, int place, Actor actor) {
        return Answer.of(() -> {
            SimulatedBenches.Now now = now(entry, trial);
            if (now.touched() != place || place > 0 && now.next().isEmpty()) {
                throw new Refused("Another hand did that already. Look at the bench as it is now.");
            }
            once(() -> book.touch(now.run(), trial, place, now.seconds(), who(entry, actor)));
        });
    }

    private SimulatedBenches.Now now(EntrySheet entry, int trial) {
        return benches.now(entry, trial)
                .orElseThrow(() -> new Refused("The simulated bench of this entry was not set up yet."));
    }

    /** Records what was shown so far and does not stand in the data table yet, with the curve once all is done. */
    public Answer<Integer> record(EntrySheet entry, int trial, Actor actor) {
        return Answer.of(() -> recorded(entry, trial, actor));
    }

    /** Each in a commit of its own, so that the next is asked about with what was kept before. */
    private int recorded(EntrySheet entry, int trial, Actor actor) {
        Bench.Standing standing = now(entry, trial)
                .standing()
                .orElseThrow(() -> new Refused("Nothing was shown in this trial yet. Begin it first."));
        int many = 0;
        for (Bench.Written each : standing.written()) {
            TimeBudget.check();
            many += keep(sheets.of(entry.entry()), trial, each, actor) ? 1 : 0;
        }
        if (standing.next().isEmpty()) {
            whole.executeWithoutResult(status -> curve(sheets.of(entry.entry()), trial, standing, actor));
        }
        return many;
    }

    private boolean keep(EntrySheet entry, int trial, Bench.Written each, Actor actor) {
        Address at = SimulatedBenches.at(entry, each, trial);
        Role role = Role.valueOf(each.way().name());
        Ticks.check(entry, at);
        if (entry.sheet().line(at, role).isPresent()) {
            return false;
        }
        keep(
                entry,
                new Value(
                        UUID.randomUUID(),
                        at,
                        role,
                        SimulatedBenches.text(entry, each),
                        each.unit().isEmpty() ? null : each.unit(),
                        benches.ofShelf(each.on()),
                        each.uncertainty().isEmpty()
                                ? null
                                : entry.entry().period().figures().sentence(each.uncertainty()),
                        Optional.empty(),
                        SHOWN),
                actor);
        return true;
    }

    private void keep(EntrySheet entry, Value value, Actor actor) {
        SheetEditing filling = way.filling(entry, value.at());
        way.kept(entry, value, WayIn.taken(filling, value, actor), actor);
    }

    private void curve(EntrySheet entry, int trial, Bench.Standing standing, Actor actor) {
        Optional<Address> place = Clocks.placeOf(entry, trial)
                .filter(any -> Clocks.use(entry, trial).isEmpty());
        if (place.isEmpty() || standing.curve().size() < 2 || !Double.isFinite(standing.mixed())) {
            return;
        }
        boolean told = Clocks.toldWhole(entry, trial);
        List<Reading> readings = new ArrayList<>();
        standing.curve().stream()
                .filter(each -> each.seconds() >= (told ? standing.mixed() : standing.settled()))
                .forEach(each -> readings.add(new Reading(each.seconds(), each.temperature())));
        double last = readings.get(readings.size() - 1).seconds();
        Instant begun = clock.instant().minusMillis((long) (1000 * last));
        Trace trace = traces.simulated(
                entry.entry().bench(),
                benches.thermometer(entry),
                readings.get(1).seconds() - readings.get(0).seconds(),
                begun,
                TraceChunk.Given.inPieces(readings, actor.identity()));
        TraceUse use = new TraceUse(
                trace.id().toString(),
                Math.rint(readings.get(0).seconds()),
                Math.ceil(last),
                told ? OptionalDouble.empty() : OptionalDouble.of(Math.rint(standing.mixed() * 10) / 10),
                Optional.empty(),
                Stated.USUAL.once(),
                Stated.USUAL.fraction());
        keep(
                sheets.of(entry.entry()),
                Value.instead(UUID.randomUUID(), place.get(), Role.STATED, use.text(), null, Optional.empty(), SHOWN)
                        .from(SHOWN),
                actor);
    }

    private UUID who(EntrySheet entry, Actor actor) {
        return persons.inEntry(entry.entry().id(), actor.name()).id();
    }

    /** Of two hands that reach for the same at once, one does it. */
    private void once(Runnable work) {
        try {
            whole.executeWithoutResult(status -> work.run());
        } catch (DataIntegrityViolationException other) {
            throw new Refused("Another hand did that already. Look at the bench as it is now.");
        }
    }
}

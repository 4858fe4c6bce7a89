package lab.sassafras.app.usecase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.BroughtIn;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Hands;
import lab.sassafras.app.record.InstrumentInHand;
import lab.sassafras.app.record.NoteBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.record.OriginBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.runfile.Run;
import lab.sassafras.app.runfile.RunFile;
import lab.sassafras.app.runfile.RunFileReader;
import lab.sassafras.app.runfile.RunReplay;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes a checked run file into the book: all of it or nothing. An import proposes: it adds an entry and what that
 * entry needs, marks all of it as brought in, makes no constant the one in use, and changes nothing that is here.
 */
@UseCase(needs = Right.RUN_HOUSE, serves = Bringer.TELLING)
public class BringInRun {

    private static final Logger LOG = LoggerFactory.getLogger(BringInRun.class);

    private final RunFileReader reader;
    private final OriginBook originBook;
    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final DecisionBook decisionBook;
    private final NoteBook notes;
    private final ObservationBook observationBook;
    private final Instruments instruments;
    private final Hands hands;
    private final Calorimeters calorimeters;
    private final Traces traces;
    private final TransactionTemplate transaction;

    BringInRun(
            RunFileReader reader,
            OriginBook originBook,
            PeriodBook periodBook,
            EntryBook entryBook,
            DecisionBook decisionBook,
            NoteBook notes,
            ObservationBook observationBook,
            Instruments instruments,
            Hands hands,
            Calorimeters calorimeters,
            Traces traces,
            PlatformTransactionManager transactions) {
        this.reader = reader;
        this.originBook = originBook;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.decisionBook = decisionBook;
        this.notes = notes;
        this.observationBook = observationBook;
        this.instruments = instruments;
        this.hands = hands;
        this.calorimeters = calorimeters;
        this.traces = traces;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Entries a file of the same contents made before. */
    public List<BroughtIn> earlier(byte[] file) {
        return originBook.by(reader.digest(file));
    }

    /**
     * Reads a file, works it out to see that it can stand, and then keeps it as a new entry, in its own period and at
     * its own bench.
     *
     * @param name what the file is called
     * @param who  who brings it in
     */
    public Answer<Entry> take(byte[] file, String name, Actor who) {
        return Answer.of(() -> {
            Run run = reader.read(file);
            RunReplay.reduction(run);
            String called = run.newer().isEmpty()
                    ? shortened(name, 200)
                    : shortened(name, 120) + " (format " + run.newer() + ", of which this version reads "
                            + RunFile.VERSION + "." + RunFile.MINOR + "; what it adds was not recorded)";
            BroughtIn.From from = new BroughtIn.From(
                    called, reader.digest(file), shortened(who.asBringer().name(), 60));
            Entry entry = Objects.requireNonNull(transaction.execute(status -> take(run, from)));
            LOG.info("brought in {} as entry {}, by {}", from.fileName(), entry.id(), from.who());
            return entry;
        });
    }

    private static String shortened(String text, int longest) {
        String seen = text == null ? "" : text.replaceAll("\\p{C}", "").strip();
        return seen.isEmpty() ? "a file without a name" : seen.length() > longest ? seen.substring(0, longest) : seen;
    }

    private Entry take(Run run, BroughtIn.From from) {
        TimeBudget.check();
        Map<String, UUID> here = new LinkedHashMap<>();
        run.instruments().forEach((name, instrument) -> here.put(name, instrument(instrument, from)));
        Map<String, UUID> references = new LinkedHashMap<>();
        run.references()
                .forEach((name, other) -> references.put(name, take(other, from).id()));
        Bench bench = periodBook.join(period(run.period(), from), run.bench());
        Optional<Vessel> vessel = run.calorimeter().map(each -> vessel(each, from));
        Optional<UUID> pinned = run.calorimeter()
                .flatMap(Calorimeter::constant)
                .map(constant ->
                        calibration(vessel.orElseThrow(), constant, here, from).id());
        Map<InstrumentKind, UUID> defaults = new LinkedHashMap<>();
        run.defaults().forEach((kind, name) -> defaults.put(kind, here.get(name)));
        Entry entry = entryBook.begin(
                bench,
                new Entry.Plan(
                        run.experiment().key(),
                        run.method(),
                        run.shelf(),
                        vessel.map(Vessel::id),
                        pinned,
                        defaults,
                        run.simulated()),
                run.begun());
        open(entry, run);
        run.inHand()
                .forEach(each -> hands.take(
                        UUID.randomUUID(),
                        entry,
                        new InstrumentInHand.Given(
                                each.place(),
                                Objects.requireNonNull(run.instruments().get(each.instrument()))
                                        .kind(),
                                Objects.requireNonNull(here.get(each.instrument())),
                                each.who()),
                        each.when()));
        run.traces().forEach((name, each) -> references.put(name, traced(bench, entry, each, here, from)));
        run.calorimeters().forEach((name, other) -> references.put(name, chosen(other, here, from)));
        keep(entry, run, here, references, from);
        run.conventions()
                .forEach((question, school) ->
                        decide(entry, Decision.Kind.SCHOOL, question, school, "as in the file", run.bench(), from));
        if (!run.combination().isEmpty()) {
            decide(
                    entry,
                    Decision.Kind.COMBINATION,
                    Decisions.TRIALS,
                    run.combination(),
                    "as in the file",
                    run.bench(),
                    from);
        }
        run.paper()
                .ifPresent(each -> decide(
                        entry, Decision.Kind.PAPER, Decisions.ENTRY, Decision.COPIED, each.reason(), each.who(), from));
        run.decisions()
                .forEach(each -> decide(
                        entry,
                        Decision.Kind.TRIAL,
                        Decisions.trial(each.trial()),
                        each.outcome(),
                        each.reason(),
                        each.who(),
                        from));
        run.notes().forEach(each -> notes.write(UUID.randomUUID(), entry, each.text(), each.who(), each.when()));
        originBook.note(entry.id(), BroughtIn.What.ENTRY, from);
        return entry;
    }

    private UUID instrument(Instrument instrument, BroughtIn.From from) {
        return UUID.fromString(instruments
                .find(instrument)
                .orElseGet(() -> {
                    Instrument added = instruments.add(instrument);
                    originBook.note(UUID.fromString(added.key()), BroughtIn.What.INSTRUMENT, from);
                    return added;
                })
                .key());
    }

    private Vessel vessel(Calorimeter named, BroughtIn.From from) {
        return calorimeters.find(named.name(), named.kind()).orElseGet(() -> {
            Vessel added = calorimeters.add(named.name(), named.kind());
            originBook.note(added.id(), BroughtIn.What.VESSEL, from);
            return added;
        });
    }

    private Period period(Run.InPeriod part, BroughtIn.From from) {
        return periodBook.all().stream()
                .filter(each -> each.title().equals(part.title())
                        && each.heldOn().equals(part.date())
                        && each.zone().equals(part.zone())
                        && each.decimalMark() == part.mark()
                        && each.schools().equals(part.conventions()))
                .findFirst()
                .orElseGet(() -> {
                    Period opened =
                            periodBook.open(part.title(), part.date(), part.zone(), part.mark(), part.conventions());
                    originBook.note(opened.id(), BroughtIn.What.PERIOD, from);
                    return opened;
                });
    }

    /** What is kept of a vessel named for one trial: its constant, or itself while it has none. */
    private UUID chosen(Calorimeter other, Map<String, UUID> here, BroughtIn.From from) {
        Vessel vessel = vessel(other, from);
        return other.constant()
                .map(constant -> calibration(vessel, constant, here, from).id())
                .orElse(vessel.id());
    }

    /**
     * The pinned constant, found on the shelf or put there as a proposal; it is in use only once somebody adopts it.
     */
    private Calibration calibration(
            Vessel vessel, Calorimeter.Pinned pinned, Map<String, UUID> here, BroughtIn.From from) {
        Measured value = new Measured(
                pinned.value().value(),
                pinned.value().ownUncertainty(),
                pinned.value().degreesOfFreedom(),
                pinned.value().shares().stream()
                        .map(share -> local(share, here))
                        .toList(),
                -1);
        return calorimeters.calibrations(vessel).stream()
                .filter(each -> each.value().equals(value)
                        && each.fill() == pinned.fill()
                        && each.described().equals(pinned.from()))
                .findFirst()
                .orElseGet(() -> {
                    Calibration added = calorimeters.add(
                            vessel,
                            Optional.empty(),
                            value,
                            pinned.fill(),
                            new Calibration.Adoption(pinned.from(), from.who(), "came with a run file"));
                    originBook.note(added.id(), BroughtIn.What.CALIBRATION, from);
                    return added;
                });
    }

    /** The same source of the instrument as it is kept here; a file brings in what it could read, so it has one. */
    private Measured.Share local(Measured.Share share, Map<String, UUID> here) {
        return Instrument.Source.of(share.source())
                .flatMap(source -> Optional.ofNullable(here.get(source.instrument()))
                        .flatMap(instruments::find)
                        .flatMap(instrument -> instrument.source(source.which())))
                .map(source -> new Measured.Share(source, share.sensitivity()))
                .orElse(share);
    }

    private UUID traced(Bench bench, Entry entry, Run.Clocked clocked, Map<String, UUID> here, BroughtIn.From from) {
        boolean typed = clocked.readings().stream().allMatch(each -> each.text().isPresent());
        Trace trace = traces.told(
                bench,
                new Trace.Channel(
                        !typed ? Trace.FILE : besides(entry, clocked) ? Trace.TREND : Trace.HAND,
                        clocked.source(),
                        clocked.unit().symbol()),
                clocked.instrument().map(here::get),
                clocked.every(),
                clocked.begun(),
                inOrder(clocked, bench).stream()
                        .map(each -> each.brought(brought(bench.name(), from)))
                        .toList(),
                clocked.room());
        clocked.setAside().forEach(each -> decided(entry, trace, each, Decision.OUT, from));
        clocked.counted().forEach(each -> decided(entry, trace, each, Decision.IN, from));
        clocked.readFor()
                .ifPresent(address -> decide(
                        entry,
                        Decision.Kind.CLOCK,
                        address,
                        trace.id().toString(),
                        "brought in from a file",
                        bench.name(),
                        from));
        return trace.id();
    }

    /** In the order of the file, which is the order: of two at one instant the later counts. */
    private static List<TraceChunk.Given> inOrder(Run.Clocked clocked, Bench bench) {
        List<TraceChunk.Given> readings = new ArrayList<>();
        List<Reading> untyped = new ArrayList<>();
        for (Run.Timed each : clocked.readings()) {
            each.text()
                    .ifPresentOrElse(
                            text -> {
                                readings.addAll(TraceChunk.Given.inPieces(untyped, bench.identity()));
                                untyped.clear();
                                readings.add(TraceChunk.Given.typed(
                                        each.seconds(), each.temperature(), text, bench.identity()));
                            },
                            () -> untyped.add(new Reading(each.seconds(), each.temperature())));
        }
        readings.addAll(TraceChunk.Given.inPieces(untyped, bench.identity()));
        return readings;
    }

    private void decided(Entry entry, Trace trace, RunFile.AsidePart part, String outcome, BroughtIn.From from) {
        decide(
                entry,
                Decision.Kind.READING,
                Decisions.reading(trace.id(), part.seconds()),
                outcome,
                part.reason(),
                part.who(),
                from);
    }

    private void decide(
            Entry entry,
            Decision.Kind kind,
            String subject,
            String outcome,
            String reason,
            String who,
            BroughtIn.From from) {
        decisionBook.decide(
                Optional.of(entry.id()), new Decision.Taken(kind, subject, outcome, reason, who, brought(who, from)));
    }

    /** Who brought what the file says is by somebody; empty where they brought it themselves. */
    private static Optional<String> brought(String by, BroughtIn.From from) {
        return Optional.of(from.who()).filter(who -> !who.equals(by) && !who.equals("bench " + by));
    }

    /** Whether readings are of something beside the calorimeter, for its trend. */
    private static boolean besides(Entry entry, Run.Clocked clocked) {
        return clocked.readFor()
                .map(Address::read)
                .flatMap(
                        address -> Experiments.findOrUnknown(entry.experiment()).slot(address.path()))
                .filter(slot -> slot.field() != Slot.Field.TRACE)
                .isPresent();
    }

    /**
     * What a file's own name stands for here; a stretch of readings on a clock names its trace within. What the file
     * does not hold, since it was struck out there, stays as it was told.
     */
    private static String local(String text, Map<String, UUID> references) {
        return TraceUse.of(text)
                .flatMap(use -> Optional.ofNullable(references.get(use.trace()))
                        .map(id -> use.named(id.toString()).text()))
                .or(() -> Optional.ofNullable(references.get(text)).map(UUID::toString))
                .orElse(text);
    }

    private void open(Entry entry, Run run) {
        for (int more = 1; more < run.trials(); more++) {
            entryBook.open(entry.id(), EntryBook.TRIAL, run.bench());
        }
        run.parts().forEach((group, count) -> {
            for (int more = 1; more < count; more++) {
                entryBook.open(entry.id(), group, run.bench());
            }
        });
    }

    private void keep(Entry entry, Run run, Map<String, UUID> here, Map<String, UUID> references, BroughtIn.From from) {
        Map<String, UUID> kept = new LinkedHashMap<>();
        for (Run.Observed each : run.observations()) {
            UUID id = UUID.randomUUID();
            kept.put(each.id(), id);
            observationBook.keep(
                    id,
                    entry.id(),
                    new Observation.Given(
                            each.at(),
                            each.role().key(),
                            run.namesElsewhere(each) ? local(each.text(), references) : each.text(),
                            each.unit().orElse(null),
                            each.instrument().map(here::get),
                            each.uncertainty().orElse(null),
                            each.who(),
                            each.supersedes().map(kept::get),
                            each.reason().orElse(null),
                            brought(each.who(), from)),
                    each.when());
        }
    }
}

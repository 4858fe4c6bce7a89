package lab.sassafras.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.people.Withholding;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.EntryRows;
import lab.sassafras.app.record.Hands;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.record.Observations;
import lab.sassafras.app.record.Revision;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.sheet.SheetReader;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Judging;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.verdict.Reduction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Assembles sheets from the book and the shelf, and keeps the ones looked at lately with what they came to. A kept one
 * is given out as long as nothing was added to its entry, to the entries it draws on, or to the shelf.
 */
@Service
@Transactional(readOnly = true)
public class EntrySheets {

    private final EntryBook entryBook;
    private final ObservationBook observationBook;
    private final Shelves shelves;
    private final Revisions stamps;
    private final Traces traces;
    private final Clocks clocks;
    private final Hands hands;
    private final Withholding withholding;
    private final WhoMay whoMay;
    private final Cache<Key, Kept> whole;

    EntrySheets(
            EntryBook entryBook,
            ObservationBook observationBook,
            Traces traces,
            Shelves shelves,
            Revisions stamps,
            Clocks clocks,
            Hands hands,
            Withholding withholding,
            WhoMay whoMay,
            HouseSettings settings) {
        this.withholding = withholding;
        this.whoMay = whoMay;
        this.clocks = clocks;
        this.hands = hands;
        this.whole = Caffeine.newBuilder()
                .maximumWeight((long) OF_AN_ENTRY * settings.limits().entries())
                .weigher((Key key, Kept kept) -> OF_AN_ENTRY + kept.sheet.readings() / READINGS_FOR_ONE)
                .build();
        this.entryBook = entryBook;
        this.observationBook = observationBook;
        this.traces = traces;
        this.shelves = shelves;
        this.stamps = stamps;
    }

    /** What is kept is weighed: an entry counts ten, and every five hundred readings on its clocks one more. */
    private static final int OF_AN_ENTRY = 10;

    private static final int READINGS_FOR_ONE = 500;

    private record Kept(EntrySheet sheet, Revisions.Shelf shelf) {}

    /** An entry as it is told to one or the other: without what its result should be, or with it. */
    private record Key(UUID entry, boolean withheld) {}

    /** The sheet of an entry as far as it may be told to whoever the work is done for. */
    public EntrySheet of(Entry entry) {
        return of(entry, new Path(withholding.from(entry)));
    }

    /** The entries on the way to the one being read, and whether the way led back. */
    private static final class Path {

        private final boolean withheld;
        private final Set<UUID> above = new LinkedHashSet<>();
        private boolean circle;

        Path(boolean withheld) {
            this.withheld = withheld;
        }
    }

    private EntrySheet of(Entry entry, Path path) {
        TimeBudget.check();
        Revisions.Now now = stamps.of(entry.id());
        Key key = new Key(entry.id(), path.withheld);
        Kept known = whole.getIfPresent(key);
        if (known != null && known.shelf.equals(now.shelf()) && holds(known.sheet.stamps(), now.entry())) {
            return known.sheet;
        }
        EntrySheet sheet = read(entry, entryBook.rows(entry.id()), now.entry(), shelves.at(now.shelf()), path);
        if (!path.circle && !beingWritten()) {
            whole.put(key, new Kept(sheet, now.shelf()));
        }
        return sheet;
    }

    /** What is read while something is being kept may be taken back yet. */
    private static boolean beingWritten() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
    }

    /**
     * Whether nothing was added since: the first stamp is the entry's own, the rest those of the entries it draws on.
     */
    boolean holds(List<Revision> then, Revision own) {
        return then.get(0).equals(own)
                && (then.size() == 1
                        || then.subList(1, then.size())
                                .equals(stamps.of(then.subList(1, then.size()).stream()
                                        .map(Revision::entry)
                                        .toList())));
    }

    /** An entry read from rows at hand, and not kept. */
    EntrySheet fresh(Entry entry, EntryRows rows, Revision own, Revisions.Shelf stamp, boolean withheld) {
        TimeBudget.check();
        return read(entry, rows, own, shelves.at(stamp), new Path(withheld));
    }

    /** Results of other entries of the period that may be read and do not lead back to this one, by identity. */
    private Map<String, Setting.Referenced> referable(Entry entry) {
        Set<UUID> leadingBack = new HashSet<>();
        Set<UUID> elsewhere = new HashSet<>();
        Map<String, Setting.Referenced> results = new LinkedHashMap<>();
        entryBook.of(entry.period()).stream()
                .filter(other -> Experiments.find(other.experiment()).isPresent() && whoMay.reads(other))
                // what is simulated is drawn on by what is, too
                .filter(other -> other.simulated() == entry.simulated())
                .filter(other -> !reaches(other, entry.id(), leadingBack, elsewhere))
                .forEach(other -> results.put(other.id().toString(), referenced(of(other))));
        return results;
    }

    /**
     * Vessels a trial may have used, by what is kept of the choice: the constant in use, or the vessel while it has
     * none.
     */
    private Map<String, Calorimeter> choosable(Experiment experiment) {
        Shelf shelf = shelves.now();
        Map<String, Calorimeter> known = new LinkedHashMap<>();
        shelf.vesselsOffered().stream()
                .filter(each -> experiment.takes().contains(each.kind()))
                .forEach(vessel -> {
                    Optional<Calibration> inUse = shelf.inUse(vessel);
                    known.put(inUse.map(Calibration::id).orElse(vessel.id()).toString(), calorimeter(vessel, inUse));
                });
        return known;
    }

    private static Calorimeter calorimeter(Vessel vessel, Optional<Calibration> constant) {
        return new Calorimeter(vessel.name(), vessel.kind(), constant.map(Calibration::pinned));
    }

    /** The setting of an entry, open to whatever a slot may name: entries for a reference, vessels for a vessel. */
    public Setting open(EntrySheet entry, Slot slot) {
        Optional<Slot.Elsewhere> names = slot.elsewhere();
        Setting setting = entry.sheet().setting();
        return names.filter(Slot.Elsewhere.TRACE::equals)
                .map(any -> setting.logging(ofBench(entry)))
                .orElse(setting)
                .knowing(
                        names.filter(Slot.Elsewhere.VESSEL::equals)
                                .map(any -> choosable(entry.experiment()))
                                .orElse(Map.of()),
                        names.filter(Slot.Elsewhere.ENTRY::equals)
                                .map(any -> referable(entry.entry()))
                                .orElse(Map.of()));
    }

    /**
     * The sheet as it would be with another use in the place of the one that stands; nothing is kept.
     *
     * @throws Refused where those readings are not at this bench
     */
    public Sheet tried(EntrySheet entry, int trial, TraceUse use) {
        Address address = Clocks.place(entry, trial);
        boolean sameReadings = Clocks.use(entry, trial)
                .filter(each -> each.trace().equals(use.trace()))
                .isPresent();
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        SheetEditing filling =
                entry.readback().filling(sameReadings ? entry.sheet().setting() : open(entry, slot));
        GivenValue answer = new GivenValue(use.text(), null, Optional.empty(), null, "");
        entry.observations().standingAt(address.toString()).stream()
                .reduce((earlier, later) -> later)
                .filter(each -> filling.stands(each.id()))
                .ifPresentOrElse(
                        each -> filling.correct(each.id(), UUID.randomUUID(), address, Role.STATED, answer),
                        () -> filling.take(UUID.randomUUID(), address, Role.STATED, answer));
        return filling.sheet().with(entry.sheet().setting());
    }

    private Map<String, Logged> ofBench(EntrySheet entry) {
        Map<String, Logged> all = new LinkedHashMap<>();
        traces.of(entry.entry().bench())
                .forEach(trace ->
                        all.put(trace.id().toString(), logged(entry.entry(), trace, entry.decisions(), shelves.now())));
        return all;
    }

    /** Readings on a clock that trials are or were read from. */
    private Map<String, Logged> used(Entry entry, Experiment experiment, EntryRows rows, Shelf shelf) {
        Map<String, Logged> used = new LinkedHashMap<>();
        stated(experiment, rows.observations().all(), Slot.Elsewhere.TRACE)
                .flatMap(text -> TraceUse.of(text).stream())
                .map(TraceUse::trace)
                .distinct()
                .flatMap(id -> Shelf.identity(id).flatMap(traces::find).stream())
                .forEach(trace -> used.put(trace.id().toString(), logged(entry, trace, rows.decisions(), shelf)));
        return used;
    }

    private Logged logged(Entry entry, Trace trace, Decisions decisions, Shelf shelf) {
        ClockReadings readings = ClockReadings.of(trace, traces.readings(trace.id()), decisions);
        List<Reading> counting = readings.counting();
        Optional<Instrument> thermometer = trace.instrumentId().flatMap(shelf::instrument);
        return new Logged(
                counting.size() + " readings"
                        + thermometer.map(each -> " on " + each.name()).orElse(""),
                counting,
                thermometer,
                clocks.room(entry.period(), readings),
                decisions.readingsSure(trace.id()).keySet().stream()
                        .map(Decisions::second)
                        .collect(Collectors.toSet()),
                readings.impossible(),
                readings.leapt(),
                BenchUnit.of(trace.unit()).orElse(BenchUnit.DEGREES_CELSIUS));
    }

    private boolean reaches(Entry from, UUID target, Set<UUID> leading, Set<UUID> elsewhere) {
        if (from.id().equals(target) || leading.contains(from.id())) {
            return true;
        }
        if (!elsewhere.add(from.id())) {
            return false;
        }
        Experiment experiment = Experiments.findOrUnknown(from.experiment());
        boolean back = hasReference(experiment)
                && references(experiment, observationBook.of(from.id()))
                        .anyMatch(each -> reaches(each, target, leading, elsewhere));
        if (back) {
            leading.add(from.id());
        }
        return back;
    }

    private EntrySheet read(Entry entry, EntryRows rows, Revision own, Shelf shelf, Path path) {
        Experiment experiment = Experiments.findOrUnknown(entry.experiment());
        Optional<Vessel> vessel = entry.vesselId().flatMap(shelf::vessel);
        Optional<Calibration> pinned = rows.decisions()
                .last(Decision.Kind.PIN, "calibration")
                .map(Decision::outcome)
                .flatMap(Shelf::identity)
                .or(entry::calibrationId)
                .flatMap(shelf::calibration);
        Optional<Calibration> newer = experiment.calorimeter() == Calorimeter.Use.NEEDS_CONSTANT
                ? vessel.flatMap(shelf::inUse)
                        .filter(each -> !pinned.map(Calibration::id).equals(Optional.of(each.id())))
                : Optional.empty();
        Conventions conventions = Conventions.of(rows.decisions().schools())
                .over(Conventions.of(entry.period().schools()));
        List<Revision> stamped = new ArrayList<>(List.of(own));
        path.above.add(entry.id());
        Setting setting = new Setting(
                vessel.map(each -> calorimeter(each, pinned)),
                used(experiment, rows.observations(), shelf),
                rows.opened(EntryBook.TRIAL),
                parts(rows, experiment),
                rows.decisions().leftOut(),
                referenced(experiment, rows.observations(), path, stamped),
                entry.period().figures(),
                conventions,
                shelf.handbook(entry.shelfVersion()),
                rows.decisions().combination(),
                used(entry, experiment, rows, shelf),
                path.withheld
                        ? Judging.WITHHELD
                        : new Judging(false, shelf.given(entry.period().id(), experiment.key())));
        path.above.remove(entry.id());
        Map<String, String> schools = new LinkedHashMap<>(entry.period().schools());
        schools.putAll(rows.decisions().schools());
        SheetReader readback = SheetReader.of(
                experiment,
                setting,
                rows.observations().standing().stream()
                        .map(each -> row(each, shelf))
                        .toList(),
                schools);
        return new EntrySheet(
                entry,
                experiment,
                rows.observations(),
                rows.decisions(),
                vessel,
                pinned,
                newer,
                conventions,
                readback,
                names(rows.observations(), shelf),
                hands.of(entry),
                Reduction.of(readback.sheet(), conventions),
                stamped.stream().distinct().toList());
    }

    private static Map<String, String> names(Observations observations, Shelf shelf) {
        Map<String, String> names = new LinkedHashMap<>();
        observations.all().stream()
                .flatMap(each -> each.instrumentId().stream())
                .distinct()
                .flatMap(id -> shelf.instrument(id).stream())
                .forEach(instrument -> names.put(instrument.key(), instrument.name()));
        return names;
    }

    private static SheetReader.Row row(Observation observation, Shelf shelf) {
        return new SheetReader.Row(
                observation.id(),
                observation.address(),
                observation.role(),
                new GivenValue(
                        observation.text(),
                        observation.unit().orElse(null),
                        observation.instrumentId().flatMap(shelf::instrument),
                        observation.uncertainty().orElse(null),
                        observation.who()));
    }

    /** Vessels named for single trials, struck-out ones among them: by their constant, or by themselves. */
    private static Map<String, Calorimeter> used(Experiment experiment, Observations observations, Shelf shelf) {
        Map<String, Calorimeter> used = new LinkedHashMap<>();
        stated(experiment, observations.all(), Slot.Elsewhere.VESSEL)
                .forEach(text -> Shelf.identity(text).ifPresent(id -> {
                    Optional<Calibration> constant = shelf.calibration(id);
                    constant.map(Calibration::vesselId)
                            .or(() -> Optional.of(id))
                            .flatMap(shelf::vessel)
                            .ifPresent(vessel -> used.put(text, calorimeter(vessel, constant)));
                }));
        return used;
    }

    static Stream<String> stated(Experiment experiment, List<Observation> observations, Slot.Elsewhere names) {
        return observations.stream()
                .filter(each -> !each.strikeOut()
                        && WrittenSheet.slot(experiment, each)
                                .flatMap(Slot::elsewhere)
                                .filter(names::equals)
                                .isPresent())
                .map(Observation::text)
                .distinct();
    }

    private static Map<String, Integer> parts(EntryRows rows, Experiment experiment) {
        Map<String, Integer> parts = new LinkedHashMap<>();
        experiment.groups().stream()
                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                .forEach(group -> parts.put(group.key(), rows.opened(group.key())));
        return parts;
    }

    /** Results of the entries that reference slots name; one that leads back to where it is named has none. */
    private Map<String, Setting.Referenced> referenced(
            Experiment experiment, Observations observations, Path path, List<Revision> stamped) {
        Map<String, Setting.Referenced> known = new LinkedHashMap<>();
        if (hasReference(experiment)) {
            references(experiment, observations).forEach(other -> {
                if (path.above.contains(other.id())) {
                    path.circle = true;
                } else {
                    EntrySheet sheet = of(other, path);
                    stamped.addAll(sheet.stamps());
                    known.put(other.id().toString(), referenced(sheet));
                }
            });
        }
        return known;
    }

    private static boolean hasReference(Experiment experiment) {
        return experiment.groups().stream()
                .flatMap(group -> group.slots().stream())
                .flatMap(slot -> slot.elsewhere().stream())
                .anyMatch(Slot.Elsewhere.ENTRY::equals);
    }

    /** A result as another entry may use it. */
    private static Setting.Referenced referenced(EntrySheet other) {
        EntryLine line = EntryLine.of(other.entry(), other.entry().period().zone());
        return new Setting.Referenced(
                line.title() + ", " + other.entry().bench().inWords() + ", " + line.when(),
                other.reduction().result().map(Estimate::asInput),
                other.reduction().unit(),
                other.reduction().happened().asReaction());
    }

    private Stream<Entry> references(Experiment experiment, Observations observations) {
        return stated(experiment, observations.standing(), Slot.Elsewhere.ENTRY)
                .flatMap(text -> Shelf.identity(text).stream())
                .flatMap(id -> entryBook.find(id).stream());
    }
}

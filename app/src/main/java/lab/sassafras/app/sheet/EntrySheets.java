package lab.sassafras.app.sheet;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.account.TrialMean;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Observations;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Setting;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Assembles sheets from the book and the shelf. */
@Service
@Transactional(readOnly = true)
public class EntrySheets {

    private final LabBook book;
    private final Instruments instruments;
    private final Calorimeters calorimeters;

    EntrySheets(LabBook book, Instruments instruments, Calorimeters calorimeters) {
        this.book = book;
        this.instruments = instruments;
        this.calorimeters = calorimeters;
    }

    public EntrySheet of(Entry entry) {
        return of(entry, new HashSet<>());
    }

    /** Entries whose result a reference slot of this entry may take: same period, right unit, not leading back here. */
    public List<Entry> referable(Entry entry, Slot.Reference slot) {
        return book.entriesOf(entry.period()).stream()
                .filter(other -> Experiments.find(other.experiment())
                        .filter(kind -> kind.unknown().unit().dimension() == slot.unit().dimension()).isPresent())
                .filter(other -> !reaches(other, entry.id())).toList();
    }

    /** Vessels a trial may have used, by what is kept of the choice: the constant in use, or the vessel while it has none. */
    public Map<String, Calorimeter> choosable() {
        Map<String, Calorimeter> known = new LinkedHashMap<>();
        calorimeters.vessels().forEach(vessel -> {
            Optional<Calibration> inUse = calorimeters.inUse(vessel);
            known.put(inUse.map(Calibration::id).orElse(vessel.id()).toString(), calorimeter(vessel, inUse));
        });
        return known;
    }

    private static Calorimeter calorimeter(Vessel vessel, Optional<Calibration> constant) {
        return new Calorimeter(vessel.name(), vessel.kind(), constant.map(Calibration::pinned));
    }

    /** The same sheet, open to whatever a slot may name: entries for a reference, vessels for a vessel. */
    public EntrySheet open(EntrySheet entry, Slot slot) {
        Map<String, Setting.Referenced> references = new LinkedHashMap<>();
        if (slot instanceof Slot.Reference reference) {
            referable(entry.entry(), reference).forEach(other -> references.put(other.id().toString(),
                    new Setting.Referenced(other.bench().name(), Optional.empty())));
        }
        Map<String, Calorimeter> vessels = slot instanceof Slot.Vessel ? choosable() : Map.of();
        return entry.with(entry.sheet().with(entry.sheet().setting().knowing(vessels, references)));
    }

    private boolean reaches(Entry from, UUID target) {
        return from.id().equals(target) || references(from, experiment(from), book.observations(from.id()))
                .anyMatch(each -> reaches(each, target));
    }

    private EntrySheet of(Entry entry, Set<UUID> above) {
        Experiment experiment = experiment(entry);
        Observations observations = book.observations(entry.id());
        Decisions decisions = book.decisions(entry.id());
        Optional<Vessel> vessel = entry.vesselId().flatMap(calorimeters::vessel);
        Optional<Calibration> pinned = decisions.last(Decision.Kind.PIN, "calibration").map(Decision::outcome)
                .map(UUID::fromString).or(entry::calibrationId).flatMap(calorimeters::calibration);
        Optional<Calibration> newer = experiment.calorimeter() == Calorimeter.Use.NEEDS_CONSTANT
                ? vessel.flatMap(calorimeters::inUse).filter(each -> !pinned.map(Calibration::id)
                        .equals(Optional.of(each.id()))) : Optional.empty();
        Conventions conventions = Conventions.of(decisions.schools()).over(Conventions.of(entry.period().schools()));
        above.add(entry.id());
        Setting setting = new Setting(
                vessel.map(each -> calorimeter(each, pinned)), used(experiment, observations),
                book.opened(entry.id(), LabBook.TRIAL), parts(entry, experiment), decisions.leftOut(),
                referenced(entry, experiment, observations, above), entry.period().figures(), conventions);
        above.remove(entry.id());
        Sheet sheet = new Sheet(experiment, List.of(), setting);
        for (Observation observation : observations.standing()) {
            sheet = sheet.with(new Intake(sheet).accept(Address.read(observation.address()),
                    Role.of(observation.role()).orElseThrow(), given(observation)));
        }
        return new EntrySheet(entry, experiment, observations, decisions, vessel, pinned, newer, conventions, sheet);
    }

    private Intake.Given given(Observation observation) {
        return new Intake.Given(observation.text(), observation.unit().orElse(null),
                observation.instrumentId().flatMap(instruments::find), observation.uncertainty().orElse(null),
                observation.who());
    }

    private static Experiment experiment(Entry entry) {
        return Experiments.find(entry.experiment()).orElseThrow(() ->
                new IllegalStateException("no experiment " + entry.experiment() + " in this version"));
    }

    /** Vessels named for single trials, struck-out ones among them: by their constant, or by themselves. */
    private Map<String, Calorimeter> used(Experiment experiment, Observations observations) {
        Map<String, Calorimeter> used = new LinkedHashMap<>();
        stated(experiment, observations.all(), Slot.Vessel.class).forEach(text -> {
            UUID id = UUID.fromString(text);
            Optional<Calibration> constant = calorimeters.calibration(id);
            constant.map(Calibration::vesselId).or(() -> Optional.of(id)).flatMap(calorimeters::vessel)
                    .ifPresent(vessel -> used.put(text, calorimeter(vessel, constant)));
        });
        return used;
    }

    private static java.util.stream.Stream<String> stated(Experiment experiment, List<Observation> observations, Class<? extends Slot> kind) {
        return observations.stream().filter(each -> !each.strikeOut() && experiment.slot(Address.read(each.address()).path())
                .filter(kind::isInstance).isPresent()).map(Observation::text).distinct();
    }

    private Map<String, Integer> parts(Entry entry, Experiment experiment) {
        Map<String, Integer> parts = new LinkedHashMap<>();
        experiment.groups().stream().filter(group -> group.cardinality() == Cardinality.PER_PART)
                .map(Group::key).forEach(key -> parts.put(key, book.opened(entry.id(), key)));
        return parts;
    }

    /** What reference slots may name: every entry that can be referred to, those named already worked out. */
    private Map<String, Setting.Referenced> referenced(Entry entry, Experiment experiment, Observations observations,
                                                       Set<UUID> above) {
        Map<String, Setting.Referenced> known = new LinkedHashMap<>();
        references(entry, experiment, observations).filter(other -> !above.contains(other.id()))
                .forEach(other -> known.put(other.id().toString(), referenced(of(other, above))));
        return known;
    }

    /** A result as another entry may use it. */
    public static Setting.Referenced referenced(EntrySheet other) {
        return new Setting.Referenced(other.experiment().words().title() + ", bench " + other.entry().bench().name(),
                other.reduction().mean().map(TrialMean::estimate).map(lab.sassafras.expression.Estimate::asInput));
    }

    private java.util.stream.Stream<Entry> references(Entry entry, Experiment experiment, Observations observations) {
        return stated(experiment, observations.standing(), Slot.Reference.class).map(UUID::fromString).flatMap(id -> book.entry(id).stream());
    }
}

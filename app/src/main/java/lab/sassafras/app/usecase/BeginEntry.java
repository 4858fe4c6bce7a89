package lab.sassafras.app.usecase;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.plans.Planned;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Note;
import lab.sassafras.app.record.NoteBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.ReferenceShelf;

/** Begins an entry at a bench, or one more trial or part of it. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.DECIDING)
public class BeginEntry {

    private final EntryBook entryBook;
    private final ObservationBook observations;
    private final Shelves shelves;
    private final Planned planned;
    private final NoteBook notes;

    BeginEntry(EntryBook entryBook, ObservationBook observations, Shelves shelves, Planned planned, NoteBook notes) {
        this.notes = notes;
        this.planned = planned;
        this.observations = observations;
        this.entryBook = entryBook;
        this.shelves = shelves;
    }

    /**
     * Begins an entry.
     *
     * @param experiment key of its experiment
     * @param vessel     in hand, if any
     * @param with       instruments in hand, by kind
     * @param simulated  whether it is run at the simulated bench
     * @param minded     whether it was ticked that what can hurt was read: a flame, pressure, what the plan names
     */
    @Needs(Right.BEGIN)
    public Answer<Entry> begin(
            String experiment,
            Optional<UUID> vessel,
            Map<InstrumentKind, UUID> with,
            boolean simulated,
            boolean minded,
            Actor actor) {
        boolean byHand = !simulated && !actor.bench().simulated();
        List<String> dangers = byHand ? dangers(actor.bench(), experiment) : List.of();
        if (!dangers.isEmpty() && !minded) {
            return new Answer.Asked<>("Before this begins: " + String.join("; ", dangers)
                    + ". Wear what protects eyes and hands, know where the rinsing water is, and read the sheets of the "
                    + "bottles. Your lab’s own rules and your instructor come first.");
        }
        return Answer.of(() -> {
            Experiment kind =
                    Experiments.find(experiment).orElseThrow(() -> new Refused("Choose an experiment to begin."));
            if (simulated && kind.scene().isEmpty()) {
                throw new Refused("“" + kind.words().title() + "” has nothing to run at the simulated bench.");
            }
            if (!actor.bench().period().offers(experiment)) {
                throw new Refused("“" + kind.words().title() + "” is not offered in this period. Ask your instructor.");
            }
            Shelf shelf = shelves.now();
            Optional<Vessel> chosen =
                    kind.calorimeter() == Calorimeter.Use.NONE ? Optional.empty() : vessel.flatMap(shelf::vessel);
            if (kind.calorimeter() == Calorimeter.Use.FINDS_CONSTANT && chosen.isEmpty()) {
                throw new Refused("Choose the vessel whose constant is to be found. Vessels are added on the shelf.");
            }
            chosen.filter(each -> !takes(kind, each.kind())).ifPresent(other -> {
                throw new Refused("“" + kind.words().title() + "” is done in "
                        + kind.takes().stream().map(VesselKind::one).collect(Collectors.joining(" or "))
                        + ", not in " + other.kind().one() + ". Choose another calorimeter.");
            });
            Period period = actor.bench().period();
            boolean lent = chosen.map(each -> lends(period, shelf, each)).orElse(true)
                    && with.entrySet().stream().allMatch(each -> lends(period, shelf, each.getKey(), each.getValue()));
            if (!lent) {
                throw new Refused(
                        "Your instructor lends other things in this period. Load the page again and choose among those.");
            }
            Optional<UUID> pinned = kind.calorimeter() == Calorimeter.Use.NEEDS_CONSTANT
                    ? chosen.flatMap(shelf::inUse).map(Calibration::id)
                    : Optional.empty();
            if (with.values().stream().anyMatch(id -> shelf.instrument(id).isEmpty())) {
                throw new Refused("That instrument is not here.");
            }
            Entry begun = entryBook.begin(
                    actor.bench(),
                    new Entry.Plan(
                            kind.key(),
                            kind.method(),
                            ReferenceShelf.VERSION,
                            chosen.map(Vessel::id),
                            pinned,
                            with,
                            simulated || actor.bench().simulated()));
            if (!simulated) {
                named(begun, kind, actor.bench());
            }
            if (!dangers.isEmpty()) {
                notes.write(UUID.randomUUID(), begun, ticked(dangers), actor.name());
            }
            return begun;
        });
    }

    /** What was read before it began stays with the run: who ticked it, and when. */
    private static String ticked(List<String> dangers) {
        String all = "Ticked before it began: " + String.join("; ", dangers);
        return all.length() > Note.LONGEST ? all.substring(0, Note.LONGEST - 1) + "…" : all;
    }

    /** What an experiment itself can hurt by, a flame or pressure, and what of its plan is strong. */
    private List<String> dangers(Bench bench, String experiment) {
        return Stream.concat(
                        Experiments.find(experiment)
                                .flatMap(each -> each.words().caution("begin"))
                                .stream(),
                        planned.strong(bench, experiment).stream())
                .toList();
    }

    /** What the instructor called the bench's sample stands in its entry from the start. */
    private void named(Entry entry, Experiment kind, Bench bench) {
        kind.sampleName()
                .filter(any -> !bench.sample().isEmpty())
                .ifPresent(path -> observations.keep(
                        UUID.randomUUID(),
                        entry.id(),
                        new Observation.Given(
                                Address.of(path, 1).toString(),
                                Role.STATED.key(),
                                bench.sample(),
                                null,
                                Optional.empty(),
                                null,
                                bench.name(),
                                Optional.empty(),
                                null,
                                Optional.of("the instructor"))));
    }

    private static boolean lends(Period period, Shelf shelf, Vessel vessel) {
        return period.lends(
                        shelf.vessels().stream()
                                .filter(each -> each.kind().equals(vessel.kind()))
                                .toList(),
                        Vessel::id)
                .contains(vessel);
    }

    private static boolean lends(Period period, Shelf shelf, InstrumentKind kind, UUID instrument) {
        return shelf.instrument(instrument)
                .map(chosen -> period.lends(
                                shelf.instruments().stream()
                                        .filter(each -> each.kind().equals(kind))
                                        .toList(),
                                each -> UUID.fromString(each.key()))
                        .contains(chosen))
                .orElse(true);
    }

    /** Whether an experiment is done in a kind of vessel; one this version does not know may be anything. */
    private static boolean takes(Experiment experiment, VesselKind kind) {
        return experiment.takes().contains(kind) || !Experiments.vessels().contains(kind);
    }

    /**
     * Opens one more trial, or one more of what there are several of.
     *
     * @param what {@link EntryBook#TRIAL}, or the key of a group
     * @return its number
     */
    public Answer<Integer> more(EntrySheet entry, String what, Actor actor) {
        return Answer.of(() -> {
            boolean known = what.equals(EntryBook.TRIAL)
                    || entry.experiment()
                            .group(what)
                            .filter(group -> group.cardinality() == Cardinality.PER_PART)
                            .isPresent();
            if (!known) {
                throw new Refused("There is nothing of that name to add.");
            }
            return entryBook.open(entry.entry().id(), what, actor.name());
        });
    }
}

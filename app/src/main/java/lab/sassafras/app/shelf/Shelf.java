package lab.sassafras.app.shelf;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Decision;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Judging;
import lab.sassafras.substance.ReferenceShelf;

/** What stands on the shelf at one moment, each thing looked up at once. */
public final class Shelf {

    private final Map<UUID, Vessel> vessels = new LinkedHashMap<>();
    private final Map<UUID, Calibration> calibrations = new LinkedHashMap<>();
    private final Map<UUID, List<Calibration>> ofVessel = new LinkedHashMap<>();
    private final Map<UUID, Instrument> instruments = new LinkedHashMap<>();
    private final Map<UUID, Decision> decided = new LinkedHashMap<>();
    private final Map<UUID, Decision> struck = new LinkedHashMap<>();
    private final Map<UUID, Decision> retired = new LinkedHashMap<>();
    private final List<OwnSubstance> own;
    private final List<OwnReference> references;
    private final Map<Integer, ReferenceShelf> handbooks = new ConcurrentHashMap<>();
    private final Collection<UUID> broughtIn;

    /**
     * @param newest    constants, newest first
     * @param decisions over constants, in the order taken
     * @param broughtIn constants that came with a file
     * @param references given by instructors and not struck out, newest first
     */
    Shelf(
            List<Vessel> vessels,
            List<Calibration> newest,
            List<Instrument> instruments,
            List<Decision> decisions,
            Collection<UUID> broughtIn,
            List<OwnSubstance> own,
            List<Decision> overOwn,
            List<Decision> overThings,
            List<OwnReference> references) {
        this.references = List.copyOf(references);
        vessels.forEach(each -> this.vessels.put(each.id(), each));
        newest.forEach(each -> {
            calibrations.put(each.id(), each);
            ofVessel.computeIfAbsent(each.vesselId(), any -> new ArrayList<>()).add(each);
        });
        instruments.forEach(each -> this.instruments.put(UUID.fromString(each.key()), each));
        decisions.forEach(each -> identity(each.subject()).ifPresent(id -> decided.put(id, each)));
        this.broughtIn = broughtIn;
        this.own = List.copyOf(own);
        overOwn.forEach(each -> identity(each.subject()).ifPresent(id -> struck.put(id, each)));
        overThings.forEach(each -> identity(each.subject()).ifPresent(id -> retired.put(id, each)));
    }

    /** The decision that retired a vessel or an instrument, if it still holds: it is read, and not offered. */
    public Optional<Decision> retired(UUID thing) {
        return Optional.ofNullable(retired.get(thing))
                .filter(each -> each.outcome().equals(Decision.ASIDE));
    }

    /** Vessels to choose from, by name: those not retired. */
    public List<Vessel> vesselsOffered() {
        return vessels.values().stream()
                .filter(each -> retired(each.id()).isEmpty())
                .toList();
    }

    /** Instruments to choose from: those not retired. */
    public List<Instrument> instrumentsOffered() {
        return instruments.values().stream()
                .filter(each -> retired(UUID.fromString(each.key())).isEmpty())
                .toList();
    }

    /** What instructors gave and did not strike out, newest first. */
    public List<OwnReference> references() {
        return references;
    }

    /**
     * What results of an experiment are judged by in a period before the shelf is asked: what was given there for a
     * sample, what the key tells of one, and what was given there for all.
     */
    public List<Judging.Given> given(UUID period, String experiment) {
        Comparator<OwnReference> nearest = Comparator.comparing(
                        (OwnReference each) -> each.sample().isEmpty())
                .thenComparing(each -> each.periodId().isEmpty());
        return references.stream()
                .filter(each -> each.experiment().equals(experiment)
                        && each.periodId().map(period::equals).orElse(true))
                .sorted(nearest)
                .map(OwnReference::given)
                .toList();
    }

    /** What somebody here put on the shelf, oldest first. */
    public List<OwnSubstance> own() {
        return own;
    }

    /** The decision that struck a substance of one's own out, if it still holds. */
    public Optional<Decision> struck(OwnSubstance substance) {
        return Optional.ofNullable(struck.get(substance.id()))
                .filter(each -> each.outcome().equals(Decision.ASIDE));
    }

    /** A version of the handbook with what was put on the shelf here. */
    public ReferenceShelf handbook(int version) {
        return own.isEmpty()
                ? ReferenceShelf.at(version)
                : handbooks.computeIfAbsent(
                        version,
                        any -> ReferenceShelf.at(version)
                                .with(new ReferenceShelf.Beside(
                                        own.stream()
                                                .filter(each -> each.kind().specificHeat())
                                                .map(each -> each.substance(
                                                        struck(each).isEmpty()))
                                                .toList(),
                                        counting(OwnSubstance.Kind.SOLUTION, OwnSubstance::dissolution),
                                        counting(OwnSubstance.Kind.FORMATION, OwnSubstance::formation),
                                        counting(OwnSubstance.Kind.REACTION, OwnSubstance::reaction),
                                        counting(OwnSubstance.Kind.COMBUSTION, OwnSubstance::combustion))));
    }

    /** What was added of a kind and not struck out, the newest first. */
    private <T> List<T> counting(OwnSubstance.Kind kind, Function<OwnSubstance, T> row) {
        List<T> rows = own.stream()
                .filter(each -> each.kind() == kind && struck(each).isEmpty())
                .map(row)
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.reverse(rows);
        return rows;
    }

    /** The identity a text is, where it is one. */
    public static Optional<UUID> identity(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    /** By name. */
    public Collection<Vessel> vessels() {
        return vessels.values();
    }

    public Optional<Vessel> vessel(UUID id) {
        return Optional.ofNullable(vessels.get(id));
    }

    public Optional<Calibration> calibration(UUID id) {
        return Optional.ofNullable(calibrations.get(id));
    }

    /** Newest first. */
    public List<Calibration> calibrations(Vessel vessel) {
        return ofVessel.getOrDefault(vessel.id(), List.of());
    }

    public Optional<Instrument> instrument(UUID id) {
        return Optional.ofNullable(instruments.get(id));
    }

    public Collection<Instrument> instruments() {
        return instruments.values();
    }

    /** The newest constant of a vessel that may be used: not set aside, and where it came with a file, adopted here. */
    public Optional<Calibration> inUse(Vessel vessel) {
        return calibrations(vessel).stream().filter(this::usable).findFirst();
    }

    private boolean usable(Calibration calibration) {
        return decision(calibration)
                .map(each -> each.outcome().equals(Decision.ADOPTED))
                .orElse(!broughtIn(calibration));
    }

    /** Whether a constant came with a file, and so is only proposed until somebody adopts it. */
    public boolean broughtIn(Calibration calibration) {
        return broughtIn.contains(calibration.id());
    }

    private Optional<Decision> decision(Calibration calibration) {
        return Optional.ofNullable(decided.get(calibration.id()));
    }

    /** The decision that set a constant aside, if it still holds. */
    public Optional<Decision> setAside(Calibration calibration) {
        return decision(calibration).filter(each -> each.outcome().equals(Decision.ASIDE));
    }

    /** The decision that took a constant up, if it still holds. */
    public Optional<Decision> takenUp(Calibration calibration) {
        return decision(calibration).filter(each -> each.outcome().equals(Decision.ADOPTED));
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Entries, and how many trials and parts of each were opened. Adds and finds; never changes. */
@Service
@Transactional
public class EntryBook {

    /** What a further trial is opened as. */
    public static final String TRIAL = "trial";

    private static final int MOST_OPENED = 50;
    /** Values of other entries that are looked through for one to propose. */
    private static final int MOST_LOOKED_AT = 60;

    private static final String ENTRIES =
            "select entry from Entry entry join fetch entry.bench bench join fetch bench.period period ";

    private final ObservationBook observations;
    private final DecisionBook decisions;
    private final EntityManager entities;
    private final Persons persons;
    private final Keeping keeping;

    EntryBook(
            EntityManager entities,
            Persons persons,
            Keeping keeping,
            ObservationBook observations,
            DecisionBook decisions) {
        this.persons = persons;
        this.entities = entities;
        this.keeping = keeping;
        this.observations = observations;
        this.decisions = decisions;
    }

    /** Begins an entry. */
    public Entry begin(Bench bench, Entry.Plan plan) {
        return begin(bench, plan, keeping.now());
    }

    /** As above, for an entry begun at a known earlier moment (an import). */
    public Entry begin(Bench bench, Entry.Plan plan, Instant begun) {
        return keeping.persisted(new Entry(UUID.randomUUID(), bench, plan, begun));
    }

    @Transactional(readOnly = true)
    public Optional<Entry> find(UUID id) {
        return Optional.ofNullable(entities.find(Entry.class, id));
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> of(Bench bench) {
        return entities.createQuery(ENTRIES + "where bench.id = :bench order by entry.seq desc", Entry.class)
                .setParameter("bench", bench.id())
                .getResultList();
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> of(Period period) {
        return entities.createQuery(ENTRIES + "where period.id = :period order by entry.seq desc", Entry.class)
                .setParameter("period", period.id())
                .getResultList();
    }

    /** The newest that were done by hands, the newest first, of whatever period. */
    @Transactional(readOnly = true)
    public List<Entry> newest(String experiment, int most) {
        return entities.createQuery(
                        ENTRIES + "where entry.experiment = :experiment and entry.simulated = false "
                                + "order by entry.seq desc",
                        Entry.class)
                .setParameter("experiment", experiment)
                .setMaxResults(most)
                .getResultList();
    }

    /** Everything kept of one entry. */
    @Transactional(readOnly = true)
    public EntryRows rows(UUID entryId) {
        Map<String, Integer> opened = new HashMap<>();
        entities.createQuery("from Opened where entryId = :entry", Opened.class)
                .setParameter("entry", entryId)
                .getResultList()
                .forEach(each -> opened.merge(each.what(), each.number(), Math::max));
        return new EntryRows(observations.of(entryId), decisions.of(entryId), opened);
    }

    /** Everything kept of every entry of a period, in a few questions to the database however many there are. */
    @Transactional(readOnly = true)
    public Map<UUID, EntryRows> rows(Period period) {
        Map<UUID, List<Observation>> read =
                grouped(period, "Observation", "seq", Observation.class, Observation::entryId);
        Map<UUID, List<Decision>> decided = grouped(period, "Decision", "seq", Decision.class, Decision::entryId);
        Map<UUID, List<Opened>> opened = grouped(period, "Opened", "number", Opened.class, Opened::entryId);
        Map<UUID, EntryRows> rows = new HashMap<>();
        of(period).forEach(entry -> {
            Map<String, Integer> most = new HashMap<>();
            opened.getOrDefault(entry.id(), List.of())
                    .forEach(each -> most.merge(each.what(), each.number(), Math::max));
            rows.put(
                    entry.id(),
                    new EntryRows(
                            new Observations(read.getOrDefault(entry.id(), List.of())),
                            new Decisions(decided.getOrDefault(entry.id(), List.of())),
                            most));
        });
        return rows;
    }

    /** A value that stands, and the entry it stands in. */
    public record Found(Entry entry, Observation observation) {}

    /** What stands at an address in other entries of the same experiment and period, newest first; not all of many. */
    @Transactional(readOnly = true)
    public List<Found> standingAt(Entry here, String address) {
        List<Observation> given = entities.createQuery(
                        "select row from Observation row, Entry entry where row.entryId = entry.id "
                                + "and entry.bench.period.id = :period and entry.experiment = :experiment "
                                + "and entry.id <> :here and row.address = :address order by row.seq desc",
                        Observation.class)
                .setParameter("period", here.period().id())
                .setParameter("experiment", here.experiment())
                .setParameter("here", here.id())
                .setParameter("address", address)
                .setMaxResults(MOST_LOOKED_AT)
                .getResultList();
        return new Observations(given)
                .standing().stream()
                        .flatMap(each -> find(each.entryId()).map(entry -> new Found(entry, each)).stream())
                        .toList();
    }

    private <T> Map<UUID, List<T>> grouped(
            Period period, String name, String order, Class<T> type, Function<T, UUID> entry) {
        Map<UUID, List<T>> rows = new HashMap<>();
        entities.createQuery(
                        "select row from " + name
                                + " row, Entry entry where row.entryId = entry.id and entry.bench.period.id = :period "
                                + "order by row." + order,
                        type)
                .setParameter("period", period.id())
                .getResultList()
                .forEach(row -> rows.computeIfAbsent(entry.apply(row), any -> new ArrayList<>())
                        .add(row));
        return rows;
    }

    /**
     * Opens one more trial or part.
     *
     * @return its number
     */
    @Transactional(propagation = Propagation.SUPPORTS)
    public int open(UUID entryId, String what, String who) {
        return keeping.atomically(() -> {
            int number = opened(entryId, what) + 1;
            if (number > MOST_OPENED) {
                throw new Refused("An entry holds at most " + MOST_OPENED + " of each. Begin a new entry.");
            }
            keeping.persisted(new Opened(entryId, what, number, persons.inEntry(entryId, who), keeping.now()));
            entities.flush();
            keeping.tell(entryId);
            return number;
        });
    }

    /** How many there are of a thing, at least 1. */
    @Transactional(readOnly = true)
    public int opened(UUID entryId, String what) {
        return entities
                .createQuery("select max(number) from Opened where entryId = :entry and what = :what", Integer.class)
                .setParameter("entry", entryId)
                .setParameter("what", what)
                .getResultList()
                .stream()
                .filter(java.util.Objects::nonNull)
                .findFirst()
                .orElse(1);
    }
}

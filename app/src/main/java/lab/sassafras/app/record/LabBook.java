package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that was read and decided. Adds and finds; never changes. */
@Service
@Transactional
public class LabBook {

    /** What a further trial is opened as. */
    public static final String TRIAL = "trial";
    private static final int MOST_OPENED = 50;

    private final EntityManager entities;
    private final Clock clock;

    LabBook(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    public Period openPeriod(String title, LocalDate heldOn, ZoneId zone, DecimalMark mark, Map<String, String> schools) {
        Period period = new Period(UUID.randomUUID(), title, heldOn, zone, mark, schools, now());
        entities.persist(period);
        return period;
    }

    @Transactional(readOnly = true)
    public List<Period> periods() {
        return entities.createQuery("from Period order by heldOn desc, createdAt desc", Period.class).getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Period> period(UUID id) {
        return Optional.ofNullable(entities.find(Period.class, id));
    }

    /** The bench of that name in a period, new or already there. */
    public Bench join(Period period, String name) {
        return benches(period).stream().filter(bench -> bench.name().equals(name)).findFirst().orElseGet(() -> {
            Bench bench = new Bench(UUID.randomUUID(), period, name, now());
            entities.persist(bench);
            return bench;
        });
    }

    @Transactional(readOnly = true)
    public List<Bench> benches(Period period) {
        return entities.createQuery("from Bench where period.id = :period order by name", Bench.class)
                .setParameter("period", period.id()).getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Bench> bench(UUID id) {
        return Optional.ofNullable(entities.find(Bench.class, id));
    }

    public Entry begin(Bench bench, Entry.Plan plan) {
        return begin(bench, plan, now());
    }

    /** As above, for an entry begun at a known earlier moment (an import). */
    public Entry begin(Bench bench, Entry.Plan plan, Instant begun) {
        Entry entry = new Entry(UUID.randomUUID(), bench, plan, begun);
        entities.persist(entry);
        return entry;
    }

    @Transactional(readOnly = true)
    public Optional<Entry> entry(UUID id) {
        return Optional.ofNullable(entities.find(Entry.class, id));
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> entriesOf(Bench bench) {
        return entities.createQuery("from Entry where bench.id = :bench order by createdAt desc", Entry.class)
                .setParameter("bench", bench.id()).getResultList();
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> entriesOf(Period period) {
        return entities.createQuery("from Entry where bench.period.id = :period order by createdAt desc", Entry.class)
                .setParameter("period", period.id()).getResultList();
    }

    /**
     * Keeps a value. Given twice under the same identity, as after a lost answer, it is kept once.
     *
     * @param id identity chosen by whoever asks
     */
    public Observation keep(UUID id, UUID entryId, Observation.Given given) {
        return keep(id, entryId, given, now());
    }

    /** As above, for a value given at a known earlier moment (an import). */
    public Observation keep(UUID id, UUID entryId, Observation.Given given, Instant madeAt) {
        Observation kept = entities.find(Observation.class, id);
        if (kept != null) {
            return kept;
        }
        given.supersedes().ifPresent(struck -> refuseUnlessStanding(entryId, struck));
        Observation observation = new Observation(id, entryId, given, madeAt);
        entities.persist(observation);
        entities.flush();
        return observation;
    }

    private void refuseUnlessStanding(UUID entryId, UUID struck) {
        if (observations(entryId).standing().stream().noneMatch(each -> each.id().equals(struck))) {
            throw new Refused("That value was already struck out, perhaps on another device. Look at the sheet again.");
        }
    }

    @Transactional(readOnly = true)
    public Observations observations(UUID entryId) {
        return new Observations(entities.createQuery("from Observation where entryId = :entry order by seq",
                Observation.class).setParameter("entry", entryId).getResultList());
    }

    /**
     * Opens one more trial or part.
     *
     * @return its number
     */
    public int open(UUID entryId, String what, String who) {
        int number = opened(entryId, what) + 1;
        if (number > MOST_OPENED) {
            throw new Refused("An entry holds at most " + MOST_OPENED + " of each. Begin a new entry.");
        }
        entities.persist(new Opened(entryId, what, number, who, now()));
        return number;
    }

    /** How many there are of a thing, at least 1. */
    @Transactional(readOnly = true)
    public int opened(UUID entryId, String what) {
        return entities.createQuery("from Opened where entryId = :entry and what = :what", Opened.class)
                .setParameter("entry", entryId).setParameter("what", what).getResultList().stream()
                .mapToInt(Opened::number).max().orElse(1);
    }

    /** Takes a decision; without an entry it is about the shelf. */
    public Decision decide(Optional<UUID> entryId, Decision.Kind kind, String subject, String outcome, String reason,
                           String who) {
        Decision decision = new Decision(entryId.orElse(null), kind, subject, outcome, reason, who, now());
        entities.persist(decision);
        return decision;
    }

    @Transactional(readOnly = true)
    public Decisions decisions(UUID entryId) {
        return new Decisions(entities.createQuery("from Decision where entryId = :entry order by seq", Decision.class)
                .setParameter("entry", entryId).getResultList());
    }

    /** Decisions about the shelf, of one kind. */
    @Transactional(readOnly = true)
    public Decisions decisions(Decision.Kind kind) {
        return new Decisions(entities.createQuery("from Decision where kind = :kind order by seq", Decision.class)
                .setParameter("kind", kind).getResultList());
    }
}

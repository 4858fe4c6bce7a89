package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Everything that was read and decided. Adds and finds; never changes. */
@Service
@Transactional
public class LabBook {

    /** What a further trial is opened as. */
    public static final String TRIAL = "trial";

    private static final int MOST_OPENED = 50;
    private static final String ENTRIES =
            "select entry from Entry entry join fetch entry.bench bench join fetch bench.period period ";
    /** Hands that may reach for the same thing at once before one of them is told to come back. */
    private static final int TRIES = 20;

    private final EntityManager entities;
    private final Clock clock;
    private final DiskRoom room;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    LabBook(
            EntityManager entities,
            Clock clock,
            DiskRoom room,
            PlatformTransactionManager transactions,
            ApplicationEventPublisher events) {
        this.entities = entities;
        this.clock = clock;
        this.room = room;
        this.transaction = new TransactionTemplate(transactions);
        this.events = events;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    private <T> T persisted(T row) {
        room.check();
        entities.persist(row);
        return row;
    }

    /**
     * Does what two hands may do at the same moment: where the other one was quicker, once more with what is there now.
     * As part of something larger, such as an import, it is done once with the rest or not at all.
     */
    private <T> T atomically(Supplier<T> work) {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            return work.get();
        }
        for (int tries = 1; ; tries++) {
            try {
                return transaction.execute(status -> {
                    T done = work.get();
                    entities.flush();
                    return done;
                });
            } catch (DataIntegrityViolationException | PersistenceException other) {
                if (tries == TRIES || !collision(other)) {
                    throw other;
                }
            }
        }
    }

    private static boolean collision(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof java.sql.SQLException sql
                    && sql.getSQLState() != null
                    && sql.getSQLState().startsWith("23")) {
                return true;
            }
        }
        return failure instanceof DataIntegrityViolationException;
    }

    public Period openPeriod(
            String title, LocalDate heldOn, ZoneId zone, DecimalMark mark, Map<String, String> schools) {
        return persisted(new Period(UUID.randomUUID(), title, heldOn, zone, mark, schools, now()));
    }

    @Transactional(readOnly = true)
    public List<Period> periods() {
        return entities.createQuery("from Period order by heldOn desc, seq desc", Period.class)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Period> period(UUID id) {
        return Optional.ofNullable(entities.find(Period.class, id));
    }

    /** The bench of that name in a period, new or already there. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Bench join(Period period, String name) {
        return atomically(() -> benches(period).stream()
                .filter(bench -> bench.name().equals(name))
                .findFirst()
                .orElseGet(() -> persisted(new Bench(UUID.randomUUID(), period, name, now()))));
    }

    /**
     * Calls a bench otherwise. What it wrote keeps the name it was written under.
     *
     * @throws Refused where another bench of the period has that name
     */
    public void rename(Bench bench, String name) {
        if (benches(bench.period()).stream()
                .anyMatch(each -> each.name().equals(name) && !each.id().equals(bench.id()))) {
            throw new Refused("There is a bench of that name already.");
        }
        entities.find(Bench.class, bench.id()).rename(name);
    }

    /**
     * Takes a bench away that wrote nothing.
     *
     * @throws Refused where it has an entry
     */
    public void remove(Bench bench) {
        if (!entriesOf(bench).isEmpty()) {
            throw new Refused(bench.name() + " has entries, so it stays. Only an empty bench can be taken away.");
        }
        entities.remove(entities.find(Bench.class, bench.id()));
    }

    /** Whether anything was read in a period, after which its conventions stand. */
    @Transactional(readOnly = true)
    public boolean begun(Period period) {
        return entities.createQuery(
                                "select count(*) from Observation seen, Entry entry where seen.entryId = entry.id "
                                        + "and entry.bench.period.id = :period",
                                Long.class)
                        .setParameter("period", period.id())
                        .getSingleResult()
                > 0;
    }

    /**
     * Settles the conventions of a period anew.
     *
     * @throws Refused where something was read already
     */
    public void settle(Period period, Map<String, String> schools) {
        if (begun(period)) {
            throw new Refused(
                    "Something was read in this period already, so its conventions stand. An entry may depart "
                            + "from them on its result page.");
        }
        entities.find(Period.class, period.id()).settle(schools);
    }

    @Transactional(readOnly = true)
    public List<Bench> benches(Period period) {
        return entities.createQuery("from Bench where period.id = :period order by name", Bench.class)
                .setParameter("period", period.id())
                .getResultList();
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
        return persisted(new Entry(UUID.randomUUID(), bench, plan, begun));
    }

    @Transactional(readOnly = true)
    public Optional<Entry> entry(UUID id) {
        return Optional.ofNullable(entities.find(Entry.class, id));
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> entriesOf(Bench bench) {
        return entities.createQuery(ENTRIES + "where bench.id = :bench order by entry.seq desc", Entry.class)
                .setParameter("bench", bench.id())
                .getResultList();
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Entry> entriesOf(Period period) {
        return entities.createQuery(ENTRIES + "where period.id = :period order by entry.seq desc", Entry.class)
                .setParameter("period", period.id())
                .getResultList();
    }

    /**
     * Keeps a value. Given twice under the same identity, as after a lost answer, it is kept once. A value is struck
     * out once: of two corrections at the same moment the second is kept as a second reading, so that nothing is lost.
     *
     * @param id identity chosen by whoever asks
     * @throws Refused where something else was kept under that identity, or a value that only strikes out came too late
     */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Observation keep(UUID id, UUID entryId, Observation.Given given) {
        return keep(id, entryId, given, now());
    }

    /** As above, for a value given at a known earlier moment (an import). */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Observation keep(UUID id, UUID entryId, Observation.Given given, Instant madeAt) {
        return atomically(() -> kept(id, entryId, given, madeAt));
    }

    private Observation kept(UUID id, UUID entryId, Observation.Given given, Instant madeAt) {
        Observation known = entities.find(Observation.class, id);
        if (known != null) {
            if (!known.says(entryId, given)) {
                throw new Refused("Another value, " + known.text()
                        + ", was kept under the same key, so this one was not. Load the page "
                        + "again and give it once more.");
            }
            return known;
        }
        Observation observation = persisted(new Observation(
                id,
                entryId,
                given.supersedes()
                                .map(struck -> strikes(struck, entryId, given))
                                .orElse(true)
                        ? given
                        : given.asSecondReading(),
                madeAt));
        observation.supersedes().ifPresent(struck -> entities.persist(new Strike(struck, id)));
        events.publishEvent(Added.toEntry(entryId));
        return observation;
    }

    /** Whether this is the first to strike a value out. */
    private boolean strikes(UUID struck, UUID entryId, Observation.Given given) {
        Observation target = entities.find(Observation.class, struck);
        if (target == null || !target.entryId().equals(entryId) || target.strikeOut()) {
            throw new Refused("That value is not one of this entry. Look at the sheet again.");
        }
        boolean first = entities.find(Strike.class, struck) == null;
        if (!first && given.text().isEmpty()) {
            throw new Refused("That value was already struck out, perhaps on another device. Look at the sheet again.");
        }
        return first;
    }

    @Transactional(readOnly = true)
    public Observations observations(UUID entryId) {
        return new Observations(
                entities.createQuery("from Observation where entryId = :entry order by seq", Observation.class)
                        .setParameter("entry", entryId)
                        .getResultList());
    }

    /** Everything kept of one entry. */
    @Transactional(readOnly = true)
    public EntryRows rows(UUID entryId) {
        Map<String, Integer> opened = new HashMap<>();
        entities.createQuery("from Opened where entryId = :entry", Opened.class)
                .setParameter("entry", entryId)
                .getResultList()
                .forEach(each -> opened.merge(each.what(), each.number(), Math::max));
        return new EntryRows(observations(entryId), decisions(entryId), opened);
    }

    /** Everything kept of every entry of a period, in a few questions to the database however many there are. */
    @Transactional(readOnly = true)
    public Map<UUID, EntryRows> rows(Period period) {
        Map<UUID, List<Observation>> observations =
                grouped(period, "Observation", "seq", Observation.class, Observation::entryId);
        Map<UUID, List<Decision>> decisions = grouped(period, "Decision", "seq", Decision.class, Decision::entryId);
        Map<UUID, List<Opened>> opened = grouped(period, "Opened", "number", Opened.class, Opened::entryId);
        Map<UUID, EntryRows> rows = new HashMap<>();
        entriesOf(period).forEach(entry -> {
            Map<String, Integer> most = new HashMap<>();
            opened.getOrDefault(entry.id(), List.of())
                    .forEach(each -> most.merge(each.what(), each.number(), Math::max));
            rows.put(
                    entry.id(),
                    new EntryRows(
                            new Observations(observations.getOrDefault(entry.id(), List.of())),
                            new Decisions(decisions.getOrDefault(entry.id(), List.of())),
                            most));
        });
        return rows;
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
        return atomically(() -> {
            int number = opened(entryId, what) + 1;
            if (number > MOST_OPENED) {
                throw new Refused("An entry holds at most " + MOST_OPENED + " of each. Begin a new entry.");
            }
            persisted(new Opened(entryId, what, number, who, now()));
            entities.flush();
            events.publishEvent(Added.toEntry(entryId));
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

    /** Takes a decision; without an entry it is about the shelf. */
    public Decision decide(
            Optional<UUID> entryId, Decision.Kind kind, String subject, String outcome, String reason, String who) {
        return decide(entryId, new Decision.Taken(kind, subject, outcome, reason, who, Optional.empty()));
    }

    /** As above, for one that somebody else may have brought. */
    public Decision decide(Optional<UUID> entryId, Decision.Taken taken) {
        String outcome = taken.outcome();
        if (!taken.kind().knows(outcome)) {
            throw new Refused("“" + outcome
                    + "” is no way to decide that. Go back and choose one of those shown; nothing was changed.");
        }
        entryId.ifPresent(entry -> events.publishEvent(Added.toEntry(entry)));
        return persisted(new Decision(entryId.orElse(null), taken, now()));
    }

    @Transactional(readOnly = true)
    public Decisions decisions(UUID entryId) {
        return new Decisions(entities.createQuery("from Decision where entryId = :entry order by seq", Decision.class)
                .setParameter("entry", entryId)
                .getResultList());
    }

    /** Decisions about the shelf, of one kind. */
    @Transactional(readOnly = true)
    public Decisions decisions(Decision.Kind kind) {
        return new Decisions(entities.createQuery("from Decision where kind = :kind order by seq", Decision.class)
                .setParameter("kind", kind.name())
                .getResultList());
    }

    /** Notes that something came with a file. */
    public BroughtIn broughtIn(UUID subject, BroughtIn.What what, BroughtIn.From from) {
        return persisted(new BroughtIn(subject, what, from, now()));
    }

    /** How a thing came in, if it came with a file. */
    @Transactional(readOnly = true)
    public Optional<BroughtIn> broughtIn(UUID subject) {
        return Optional.ofNullable(entities.find(BroughtIn.class, subject));
    }

    /** Everything of a kind that came with a file. */
    @Transactional(readOnly = true)
    public List<BroughtIn> broughtIn(BroughtIn.What what) {
        return entities.createQuery("from BroughtIn where what = :what", BroughtIn.class)
                .setParameter("what", what.name())
                .getResultList();
    }

    /** Entries that a file of the same contents made before, first things first. */
    @Transactional(readOnly = true)
    public List<BroughtIn> broughtInBy(String digest) {
        return entities.createQuery(
                        "select came from BroughtIn came, Entry entry where came.subject = entry.id and came.digest "
                                + "= :digest "
                                + "and came.what = :what order by entry.seq",
                        BroughtIn.class)
                .setParameter("digest", digest)
                .setParameter("what", BroughtIn.What.ENTRY.name())
                .getResultList();
    }

    /** Numbers shown before of an entry in one state, earliest method first. */
    @Transactional(readOnly = true)
    public List<Shown> shown(UUID entryId, String state) {
        return entities.createQuery("from Shown where entryId = :entry and state = :state order by method", Shown.class)
                .setParameter("entry", entryId)
                .setParameter("state", state)
                .getResultList();
    }

    /** Notes a number when it is first shown; shown again it changes nothing. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public void showing(Shown.Key key, double value, double uncertainty, String unit) {
        atomically(() -> Optional.ofNullable(entities.find(Shown.class, key))
                .orElseGet(() -> persisted(new Shown(key, value, uncertainty, unit, now()))));
    }
}

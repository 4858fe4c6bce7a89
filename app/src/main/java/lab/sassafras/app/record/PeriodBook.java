package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lab periods and the benches in them. Adds and finds; a bench is renamed and, while it wrote nothing, taken away. */
@Service
@Transactional
public class PeriodBook {

    private final EntityManager entities;
    private final Keeping keeping;
    private final DecisionBook decisions;
    private final Persons persons;

    PeriodBook(EntityManager entities, Keeping keeping, DecisionBook decisions, Persons persons) {
        this.persons = persons;
        this.decisions = decisions;
        this.entities = entities;
        this.keeping = keeping;
    }

    /** Opens a period. */
    public Period open(String title, LocalDate heldOn, ZoneId zone, DecimalMark mark, Map<String, String> schools) {
        return keeping.persisted(new Period(UUID.randomUUID(), title, heldOn, zone, mark, schools, keeping.now()));
    }

    @Transactional(readOnly = true)
    public List<Period> all() {
        return entities.createQuery("from Period order by heldOn desc, seq desc", Period.class)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Period> find(UUID id) {
        return Optional.ofNullable(entities.find(Period.class, id));
    }

    /** The bench of that name in a period, new or already there. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Bench join(Period period, String name) {
        return join(period, name, false);
    }

    /**
     * The bench of that name, new or already there.
     *
     * @param simulated whether a new one is done by no hand
     */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Bench join(Period period, String name, boolean simulated) {
        return keeping.atomically(() -> benches(period).stream()
                .filter(bench -> bench.name().equals(name))
                .findFirst()
                .orElseGet(() -> add(period, name, simulated)));
    }

    private Bench add(Period period, String name, boolean simulated) {
        Bench bench = new Bench(UUID.randomUUID(), period, name, keeping.now(), simulated);
        persons.addBench(bench.id(), period, name);
        return keeping.persisted(bench);
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
        entities.find(Bench.class, bench.id()).call(name);
        persons.rename(bench.id(), name);
    }

    /**
     * Takes a bench away that wrote nothing.
     *
     * @throws Refused where it has an entry
     */
    public void remove(Bench bench) {
        boolean wrote = !entities.createQuery("from Entry where bench.id = :bench", Entry.class)
                .setParameter("bench", bench.id())
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
        if (wrote) {
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
     * Settles the conventions of a period anew. What they were stays in the decisions.
     *
     * @param changed by question, the school it was and the one it is, as decided; empty while nothing was read
     */
    public void settle(
            Period period, Map<String, String> schools, Map<String, String> changed, String reason, String who) {
        entities.find(Period.class, period.id()).settle(schools);
        changed.forEach((question, change) -> decisions.decide(
                Optional.empty(), Decision.Kind.CONVENTION, period.id() + " " + question, change, reason, who));
        if (!changed.isEmpty()) {
            entities.createQuery("select id from Entry where bench.period.id = :period", UUID.class)
                    .setParameter("period", period.id())
                    .getResultList()
                    .forEach(keeping::tell);
        }
    }

    /** Takes a period a step on in its life, or back. */
    public void become(Period period, Period.State state, String reason, String who) {
        entities.find(Period.class, period.id()).become(state);
        decisions.decide(
                Optional.empty(),
                Decision.Kind.PERIOD,
                period.id().toString(),
                state.name().toLowerCase(Locale.ROOT),
                reason,
                who);
    }

    /**
     * Erases the names of a period's benches, and of whoever else its rows are of: each is numbered, by a decision.
     *
     * @return how many names there were
     */
    public int eraseNames(Period period, String reason, String who) {
        int erased = persons.erase(period);
        decisions.decide(Optional.empty(), Decision.Kind.PERIOD, period.id().toString(), Decision.ERASED, reason, who);
        entities.createQuery("select id from Entry where bench.period.id = :period", UUID.class)
                .setParameter("period", period.id())
                .getResultList()
                .forEach(keeping::tell);
        return erased;
    }

    /** What was decided over the life of a period, in order. */
    @Transactional(readOnly = true)
    public List<Decision> life(Period period) {
        return decisions.of(Decision.Kind.PERIOD).all().stream()
                .filter(each -> each.subject().equals(period.id().toString()))
                .toList();
    }

    /** Lets the benches of a period see each other's entries, or no longer. */
    public void share(Period period, boolean yes) {
        entities.find(Period.class, period.id()).share(yes);
    }

    /** Says what benches of a period may begin, and what they may take in hand; any where none is named. */
    public void offer(Period period, Set<String> experiments, Set<UUID> things) {
        Period offering = entities.find(Period.class, period.id());
        offering.offer(experiments);
        offering.lend(things);
    }

    /** Gives a bench its vessel and its sample. */
    public void give(Bench bench, Optional<UUID> vessel, String sample) {
        entities.find(Bench.class, bench.id()).have(vessel, sample);
    }

    /** Takes over how another period was led: what it offers, withholds and lets benches see. */
    public void like(Period period, Period other) {
        Period own = entities.find(Period.class, period.id());
        own.offer(other.offers());
        own.lend(other.things());
        own.withhold(other.withholds());
        own.share(other.shared());
    }

    /** Withholds from benches what a result should be, or withholds nothing more. */
    public void withhold(Period period, boolean yes) {
        entities.find(Period.class, period.id()).withhold(yes);
    }

    /** Tells the benches of a period what the results of an experiment should be, or of all. */
    public void reveal(Period period, Optional<String> experiment, String who) {
        decisions.decide(
                Optional.empty(),
                Decision.Kind.REVEAL,
                experiment.map(key -> Told.experiment(period, key)).orElseGet(() -> Told.all(period)),
                Decision.TOLD,
                "told to its benches",
                who);
        entities.createQuery("select id from Entry where bench.period.id = :period", UUID.class)
                .setParameter("period", period.id())
                .getResultList()
                .forEach(keeping::tell);
    }

    /** What of a period is told to its benches though it withholds answers: entries, experiments, or all of it. */
    @Transactional(readOnly = true)
    public Told told(Period period) {
        return new Told(
                period,
                period.withholds()
                        ? decisions.of(Decision.Kind.REVEAL).all().stream()
                                .map(Decision::subject)
                                .collect(Collectors.toSet())
                        : Set.of());
    }

    /**
     * What is told to the benches of a period.
     *
     * @param period   of which
     * @param revealed subjects of the decisions by which something was revealed
     */
    public record Told(Period period, Set<String> revealed) {

        /** Subject of revealing everything of a period. */
        public static String all(Period period) {
            return period.id() + " all";
        }

        /** Subject of revealing all entries of an experiment. */
        public static String experiment(Period period, String key) {
            return period.id() + " " + key;
        }

        /** Whether benches may be told what the result of an entry should be. */
        public boolean tells(Entry entry) {
            return !period.withholds()
                    || revealed.contains(entry.id().toString())
                    || revealed.contains(experiment(period, entry.experiment()))
                    || revealed.contains(all(period));
        }
    }

    /** What was decided over the conventions of a period, in order. */
    @Transactional(readOnly = true)
    public List<Resettled> resettled(Period period) {
        String about = period.id() + " ";
        return decisions.of(Decision.Kind.CONVENTION).all().stream()
                .filter(each -> each.subject().startsWith(about))
                .map(each -> new Resettled(
                        each.subject().substring(about.length()),
                        each.outcome().substring(0, each.outcome().indexOf('>')),
                        each.outcome().substring(each.outcome().indexOf('>') + 1),
                        each))
                .toList();
    }

    /**
     * A convention of a period set anew.
     *
     * @param question its key
     * @param was      key of the school it was
     * @param is       key of the school it is since
     */
    public record Resettled(String question, String was, String is, Decision decision) {}

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
}

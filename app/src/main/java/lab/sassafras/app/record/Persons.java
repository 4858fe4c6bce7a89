package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import jakarta.persistence.FlushModeType;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who rows are of. A row carries an identity; what somebody is called, and was called then, stands in one place, so
 * that it can be erased there.
 */
@Service
@Transactional
public class Persons {

    /** The name whoever kept a row had then, for rows elsewhere with {@code who_id} and {@code made_at}. */
    public static final String OF_WHO = PersonName.OF_WHO;

    /** A first name is theirs since ever, so that rows of before have one too. */
    private static final Instant EVER = Instant.EPOCH;

    private final EntityManager entities;
    private final Keeping keeping;

    Persons(EntityManager entities, Keeping keeping) {
        this.entities = entities;
        this.keeping = keeping;
    }

    /**
     * Who a row is of.
     *
     * @param id   identity
     * @param name what they are called
     */
    public record By(UUID id, String name) {}

    /** Whoever is called so in the period of an entry. */
    public By inEntry(UUID entry, String name) {
        Entry of = entities.find(Entry.class, entry);
        return of == null ? ofHouse(name) : in(of.period().id(), name);
    }

    /** Whoever is called so in a period. */
    public By in(UUID period, String name) {
        return by(Optional.of(period), name);
    }

    /** Whoever is called so and is of no period. */
    public By ofHouse(String name) {
        return by(Optional.empty(), name);
    }

    /** Whoever a decision is of: in its entry's period, in the period it is about, or in the house. */
    By deciding(Optional<UUID> entry, String subject, String name) {
        return entry.map(id -> inEntry(id, name)).orElseGet(() -> about(subject, name));
    }

    /** Whoever brought something in: of the period it is or is of, or of the house. */
    By bringing(UUID subject, String name) {
        return entities.find(Entry.class, subject) == null ? about(subject.toString(), name) : inEntry(subject, name);
    }

    private By about(String subject, String name) {
        return Traces.identity(subject.length() > 36 ? subject.substring(0, 36) : subject)
                .filter(id -> entities.find(Period.class, id) != null)
                .map(id -> in(id, name))
                .orElseGet(() -> ofHouse(name));
    }

    private By by(Optional<UUID> period, String name) {
        UUID id = period.flatMap(of -> first(entities.createQuery(
                                "select id from Person where periodId = :period and name = :name order by kind",
                                UUID.class)
                        .setParameter("period", of)
                        .setParameter("name", name)))
                .or(() -> first(entities.createQuery(
                                "select id from Person where periodId is null and name = :name order by kind",
                                UUID.class)
                        .setParameter("name", name)))
                .orElseGet(() -> add(UUID.randomUUID(), Person.Kind.NAMED, period, name));
        return new By(id, name);
    }

    private static Optional<UUID> first(TypedQuery<UUID> query) {
        // what was added before is flushed when it is added; asking for a name sends nothing else
        return query.setFlushMode(FlushModeType.COMMIT)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** Says who works at a bench, in the place of those who were named before. */
    public void working(Bench bench, List<String> names) {
        entities.createQuery("from BenchMember where benchId = :bench", BenchMember.class)
                .setParameter("bench", bench.id())
                .getResultList()
                .forEach(entities::remove);
        entities.flush();
        List<UUID> members = names.stream()
                .map(name -> named(bench.period().id(), name))
                .distinct()
                .toList();
        for (int i = 0; i < members.size(); i++) {
            entities.persist(new BenchMember(bench.id(), members.get(i), i));
        }
    }

    /** Somebody of a period who is no bench. */
    private UUID named(UUID period, String name) {
        return first(entities.createQuery(
                                "select id from Person where periodId = :period and name = :name and kind = :named",
                                UUID.class)
                        .setParameter("period", period)
                        .setParameter("name", name)
                        .setParameter("named", Person.Kind.NAMED.name()))
                .orElseGet(() -> add(UUID.randomUUID(), Person.Kind.NAMED, Optional.of(period), name));
    }

    /** {@return who works at a bench, as they named themselves} */
    @Transactional(readOnly = true)
    public List<String> working(Bench bench) {
        return entities.createQuery(
                        "select person.name from Person person, BenchMember member where member.personId = person.id "
                                + "and member.benchId = :bench order by member.place",
                        String.class)
                .setParameter("bench", bench.id())
                .getResultList();
    }

    /** Adds an instructor. */
    public UUID addInstructor(String name) {
        return add(UUID.randomUUID(), Person.Kind.INSTRUCTOR, Optional.empty(), name);
    }

    void addBench(UUID bench, Period period, String name) {
        add(bench, Person.Kind.BENCH, Optional.of(period.id()), name);
    }

    private UUID add(UUID id, Person.Kind kind, Optional<UUID> period, String name) {
        keeping.persisted(new Person(id, kind, period, keeping.now()));
        entities.persist(new PersonName(id, name, EVER));
        entities.flush();
        return id;
    }

    /** Calls somebody otherwise from now on. */
    void rename(UUID person, String name) {
        keeping.persisted(new PersonName(person, name, keeping.now()));
    }

    /** {@return what somebody is called now} */
    @Transactional(readOnly = true)
    public Optional<String> name(UUID person) {
        return entities.createQuery("select name from Person where id = :person", String.class)
                .setParameter("person", person)
                .getResultStream()
                .findFirst();
    }

    /** {@return what somebody was called at a time, each looked up once} */
    public BiFunction<UUID, Instant, String> calledThen() {
        Map<UUID, NavigableMap<Instant, String>> names = new HashMap<>();
        return (person, at) -> {
            NavigableMap<Instant, String> own = names.computeIfAbsent(person, this::namesOf);
            Map.Entry<Instant, String> then = own.floorEntry(at);
            return then == null ? "" : then.getValue();
        };
    }

    private NavigableMap<Instant, String> namesOf(UUID person) {
        NavigableMap<Instant, String> names = new TreeMap<>();
        entities.createQuery("select since, name from PersonName where personId = :person order by seq", Object[].class)
                .setParameter("person", person)
                .getResultList()
                .forEach(each -> names.put((Instant) each[0], (String) each[1]));
        return names;
    }

    /**
     * Erases every name of a period: benches and those they worked with are numbered. This is the one place where what
     * was kept is taken away.
     *
     * @return how many names there were
     */
    int erase(Period period) {
        List<Person> all = entities.createQuery(
                        "from Person where periodId = :period order by madeAt, id", Person.class)
                .setParameter("period", period.id())
                .getResultList();
        // another bench may be called by the number that comes to this one: all let go of their names first
        all.stream()
                .filter(Person::bench)
                .forEach(each ->
                        entities.find(Bench.class, each.id()).call(each.id().toString()));
        entities.flush();
        int benches = 0;
        int others = 0;
        int erased = 0;
        for (Person each : all) {
            String number = each.bench() ? "Bench " + ++benches : "Person " + ++others;
            erased += entities.createNativeQuery(
                            "update person_name set name = :number, erased = true where person_id = :person and not erased")
                    .setParameter("number", number)
                    .setParameter("person", each.id())
                    .executeUpdate();
            if (each.bench()) {
                entities.find(Bench.class, each.id()).call(number);
            }
        }
        return erased;
    }
}

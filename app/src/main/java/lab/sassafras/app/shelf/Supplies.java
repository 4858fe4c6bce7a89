package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Persons;
import lab.sassafras.plan.Bottle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bottles and gear of the shelf, with what there is of them. Adds and finds; never changes. */
@Service
@Transactional
public class Supplies {

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    Supplies(EntityManager entities, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    /** {@return what there is, each by its newest count, by name; what has run out is not there} */
    @Transactional(readOnly = true)
    public List<Supply> all() {
        return entities.createQuery(
                        "from Supply one where one.amount > 0 and one.seq = "
                                + "(select max(other.seq) from Supply other where other.name = one.name) "
                                + "order by lower(one.name)",
                        Supply.class)
                .getResultList();
    }

    /** {@return bottles of it} */
    @Transactional(readOnly = true)
    public List<Bottle> bottles() {
        return all().stream().flatMap(each -> each.bottle().stream()).toList();
    }

    /** {@return how many pieces of gear there are whose name has a word in it; empty where nobody counted any} */
    @Transactional(readOnly = true)
    public OptionalDouble pieces(String word) {
        List<Supply> some = gear(word);
        return some.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(some.stream().mapToDouble(Supply::amount).sum());
    }

    /** {@return what the weakest of such gear is rated (W); empty where nobody said} */
    @Transactional(readOnly = true)
    public OptionalDouble rated(String word) {
        return gear(word).stream()
                .flatMapToDouble(each -> each.power().stream())
                .min();
    }

    private List<Supply> gear(String word) {
        return all().stream()
                .filter(each -> each.bottle().isEmpty())
                .filter(each -> each.name().toLowerCase(Locale.ROOT).contains(word))
                .toList();
    }

    /** Counts something: from now on there is so much of it. */
    public Supply count(Supply.Given given, String who) {
        room.check();
        Supply counted = new Supply(given, persons.ofHouse(who), clock.instant());
        entities.persist(counted);
        return counted;
    }

    /** {@return the newest count of a name} */
    @Transactional(readOnly = true)
    public Optional<Supply> find(String name) {
        return all().stream().filter(each -> each.name().equals(name)).findFirst();
    }
}

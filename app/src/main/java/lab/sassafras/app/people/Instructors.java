package lab.sassafras.app.people;

import com.github.benmanes.caffeine.cache.Ticker;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Instructors and their passwords. There is always one who is not locked out, once there was one. */
@Service
@Transactional
public class Instructors {

    private final EntityManager entities;
    private final Persons persons;
    private final DiskRoom room;
    private final Passwords passwords = new Passwords();
    private final WrongTries tries = new WrongTries(Ticker.systemTicker());

    Instructors(EntityManager entities, Persons persons, DiskRoom room) {
        this.entities = entities;
        this.persons = persons;
        this.room = room;
    }

    /**
     * An instructor, as others see it.
     *
     * @param person identity
     * @param name   what they are called, and sign in by
     * @param locked whether they are locked out
     * @param bound  periods they are bound to; none where it is all of them
     */
    public record Known(UUID person, String name, boolean locked, Set<UUID> bound) {}

    @Transactional(readOnly = true)
    public boolean any() {
        return !rows().isEmpty();
    }

    @Transactional(readOnly = true)
    public List<Known> all() {
        return rows().stream().map(this::known).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Known> find(UUID person) {
        return Optional.ofNullable(entities.find(Instructor.class, person)).map(this::known);
    }

    private List<Instructor> rows() {
        return entities.createQuery("from Instructor order by signName", Instructor.class)
                .getResultList();
    }

    private Known known(Instructor row) {
        return new Known(
                row.personId(), persons.name(row.personId()).orElse("an instructor"), row.locked(), row.periods());
    }

    /**
     * Adds one.
     *
     * @param bound periods they are bound to; none where it is all of them
     * @throws Refused where name or password cannot be
     */
    public UUID add(String typedName, String password, Set<UUID> bound) {
        String name = Names.checked(typedName, "A name", Names.LONGEST);
        if (by(name).isPresent()) {
            throw new Refused("There is an instructor of that name already.");
        }
        String hash = passwords.hash(password);
        room.check();
        UUID person = persons.addInstructor(name);
        entities.persist(new Instructor(person, signName(name), hash, bound));
        return person;
    }

    /** Adds one, or gives one who is there another password and lets them in again. */
    public UUID addOrReset(String typedName, String password) {
        Optional<Instructor> there = by(typedName);
        if (there.isEmpty()) {
            return add(typedName, password, Set.of());
        }
        reset(there.get().personId(), password);
        lock(there.get().personId(), false);
        return there.get().personId();
    }

    /**
     * {@return who signs in by a name and a password}
     *
     * @param from address it is tried from
     * @throws Refused where they do not fit, or too many were wrong before
     */
    @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
    public UUID signIn(String name, String password, String from) {
        tries.check(from);
        Optional<Instructor> there = by(name);
        boolean right = there.map(each -> passwords.matches(password, each.password()))
                .orElseGet(() -> {
                    passwords.takeAsLong(password);
                    return false;
                });
        if (!right) {
            tries.wrong(from);
            throw new Refused("That name and that password do not belong together.");
        }
        return there.filter(each -> !each.locked())
                .map(Instructor::personId)
                .orElseThrow(() -> new Refused("You are locked out. Ask another instructor to let you in again."));
    }

    /** Gives another password. */
    public void reset(UUID person, String password) {
        found(person).reset(passwords.hash(password));
    }

    /**
     * Locks an instructor out, or lets them in again.
     *
     * @throws Refused where nobody would be left
     */
    public void lock(UUID person, boolean out) {
        Instructor meant = found(person);
        boolean others = rows().stream()
                .anyMatch(each -> !each.personId().equals(person)
                        && !each.locked()
                        && each.periods().isEmpty());
        if (out && !others) {
            throw new Refused("This is the last instructor who may keep the house. Add another one first.");
        }
        meant.lock(out);
    }

    private Instructor found(UUID person) {
        return Optional.ofNullable(entities.find(Instructor.class, person))
                .orElseThrow(() -> new Refused("There is no such instructor."));
    }

    private Optional<Instructor> by(String name) {
        return entities.createQuery("from Instructor where signName = :name", Instructor.class)
                .setParameter("name", signName(name))
                .getResultStream()
                .findFirst();
    }

    private static String signName(String typed) {
        String name = typed.strip().toLowerCase(Locale.ROOT);
        return name.length() > Names.LONGEST ? name.substring(0, Names.LONGEST) : name;
    }
}

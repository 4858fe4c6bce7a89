package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What was read and said, and what was struck out. Adds and finds; never changes. */
@Service
@Transactional
public class ObservationBook {

    private final EntityManager entities;
    private final Persons persons;
    private final Keeping keeping;

    ObservationBook(EntityManager entities, Persons persons, Keeping keeping) {
        this.persons = persons;
        this.entities = entities;
        this.keeping = keeping;
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
        return keep(id, entryId, given, keeping.now());
    }

    /** As above, for a value given at a known earlier moment (an import). */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Observation keep(UUID id, UUID entryId, Observation.Given given, Instant madeAt) {
        return keeping.atomically(() -> kept(id, entryId, given, madeAt));
    }

    private Observation kept(UUID id, UUID entryId, Observation.Given given, Instant madeAt) {
        Observation known = entities.find(Observation.class, id);
        if (known != null) {
            if (!known.says(entryId, given)) {
                throw new Refused("Another value, " + known.text()
                        + ", was recorded under the same key, so this one was not. Load the page "
                        + "again and give it once more.");
            }
            return known;
        }
        Observation observation = keeping.persisted(new Observation(
                id,
                entryId,
                given.supersedes()
                                .map(struck -> strikes(struck, entryId, given))
                                .orElse(true)
                        ? given
                        : given.asSecondReading(),
                persons.inEntry(entryId, given.who()),
                given.broughtBy().map(name -> persons.inEntry(entryId, name)),
                madeAt));
        observation.supersedes().ifPresent(struck -> entities.persist(new Strike(struck, id)));
        keeping.tell(entryId);
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
    public Observations of(UUID entryId) {
        return new Observations(
                entities.createQuery("from Observation where entryId = :entry order by seq", Observation.class)
                        .setParameter("entry", entryId)
                        .getResultList());
    }
}

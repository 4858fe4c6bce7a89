package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came with files. Adds and finds; never changes. */
@Service
@Transactional
public class OriginBook {

    private final EntityManager entities;
    private final Keeping keeping;
    private final Persons persons;

    OriginBook(EntityManager entities, Keeping keeping, Persons persons) {
        this.entities = entities;
        this.keeping = keeping;
        this.persons = persons;
    }

    /** Notes that something came with a file. */
    public BroughtIn note(UUID subject, BroughtIn.What what, BroughtIn.From from) {
        return keeping.persisted(
                new BroughtIn(subject, what, from, persons.bringing(subject, from.who()), keeping.now()));
    }

    /** How a thing came in, if it came with a file. */
    @Transactional(readOnly = true)
    public Optional<BroughtIn> of(UUID subject) {
        return Optional.ofNullable(entities.find(BroughtIn.class, subject));
    }

    /** Everything of a kind that came with a file. */
    @Transactional(readOnly = true)
    public List<BroughtIn> all(BroughtIn.What what) {
        return entities.createQuery("from BroughtIn where what = :what", BroughtIn.class)
                .setParameter("what", what.name())
                .getResultList();
    }

    /** Entries that a file of the same contents made before, first things first. */
    @Transactional(readOnly = true)
    public List<BroughtIn> by(String digest) {
        return entities.createQuery(
                        "select came from BroughtIn came, Entry entry where came.subject = entry.id and came.digest "
                                + "= :digest "
                                + "and came.what = :what order by entry.seq",
                        BroughtIn.class)
                .setParameter("digest", digest)
                .setParameter("what", BroughtIn.What.ENTRY.name())
                .getResultList();
    }
}

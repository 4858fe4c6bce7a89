package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Notes at an entry. Adds and finds; never changes. */
@Service
@Transactional
public class NoteBook {

    /** Notes at one entry. */
    static final int MOST = 200;

    private final EntityManager entities;
    private final Keeping keeping;
    private final Persons persons;

    NoteBook(EntityManager entities, Keeping keeping, Persons persons) {
        this.entities = entities;
        this.keeping = keeping;
        this.persons = persons;
    }

    /** {@return the notes at an entry, in order} */
    @Transactional(readOnly = true)
    public List<Note> of(UUID entry) {
        return entities.createQuery("from Note where entryId = :entry order by seq", Note.class)
                .setParameter("entry", entry)
                .getResultList();
    }

    /**
     * Writes a note now. Given twice under the same identity it is kept once.
     *
     * @throws Refused where it is empty or too long, there are too many, or another was kept under that identity
     */
    @Transactional(propagation = Propagation.SUPPORTS)
    public void write(UUID id, Entry entry, String text, String who) {
        keeping.atomically(() -> {
            Note known = entities.find(Note.class, id);
            if (known != null && !known.says(entry.id(), text)) {
                throw new Refused("Another note was written under the same key. Load the page again and write it "
                        + "down once more.");
            }
            if (known == null && of(entry.id()).size() >= MOST) {
                throw new Refused("An entry holds at most " + MOST + " notes.");
            }
            if (known == null) {
                write(id, entry, text, who, keeping.now());
            }
            return id;
        });
    }

    /** The same from a moment on, as a file tells. */
    public void write(UUID id, Entry entry, String text, String who, Instant at) {
        if (text.isBlank() || text.length() > Note.LONGEST) {
            throw new Refused("A note has 1 to " + Note.LONGEST + " characters; this one has " + text.length() + ".");
        }
        keeping.persisted(
                new Note(id, entry.id(), text, persons.in(entry.period().id(), who), at));
        keeping.tell(entry.id());
    }
}

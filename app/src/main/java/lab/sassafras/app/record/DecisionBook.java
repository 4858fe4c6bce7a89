package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was decided. Adds and finds; never changes. */
@Service
@Transactional
public class DecisionBook {

    private final EntityManager entities;
    private final Keeping keeping;
    private final Persons persons;

    DecisionBook(EntityManager entities, Keeping keeping, Persons persons) {
        this.entities = entities;
        this.keeping = keeping;
        this.persons = persons;
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
        entryId.ifPresent(entry -> keeping.tell(entry));
        return keeping.persisted(new Decision(
                entryId.orElse(null),
                taken,
                persons.deciding(entryId, taken.subject(), taken.who()),
                taken.broughtBy().map(name -> persons.deciding(entryId, taken.subject(), name)),
                keeping.now()));
    }

    @Transactional(readOnly = true)
    public Decisions of(UUID entryId) {
        return new Decisions(entities.createQuery("from Decision where entryId = :entry order by seq", Decision.class)
                .setParameter("entry", entryId)
                .getResultList());
    }

    /** Decisions about the shelf, of one kind. */
    @Transactional(readOnly = true)
    public Decisions of(Decision.Kind kind) {
        return new Decisions(entities.createQuery("from Decision where kind = :kind order by seq", Decision.class)
                .setParameter("kind", kind.name())
                .getResultList());
    }
}

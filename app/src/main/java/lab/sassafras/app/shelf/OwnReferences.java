package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What results should be, as instructors gave it. Adds and finds; strikes out by a decision. */
@Service
@Transactional
public class OwnReferences {

    private final EntityManager entities;
    private final DecisionBook decisionBook;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    OwnReferences(EntityManager entities, DecisionBook decisionBook, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.decisionBook = decisionBook;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    /** All that were given, the newest first. */
    @Transactional(readOnly = true)
    public List<OwnReference> all() {
        return entities.createQuery("from OwnReference order by seq desc", OwnReference.class)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<OwnReference> find(UUID id) {
        return Optional.ofNullable(entities.find(OwnReference.class, id));
    }

    /** Adds one, to a period or to the key of unknowns. */
    public OwnReference add(Optional<Period> period, OwnReference.Given given, String who) {
        room.check();
        OwnReference added = new OwnReference(
                UUID.randomUUID(),
                period,
                given,
                period.map(of -> persons.in(of.id(), who)).orElseGet(() -> persons.ofHouse(who)),
                clock.instant());
        entities.persist(added);
        return added;
    }

    /** Strikes it out. */
    public void strike(OwnReference reference, String reason, String who) {
        decisionBook.decide(
                Optional.empty(), Decision.Kind.REFERENCE, reference.id().toString(), Decision.ASIDE, reason, who);
    }
}

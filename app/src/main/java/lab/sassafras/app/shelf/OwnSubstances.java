package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Persons;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Substances and values put on the shelf here: added and struck out, never edited. */
@Service
@Transactional
public class OwnSubstances {

    private final EntityManager entities;
    private final DecisionBook decisionBook;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    OwnSubstances(EntityManager entities, DecisionBook decisionBook, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.decisionBook = decisionBook;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    @Transactional(readOnly = true)
    public List<OwnSubstance> all() {
        return entities.createQuery("from OwnSubstance order by seq", OwnSubstance.class)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<OwnSubstance> find(UUID id) {
        return Optional.ofNullable(entities.find(OwnSubstance.class, id));
    }

    public OwnSubstance add(OwnSubstance.Given given, String who) {
        room.check();
        OwnSubstance added = new OwnSubstance(UUID.randomUUID(), given, persons.ofHouse(who), clock.instant());
        entities.persist(added);
        return added;
    }

    /** Strikes it out, or takes it up again. */
    public void decide(OwnSubstance substance, String outcome, String reason, String who) {
        decisionBook.decide(
                Optional.empty(), Decision.Kind.SUBSTANCE, substance.id().toString(), outcome, reason, who);
    }
}

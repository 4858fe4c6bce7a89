package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which instruments are in hand where. Rows are only ever added, and what was read stays as it was read. */
@Service
@Transactional
public class Hands {

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;
    private final ApplicationEventPublisher events;

    Hands(EntityManager entities, Persons persons, Clock clock, DiskRoom room, ApplicationEventPublisher events) {
        this.persons = persons;
        this.entities = entities;
        this.clock = clock;
        this.room = room;
        this.events = events;
    }

    @Transactional(readOnly = true)
    public InHand of(Entry entry) {
        return new InHand(
                entry.instruments(),
                entities.createQuery(
                                "from InstrumentInHand where entryId = :entry order by seq", InstrumentInHand.class)
                        .setParameter("entry", entry.id())
                        .getResultList());
    }

    /** Takes an instrument in hand from now on. Given twice under the same identity it is kept once. */
    public void take(UUID id, Entry entry, InstrumentInHand.Given given) {
        take(id, entry, given, clock.instant().truncatedTo(ChronoUnit.MILLIS));
    }

    /** The same from a moment on, as a file tells. */
    public void take(UUID id, Entry entry, InstrumentInHand.Given given, Instant from) {
        if (entities.find(InstrumentInHand.class, id) == null) {
            room.check();
            entities.persist(new InstrumentInHand(
                    id, entry.id(), given, persons.in(entry.period().id(), given.who()), from));
            events.publishEvent(Added.toEntry(entry.id()));
        }
    }
}

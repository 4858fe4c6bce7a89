package lab.sassafras.app.classroom;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is kept of a class as it goes. Adds and finds; never changes. */
@Service
@Transactional
public class ClassBook {

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    ClassBook(EntityManager entities, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** Keeps the hour of a period, as the fields of its page. */
    public KeptHour lay(Period period, Map<String, String> fields, String who) {
        room.check();
        KeptHour kept = new KeptHour(period, fields, persons.in(period.id(), who), now());
        entities.persist(kept);
        return kept;
    }

    /** {@return the hour of a period as it was kept last} */
    @Transactional(readOnly = true)
    public Optional<KeptHour> hour(Period period) {
        return entities.createQuery("from KeptHour where periodId = :period order by seq desc", KeptHour.class)
                .setParameter("period", period.id())
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }
}

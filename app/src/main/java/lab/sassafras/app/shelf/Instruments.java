package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.measure.Instrument;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The instruments of the lab. An instrument's key is its identity here. */
@Service
@Transactional
public class Instruments {

    private final EntityManager entities;
    private final DecisionBook decisionBook;
    private final Clock clock;
    private final DiskRoom room;

    Instruments(EntityManager entities, DecisionBook decisionBook, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.decisionBook = decisionBook;
        this.clock = clock;
        this.room = room;
    }

    @Transactional(readOnly = true)
    public List<Instrument> all() {
        GivenNames names = GivenNames.in(decisionBook);
        return entities
                .createQuery("from InstrumentRecord order by kind, name", InstrumentRecord.class)
                .getResultList()
                .stream()
                .map(InstrumentRecord::instrument)
                .map(each -> each.called(names.of(each.key(), each.name())))
                .toList();
    }

    /** Those to choose from: the retired are not among them, unless one is named. */
    @Transactional(readOnly = true)
    public List<Instrument> offered(Collection<String> named) {
        Map<String, String> decided = new HashMap<>();
        decisionBook.of(Decision.Kind.THING).all().forEach(each -> decided.put(each.subject(), each.outcome()));
        return all().stream()
                .filter(each -> named.contains(each.key()) || !Decision.ASIDE.equals(decided.get(each.key())))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Instrument> find(UUID id) {
        return Optional.ofNullable(entities.find(InstrumentRecord.class, id))
                .map(InstrumentRecord::instrument)
                .map(each -> each.called(GivenNames.in(decisionBook).of(each.key(), each.name())));
    }

    /** Adds an instrument; the key given is ignored and a new identity returned in its place. */
    public Instrument add(Instrument instrument) {
        room.check();
        InstrumentRecord kept = new InstrumentRecord(UUID.randomUUID(), instrument, clock.instant());
        entities.persist(kept);
        return kept.instrument();
    }

    /** The same instrument if it is here already, name and numbers alike. */
    @Transactional(readOnly = true)
    public Optional<Instrument> find(Instrument instrument) {
        return all().stream().filter(each -> alike(each, instrument)).findFirst();
    }

    private static boolean alike(Instrument one, Instrument other) {
        return one.keyed("").equals(other.keyed(""));
    }
}

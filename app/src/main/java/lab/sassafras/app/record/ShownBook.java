package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Numbers when they were first shown. Adds and finds; never changes. */
@Service
@Transactional
public class ShownBook {

    private final EntityManager entities;
    private final Keeping keeping;

    ShownBook(EntityManager entities, Keeping keeping) {
        this.entities = entities;
        this.keeping = keeping;
    }

    /** Numbers shown before of an entry in one state, earliest method first. */
    @Transactional(readOnly = true)
    public List<Shown> of(UUID entryId, String state) {
        return entities.createQuery("from Shown where entryId = :entry and state = :state order by method", Shown.class)
                .setParameter("entry", entryId)
                .setParameter("state", state)
                .getResultList();
    }

    /** Notes a number when it is first shown; shown again it changes nothing. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public void note(Shown.Key key, double value, double uncertainty, String unit) {
        keeping.atomically(() -> Optional.ofNullable(entities.find(Shown.class, key))
                .orElseGet(() -> keeping.persisted(new Shown(key, value, uncertainty, unit, keeping.now()))));
    }
}

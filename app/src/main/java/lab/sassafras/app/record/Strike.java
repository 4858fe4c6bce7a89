package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What struck a value out: keyed by the value, so that two devices cannot both do it. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class Strike {

    @Id
    private UUID observation;

    private UUID byObservation;

    protected Strike() {}

    Strike(UUID observation, UUID byObservation) {
        this.observation = observation;
        this.byObservation = byObservation;
    }
}

package lab.sassafras.app.probes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Where a probe stands from a moment on, and what it reads on. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ProbePlace {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID tokenId;
    private String probe;
    private String place;
    private @Nullable UUID instrumentId;
    private UUID whoId;
    private Instant madeAt;

    protected ProbePlace() {}

    ProbePlace(ProbeToken token, String probe, Standing standing, UUID who, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.tokenId = token.id();
        this.probe = probe;
        this.place = standing.place().map(Place::key).orElse("");
        this.instrumentId = standing.instrument().orElse(null);
        this.whoId = who;
        this.madeAt = madeAt;
    }

    /**
     * Where a probe stands.
     *
     * @param place      empty where nobody said
     * @param instrument of the shelf it reads on; empty where it is none of it
     */
    public record Standing(Optional<Place> place, Optional<UUID> instrument) {

        public static final Standing UNSAID = new Standing(Optional.empty(), Optional.empty());
    }

    String probe() {
        return probe;
    }

    Standing standing() {
        return new Standing(Place.of(place), Optional.ofNullable(instrumentId));
    }
}

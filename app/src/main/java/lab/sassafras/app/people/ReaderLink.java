package lab.sassafras.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A link by which whoever has it reads one entry, until it is revoked. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ReaderLink {

    @Id
    private UUID id;

    private String secret;
    private UUID entryId;
    private Instant madeAt;
    private @Nullable Instant revokedAt;

    protected ReaderLink() {}

    ReaderLink(String secret, UUID entryId, Instant now) {
        this.id = UUID.randomUUID();
        this.secret = secret;
        this.entryId = entryId;
        this.madeAt = now;
    }

    public UUID id() {
        return id;
    }

    UUID entryId() {
        return entryId;
    }

    public Instant madeAt() {
        return madeAt;
    }

    boolean revoked() {
        return revokedAt != null;
    }

    void revoke(Instant now) {
        this.revokedAt = now;
    }
}

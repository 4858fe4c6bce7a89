package lab.sassafras.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import org.jspecify.annotations.Nullable;

/** A link by which whoever has it reads one entry, or the hand-outs of a period, until it is revoked. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ReaderLink {

    @Id
    private UUID id;

    private String secret;
    private @Nullable UUID entryId;
    private @Nullable UUID periodId;
    private Instant madeAt;
    private @Nullable Instant revokedAt;

    protected ReaderLink() {}

    private ReaderLink(String secret, @Nullable UUID entry, @Nullable UUID period, Instant now) {
        this.id = UUID.randomUUID();
        this.secret = secret;
        this.entryId = entry;
        this.periodId = period;
        this.madeAt = now;
    }

    public UUID id() {
        return id;
    }

    static ReaderLink to(Entry entry, String secret, Instant now) {
        return new ReaderLink(secret, entry.id(), null, now);
    }

    static ReaderLink toHandouts(Period period, String secret, Instant now) {
        return new ReaderLink(secret, null, period.id(), now);
    }

    /** The entry it is of, or the period whose hand-outs. */
    UUID of() {
        return Objects.requireNonNull(entryId == null ? periodId : entryId);
    }

    /** Where it leads. */
    String path() {
        return entryId == null ? "/periods/" + periodId + "/handouts" : "/entries/" + entryId + "/result";
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

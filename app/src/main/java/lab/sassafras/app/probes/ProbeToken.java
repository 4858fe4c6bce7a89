package lab.sassafras.app.probes;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import org.jspecify.annotations.Nullable;

/** What a script pushes to one bench by, until it is revoked or its period is over. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ProbeToken {

    @Id
    private UUID id;

    private String secret;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "bench_id")
    private Bench bench;

    private String name;
    private Instant madeAt;
    private @Nullable Instant revokedAt;

    protected ProbeToken() {}

    ProbeToken(String secret, Bench bench, String name, Instant now) {
        this.id = UUID.randomUUID();
        this.secret = secret;
        this.bench = bench;
        this.name = name;
        this.madeAt = now;
    }

    public UUID id() {
        return id;
    }

    public Bench bench() {
        return bench;
    }

    /** What it was called when it was made, such as the laptop it is on. */
    public String name() {
        return name;
    }

    public Instant madeAt() {
        return madeAt;
    }

    public boolean revoked() {
        return revokedAt != null;
    }

    void revoke(Instant now) {
        this.revokedAt = revokedAt == null ? now : revokedAt;
    }
}

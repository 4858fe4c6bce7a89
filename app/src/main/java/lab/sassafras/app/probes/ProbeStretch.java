package lab.sassafras.app.probes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A stretch of what one probe pushes: the trace it is kept as, and the second of the sender's clock it begins at. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ProbeStretch {

    @Id
    private UUID traceId;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID tokenId;
    private String probe;
    private double clientStart;
    private String why;

    protected ProbeStretch() {}

    ProbeStretch(UUID trace, ProbeToken token, String probe, double clientStart, String why) {
        this.traceId = trace;
        this.tokenId = token.id();
        this.probe = probe;
        this.clientStart = clientStart;
        this.why = why;
    }

    public UUID traceId() {
        return traceId;
    }

    /** What it has in common with the other stretches of its probe. */
    public String identity() {
        return tokenId + " " + probe;
    }

    UUID tokenId() {
        return tokenId;
    }

    /** What the sender calls the probe. */
    public String probe() {
        return probe;
    }

    /** Second of the sender's clock at which the trace begins. */
    public double clientStart() {
        return clientStart;
    }

    /** Why it began; empty for the first of a probe. */
    public String why() {
        return why;
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A person's decision with its reason. The last one about a subject counts. */
@Entity
@Immutable
public class Decision {

    /** What is decided. */
    public enum Kind {
        /** A trial counts or does not: outcome {@code out} or {@code in}. */
        TRIAL,
        /** A school is put in force for this entry: subject the question, outcome the school. */
        SCHOOL,
        /** Another calibration is pinned: outcome its identity. */
        PIN,
        /** A calibration may be used for new entries or not: outcome {@code aside} or {@code adopted}. */
        CALIBRATION
    }

    @Id
    private UUID id;
    @Column(insertable = false, updatable = false)
    private Long seq;
    private UUID entryId;
    @Enumerated(EnumType.STRING)
    private Kind kind;
    private String subject;
    private String outcome;
    private String reason;
    private String who;
    private Instant madeAt;

    protected Decision() {
    }

    Decision(UUID entryId, Kind kind, String subject, String outcome, String reason, String who, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.entryId = entryId;
        this.kind = kind;
        this.subject = subject;
        this.outcome = outcome;
        this.reason = reason;
        this.who = who;
        this.madeAt = madeAt;
    }

    public Kind kind() {
        return kind;
    }

    public String subject() {
        return subject;
    }

    public String outcome() {
        return outcome;
    }

    public String reason() {
        return reason;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

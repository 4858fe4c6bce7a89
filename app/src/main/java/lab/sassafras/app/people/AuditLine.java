package lab.sassafras.app.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Something that is noted for the audit and stands nowhere else. */
@Entity
@Table(name = "audit")
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class AuditLine {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String kind;
    private @Nullable UUID whoId;
    private @Nullable UUID periodId;
    private String words;
    private Instant madeAt;

    protected AuditLine() {}

    AuditLine(Audit.Kind kind, @Nullable UUID who, @Nullable UUID period, String words, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.kind = kind.name();
        this.whoId = who;
        this.periodId = period;
        this.words = words;
        this.madeAt = madeAt;
    }
}

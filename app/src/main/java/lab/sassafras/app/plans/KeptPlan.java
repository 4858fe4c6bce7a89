package lab.sassafras.app.plans;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A plan that was kept. */
@Entity
@Table(name = "plan")
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class KeptPlan {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String name;
    private String experiment;
    private String document;
    private @Nullable UUID copyOf;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected KeptPlan() {}

    KeptPlan(UUID id, PlanFile file, Optional<UUID> copyOf, Persons.By by, Instant madeAt) {
        this.id = id;
        this.name = file.name();
        this.experiment = file.experiment();
        this.document = file.written();
        this.copyOf = copyOf.orElse(null);
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public String experiment() {
        return experiment;
    }

    public PlanFile file() {
        return PlanFile.read(document);
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

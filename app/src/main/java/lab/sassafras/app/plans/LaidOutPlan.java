package lab.sassafras.app.plans;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A plan a period is led by, or the end of that. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class LaidOutPlan {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID periodId;
    private @Nullable UUID benchId;
    private String experiment;
    private @Nullable UUID planId;
    private UUID whoId;
    private Instant madeAt;

    protected LaidOutPlan() {}

    LaidOutPlan(
            UUID periodId,
            Optional<UUID> benchId,
            String experiment,
            Optional<UUID> planId,
            Persons.By by,
            Instant madeAt) {
        this.id = UUID.randomUUID();
        this.periodId = periodId;
        this.benchId = benchId.orElse(null);
        this.experiment = experiment;
        this.planId = planId.orElse(null);
        this.whoId = by.id();
        this.madeAt = madeAt;
    }

    String experiment() {
        return experiment;
    }

    Optional<UUID> benchId() {
        return Optional.ofNullable(benchId);
    }

    Optional<UUID> planId() {
        return Optional.ofNullable(planId);
    }
}

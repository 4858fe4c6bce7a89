package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** How a class goes about a step, in the place of what is usual. The last one given counts. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ClassPace {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID periodId;
    private String experiment;
    private String pace;
    private double amount;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;

    protected ClassPace() {}

    ClassPace(UUID id, Period period, String experiment, String pace, double amount, Persons.By by, Instant madeAt) {
        this.id = id;
        this.periodId = period.id();
        this.experiment = experiment;
        this.pace = pace;
        this.amount = amount;
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    UUID periodId() {
        return periodId;
    }

    public String experiment() {
        return experiment;
    }

    public String pace() {
        return pace;
    }

    /** Min, or °C of a rise. */
    public double amount() {
        return amount;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

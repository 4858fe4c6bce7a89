package lab.sassafras.app.plans;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Up to which strength acids and bases are planned (mol/L), as an instructor allows it. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class AllowedStrength {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private double strongest;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected AllowedStrength() {}

    AllowedStrength(double strongest, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.strongest = strongest;
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /** (mol/L). */
    public double strongest() {
        return strongest;
    }

    public String who() {
        return who;
    }
}

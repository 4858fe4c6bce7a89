package lab.sassafras.app.simulated;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Something a hand did at the simulated bench; the first of a trial begins it. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class SimulatedTouch {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID runId;
    private int trial;
    private int place;
    private double seconds;
    private UUID whoId;
    private Instant madeAt;

    protected SimulatedTouch() {}

    SimulatedTouch(SimulatedRun run, int trial, int place, double seconds, UUID who, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.runId = run.id();
        this.trial = trial;
        this.place = place;
        this.seconds = seconds;
        this.whoId = who;
        this.madeAt = madeAt;
    }

    /** Which of its trial, from 0. */
    public int place() {
        return place;
    }

    /** On the clock of its trial (s). */
    public double seconds() {
        return seconds;
    }

    /** When it was done. */
    public Instant madeAt() {
        return madeAt;
    }
}

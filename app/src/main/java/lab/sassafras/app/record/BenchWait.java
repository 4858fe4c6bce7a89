package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A time that a hand waits at a step of a trial, from when on; or that it waits no longer. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class BenchWait {

    /** What became of a wait. */
    public enum Outcome {
        BEGUN,
        ENDED,
        /** Begun once more, because the transfer was broken off. */
        BROKEN_OFF
    }

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID entryId;
    private int trial;
    private String pace;
    private double seconds;
    private String outcome;
    private String reason;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;

    protected BenchWait() {}

    BenchWait(UUID id, Entry entry, Given given, Persons.By by, Instant madeAt) {
        this.id = id;
        this.entryId = entry.id();
        this.trial = given.trial();
        this.pace = given.pace();
        this.seconds = given.seconds();
        this.outcome = given.outcome().name().toLowerCase(Locale.ROOT);
        this.reason = given.reason();
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /** What is kept: the trial, the pace it goes by, how long (s), and why where it was broken off. */
    public record Given(int trial, String pace, double seconds, Outcome outcome, String reason, String who) {}

    public UUID entryId() {
        return entryId;
    }

    public int trial() {
        return trial;
    }

    public String pace() {
        return pace;
    }

    /** How long it takes (s). */
    public double seconds() {
        return seconds;
    }

    public String reason() {
        return reason;
    }

    public String who() {
        return who;
    }

    public boolean ended() {
        return outcome.equals(Outcome.ENDED.name().toLowerCase(Locale.ROOT));
    }

    public Instant madeAt() {
        return madeAt;
    }
}

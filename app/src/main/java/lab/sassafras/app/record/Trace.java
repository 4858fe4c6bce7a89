package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A clock begun at a bench, to which readings of one thermometer are added. */
@Entity
@Immutable
public class Trace {

    /** Read by eye and typed. */
    public static final String HAND = "hand";

    /** Of the room, for a whole period. */
    public static final String ROOM = "room";

    /** Of something else than the calorimeter, such as a bath, for its trend. */
    public static final String TREND = "trend";

    /** Brought in from a file. */
    public static final String FILE = "file";

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID benchId;
    private String channel;
    private @Nullable UUID instrumentId;

    private int readEvery;

    private String who;
    private Instant begunAt;

    private boolean simulated;

    private @Nullable UUID broughtWith;

    protected Trace() {}

    Trace(
            UUID id,
            Bench bench,
            String channel,
            Optional<UUID> instrument,
            int every,
            Instant begunAt,
            @Nullable UUID broughtWith) {
        this.id = id;
        this.benchId = bench.id();
        this.channel = channel;
        this.instrumentId = instrument.orElse(null);
        this.readEvery = every;
        this.who = bench.identity();
        this.begunAt = begunAt;
        this.broughtWith = broughtWith;
    }

    /** The trace of a run file it came with, itself for that one; empty where it was begun in this book. */
    public Optional<UUID> broughtWith() {
        return Optional.ofNullable(broughtWith);
    }

    /** Whether no hand did it and no probe measured it, but a simulation. */
    public boolean simulated() {
        return simulated;
    }

    public UUID id() {
        return id;
    }

    public UUID benchId() {
        return benchId;
    }

    public Optional<UUID> instrumentId() {
        return Optional.ofNullable(instrumentId);
    }

    /** What it was read by: {@link #HAND} or {@link #FILE}. */
    public String channel() {
        return channel;
    }

    /** Identity of the bench that began it, or its name where it was begun before identities were kept. */
    public String who() {
        return who;
    }

    /** How often it is read (s). */
    public int every() {
        return readEvery;
    }

    public Instant begunAt() {
        return begunAt;
    }
}

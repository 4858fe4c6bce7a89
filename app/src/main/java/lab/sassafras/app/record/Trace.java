package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
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

    /** Pushed by a probe or a balance. */
    public static final String PROBE = "probe";

    /** Brought in from a file. */
    public static final String FILE = "file";

    /**
     * What readings are of and where they come from.
     *
     * @param kind   what they are read by or of, such as {@link #HAND} or {@link #ROOM}
     * @param source where they came from, such as a file's name; empty where a hand gives them
     * @param unit   symbol of the unit they are in
     */
    public record Channel(String kind, String source, String unit) {

        private static final int LONGEST = 80;

        public Channel {
            source = source.length() > LONGEST ? source.substring(0, LONGEST) : source;
        }

        /** Temperatures a hand gives. */
        public static Channel of(String kind) {
            return new Channel(kind, "", BenchUnit.DEGREES_CELSIUS.symbol());
        }

        /** Temperatures out of a file. */
        public static Channel ofFile(String name) {
            return new Channel(FILE, name, BenchUnit.DEGREES_CELSIUS.symbol());
        }
    }

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID benchId;
    private String channel;
    private @Nullable UUID instrumentId;

    private double readEvery;

    private String source;
    private String unit;

    private Instant begunAt;

    private boolean simulated;

    private @Nullable UUID broughtWith;

    protected Trace() {}

    Trace(
            UUID id,
            Bench bench,
            Channel from,
            Optional<UUID> instrument,
            double every,
            Instant begunAt,
            @Nullable UUID broughtWith) {
        this.id = id;
        this.benchId = bench.id();
        this.channel = from.kind();
        this.source = from.source();
        this.unit = from.unit();
        this.instrumentId = instrument.orElse(null);
        this.readEvery = every;
        this.begunAt = begunAt;
        this.broughtWith = broughtWith;
    }

    /** The same, which no probe measured. */
    Trace simulation() {
        this.simulated = true;
        return this;
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

    /** Where its readings came from, such as a file's name; empty where a hand gave them. */
    public String source() {
        return source;
    }

    /** Symbol of the unit its readings are in. */
    public String unit() {
        return unit;
    }

    /** Whether what is read is a temperature. */
    public boolean ofTemperature() {
        return BenchUnit.of(unit)
                .filter(each -> each.dimension().equals(Dimension.TEMPERATURE))
                .isPresent();
    }

    /** How often it is read, in words. */
    public String pace() {
        return "every " + (readEvery == Math.rint(readEvery) ? String.valueOf((long) readEvery) : readEvery) + " s";
    }

    /** How often it is read (s). */
    public double every() {
        return readEvery;
    }

    public Instant begunAt() {
        return begunAt;
    }

    /** When a second of it was (s). */
    public Instant at(double seconds) {
        return begunAt.plusMillis((long) (1000 * seconds));
    }
}

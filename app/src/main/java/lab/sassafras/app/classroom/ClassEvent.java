package lab.sassafras.app.classroom;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Something that passed between an instructor and the benches of a period. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ClassEvent {

    /** Longest text, in characters. */
    public static final int LONGEST = 500;

    /** What it is. */
    public enum Kind {
        /** A bench raised its hand. */
        RAISED,
        /** It took it down again, or somebody came. */
        LOWERED,
        /** An instructor holds a bench: it is to stop and wait. */
        HELD,
        /** It may go on. */
        LIFTED,
        /** A note to a bench, or to all. */
        TOLD,
        /** A bench saw a note. */
        SEEN,
        /** An instructor’s own note beside a bench. */
        BESIDE,
        /** Data to work out that were given to a bench, or to whoever reads by a link; which, and by which seed. */
        GIVEN,
        /** Data that were given were taken back. */
        TAKEN_BACK
    }

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID periodId;
    private @Nullable UUID benchId;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private String text;
    private @Nullable UUID ofId;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected ClassEvent() {}

    ClassEvent(
            Period period,
            Optional<Bench> bench,
            Kind kind,
            String text,
            Optional<UUID> of,
            Persons.By by,
            Instant madeAt) {
        this.id = UUID.randomUUID();
        this.periodId = period.id();
        this.benchId = bench.map(Bench::id).orElse(null);
        this.kind = kind;
        this.text = text;
        this.ofId = of.orElse(null);
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    /** {@return the bench it is of; empty where it is to all} */
    public Optional<UUID> benchId() {
        return Optional.ofNullable(benchId);
    }

    public Kind kind() {
        return kind;
    }

    public String text() {
        return text;
    }

    /** {@return the note that was seen, the link data were given to, or what was taken back; empty elsewhere} */
    public Optional<UUID> ofId() {
        return Optional.ofNullable(ofId);
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.measure.InstrumentKind;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** That an instrument is in hand at a place of an entry, from when on. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class InstrumentInHand {

    /** All places of an entry. */
    public static final String EVERYWHERE = "";

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID entryId;
    private String place;
    private String kind;
    private UUID instrumentId;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;

    protected InstrumentInHand() {}

    InstrumentInHand(UUID id, UUID entryId, Given given, Persons.By by, Instant madeAt) {
        this.id = id;
        this.entryId = entryId;
        this.place = given.place();
        this.kind = given.kind().key();
        this.instrumentId = given.instrument();
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /** What is kept: the place, the kind of instrument and which one, and who took it in hand. */
    public record Given(String place, InstrumentKind kind, UUID instrument, String who) {}

    public UUID entryId() {
        return entryId;
    }

    /** Key of a group or a channel; empty for all places. */
    public String place() {
        return place;
    }

    /** Stored name of the kind. */
    public String kind() {
        return kind;
    }

    public UUID instrumentId() {
        return instrumentId;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }

    /** Whether it speaks of a kind of instrument at a place. */
    boolean at(String where, InstrumentKind of) {
        return kind.equals(of.key()) && (place.equals(where) || place.equals(EVERYWHERE));
    }
}

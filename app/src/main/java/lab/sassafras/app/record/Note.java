package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What somebody saw at a bench and no place of the sheet asks for: nothing is worked out from it. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Note {

    /** Longest one, in characters. */
    public static final int LONGEST = 1_000;

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID entryId;
    private String text;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;

    protected Note() {}

    Note(UUID id, UUID entryId, String text, Persons.By by, Instant madeAt) {
        this.id = id;
        this.entryId = entryId;
        this.text = text;
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    boolean says(UUID entry, String other) {
        return entryId.equals(entry) && text.equals(other);
    }

    public String text() {
        return text;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

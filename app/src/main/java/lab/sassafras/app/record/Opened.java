package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A further trial, or a further part of a repeated group. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class Opened {

    @Id
    private UUID id;

    private UUID entryId;
    private String what;
    private int number;
    private UUID whoId;

    private Instant madeAt;

    protected Opened() {}

    Opened(UUID entryId, String what, int number, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.entryId = entryId;
        this.what = what;
        this.number = number;
        this.whoId = by.id();
        this.madeAt = madeAt;
    }

    UUID entryId() {
        return entryId;
    }

    String what() {
        return what;
    }

    int number() {
        return number;
    }
}

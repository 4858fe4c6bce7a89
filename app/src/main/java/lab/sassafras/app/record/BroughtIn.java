package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;

/** That a thing came with a file: by whom, when, and with which. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class BroughtIn {

    /** What came. */
    public enum What {
        ENTRY,
        VESSEL,
        INSTRUMENT,
        CALIBRATION,
        PERIOD
    }

    /**
     * What it came with.
     *
     * @param fileName as the browser named it
     * @param digest   of the contents, however they are laid out
     * @param who      who brought it in
     */
    public record From(String fileName, String digest, String who) {}

    @Id
    private UUID subject;

    private String what;
    private String fileName;
    private String digest;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;

    protected BroughtIn() {}

    BroughtIn(UUID subject, What what, From from, Persons.By by, Instant madeAt) {
        this.subject = subject;
        this.what = what.name();
        this.fileName = from.fileName();
        this.digest = from.digest();
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    public UUID subject() {
        return subject;
    }

    public String fileName() {
        return fileName;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

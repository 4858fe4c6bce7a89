package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A number as it was first shown: from which readings and decisions, by which method, and what it was. */
@Entity
@Immutable
@IdClass(Shown.Key.class)
public class Shown {

    /** Entry, what it was worked from, and method. */
    public record Key(UUID entryId, String state, int method) implements Serializable {}

    @Id
    private UUID entryId;

    @Id
    private String state;

    @Id
    private int method;

    @Column(name = "result")
    private double value;

    private double uncertainty;
    private String unit;
    private Instant shownAt;

    protected Shown() {}

    Shown(Key key, double value, double uncertainty, String unit, Instant shownAt) {
        this.entryId = key.entryId();
        this.state = key.state();
        this.method = key.method();
        this.value = value;
        this.uncertainty = uncertainty;
        this.unit = unit;
        this.shownAt = shownAt;
    }

    public int method() {
        return method;
    }

    public double value() {
        return value;
    }

    public double uncertainty() {
        return uncertainty;
    }

    public String unit() {
        return unit;
    }

    public Instant shownAt() {
        return shownAt;
    }
}

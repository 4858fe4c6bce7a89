package lab.sassafras.app.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.slot.VesselKind;
import org.hibernate.annotations.Immutable;

/** A vessel used as a calorimeter. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Vessel {

    @Id
    private UUID id;

    private String name;

    private String kind;

    private Instant createdAt;

    protected Vessel() {}

    Vessel(UUID id, String name, VesselKind kind, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.kind = stored(kind);
        this.createdAt = createdAt;
    }

    /** The same vessel under another name; this copy is not stored. */
    Vessel called(String other) {
        if (other.equals(name)) {
            return this;
        }
        Vessel copy = new Vessel();
        copy.id = id;
        copy.name = other;
        copy.kind = kind;
        copy.createdAt = createdAt;
        return copy;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    /** What it is made of; a stand-in where this version does not know the kind. */
    public VesselKind kind() {
        return Experiments.vesselOrUnknown(kind.toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private static String stored(VesselKind kind) {
        return kind.key().toUpperCase(Locale.ROOT).replace('-', '_');
    }
}

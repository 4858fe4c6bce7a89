package lab.sassafras.app.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.experiment.Calorimeter;
import org.hibernate.annotations.Immutable;

/** A vessel used as a calorimeter. */
@Entity
@Immutable
public class Vessel {

    @Id
    private UUID id;

    private String name;

    @Enumerated(EnumType.STRING)
    private Calorimeter.Kind kind;

    private Instant createdAt;

    protected Vessel() {}

    Vessel(UUID id, String name, Calorimeter.Kind kind, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.kind = kind;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Calorimeter.Kind kind() {
        return kind;
    }
}

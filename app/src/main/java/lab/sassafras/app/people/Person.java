package lab.sassafras.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** Somebody who has an account. What they are called stands in {@link PersonName}. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class Person {

    @Id
    private UUID id;

    private String kind;
    private Instant madeAt;

    protected Person() {}

    Person(UUID id, Role kind, Instant madeAt) {
        this.id = id;
        this.kind = kind.name();
        this.madeAt = madeAt;
    }
}

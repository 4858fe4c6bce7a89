package lab.sassafras.app.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What a person is called from a moment on. The only place of a name; rows are only added. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class PersonName {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID personId;
    private String name;
    private Instant since;

    protected PersonName() {}

    PersonName(UUID personId, String name, Instant since) {
        this.id = UUID.randomUUID();
        this.personId = personId;
        this.name = name;
        this.since = since;
    }

    String name() {
        return name;
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Somebody whom rows are of: of one period, or of the house. What they are called stands in {@link PersonName}. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class Person {

    /** What somebody may be. */
    enum Kind {
        /** Has an account. */
        INSTRUCTOR,
        /** A bench of a period, by the bench's own identity. */
        BENCH,
        /** Known by nothing but a name. */
        NAMED
    }

    @Id
    private UUID id;

    private String kind;
    private Instant madeAt;
    private @Nullable UUID periodId;

    @Formula("(select n.name from person_name n where n.person_id = id"
            + " and n.seq = (select max(m.seq) from person_name m where m.person_id = id))")
    private @Nullable String name;

    protected Person() {}

    Person(UUID id, Kind kind, Optional<UUID> period, Instant madeAt) {
        this.id = id;
        this.kind = kind.name();
        this.periodId = period.orElse(null);
        this.madeAt = madeAt;
    }

    UUID id() {
        return id;
    }

    boolean bench() {
        return kind.equals(Kind.BENCH.name());
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/**
 * What somebody is called from a moment on. The only place of a name; rows are only added, and a name is erased once.
 */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class PersonName {

    /** The name whoever kept a row had then, for rows with {@code who_id} and {@code made_at}. */
    static final String OF_WHO = "(select n.name from person_name n where n.person_id = who_id and n.seq = "
            + "(select max(m.seq) from person_name m where m.person_id = who_id and m.since <= made_at))";

    /** The same of who brought it, by {@code brought_by_id}. */
    static final String OF_BRINGER = "(select n.name from person_name n where n.person_id = brought_by_id and n.seq = "
            + "(select max(m.seq) from person_name m where m.person_id = brought_by_id and m.since <= made_at))";

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

package lab.sassafras.app.people;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** What an instructor signs in with. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class Instructor {

    @Id
    private UUID personId;

    private String signName;
    private String password;
    private boolean locked;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "instructor_period", joinColumns = @JoinColumn(name = "person_id"))
    @Column(name = "period_id")
    private Set<UUID> periods;

    protected Instructor() {}

    Instructor(UUID personId, String signName, String password, Set<UUID> periods) {
        this.personId = personId;
        this.signName = signName;
        this.password = password;
        this.periods = new HashSet<>(periods);
    }

    UUID personId() {
        return personId;
    }

    /** Hash of the password. */
    String password() {
        return password;
    }

    boolean locked() {
        return locked;
    }

    /** Periods it is bound to; none where it is all of them. */
    Set<UUID> periods() {
        return Set.copyOf(periods);
    }

    void lock(boolean out) {
        this.locked = out;
    }

    void reset(String hash) {
        this.password = hash;
    }
}

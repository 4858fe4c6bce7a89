package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** That somebody works at a bench, as they named themselves. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class BenchMember {

    @Id
    private UUID id;

    private UUID benchId;
    private UUID personId;
    private int place;

    protected BenchMember() {}

    BenchMember(UUID benchId, UUID personId, int place) {
        this.id = UUID.randomUUID();
        this.benchId = benchId;
        this.personId = personId;
        this.place = place;
    }
}

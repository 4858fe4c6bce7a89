package lab.sassafras.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** What a bench joins a period by. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class PeriodCode {

    @Id
    private UUID periodId;

    private String code;
    private Instant madeAt;

    protected PeriodCode() {}

    PeriodCode(UUID periodId, String code, Instant madeAt) {
        this.periodId = periodId;
        this.code = code;
        this.madeAt = madeAt;
    }

    UUID periodId() {
        return periodId;
    }

    String code() {
        return code;
    }

    void renew(String other, Instant now) {
        this.code = other;
        this.madeAt = now;
    }
}

package lab.sassafras.app.plans;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What the safety data sheet of a bottle says, as an instructor read it. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class HazardSheet {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String substance;
    private String signal;
    private String statements;
    private String sheet;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected HazardSheet() {}

    HazardSheet(String substance, String signal, String statements, String sheet, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.substance = substance;
        this.signal = signal;
        this.statements = statements;
        this.sheet = sheet;
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    public String substance() {
        return substance;
    }

    public String signal() {
        return signal;
    }

    public List<String> codes() {
        return statements.isEmpty() ? List.of() : Arrays.asList(statements.split(" "));
    }

    /** Which sheet it is: who supplies the bottle, and the sheet's day. */
    public String sheet() {
        return sheet;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

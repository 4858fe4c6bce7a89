package lab.sassafras.app.probes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A batch that was pushed, with what became of its rows. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class ProbeBatch {

    private static final String BETWEEN = "\n";

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID tokenId;
    private String digest;
    private int rowsKept;
    private int rowsRefused;
    private String why;
    private String said;
    private Instant madeAt;

    protected ProbeBatch() {}

    /** As lines are kept. */
    static String lines(List<String> lines) {
        return String.join(BETWEEN, lines);
    }

    /** Whether it is this one, sent again. */
    public boolean same(ProbeToken by, String contents) {
        return tokenId.equals(by.id()) && digest.equals(contents);
    }

    public int rowsKept() {
        return rowsKept;
    }

    public int rowsRefused() {
        return rowsRefused;
    }

    /** The first rows that were refused, each by its number with why. */
    public List<Rows.Refused> why() {
        return why.isEmpty() ? List.of() : why.lines().map(Rows.Refused::of).toList();
    }

    /** What is to be known of the rows that were kept. */
    public List<String> said() {
        return said.lines().toList();
    }

    public Instant madeAt() {
        return madeAt;
    }
}

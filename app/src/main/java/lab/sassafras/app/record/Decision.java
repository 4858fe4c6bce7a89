package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A person's decision with its reason. The last one about a subject counts. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Decision {

    public static final String OUT = "out";
    public static final String IN = "in";
    public static final String ASIDE = "aside";
    public static final String ADOPTED = "adopted";
    public static final String COPIED = "copied";
    public static final String TOLD = "told";
    public static final String CLOSED = "closed";
    public static final String OPEN = "open";
    public static final String DRAFT = "draft";
    public static final String ARCHIVED = "archived";
    public static final String ERASED = "names erased";
    private static final String WORD = "[a-z0-9.-]{1,40}";
    private static final String IDENTITY = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";

    /** What is decided, with the words its outcome may be. */
    public enum Kind {
        /** A trial counts or does not: outcome {@code out} or {@code in}. */
        TRIAL(OUT + "|" + IN),
        /** A school is put in force for this entry: subject the question, outcome the school. */
        SCHOOL(WORD),
        /** Another calibration is pinned: outcome its identity. */
        PIN(IDENTITY),
        /** What makes the result of the trials: subject {@code trials}, outcome the combination. */
        COMBINATION(WORD),
        /** The whole entry counts or is set aside: outcome {@code out} or {@code in}. */
        ENTRY(OUT + "|" + IN),
        /** A calibration may be used for new entries or not: outcome {@code aside} or {@code adopted}. */
        CALIBRATION(ASIDE + "|" + ADOPTED),
        /** A reading on a clock counts or does not: subject its trace and second, outcome {@code out} or {@code in}. */
        READING(OUT + "|" + IN),
        /**
         * What stands at an address is read on this clock, a trial or a temperature by its trend: outcome the identity
         * of the readings.
         */
        CLOCK(IDENTITY),
        /** A vessel or an instrument is called otherwise: outcome its name. */
        NAME(".{1,60}"),
        /** A substance of one's own may be chosen or is struck out: outcome {@code aside} or {@code adopted}. */
        SUBSTANCE(ASIDE + "|" + ADOPTED),
        /** A reference an instructor gave is struck out: outcome {@code aside}. */
        REFERENCE(ASIDE),
        /** A vessel or an instrument is retired, or brought back: outcome {@code aside} or {@code adopted}. */
        THING(ASIDE + "|" + ADOPTED),
        /** An entry is copied from paper, and what was ticked off was ticked off there: outcome {@code copied}. */
        PAPER(COPIED),
        /**
         * A convention of a period is set anew after something was read: subject the period and the question, outcome
         * the school it was and the one it is.
         */
        CONVENTION(WORD + ">" + WORD),
        /**
         * What a result should be is told to benches: subject an entry, or a period with the key of an experiment, or a
         * period with {@code all}; outcome {@code told}. What was once seen cannot be unseen.
         */
        REVEAL(TOLD),
        /**
         * A period becomes a draft, is opened, closed, archived, or opened again, or the names in it are erased:
         * subject the period.
         */
        PERIOD(String.join("|", DRAFT, OPEN, CLOSED, ARCHIVED, ERASED));

        private final String outcomes;

        Kind(String outcomes) {
            this.outcomes = outcomes;
        }

        boolean knows(String outcome) {
            return outcome.matches(outcomes);
        }
    }

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private @Nullable UUID entryId;
    private String kind;
    private String subject;
    private String outcome;
    private String reason;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private @Nullable UUID broughtById;

    @Formula(PersonName.OF_BRINGER)
    private @Nullable String broughtBy;

    private Instant madeAt;

    protected Decision() {}

    Decision(@Nullable UUID entryId, Taken taken, Persons.By by, Optional<Persons.By> bringer, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.entryId = entryId;
        this.kind = taken.kind().name();
        this.subject = taken.subject();
        this.outcome = taken.outcome();
        this.reason = taken.reason();
        this.whoId = by.id();
        this.who = by.name();
        this.broughtById = bringer.map(Persons.By::id).orElse(null);
        this.broughtBy = bringer.map(Persons.By::name).orElse(null);
        this.madeAt = madeAt;
    }

    /** What is decided, by whom, and who brought it where that was somebody else. */
    public record Taken(
            Kind kind, String subject, String outcome, String reason, String who, Optional<String> broughtBy) {}

    /** Who brought it, where that was not who took it. */
    public Optional<String> broughtBy() {
        return Optional.ofNullable(broughtBy);
    }

    @Nullable
    UUID entryId() {
        return entryId;
    }

    /** Whether it is of a kind; a later version may know more kinds than this one. */
    public boolean is(Kind one) {
        return one.name().equals(kind);
    }

    public String subject() {
        return subject;
    }

    public String outcome() {
        return outcome;
    }

    public String reason() {
        return reason;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}

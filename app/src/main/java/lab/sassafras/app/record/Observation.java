package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** One thing read or said, exactly as typed. An empty text is a strike-out without a new value. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Observation {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID entryId;
    private String address;
    private String role;
    private String text;
    private @Nullable String unit;
    private @Nullable UUID instrumentId;
    private @Nullable String uncertainty;
    private UUID whoId;

    @Formula(PersonName.OF_WHO)
    private String who;

    private Instant madeAt;
    private @Nullable UUID supersedes;
    private @Nullable String reason;
    private @Nullable UUID broughtById;

    @Formula(PersonName.OF_BRINGER)
    private @Nullable String broughtBy;

    protected Observation() {}

    Observation(UUID id, UUID entryId, Given given, Persons.By by, Optional<Persons.By> bringer, Instant madeAt) {
        this.id = id;
        this.entryId = entryId;
        this.address = given.address();
        this.role = given.role();
        this.text = given.text();
        this.unit = given.unit();
        this.instrumentId = given.instrumentId().orElse(null);
        this.uncertainty = given.uncertainty();
        this.whoId = by.id();
        this.who = by.name();
        this.supersedes = given.supersedes().orElse(null);
        this.reason = given.reason();
        this.broughtById = bringer.map(Persons.By::id).orElse(null);
        this.broughtBy = bringer.map(Persons.By::name).orElse(null);
        this.madeAt = madeAt;
    }

    /**
     * What is kept of a value, by whom, and who brought it where that was somebody else; unit, uncertainty and reason
     * may be null.
     */
    public record Given(
            String address,
            String role,
            String text,
            @Nullable String unit,
            Optional<UUID> instrumentId,
            @Nullable String uncertainty,
            String who,
            Optional<UUID> supersedes,
            @Nullable String reason,
            Optional<String> broughtBy) {

        /** What whoever it is by keeps without another hand between. */
        public Given(
                String address,
                String role,
                String text,
                @Nullable String unit,
                Optional<UUID> instrumentId,
                @Nullable String uncertainty,
                String who,
                Optional<UUID> supersedes,
                @Nullable String reason) {
            this(address, role, text, unit, instrumentId, uncertainty, who, supersedes, reason, Optional.empty());
        }

        /** The same, striking nothing out: what it was to strike out another hand struck out first. */
        Given asSecondReading() {
            return new Given(
                    address, role, text, unit, instrumentId, uncertainty, who, Optional.empty(), reason, broughtBy);
        }
    }

    /** Whether this is what was given, be it kept as a second reading. */
    boolean says(UUID entry, Given given) {
        return entryId.equals(entry)
                && address.equals(given.address())
                && role.equals(given.role())
                && text.equals(given.text())
                && Objects.equals(unit, given.unit())
                && instrumentId().equals(given.instrumentId())
                && Objects.equals(uncertainty, given.uncertainty())
                && Objects.equals(reason, given.reason())
                && (supersedes == null
                        || given.supersedes().filter(supersedes::equals).isPresent());
    }

    public UUID id() {
        return id;
    }

    public UUID entryId() {
        return entryId;
    }

    public String address() {
        return address;
    }

    public String role() {
        return role;
    }

    public String text() {
        return text;
    }

    public Optional<String> unit() {
        return Optional.ofNullable(unit);
    }

    public Optional<UUID> instrumentId() {
        return Optional.ofNullable(instrumentId);
    }

    public Optional<String> uncertainty() {
        return Optional.ofNullable(uncertainty);
    }

    public String who() {
        return who;
    }

    /** Who brought it, where that was not who it is by. */
    public Optional<String> broughtBy() {
        return Optional.ofNullable(broughtBy);
    }

    public Instant madeAt() {
        return madeAt;
    }

    public Optional<UUID> supersedes() {
        return Optional.ofNullable(supersedes);
    }

    /** Where a value comes from that corrects nothing, such as a balance; empty where that is not said. */
    public Optional<String> from() {
        return supersedes().isPresent() ? Optional.empty() : reason();
    }

    public Optional<String> reason() {
        return Optional.ofNullable(reason);
    }

    /** Whether this only strikes another out. */
    public boolean strikeOut() {
        return text.isEmpty();
    }
}

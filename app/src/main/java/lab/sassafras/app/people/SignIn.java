package lab.sassafras.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import org.jspecify.annotations.Nullable;

/** A browser that came in. It ends once and does not begin again. */
@Entity
public class SignIn {

    @Id
    private UUID id;

    private String token;
    private String role;
    private @Nullable UUID personId;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "bench_id")
    private @Nullable Bench bench;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "link_id")
    private @Nullable ReaderLink link;

    private String device;
    private Instant begunAt;
    private Instant seenAt;
    private @Nullable Instant endedAt;

    protected SignIn() {}

    SignIn(
            String token,
            Role role,
            @Nullable UUID personId,
            @Nullable Bench bench,
            @Nullable ReaderLink link,
            String device,
            Instant now) {
        this.link = link;
        this.id = UUID.randomUUID();
        this.token = token;
        this.role = role.name();
        this.personId = personId;
        this.bench = bench;
        this.device = device;
        this.begunAt = now;
        this.seenAt = now;
    }

    public UUID id() {
        return id;
    }

    /** Hash of its token. */
    String token() {
        return token;
    }

    Role role() {
        return Role.valueOf(role);
    }

    Optional<UUID> personId() {
        return Optional.ofNullable(personId);
    }

    /** {@return the bench it sits at} */
    public Optional<Bench> bench() {
        return Optional.ofNullable(bench);
    }

    Optional<ReaderLink> link() {
        return Optional.ofNullable(link);
    }

    /** {@return the device in words} */
    public String device() {
        return device;
    }

    public Instant begunAt() {
        return begunAt;
    }

    /** {@return when it was last seen, to five minutes} */
    public Instant seenAt() {
        return seenAt;
    }

    boolean ended() {
        return endedAt != null;
    }

    void sit(@Nullable Bench at) {
        this.bench = at;
    }

    void seen(Instant now) {
        this.seenAt = now;
    }

    void end(Instant now) {
        this.endedAt = endedAt == null ? now : endedAt;
    }
}

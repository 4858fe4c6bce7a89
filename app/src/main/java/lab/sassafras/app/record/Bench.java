package lab.sassafras.app.record;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;

/** One or two people working together in a period, under a name they gave. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Bench {

    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "period_id")
    private Period period;

    @Formula("(select n.name from person_name n where n.person_id = id"
            + " and n.seq = (select max(m.seq) from person_name m where m.person_id = id))")
    private String name;

    /** Hash of the name: two benches of a period have two. */
    private String called;

    private Instant createdAt;

    private boolean simulated;

    private @Nullable UUID vesselId;
    private String sample = "";

    protected Bench() {}

    Bench(UUID id, Period period, String name, Instant createdAt, boolean simulated) {
        this.simulated = simulated;
        this.id = id;
        this.period = period;
        call(name);
        this.createdAt = createdAt;
    }

    final void call(String other) {
        this.name = other;
        this.called = Hashes.of(other);
    }

    void have(Optional<UUID> vessel, String sampleName) {
        this.vesselId = vessel.orElse(null);
        this.sample = sampleName;
    }

    /** The vessel its instructor gave it. */
    public Optional<UUID> vesselId() {
        return Optional.ofNullable(vesselId);
    }

    /** What the sample its instructor gave it is called; empty where it was given none. */
    public String sample() {
        return sample;
    }

    /** Whether no hand did it and no probe measured it, but a simulation. */
    public boolean simulated() {
        return simulated;
    }

    public Instant createdAt() {
        return createdAt;
    }

    public UUID id() {
        return id;
    }

    public Period period() {
        return period;
    }

    /** What readings on a clock are signed with, so that its name can later be replaced. */
    public String identity() {
        return id.toString();
    }

    public String name() {
        return name;
    }

    /** As one speaks of it: “bench Hawthorn”, and “Bench 1” as it is. */
    public String inWords() {
        return name.toLowerCase(Locale.ROOT).startsWith("bench") ? name : "bench " + name;
    }
}

package lab.sassafras.app.simulated;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Entry;
import lab.sassafras.simulate.Slip;
import org.hibernate.annotations.Immutable;

/** A run at the simulated bench. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class SimulatedRun {

    @Id
    private UUID id;

    private UUID entryId;
    private long seed;
    private double speed;
    private String slips;
    private double capacity;
    private UUID whoId;
    private Instant madeAt;

    protected SimulatedRun() {}

    SimulatedRun(Entry entry, Given given, UUID who, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.entryId = entry.id();
        this.seed = given.seed();
        this.speed = given.speed();
        this.slips = given.slips().stream().map(Slip::key).sorted().collect(Collectors.joining(" "));
        this.capacity = given.capacity();
        this.whoId = who;
        this.madeAt = madeAt;
    }

    /**
     * What it is begun with.
     *
     * @param seed     everything drawn follows from it
     * @param speed    times as fast as real
     * @param slips    what goes wrong
     * @param capacity heat capacity of the calorimeter (J/°C)
     */
    public record Given(long seed, double speed, Set<Slip> slips, double capacity) {}

    public UUID id() {
        return id;
    }

    public long seed() {
        return seed;
    }

    /** Times as fast as real. */
    public double speed() {
        return speed;
    }

    public double capacity() {
        return capacity;
    }

    /** What goes wrong in it. */
    public Set<Slip> slips() {
        return Arrays.stream(slips.split(" "))
                .flatMap(each -> Slip.of(each).stream())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Slip.class)));
    }
}

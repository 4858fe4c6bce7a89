package lab.sassafras.app.simulated;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Map;
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
    private String wished;
    private String taken;
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
        this.wished = given.wished().entrySet().stream()
                .map(each -> each.getKey() + "=" + each.getValue())
                .sorted()
                .collect(Collectors.joining(" "));
        this.taken = given.taken();
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
     * @param wished   amounts and temperatures that are not the scene’s own, by the path of a slot (bench unit)
     * @param taken    substance that is taken where it is one of several; empty where it is drawn
     */
    public record Given(
            long seed, double speed, Set<Slip> slips, double capacity, Map<String, Double> wished, String taken) {}

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

    /** Amounts and temperatures that are not the scene’s own, by the path of a slot (bench unit). */
    public Map<String, Double> wished() {
        return Arrays.stream(wished.split(" "))
                .filter(each -> !each.isEmpty())
                .map(each -> each.split("="))
                .collect(Collectors.toMap(each -> each[0], each -> Double.valueOf(each[1])));
    }

    /** The substance that is taken where it is one of several; empty where it is drawn. */
    public String taken() {
        return taken;
    }

    /** What goes wrong in it. */
    public Set<Slip> slips() {
        return Arrays.stream(slips.split(" "))
                .flatMap(each -> Slip.of(each).stream())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Slip.class)));
    }
}

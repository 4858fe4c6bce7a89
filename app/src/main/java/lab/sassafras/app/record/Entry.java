package lab.sassafras.app.record;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.MapKeyColumn;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.InstrumentKind;
import org.hibernate.annotations.BatchSize;
import org.jspecify.annotations.Nullable;

/** One experiment done by a bench, with the method, shelf and calibration versions it was begun with. */
@Entity
public class Entry {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "bench_id")
    private Bench bench;

    private String experiment;
    private int method;
    private int shelfVersion;
    private @Nullable UUID vesselId;
    private @Nullable UUID calibrationId;
    private Instant createdAt;

    private boolean simulated;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "entry_instrument", joinColumns = @JoinColumn(name = "entry_id"))
    @MapKeyColumn(name = "kind")
    @Column(name = "instrument_id")
    @BatchSize(size = 500)
    private Map<String, UUID> instruments;

    protected Entry() {}

    Entry(UUID id, Bench bench, Plan plan, Instant createdAt) {
        this.id = id;
        this.bench = bench;
        this.experiment = plan.experiment();
        this.method = plan.method();
        this.shelfVersion = plan.shelfVersion();
        this.vesselId = plan.vesselId().orElse(null);
        this.calibrationId = plan.calibrationId().orElse(null);
        this.instruments = plan.instruments().entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(each -> each.getKey().key(), Map.Entry::getValue));
        this.createdAt = createdAt;
        this.simulated = plan.simulated();
    }

    /** What an entry is begun with. */
    public record Plan(
            String experiment,
            int method,
            int shelfVersion,
            Optional<UUID> vesselId,
            Optional<UUID> calibrationId,
            Map<InstrumentKind, UUID> instruments,
            boolean simulated) {

        /** One that is done by hands. */
        public Plan(
                String experiment,
                int method,
                int shelfVersion,
                Optional<UUID> vesselId,
                Optional<UUID> calibrationId,
                Map<InstrumentKind, UUID> instruments) {
            this(experiment, method, shelfVersion, vesselId, calibrationId, instruments, false);
        }
    }

    /** Whether no hand did it and no probe measured it, but a simulation. */
    public boolean simulated() {
        return simulated;
    }

    public UUID id() {
        return id;
    }

    public Bench bench() {
        return bench;
    }

    public Period period() {
        return bench.period();
    }

    public String experiment() {
        return experiment;
    }

    public int method() {
        return method;
    }

    public int shelfVersion() {
        return shelfVersion;
    }

    public Optional<UUID> vesselId() {
        return Optional.ofNullable(vesselId);
    }

    /** The calibration pinned when the entry was begun; a later decision may have replaced it. */
    public Optional<UUID> calibrationId() {
        return Optional.ofNullable(calibrationId);
    }

    /** The instruments proposed for readings. */
    public Map<InstrumentKind, UUID> instruments() {
        return instruments.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(
                        each -> Experiments.instrumentOrUnknown(each.getKey()), Map.Entry::getValue));
    }

    public Instant createdAt() {
        return createdAt;
    }
}

package lab.sassafras.app.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Judging;
import lab.sassafras.substance.Reference;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What a result should be, as an instructor gave it: of a sample by its name, or of an experiment in a period. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class OwnReference {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private @Nullable UUID periodId;
    private String experiment;
    private String sample;
    private String substance;
    private double amount;
    private double uncertainty;
    private String unit;
    private String source;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected OwnReference() {}

    OwnReference(UUID id, Optional<Period> period, Given given, Persons.By by, Instant madeAt) {
        this.id = id;
        this.periodId = period.map(Period::id).orElse(null);
        this.experiment = given.experiment();
        this.sample = given.sample();
        this.substance = given.substance();
        this.amount = given.value();
        this.uncertainty = given.uncertainty();
        this.unit = given.unit().symbol();
        this.source = given.source();
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /**
     * What is given.
     *
     * @param experiment  its key
     * @param sample      name of the sample it is of; empty for any of a period
     * @param substance   which substance that is, as a note; empty where it is not told
     * @param value       (unit)
     * @param uncertainty standard uncertainty (unit)
     * @param unit        of the experiment's result
     * @param source      where it comes from
     */
    public record Given(
            String experiment,
            String sample,
            String substance,
            double value,
            double uncertainty,
            BenchUnit unit,
            String source) {}

    public UUID id() {
        return id;
    }

    /** Empty where it holds in every period. */
    public Optional<UUID> periodId() {
        return Optional.ofNullable(periodId);
    }

    public String experiment() {
        return experiment;
    }

    public String sample() {
        return sample;
    }

    public String substance() {
        return substance;
    }

    public String source() {
        return source;
    }

    public String who() {
        return who;
    }

    /** As it is written on a page. */
    public String written(Figures figures) {
        return figures.byUncertainty(amount, uncertainty) + " ± " + figures.uncertainty(uncertainty) + " " + unit;
    }

    Judging.Given given() {
        return new Judging.Given(
                sample,
                new Reference(
                        "own-" + id,
                        substance.isEmpty() ? "given by the instructor" : substance,
                        amount,
                        uncertainty,
                        BenchUnit.of(unit).orElse(BenchUnit.NUMBER),
                        source,
                        true));
    }
}

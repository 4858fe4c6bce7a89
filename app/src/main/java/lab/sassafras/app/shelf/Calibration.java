package lab.sassafras.app.shelf;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shape;
import lab.sassafras.measure.Shared;
import lab.sassafras.slot.Calorimeter;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** An adopted calorimeter constant, with the sources of error it shares with the instruments it was found with. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Calibration {

    private static final double KNOWN = 1e300;

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID vesselId;
    private @Nullable UUID entryId;
    private double constant;
    private double ownUncertainty;
    private double degreesOfFreedom;
    private double fill;
    private String described;
    private UUID whoId;

    @Formula("(select n.name from person_name n where n.person_id = who_id and n.seq = "
            + "(select max(m.seq) from person_name m where m.person_id = who_id and m.since <= adopted_at))")
    private String who;

    private String reason;
    private Instant adoptedAt;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "calibration_share", joinColumns = @JoinColumn(name = "calibration_id"))
    private List<Share> shares;

    protected Calibration() {}

    Calibration(
            UUID id,
            UUID vesselId,
            Optional<UUID> entryId,
            Measured constant,
            double fill,
            Adoption adoption,
            Persons.By by,
            Instant adoptedAt) {
        this.id = id;
        this.vesselId = vesselId;
        this.entryId = entryId.orElse(null);
        this.constant = constant.value();
        this.ownUncertainty = constant.ownUncertainty();
        this.degreesOfFreedom = Math.min(constant.degreesOfFreedom(), KNOWN);
        this.shares = constant.shares().stream().map(Share::new).toList();
        this.fill = fill;
        this.described = adoption.described();
        this.whoId = by.id();
        this.who = by.name();
        this.reason = adoption.reason();
        this.adoptedAt = adoptedAt;
    }

    /** Who adopted a constant, why, and where it comes from in words. */
    public record Adoption(String described, String who, String reason) {}

    public UUID id() {
        return id;
    }

    public UUID vesselId() {
        return vesselId;
    }

    public Optional<UUID> entryId() {
        return Optional.ofNullable(entryId);
    }

    public String described() {
        return described;
    }

    public String who() {
        return who;
    }

    public String reason() {
        return reason;
    }

    public Instant adoptedAt() {
        return adoptedAt;
    }

    public double fill() {
        return fill;
    }

    /** The constant (J/°C). */
    public Measured value() {
        return new Measured(
                constant,
                ownUncertainty,
                infinite(degreesOfFreedom),
                shares.stream().map(Share::share).toList(),
                -1);
    }

    /** The constant with half the width of its 95 % interval, as results are written (J/°C). */
    public String written(Figures figures) {
        double half = Estimate.of(value()).halfWidth(0.95);
        return figures.byUncertainty(constant, half) + " ± " + figures.uncertainty(half);
    }

    /** As an entry pins it. */
    public Calorimeter.Pinned pinned() {
        return new Calorimeter.Pinned(id.toString(), value(), fill, described);
    }

    private static double infinite(double stored) {
        return stored >= KNOWN ? Double.POSITIVE_INFINITY : stored;
    }

    /** One shared source. */
    @Embeddable
    static class Share {

        private String sourceKey;
        private String label;

        @Column(name = "uncertainty")
        private double standardUncertainty;

        private double degreesOfFreedom;
        private double sensitivity;

        @Enumerated(EnumType.STRING)
        private Shape shape;

        protected Share() {}

        Share(Measured.Share share) {
            this.sourceKey = share.source().key();
            this.label = share.source().label();
            this.standardUncertainty = share.source().standardUncertainty();
            this.degreesOfFreedom = Math.min(share.source().degreesOfFreedom(), KNOWN);
            this.sensitivity = share.sensitivity();
            this.shape = share.source().shape();
        }

        Measured.Share share() {
            return new Measured.Share(
                    new Shared(
                            sourceKey, label, standardUncertainty, infinite(degreesOfFreedom), Scope.EVERYWHERE, shape),
                    sensitivity);
        }
    }
}

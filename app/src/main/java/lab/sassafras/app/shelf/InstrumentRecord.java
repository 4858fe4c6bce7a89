package lab.sassafras.app.shelf;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import org.hibernate.annotations.Immutable;

/** The stored record of an instrument. */
@Entity
@Immutable
@Table(name = "instrument")
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
class InstrumentRecord {

    @Id
    private UUID id;

    private String name;

    private String kind;

    private double resolution;
    private double low;
    private double high;
    private double offsetUncertainty;
    private double readingUncertainty;
    private double gain;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "instrument_point", joinColumns = @JoinColumn(name = "instrument_id"))
    private List<Compared> points;

    private Instant createdAt;

    protected InstrumentRecord() {}

    InstrumentRecord(UUID id, Instrument instrument, Instant createdAt) {
        this.id = id;
        this.name = instrument.name();
        this.kind = instrument.kind().key();
        this.resolution = instrument.resolution();
        this.low = instrument.low();
        this.high = instrument.high();
        this.offsetUncertainty = instrument.offsetUncertainty();
        this.readingUncertainty = instrument.readingUncertainty();
        this.gain = instrument.correction().gain();
        this.points =
                instrument.correction().points().stream().map(Compared::new).toList();
        this.createdAt = createdAt;
    }

    Instrument instrument() {
        InstrumentKind of = Experiments.instrumentOrUnknown(kind);
        return new Instrument(
                id.toString(),
                name,
                of,
                of.unit(),
                resolution,
                low,
                high,
                offsetUncertainty,
                readingUncertainty,
                new Correction(gain, points.stream().map(Compared::point).toList()));
    }

    /** One comparison. */
    @Embeddable
    static class Compared {

        private double reading;
        private double actual;
        private double uncertainty;

        protected Compared() {}

        Compared(Correction.Point point) {
            this.reading = point.reading();
            this.actual = point.actual();
            this.uncertainty = point.uncertainty();
        }

        Correction.Point point() {
            return new Correction.Point(reading, actual, uncertainty);
        }
    }
}

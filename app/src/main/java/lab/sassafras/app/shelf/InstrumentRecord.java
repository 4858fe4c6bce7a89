package lab.sassafras.app.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lab.sassafras.measure.Instrument;
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

    @Enumerated(EnumType.STRING)
    private Instrument.Kind kind;

    private double resolution;
    private double low;
    private double high;
    private double offsetUncertainty;
    private double readingUncertainty;
    private Instant createdAt;

    protected InstrumentRecord() {}

    InstrumentRecord(UUID id, Instrument instrument, Instant createdAt) {
        this.id = id;
        this.name = instrument.name();
        this.kind = instrument.kind();
        this.resolution = instrument.resolution();
        this.low = instrument.low();
        this.high = instrument.high();
        this.offsetUncertainty = instrument.offsetUncertainty();
        this.readingUncertainty = instrument.readingUncertainty();
        this.createdAt = createdAt;
    }

    Instrument instrument() {
        return new Instrument(
                id.toString(),
                name,
                kind,
                Instruments.unit(kind),
                resolution,
                low,
                high,
                offsetUncertainty,
                readingUncertainty);
    }
}

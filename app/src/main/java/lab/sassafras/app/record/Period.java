package lab.sassafras.app.record;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;

/** A lab period: its date, its zone, its title, how decimals are written and which schools are in force. */
@Entity
public class Period {

    @Id
    private UUID id;
    private String title;
    private LocalDate heldOn;
    private String zone;
    @Enumerated(EnumType.STRING)
    private DecimalMark decimalMark;
    private Instant createdAt;
    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "period_school", joinColumns = @JoinColumn(name = "period_id"))
    @MapKeyColumn(name = "question")
    @Column(name = "school")
    private Map<String, String> schools;

    protected Period() {
    }

    Period(UUID id, String title, LocalDate heldOn, ZoneId zone, DecimalMark decimalMark, Map<String, String> schools,
           Instant createdAt) {
        this.id = id;
        this.title = title;
        this.heldOn = heldOn;
        this.zone = zone.getId();
        this.decimalMark = decimalMark;
        this.schools = Map.copyOf(schools);
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    public String title() {
        return title;
    }

    public LocalDate heldOn() {
        return heldOn;
    }

    public ZoneId zone() {
        return ZoneId.of(zone);
    }

    public DecimalMark decimalMark() {
        return decimalMark;
    }

    public Figures figures() {
        return new Figures(decimalMark);
    }

    /** Question key to school key. */
    public Map<String, String> schools() {
        return Map.copyOf(schools);
    }

    public Instant createdAt() {
        return createdAt;
    }
}

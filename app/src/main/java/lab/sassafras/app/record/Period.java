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
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import org.hibernate.annotations.BatchSize;
import org.jspecify.annotations.Nullable;

/** A lab period: its date, its zone, its title, how decimals are written and which schools are in force. */
@Entity
public class Period {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String title;
    private LocalDate heldOn;
    private String zone;

    @Enumerated(EnumType.STRING)
    private DecimalMark decimalMark;

    private Instant createdAt;

    @Enumerated(EnumType.STRING)
    private State state = State.OPEN;

    private boolean shared;

    private boolean withholds;

    /** Where a period is in its life. */
    public enum State {
        /** Instructors prepare it; its benches cannot come in yet. */
        DRAFT,
        /** Something may be recorded. */
        OPEN,
        /** It is read, and nothing is recorded any more. */
        CLOSED,
        /** Put away: instructors read it, and its benches come in no more. */
        ARCHIVED;

        /** Whether it may become another from here: a step on, or back to what is open or only closed. */
        public boolean leadsTo(State other) {
            return switch (this) {
                case DRAFT, CLOSED -> other == OPEN || this == CLOSED && other == ARCHIVED;
                case OPEN, ARCHIVED -> other == CLOSED;
            };
        }
    }

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "period_school", joinColumns = @JoinColumn(name = "period_id"))
    @MapKeyColumn(name = "question")
    @Column(name = "school")
    @BatchSize(size = 100)
    private Map<String, String> schools;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "period_offer", joinColumns = @JoinColumn(name = "period_id"))
    @Column(name = "experiment")
    @BatchSize(size = 100)
    private Set<String> offers = new HashSet<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "period_thing", joinColumns = @JoinColumn(name = "period_id"))
    @Column(name = "thing_id")
    @BatchSize(size = 100)
    private Set<UUID> things = new HashSet<>();

    protected Period() {}

    Period(
            UUID id,
            String title,
            LocalDate heldOn,
            ZoneId zone,
            DecimalMark decimalMark,
            Map<String, String> schools,
            Instant createdAt) {
        this.id = id;
        this.title = title;
        this.heldOn = heldOn;
        this.zone = zone.getId();
        this.decimalMark = decimalMark;
        this.schools = Map.copyOf(schools);
        this.createdAt = createdAt;
    }

    void settle(Map<String, String> others) {
        this.schools = new java.util.HashMap<>(others);
    }

    void become(State other) {
        this.state = other;
    }

    void share(boolean yes) {
        this.shared = yes;
    }

    void offer(Set<String> experiments) {
        this.offers = new HashSet<>(experiments);
    }

    /** Keys of the experiments its benches may begin; any where none is named. */
    public Set<String> offers() {
        return Set.copyOf(offers);
    }

    /** Whether its benches may begin an experiment. */
    public boolean offers(String experiment) {
        return offers.isEmpty() || offers.contains(experiment);
    }

    void lend(Set<UUID> vesselsAndInstruments) {
        this.things = new HashSet<>(vesselsAndInstruments);
    }

    /** Vessels and instruments its benches may take in hand; of a kind of which none is named, any. */
    public Set<UUID> things() {
        return Set.copyOf(things);
    }

    /**
     * Those of one kind that its benches may take in hand: the named ones, or all where none is named.
     *
     * @param alike the things of that kind
     * @param id    of one of them
     */
    public <T> List<T> lends(List<T> alike, Function<T, UUID> id) {
        List<T> named =
                alike.stream().filter(each -> things.contains(id.apply(each))).toList();
        return named.isEmpty() ? alike : named;
    }

    void withhold(boolean yes) {
        this.withholds = yes;
    }

    /** Whether it is withheld from its benches what a result should be. */
    public boolean withholds() {
        return withholds;
    }

    public State state() {
        return state;
    }

    /** Whether anything may be recorded in it. */
    public boolean open() {
        return state == State.OPEN;
    }

    /** Whether instructors may prepare something in it. */
    public boolean draft() {
        return state == State.DRAFT;
    }

    /** Whether its benches see each other's entries. */
    public boolean shared() {
        return shared;
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

    /** Its time zone; universal time where the zone kept is not known on this machine. */
    public ZoneId zone() {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            return ZoneOffset.UTC;
        }
    }

    /** The name of its zone as kept. */
    public String zoneName() {
        return zone;
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

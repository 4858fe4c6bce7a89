package lab.sassafras.app.classroom;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Refused;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.rehearse.Stock;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** A dress rehearsal: everything that happens in it follows from this row and from when it was begun. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class KeptRehearsal {

    /** Longest one, in characters. */
    private static final int LONGEST = 400_000;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID periodId;
    private UUID planId;
    private long seed;
    private double speed;
    private String document;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected KeptRehearsal() {}

    KeptRehearsal(Period period, Given given, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.periodId = period.id();
        this.planId = given.plan();
        this.seed = given.seed();
        this.speed = given.speed();
        this.document = JSON.writeValueAsString(given.evening());
        if (document.length() > LONGEST) {
            throw new Refused("This evening is longer than one that can be rehearsed. Take fewer benches or trials.");
        }
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /**
     * What it is begun with.
     *
     * @param plan    it is led by
     * @param seed    what is drawn follows from it
     * @param speed   how many times as fast as real it goes
     * @param evening that is gone through
     */
    public record Given(UUID plan, long seed, double speed, Evening evening) {}

    /**
     * The evening, as it was laid when it was begun.
     *
     * @param from    what its clock shows at its beginning
     * @param minutes it is to take
     * @param trials  of each bench
     * @param wished  amounts and temperatures of the plan, by the path of a slot
     * @param taken   substance the plan takes where it is one of several; empty elsewhere
     * @param slips   key of what goes wrong, by bench
     * @param stocks  what was prepared for it
     * @param lacking gear the shelf has too few of, in words
     * @param gear    how many there are of what is shared, by its key
     * @param went    when each bench does what
     */
    public record Evening(
            String from,
            int minutes,
            int trials,
            Map<String, Double> wished,
            String taken,
            Map<String, String> slips,
            List<Stock> stocks,
            List<String> lacking,
            Map<String, Integer> gear,
            List<Rehearsal.Went> went) {

        /** {@return how it goes} */
        public Rehearsal rehearsal() {
            return new Rehearsal(went);
        }
    }

    public UUID id() {
        return id;
    }

    public UUID periodId() {
        return periodId;
    }

    public UUID planId() {
        return planId;
    }

    public long seed() {
        return seed;
    }

    /** How many times as fast as real. */
    public double speed() {
        return speed;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }

    /** {@return the evening that is gone through} */
    public Evening evening() {
        return JSON.readValue(document, Evening.class);
    }

    /** {@return the clock it goes by} */
    public EveningClock clock(Period period) {
        Evening evening = evening();
        Instant starts = period.heldOn()
                .atTime(LocalTime.parse(evening.from()))
                .atZone(period.zone())
                .toInstant();
        return new EveningClock(
                madeAt, starts, speed, starts.plusSeconds(evening.rehearsal().finish()));
    }
}

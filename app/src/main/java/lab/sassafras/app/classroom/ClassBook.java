package lab.sassafras.app.classroom;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.classroom.ClassEvent.Kind;
import lab.sassafras.app.record.Added;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Refused;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is kept of a class as it goes. Adds and finds; never changes. */
@Service
@Transactional
public class ClassBook {

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;
    private final ApplicationEventPublisher events;

    ClassBook(EntityManager entities, Persons persons, Clock clock, DiskRoom room, ApplicationEventPublisher events) {
        this.events = events;
        this.entities = entities;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    /** Most that passes in one period. */
    private static final int MOST = 5_000;
    /** So many dress rehearsals go on after a restart. */
    private static final int REHEARSALS = 5;

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** Keeps the hour of a period, as the fields of its page. */
    public KeptHour lay(Period period, Map<String, String> fields, String who) {
        room.check();
        KeptHour kept = new KeptHour(period, fields, persons.in(period.id(), who), now());
        entities.persist(kept);
        return kept;
    }

    /** {@return the hour of a period as it was kept last} */
    @Transactional(readOnly = true)
    public Optional<KeptHour> hour(Period period) {
        return entities.createQuery("from KeptHour where periodId = :period order by seq desc", KeptHour.class)
                .setParameter("period", period.id())
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** Keeps what a dress rehearsal is begun with; a period has one at most. */
    public KeptRehearsal rehearse(Period period, KeptRehearsal.Given given, String who) {
        room.check();
        KeptRehearsal kept = new KeptRehearsal(period, given, persons.in(period.id(), who), now());
        entities.persist(kept);
        return kept;
    }

    /** {@return the dress rehearsal a period is; empty where it is none} */
    @Transactional(readOnly = true)
    public Optional<KeptRehearsal> rehearsal(Period period) {
        return entities.createQuery("from KeptRehearsal where periodId = :period", KeptRehearsal.class)
                .setParameter("period", period.id())
                .getResultStream()
                .findFirst();
    }

    /** {@return the clock a period goes by} */
    @Transactional(readOnly = true)
    public EveningClock clock(Period period) {
        return rehearsal(period).map(each -> each.clock(period)).orElse(EveningClock.WALL);
    }

    /** {@return the newest dress rehearsals, the newest first} */
    @Transactional(readOnly = true)
    public List<KeptRehearsal> rehearsals() {
        return entities.createQuery("from KeptRehearsal order by seq desc", KeptRehearsal.class)
                .setMaxResults(REHEARSALS)
                .getResultList();
    }

    /** {@return what passed in a period} */
    @Transactional(readOnly = true)
    public Passed passed(Period period) {
        return new Passed(
                entities.createQuery("from ClassEvent where periodId = :period order by seq", ClassEvent.class)
                        .setParameter("period", period.id())
                        .setMaxResults(MOST)
                        .getResultList());
    }

    /** A bench raises its hand, or takes it down; what is so already stays so. */
    public void raise(Bench bench, boolean up, String who) {
        if (passed(bench.period()).raised(bench).isPresent() != up) {
            add(bench.period(), Optional.of(bench), up ? Kind.RAISED : Kind.LOWERED, "", Optional.empty(), who);
        }
    }

    /**
     * Holds a bench, or lets it go on.
     *
     * @param reason that is shown to it; empty where it may go on
     */
    public void hold(Bench bench, Optional<String> reason, String who) {
        if (reason.isPresent() || passed(bench.period()).held(bench).isPresent()) {
            add(
                    bench.period(),
                    Optional.of(bench),
                    reason.isPresent() ? Kind.HELD : Kind.LIFTED,
                    reason.map(each -> each.isBlank() ? "" : text(each)).orElse(""),
                    Optional.empty(),
                    who);
        }
    }

    /** Tells a bench something, or all where none is named. */
    public void tell(Period period, Optional<Bench> bench, String text, String who) {
        add(period, bench, Kind.TOLD, text(text), Optional.empty(), who);
    }

    /** Writes something beside a bench that only instructors read. */
    public void beside(Bench bench, String text, String who) {
        add(bench.period(), Optional.of(bench), Kind.BESIDE, text(text), Optional.empty(), who);
    }

    /** Gives a bench data to work out, by their seed. */
    public void give(Bench bench, String experiment, long seed, String who) {
        add(bench.period(), Optional.of(bench), Kind.GIVEN, experiment + " " + seed, Optional.empty(), who);
    }

    /** The same for whoever reads by a link. */
    public void give(Period period, UUID link, String experiment, long seed, String who) {
        add(period, Optional.empty(), Kind.GIVEN, experiment + " " + seed, Optional.of(link), who);
    }

    /** Takes data back that were given; what is not there any more was taken back already. */
    public void takeBack(Period period, UUID given, String who) {
        passed(period).given().stream()
                .filter(each -> each.event().id().equals(given))
                .findFirst()
                .ifPresent(each -> add(period, Optional.empty(), Kind.TAKEN_BACK, "", Optional.of(given), who));
    }

    /** A bench saw a note. */
    public void see(Bench bench, UUID note, String who) {
        if (passed(bench.period()).unseen(bench).stream()
                .anyMatch(each -> each.id().equals(note))) {
            add(bench.period(), Optional.of(bench), Kind.SEEN, "", Optional.of(note), who);
        }
    }

    private static String text(String typed) {
        String text = typed.strip();
        if (text.isEmpty() || text.length() > ClassEvent.LONGEST) {
            throw new Refused("A note has 1 to " + ClassEvent.LONGEST + " characters; this one has " + text.length()
                    + ". Nothing was told.");
        }
        return text;
    }

    private void add(Period period, Optional<Bench> bench, Kind kind, String text, Optional<UUID> of, String who) {
        room.check();
        long many = entities.createQuery("select count(one) from ClassEvent one where periodId = :period", Long.class)
                .setParameter("period", period.id())
                .getSingleResult();
        if (many >= MOST) {
            throw new Refused("So much passed in this period that no more is kept of it.");
        }
        entities.persist(new ClassEvent(period, bench, kind, text, of, persons.in(period.id(), who), now()));
        events.publishEvent(bench.map(each -> Added.atBench(each.id())).orElseGet(() -> Added.inPeriod(period.id())));
    }
}

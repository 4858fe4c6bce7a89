package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How classes go about their work, and the waits begun at their benches. No result hangs on either. */
@Service
@Transactional
public class Paces {

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;
    private final ApplicationEventPublisher events;

    Paces(EntityManager entities, Persons persons, Clock clock, DiskRoom room, ApplicationEventPublisher events) {
        this.persons = persons;
        this.entities = entities;
        this.clock = clock;
        this.room = room;
        this.events = events;
    }

    /** What was chosen for an experiment: in this period, or else as the last class had them. */
    @Transactional(readOnly = true)
    public Map<String, ClassPace> chosen(Period period, String experiment) {
        List<ClassPace> all = entities.createQuery(
                        "from ClassPace where experiment = :experiment order by seq", ClassPace.class)
                .setParameter("experiment", experiment)
                .getResultList();
        Map<String, ClassPace> last = new HashMap<>();
        all.forEach(each -> last.put(each.pace(), each));
        all.stream().filter(each -> each.periodId().equals(period.id())).forEach(each -> last.put(each.pace(), each));
        return last;
    }

    /** Keeps an amount for a class, where it is another than it has. */
    public void choose(Period period, String experiment, String pace, double amount, String who) {
        room.check();
        entities.persist(new ClassPace(
                UUID.randomUUID(),
                period,
                experiment,
                pace,
                amount,
                persons.in(period.id(), who),
                clock.instant().truncatedTo(ChronoUnit.MILLIS)));
    }

    /** Keeps what became of a wait. Given twice under the same identity it is kept once. */
    public void wait(UUID id, Entry entry, BenchWait.Given given) {
        if (entities.find(BenchWait.class, id) == null) {
            room.check();
            entities.persist(new BenchWait(
                    id,
                    entry,
                    given,
                    persons.in(entry.period().id(), given.who()),
                    clock.instant().truncatedTo(ChronoUnit.MILLIS)));
            events.publishEvent(Added.toEntry(entry.id()));
        }
    }

    /** What became of each wait of a bench last, in the order they were begun. */
    @Transactional(readOnly = true)
    public Collection<BenchWait> waits(Bench bench) {
        Map<String, BenchWait> last = new LinkedHashMap<>();
        entities.createQuery(
                        "select each from BenchWait each join Entry entry on entry.id = each.entryId "
                                + "where entry.bench.id = :bench order by each.seq",
                        BenchWait.class)
                .setParameter("bench", bench.id())
                .getResultStream()
                .forEach(each -> last.merge(
                        each.entryId() + " " + each.trial() + " " + each.pace(), each, (before, now) -> now));
        return last.values();
    }

    /** What became last of each wait in a period, by its bench, in the order they were begun. */
    @Transactional(readOnly = true)
    public Map<UUID, List<BenchWait>> waits(Period period) {
        Map<String, BenchWait> last = new LinkedHashMap<>();
        Map<UUID, UUID> benches = new HashMap<>();
        entities.createQuery(
                        "select each, entry.bench.id from BenchWait each join Entry entry on entry.id = each.entryId "
                                + "where entry.bench.period.id = :period order by each.seq",
                        Object[].class)
                .setParameter("period", period.id())
                .getResultStream()
                .forEach(row -> {
                    BenchWait each = (BenchWait) row[0];
                    benches.put(each.entryId(), (UUID) row[1]);
                    last.put(each.entryId() + " " + each.trial() + " " + each.pace(), each);
                });
        Map<UUID, List<BenchWait>> all = new HashMap<>();
        last.values()
                .forEach(each -> all.computeIfAbsent(benches.get(each.entryId()), any -> new ArrayList<>())
                        .add(each));
        return all;
    }
}

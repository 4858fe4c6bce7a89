package lab.sassafras.app.simulated;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Entry;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Runs at the simulated bench, and what hands did there. */
@Service
@Transactional
public class SimulatedBook {

    private final EntityManager entities;
    private final Clock clock;
    private final DiskRoom room;

    SimulatedBook(EntityManager entities, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.clock = clock;
        this.room = room;
    }

    /** {@return the run of an entry; empty while it was not begun} */
    @Transactional(readOnly = true)
    public Optional<SimulatedRun> of(Entry entry) {
        return entities.createQuery("from SimulatedRun where entryId = :entry", SimulatedRun.class)
                .setParameter("entry", entry.id())
                .getResultStream()
                .findFirst();
    }

    /** {@return what was done in a trial, in order} */
    @Transactional(readOnly = true)
    public List<SimulatedTouch> touches(SimulatedRun run, int trial) {
        return entities.createQuery(
                        "from SimulatedTouch where runId = :run and trial = :trial order by place",
                        SimulatedTouch.class)
                .setParameter("run", run.id())
                .setParameter("trial", trial)
                .getResultList();
    }

    /** Begins a run. */
    public SimulatedRun begin(Entry entry, SimulatedRun.Given given, UUID who) {
        room.check();
        SimulatedRun run = new SimulatedRun(entry, given, who, now());
        entities.persist(run);
        return run;
    }

    /** Keeps what a hand did; of two that reach for the same at once, one does. */
    public void touch(SimulatedRun run, int trial, int place, double seconds, UUID who) {
        touch(run, trial, place, seconds, who, now());
    }

    /** The same, done at a moment that may lie back. */
    public void touch(SimulatedRun run, int trial, int place, double seconds, UUID who, Instant at) {
        room.check();
        entities.persist(new SimulatedTouch(run, trial, place, seconds, who, at));
        entities.flush();
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}

package lab.sassafras.app.record;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** How rows are kept: where there is room, once however many hands reach for the same, and told of after. */
@Component
class Keeping {

    /** Hands that may reach for the same thing at once before one of them is told to come back. */
    private static final int TRIES = 20;

    private final EntityManager entities;
    private final Clock clock;
    private final DiskRoom room;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    Keeping(
            EntityManager entities,
            Clock clock,
            DiskRoom room,
            PlatformTransactionManager transactions,
            ApplicationEventPublisher events) {
        this.entities = entities;
        this.clock = clock;
        this.room = room;
        this.transaction = new TransactionTemplate(transactions);
        this.events = events;
    }

    Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    <T> T persisted(T row) {
        room.check();
        entities.persist(row);
        return row;
    }

    /** Says that something was added to an entry. */
    void tell(UUID entry) {
        events.publishEvent(Added.toEntry(entry));
    }

    /**
     * Does what two hands may do at the same moment: where the other one was quicker, once more with what is there now.
     * As part of something larger, such as an import, it is done once with the rest or not at all.
     */
    <T> T atomically(Supplier<T> work) {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            return work.get();
        }
        for (int tries = 1; ; tries++) {
            try {
                return transaction.execute(status -> {
                    T done = work.get();
                    entities.flush();
                    return done;
                });
            } catch (DataIntegrityViolationException | PersistenceException other) {
                if (tries == TRIES || !collision(other)) {
                    throw other;
                }
            }
        }
    }

    private static boolean collision(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof java.sql.SQLException sql
                    && sql.getSQLState() != null
                    && sql.getSQLState().startsWith("23")) {
                return true;
            }
        }
        return failure instanceof DataIntegrityViolationException;
    }
}

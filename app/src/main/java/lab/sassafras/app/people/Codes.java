package lab.sassafras.app.people;

import com.github.benmanes.caffeine.cache.Ticker;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The codes benches join their periods by. */
@Service
@Transactional
public class Codes {

    private final EntityManager entities;
    private final Clock clock;
    private final DiskRoom room;
    private final WrongTries tries = new WrongTries(Ticker.systemTicker());

    Codes(EntityManager entities, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.clock = clock;
        this.room = room;
    }

    /** {@return a code as it is written on the board, in two groups} */
    public static String inGroups(String code) {
        return code.substring(0, code.length() / 2) + " " + code.substring(code.length() / 2);
    }

    /** {@return the code of a period; empty where it has none yet} */
    @Transactional(readOnly = true)
    public Optional<String> of(Period period) {
        return Optional.ofNullable(entities.find(PeriodCode.class, period.id())).map(PeriodCode::code);
    }

    /** Gives a period a code it did not have: by the old one nobody joins any more. */
    public void renew(Period period) {
        room.check();
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        PeriodCode there = entities.find(PeriodCode.class, period.id());
        if (there == null) {
            entities.persist(new PeriodCode(period.id(), Secrets.code(), now));
        } else {
            there.renew(Secrets.code(), now);
        }
    }

    /**
     * {@return the period a code belongs to}
     *
     * @param typed as typed
     * @param from  address it is tried from
     * @throws Refused where it is no period's, or too many were wrong before
     */
    @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
    public UUID period(String typed, String from) {
        tries.check(from);
        String code = Secrets.typed(typed);
        @org.jspecify.annotations.Nullable UUID found = null;
        for (PeriodCode each :
                entities.createQuery("from PeriodCode", PeriodCode.class).getResultList()) {
            found = Secrets.same(each.code(), code) ? each.periodId() : found;
        }
        if (found == null) {
            tries.wrong(from);
            throw new Refused("No period has that code. It is six letters and digits, as on the board today.");
        }
        return found;
    }
}

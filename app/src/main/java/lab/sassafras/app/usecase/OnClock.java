package lab.sassafras.app.usecase;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import org.springframework.stereotype.Component;

/** Where the clock of a trace stands, and on which clock something is read. */
@Component
class OnClock {

    /** A leap of the computer's clock that is told: more than a second that is put in, less than a person overlooks. */
    private static final double A_LEAP = 2;

    private static final int MOST_SEEN = 2000;

    private final DecisionBook decisionBook;
    private final Traces traces;
    private final Clock clock;
    private final Cache<UUID, Now> seen =
            Caffeine.newBuilder().maximumSize(MOST_SEEN).build();

    OnClock(DecisionBook decisionBook, Traces traces, Clock clock) {
        this.decisionBook = decisionBook;
        this.traces = traces;
        this.clock = clock;
    }

    /**
     * The second of a trace something is about: as typed, or else now, less the time it waited in the page.
     *
     * @param time as typed; empty for now
     * @param ago  how long ago it was given (ms)
     * @throws Refused where that has not come yet, or now cannot be told
     */
    double second(Trace trace, String time, long ago) {
        double running = Duration.between(trace.begunAt(), clock.instant()).toMillis() / 1000.0;
        if (time.isEmpty()) {
            if (running > traces.longest().toSeconds() || trace.channel().equals(Trace.FILE)) {
                throw new Refused("This clock runs no longer. Give the time, in minutes and seconds.");
            }
            double last = traces.ends(trace).last();
            // a mark may be typed a little before it has come
            if (running + trace.every() < last) {
                throw new Refused("The clock of this computer was set back: it stands before the last reading, at "
                        + ClockTime.write(last) + ". Give the time, in minutes and seconds.");
            }
            return Math.max(0, Math.rint((running - Math.max(0, ago) / 1000.0) * 10) / 10);
        }
        double typed = ClockTime.read(time);
        if (typed > running + trace.every()) {
            throw new Refused(ClockTime.write(typed) + " has not come yet: the clock stands at "
                    + ClockTime.write(Math.floor(running)) + ".");
        }
        return typed;
    }

    /** Keeps on which clock a trial, or a temperature by its trend, is read. */
    void name(EntrySheet entry, Address address, Trace trace, Actor actor) {
        decisionBook.decide(
                Optional.of(entry.entry().id()),
                Decision.Kind.CLOCK,
                address.toString(),
                trace.id().toString(),
                "read on this clock",
                actor.name());
    }

    /** A moment by the clock that may be set and by one that may not. */
    private record Now(Instant instant, long nanos) {}

    /**
     * How far the computer's clock leapt forward since it was asked for this trace before (s); 0 where it did not, or
     * was not asked.
     */
    double leapt(Trace trace) {
        Now now = new Now(clock.instant(), System.nanoTime());
        Now before = seen.asMap().put(trace.id(), now);
        if (before == null) {
            return 0;
        }
        double leap =
                Duration.between(before.instant, now.instant).toMillis() / 1000.0 - (now.nanos - before.nanos) / 1e9;
        return leap > A_LEAP ? leap : 0;
    }
}

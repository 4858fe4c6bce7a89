package lab.sassafras.app.usecase;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.experiment.Address;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Component;

/** Where the clock of a trace stands, and on which clock something is read. */
@Component
class OnClock {

    private final DecisionBook decisionBook;
    private final Traces traces;
    private final Clock clock;

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
            if (running > Traces.LONGEST.toSeconds() || trace.channel().equals(Trace.FILE)) {
                throw new Refused("This clock runs no longer. Give the time, in minutes and seconds.");
            }
            double last = traces.last(trace);
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
}

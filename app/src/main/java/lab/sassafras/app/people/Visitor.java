package lab.sassafras.app.people;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;

/**
 * Who a request comes from.
 *
 * @param signIn what it came in by; empty for a stranger
 * @param role   in which capacity
 * @param person who it is; empty for a bench
 * @param name   of the person, or of the bench
 * @param seat   the bench it sits at; an instructor may sit at one too
 * @param bound  periods an instructor is bound to; none where it is all of them
 * @param reads  the one entry a reader reads, or the period whose hand-outs
 */
public record Visitor(
        Optional<UUID> signIn,
        Role role,
        Optional<UUID> person,
        String name,
        Optional<Bench> seat,
        Set<UUID> bound,
        Optional<UUID> reads) {

    /** Nobody who came in. */
    public static final Visitor STRANGER = new Visitor(
            Optional.empty(), Role.STRANGER, Optional.empty(), "", Optional.empty(), Set.of(), Optional.empty());

    public boolean instructor() {
        return role == Role.INSTRUCTOR;
    }

    public boolean stranger() {
        return role == Role.STRANGER;
    }

    /** Whether it is an instructor of that period. */
    public boolean leads(Period period) {
        return instructor() && (bound.isEmpty() || bound.contains(period.id()));
    }

    /** What it does is signed so: by the bench it sits at, or by its own name. */
    public Optional<Actor> actor() {
        return seat.map(Actor::at).or(() -> instructor() ? Optional.of(Actor.instructor(name)) : Optional.empty());
    }
}

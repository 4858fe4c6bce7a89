package lab.sassafras.app.record;

import java.util.Optional;

/**
 * Who acts: resolved once for every request and handed on to whatever is kept.
 *
 * @param kind what it is
 * @param name what rows it writes are signed with
 * @param seat the bench it sits at; empty for what sits at none
 */
public record Actor(Kind kind, String name, Optional<Bench> seat) {

    /** What may act. */
    public enum Kind {
        /** Somebody at a bench. */
        BENCH,
        /** Whoever runs the class. */
        INSTRUCTOR,
        /** Whoever brings in what others wrote, such as a file. */
        BRINGER,
        /** The house itself. */
        HOUSE
    }

    /** Somebody at a bench. */
    public static Actor at(Bench bench) {
        return new Actor(Kind.BENCH, bench.name(), Optional.of(bench));
    }

    /** An instructor who sits at no bench. */
    public static Actor instructor(String name) {
        return new Actor(Kind.INSTRUCTOR, name, Optional.empty());
    }

    /** Whoever brings a file, in words. */
    public static Actor bringing(String who) {
        return new Actor(Kind.BRINGER, who, Optional.empty());
    }

    /** The house itself, for what it does unasked. */
    public static Actor house(String name) {
        return new Actor(Kind.HOUSE, name, Optional.empty());
    }

    /** This one as whoever brings in a file. */
    public Actor asBringer() {
        return bringing(seat.map(bench -> "bench " + bench.name()).orElse(name));
    }

    /**
     * {@return the bench it sits at}
     *
     * @throws NobodyHere where it sits at none
     */
    public Bench bench() {
        return seat.orElseThrow(NobodyHere::new);
    }

    /**
     * What readings on a clock are signed with: the bench's identity, whose name may be replaced later, or else the
     * name.
     */
    public String identity() {
        return seat.map(Bench::identity).orElse(name);
    }

    /** Something was asked for that needs a bench, and nobody has joined one. */
    public static final class NobodyHere extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}

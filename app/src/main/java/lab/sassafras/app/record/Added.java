package lab.sassafras.app.record;

import java.util.UUID;

/**
 * Something was added to an entry, or read at a bench, which every entry of it may rest on.
 *
 * @param of what
 * @param id the entry, the bench or the period
 */
public record Added(Of of, UUID id) {

    /** What something was added to. */
    public enum Of {
        ENTRY,
        BENCH,
        /** What was told to all benches of a period. */
        PERIOD,
        /** What a probe pushed: it concerns nobody but its bench. */
        PROBE
    }

    static Added toEntry(UUID entry) {
        return new Added(Of.ENTRY, entry);
    }

    /** {@return that something was told to all benches of a period} */
    public static Added inPeriod(UUID period) {
        return new Added(Of.PERIOD, period);
    }

    static Added byProbe(UUID bench) {
        return new Added(Of.PROBE, bench);
    }

    /** {@return that something was read or told at a bench} */
    public static Added atBench(UUID bench) {
        return new Added(Of.BENCH, bench);
    }
}

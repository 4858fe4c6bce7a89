package lab.sassafras.app.record;

import java.util.UUID;

/**
 * Something was added to an entry, or read at a bench, which every entry of it may rest on.
 *
 * @param of what
 * @param id the entry or the bench
 */
public record Added(Of of, UUID id) {

    /** What something was added to. */
    public enum Of {
        ENTRY,
        BENCH,
        /** What a probe pushed: it concerns nobody but its bench. */
        PROBE
    }

    static Added toEntry(UUID entry) {
        return new Added(Of.ENTRY, entry);
    }

    static Added byProbe(UUID bench) {
        return new Added(Of.PROBE, bench);
    }

    static Added atBench(UUID bench) {
        return new Added(Of.BENCH, bench);
    }
}

package lab.sassafras.app.probes;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Trace;

/**
 * What is asked of a token whenever something is pushed by it. It is read anew where a probe began another stretch or
 * was told to stand elsewhere; whether it was revoked and its period is over is asked each time.
 *
 * @param knows   which token it is, and what is known of its probes
 * @param revoked whether nothing is pushed by it any more
 * @param state   where its period is in its life
 */
public record TokenNow(Known knows, boolean revoked, Period.State state) {

    /** Which token it is. */
    public ProbeToken token() {
        return knows.token();
    }

    /**
     * What is known of the probes of a token.
     *
     * @param token    which
     * @param begun    the newest of their stretches; 0 where there is none
     * @param stood    the newest row of where one stands; 0 where none was told
     * @param open     the newest stretch of each
     * @param standing where those stand of which somebody said so, by what they are
     */
    record Known(ProbeToken token, long begun, long stood, List<Open> open, Map<String, ProbePlace.Standing> standing) {

        boolean still(long lastBegun, long lastStood) {
            return begun == lastBegun && stood == lastStood;
        }
    }

    /** A stretch, and the trace it is kept as. */
    public record Open(ProbeStretch stretch, Trace trace) {}

    /** The newest stretch of each of its probes, with its trace. */
    public List<Open> open() {
        return knows.open();
    }

    /** The instrument of the shelf a probe reads on. */
    public Optional<UUID> instrument(String probe) {
        return knows.standing().getOrDefault(probe, ProbePlace.Standing.UNSAID).instrument();
    }
}

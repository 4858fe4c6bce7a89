package lab.sassafras.slot;

import java.util.Optional;
import lab.sassafras.measure.Instrument;
import org.jspecify.annotations.Nullable;

/**
 * What was given for a slot.
 *
 * @param text        as typed
 * @param unit        symbol of its unit; null or empty where none was given
 * @param instrument  read on, if any
 * @param uncertainty as typed, for an assumed value; null otherwise
 * @param who         the bench
 */
public record GivenValue(
        @Nullable String text,
        @Nullable String unit,
        Optional<Instrument> instrument,
        @Nullable String uncertainty,
        String who) {}

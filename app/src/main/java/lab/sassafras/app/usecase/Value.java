package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Observation;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import org.jspecify.annotations.Nullable;

/**
 * A value on its way into the book.
 *
 * @param key         identity it is kept under, so that giving it again keeps nothing twice
 * @param at          where it goes
 * @param role        how it was got
 * @param text        as typed
 * @param unit        symbol of its unit, where it has one
 * @param instrument  read on, where on one
 * @param uncertainty as typed, for an assumed value
 * @param corrects    what it takes the place of
 * @param reason      why that was wrong, or where it comes from
 */
record Value(
        UUID key,
        Address at,
        Role role,
        String text,
        @Nullable String unit,
        Optional<Instrument> instrument,
        @Nullable String uncertainty,
        Optional<UUID> corrects,
        @Nullable String reason) {

    /** A value in the place of one that stands, if one does. */
    static Value instead(
            UUID key,
            Address at,
            Role role,
            String text,
            @Nullable String unit,
            Optional<Observation> before,
            String reason) {
        return new Value(
                key,
                at,
                role,
                text,
                unit,
                Optional.empty(),
                null,
                before.map(Observation::id),
                before.isPresent() ? reason : null);
    }

    /** The same with where it comes from, unless it corrects something. */
    Value from(String where) {
        return corrects.isPresent()
                ? this
                : new Value(key, at, role, text, unit, instrument, uncertainty, corrects, where);
    }

    Value on(Optional<Instrument> thermometer, String within) {
        return new Value(key, at, role, text, unit, thermometer, within, corrects, reason);
    }
}

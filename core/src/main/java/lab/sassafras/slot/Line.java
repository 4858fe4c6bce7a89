package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;

/**
 * One standing observation: what was typed and what it says.
 *
 * @param address     where it stands
 * @param role        what it is to its slot
 * @param text        exactly as typed
 * @param value       the number (bench unit); 0 for words
 * @param decimals    digits after the mark, in the bench unit; negative where it was converted to no round number
 * @param lastDigit   one unit of the last digit typed, in the unit it was typed in (converted to the bench unit); 0 for
 *                    words
 * @param unit        as typed; empty for words
 * @param instrument  read on; empty where none was named
 * @param uncertainty stated standard uncertainty of an assumed value, or of one read from a trend (bench unit)
 * @param who         the bench that gave it
 */
public record Line(
        Address address,
        Role role,
        String text,
        double value,
        int decimals,
        double lastDigit,
        Optional<BenchUnit> unit,
        Optional<Instrument> instrument,
        OptionalDouble uncertainty,
        String who) {

    /**
     * A volume is good to this part of itself at best, whatever digits are written: between the tolerances of a pipette
     * and of a graduated cylinder (common practice, no source).
     */
    private static final double TOLERANCE = 0.005;

    /** {@return name of this line among the inputs of an account} */
    public String key() {
        return address + "." + role.key();
    }

    /** {@return the number with what is known of its error} */
    public Measured measured() {
        if (uncertainty.isPresent()) {
            Optional<Instrument.Corrected> corrected =
                    instrument.filter(any -> role == Role.TREND).map(each -> each.corrected(value));
            return new Measured(
                    corrected.map(Instrument.Corrected::value).orElse(value),
                    uncertainty.getAsDouble(),
                    Double.POSITIVE_INFINITY,
                    corrected.map(Instrument.Corrected::shares).orElse(List.of()),
                    decimals);
        }
        return instrument
                .map(read -> Measured.read(value, lastDigit, decimals, read))
                .orElseGet(() -> Measured.written(value, Math.max(lastDigit, tolerance()), decimals));
    }

    /** Whole width of what a volume may be off by where nobody says what it was read on; 0 for anything else. */
    private double tolerance() {
        return volumeOfUnknown() ? 2 * TOLERANCE * value : 0;
    }

    /** {@return whether it is a volume of which nobody says what it was read on} */
    public boolean volumeOfUnknown() {
        return instrument.isEmpty()
                && uncertainty.isEmpty()
                && unit.filter(each -> each.dimension().equals(Dimension.VOLUME))
                        .isPresent();
    }

    /** {@return whether its uncertainty is that of the digits it was written with, and of nothing else} */
    public boolean byItsDigits() {
        return uncertainty.isEmpty()
                && lastDigit > tolerance()
                && instrument.map(read -> read.coarser(lastDigit)).orElse(true);
    }
}

package lab.sassafras.sheet;

import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Mixing;
import lab.sassafras.curve.Outcome;
import lab.sassafras.slot.Address;

/**
 * What the curve of one trial about its mixing gives: both temperatures every way they can be read.
 *
 * @param address where the readings are named
 * @param read    the curve
 */
public record CurveReadings(Address address, Mixing.Read read) {

    /**
     * {@return what one way of reading makes of it}
     *
     * @param way of reading
     */
    public Outcome by(CurveMethod way) {
        return way.of(read.baselines());
    }

    Baselines baselines() {
        return read.baselines();
    }

    /**
     * {@return name of an input: the start or the end, read one way}
     *
     * @param way of reading
     * @param end whether it is the end
     */
    public String key(CurveMethod way, boolean end) {
        return address + "." + way.key() + (end ? "-end" : "-start");
    }
}

package lab.sassafras.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Outcome;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import lab.sassafras.slot.Address;

/**
 * What the curve of one trial gives its books: both temperatures every way they can be read. What they have in common
 * enters as two sources of the trial's own (the Cholesky factor of their covariance), with the degrees of freedom of
 * the fit; the thermometer's offset and gain are shared with whatever else was read on it.
 */
public final class CurveReadings {

    private final Address address;
    private final Baselines baselines;
    private final Optional<Instrument> thermometer;

    CurveReadings(Address address, Baselines baselines, Optional<Instrument> thermometer) {
        this.address = address;
        this.baselines = baselines;
        this.thermometer = thermometer;
    }

    /**
     * {@return what one way of reading makes of it}
     *
     * @param way of reading
     */
    public Outcome by(CurveMethod way) {
        return way.of(baselines);
    }

    Baselines baselines() {
        return baselines;
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

    void bind(Map<String, Measured> values) {
        for (CurveMethod way : CurveMethod.values()) {
            if (by(way) instanceof Change change) {
                bind(way, change, values);
            }
        }
    }

    private void bind(CurveMethod way, Change change, Map<String, Measured> values) {
        double start = Math.sqrt(change.startVariance());
        double common = start > 0 ? change.covariance() / start : 0;
        double rest = Math.sqrt(Math.max(0, change.endVariance() - common * common));
        Shared first = source(way, "start", start, change);
        Shared second = source(way, "end", rest, change);
        values.put(key(way, false), measured(change.start(), List.of(new Measured.Share(first, 1))));
        values.put(
                key(way, true),
                measured(
                        change.end(),
                        List.of(
                                new Measured.Share(first, start > 0 ? common / start : 0),
                                new Measured.Share(second, 1))));
    }

    private Shared source(CurveMethod way, String which, double uncertainty, Change change) {
        return new Shared(
                address + "." + way.key() + "." + which,
                "curve, " + which,
                uncertainty,
                change.degreesOfFreedom(),
                Scope.TRIAL);
    }

    private Measured measured(double value, List<Measured.Share> shares) {
        List<Measured.Share> all = new ArrayList<>(shares);
        Optional<Instrument.Corrected> corrected = thermometer.map(each -> each.corrected(value));
        corrected.ifPresent(each -> all.addAll(each.shares()));
        return new Measured(
                corrected.map(Instrument.Corrected::value).orElse(value),
                0,
                Double.POSITIVE_INFINITY,
                List.copyOf(all),
                -1);
    }
}

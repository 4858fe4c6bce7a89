package lab.sassafras.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Told;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import lab.sassafras.slot.Address;

/**
 * Numbers a curve tells, as inputs of an account: their covariance enters as independent sources of the trial's own,
 * and what the thermometer's offset and gain do to them is shared with whatever else was read on it.
 *
 * @param address     where the readings are named
 * @param purpose     what is read from them
 * @param told        what came of it
 * @param thermometer they were read on; empty where it is not on the shelf
 */
record ToldByCurve(Address address, CurvePurpose purpose, Told told, Optional<Instrument> thermometer) {

    void bind(Map<String, Measured> values) {
        if (told instanceof Told.Ways ways) {
            ways.ways().forEach((way, by) -> {
                if (by instanceof Told.Numbers numbers) {
                    bind(numbers, "." + way + "-", "." + way + ".", values);
                }
            });
        } else if (told instanceof Told.Numbers numbers) {
            bind(numbers, ".", ".told.", values);
        }
    }

    private void bind(Told.Numbers numbers, String before, String from, Map<String, Measured> values) {
        double[][] factor = factor(numbers.covariance());
        for (int i = 0; i < numbers.values().size(); i++) {
            CurvePurpose.Tells tells = purpose.tells().get(i);
            List<Measured.Share> shares = new ArrayList<>();
            for (int j = 0; j <= i; j++) {
                if (factor[i][j] != 0) {
                    shares.add(new Measured.Share(
                            source(numbers, j, from, factor[j][j]), i == j ? 1 : factor[i][j] / factor[j][j]));
                }
            }
            values.put(
                    address + before + tells.key(),
                    measured(tells, numbers.values().get(i), shares));
        }
    }

    private Shared source(Told.Numbers numbers, int which, String from, double uncertainty) {
        String key = purpose.tells().get(which).key();
        return new Shared(
                address + from + key,
                purpose.marked() ? "curve, " + key : "curve",
                uncertainty,
                numbers.degreesOfFreedom(),
                Scope.TRIAL);
    }

    /** A level is off by offset and gain, a rate by the gain alone; how far one lies from another by neither much. */
    private Measured measured(CurvePurpose.Tells tells, double value, List<Measured.Share> own) {
        List<Measured.Share> all = new ArrayList<>(own);
        double counts = value;
        if (thermometer.isPresent() && tells.unit().dimension().equals(Dimension.TEMPERATURE) && tells.absolute()) {
            Instrument.Corrected corrected = thermometer.get().corrected(value);
            counts = corrected.value();
            all.addAll(corrected.shares());
        } else if (thermometer.filter(each -> !each.correction().tellsGain()).isPresent()) {
            all.add(new Measured.Share(thermometer.get().gain(), value));
        }
        return new Measured(counts, 0, Double.POSITIVE_INFINITY, List.copyOf(all), -1);
    }

    /** Lower factor of a covariance (Cholesky); a number known exactly has a row of noughts. */
    private static double[][] factor(List<List<Double>> covariance) {
        int n = covariance.size();
        double[][] lower = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double rest = covariance.get(i).get(j);
                for (int k = 0; k < j; k++) {
                    rest -= lower[i][k] * lower[j][k];
                }
                lower[i][j] = i == j ? Math.sqrt(Math.max(0, rest)) : lower[j][j] > 0 ? rest / lower[j][j] : 0;
            }
        }
        return lower;
    }
}

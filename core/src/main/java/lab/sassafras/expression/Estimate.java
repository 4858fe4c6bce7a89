package lab.sassafras.expression;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A computed value with its uncertainty by the law of propagation (JCGM 100:2008, 5.1.2 and 5.2.2).
 *
 * @param value            (bench unit)
 * @param uncertainty      combined standard uncertainty (bench unit)
 * @param degreesOfFreedom effective, by Welch–Satterthwaite (JCGM 100:2008, G.4.1); may be infinite
 * @param contributions    what the uncertainty is made of, longest first
 */
public record Estimate(double value, double uncertainty, double degreesOfFreedom, List<Contribution> contributions) {

    private static final Comparator<Contribution> LONGEST_FIRST =
            Comparator.comparingDouble(Contribution::uncertainty).reversed();

    /**
     * One source of the uncertainty.
     *
     * @param key         of the input, or of the shared source
     * @param label       in words
     * @param sensitivity change of the result for a unit change of the source
     * @param uncertainty it brings to the result, unsigned (unit of the result)
     * @param source      where it is shared; null for an input's own part
     */
    public record Contribution(String key, String label, double sensitivity, double uncertainty, Shared source) {

        /** Its part of u² (0 to 1). */
        public double shareOf(Estimate whole) {
            double total = whole.uncertainty() * whole.uncertainty();
            return total > 0 ? uncertainty * uncertainty / total : 0;
        }
    }

    public Estimate {
        Contribution[] sorted = contributions.toArray(Contribution[]::new);
        Arrays.sort(sorted, LONGEST_FIRST);
        contributions = List.of(sorted);
    }

    public boolean finite() {
        return Double.isFinite(value) && Double.isFinite(uncertainty);
    }

    /** How far a value lies from another, in per cent of the other: positive where it is the larger in size. */
    public static double percent(double of, double value) {
        return 100 * (value - of) / of;
    }

    /** Part of the uncertainty that is not shared with anything else (bench unit). */
    public double ownUncertainty() {
        return Math.sqrt(contributions.stream()
                .filter(each -> each.source() == null)
                .mapToDouble(each -> each.uncertainty() * each.uncertainty())
                .sum());
    }

    /** This result as an input of a further account: its shared sources stay shared. */
    public Measured asInput() {
        List<Measured.Share> shares = contributions.stream()
                .filter(each -> each.source() != null)
                .map(each -> new Measured.Share(each.source(), each.sensitivity()))
                .toList();
        return new Measured(value, ownUncertainty(), degreesOfFreedom, shares, -1);
    }

    /** Half the width of the interval that holds the value with the stated probability (bench unit). */
    public double halfWidth(double probability) {
        double dof = Math.min(Math.max(degreesOfFreedom, 1), 1e6);
        return uncertainty * new TDistribution(dof).inverseCumulativeProbability((1 + probability) / 2);
    }
}

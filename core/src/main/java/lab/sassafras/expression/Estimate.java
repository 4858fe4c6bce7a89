package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import org.hipparchus.distribution.continuous.TDistribution;
import org.jspecify.annotations.Nullable;

/**
 * A computed value with its uncertainty by the law of propagation (JCGM 100:2008, 5.1.2 and 5.2.2).
 *
 * @param value            (bench unit)
 * @param uncertainty      combined standard uncertainty (bench unit)
 * @param degreesOfFreedom effective, by Welch–Satterthwaite (JCGM 100:2008, G.4.1); may be infinite
 * @param contributions    what the uncertainty is made of, longest first
 */
public record Estimate(double value, double uncertainty, double degreesOfFreedom, List<Contribution> contributions) {

    /** Half the width of the normal 95 % interval, in standard deviations. */
    static final double NORMAL_95 = 1.959963984540054;
    /** From so many degrees of freedom on, Student's distribution is the normal one to six digits. */
    static final double MANY_DEGREES = 1e6;

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
    public record Contribution(
            String key,
            String label,
            double sensitivity,
            double uncertainty,
            @Nullable Shared source) {

        /** {@return whether no other trial has it: an input's own part, or a source of one trial} */
        public boolean ofTrial() {
            return source == null || source.scope() == Scope.TRIAL;
        }

        /** Whether another entry that draws on this result may have it too. */
        boolean beyondEntry() {
            return source != null && source.scope() == Scope.EVERYWHERE;
        }

        /**
         * {@return its part of u² (0 to 1)}
         *
         * @param whole the estimate it is part of
         */
        public double shareOf(Estimate whole) {
            double total = whole.uncertainty() * whole.uncertainty();
            return total > 0 ? uncertainty * uncertainty / total : 0;
        }
    }

    /**
     * Keeps copies of what could change.
     *
     * @param value            (bench unit)
     * @param uncertainty      it brings to the result, unsigned (unit of the result)
     * @param degreesOfFreedom effective, by Welch–Satterthwaite (JCGM 100:2008, G.4.1); may be infinite
     * @param contributions    what the uncertainty is made of, longest first
     */
    public Estimate {
        Contribution[] sorted = contributions.toArray(Contribution[]::new);
        Arrays.sort(sorted, LONGEST_FIRST);
        contributions = List.of(sorted);
    }

    /**
     * {@return a value put together of contributions that are independent of each other}
     *
     * @param value         (bench unit)
     * @param contributions what the uncertainty is made of
     * @param ownDegrees    degrees of freedom of those that no source brings; infinite where they are taken as known
     */
    public static Estimate of(double value, List<Contribution> contributions, double ownDegrees) {
        double variance = 0;
        double fourthPowers = 0;
        double own = 0;
        for (Contribution each : contributions) {
            double square = each.uncertainty() * each.uncertainty();
            variance += square;
            own += each.source() == null ? square : 0;
            fourthPowers +=
                    each.source() == null ? 0 : square * square / each.source().degreesOfFreedom();
        }
        fourthPowers += own * own / ownDegrees;
        double dof = fourthPowers > 0 ? variance * variance / fourthPowers : Double.POSITIVE_INFINITY;
        return new Estimate(value, Math.sqrt(variance), dof, contributions);
    }

    /**
     * {@return an input as it stands, with nothing worked out from it}
     *
     * @param input a value with its own part and what it shares (bench unit)
     */
    public static Estimate of(Measured input) {
        List<Contribution> contributions = new ArrayList<>();
        contributions.add(new Contribution("own", "its own part", 1, input.ownUncertainty(), null));
        input.shares()
                .forEach(share -> contributions.add(new Contribution(
                        share.source().key(),
                        share.source().label(),
                        share.sensitivity(),
                        share.uncertainty(),
                        share.source())));
        return of(input.value(), contributions, input.degreesOfFreedom());
    }

    /**
     * {@return the same number of another unit or kind, so many times as large}
     *
     * @param factor it is multiplied by, exact
     */
    public Estimate times(double factor) {
        return new Estimate(
                value * factor,
                uncertainty * Math.abs(factor),
                degreesOfFreedom,
                contributions.stream()
                        .map(each -> new Contribution(
                                each.key(),
                                each.label(),
                                each.sensitivity() * factor,
                                each.uncertainty() * Math.abs(factor),
                                each.source()))
                        .toList());
    }

    /** {@return whether value and uncertainty are numbers} */
    public boolean finite() {
        return Double.isFinite(value) && Double.isFinite(uncertainty);
    }

    /**
     * {@return how far a value lies from another, in per cent of the other: positive where it is the larger in size}
     *
     * @param of    what is compared with (any unit)
     * @param value what is compared (same unit)
     */
    public static double percent(double of, double value) {
        return 100 * (value - of) / of;
    }

    /** {@return part of the uncertainty that no other trial has (bench unit)} */
    public double ownUncertainty() {
        return Math.sqrt(contributions.stream()
                .filter(Contribution::ofTrial)
                .mapToDouble(each -> each.uncertainty() * each.uncertainty())
                .sum());
    }

    /** {@return this result as an input of another entry's account: what reaches beyond its entry stays shared} */
    public Measured asInput() {
        List<Measured.Share> shares = contributions.stream()
                .filter(Contribution::beyondEntry)
                .map(each -> new Measured.Share(Objects.requireNonNull(each.source()), each.sensitivity()))
                .toList();
        double own = Math.sqrt(contributions.stream()
                .filter(each -> !each.beyondEntry())
                .mapToDouble(each -> each.uncertainty() * each.uncertainty())
                .sum());
        return new Measured(value, own, ownDegrees(own), shares, -1);
    }

    /** Degrees of freedom of what stays here, so that with what is shared they make the whole's again. */
    private double ownDegrees(double own) {
        double shared = contributions.stream()
                .filter(Contribution::beyondEntry)
                .mapToDouble(each -> Math.pow(each.uncertainty(), 4)
                        / Objects.requireNonNull(each.source()).degreesOfFreedom())
                .sum();
        double rest = Math.pow(uncertainty, 4) / degreesOfFreedom - shared;
        return rest > 0 ? Math.pow(own, 4) / rest : Double.POSITIVE_INFINITY;
    }

    /**
     * {@return half the width of the interval that holds the value with the stated probability (bench unit)}
     *
     * @param probability that the interval holds the value (0 to 1)
     */
    public double halfWidth(double probability) {
        if (degreesOfFreedom > MANY_DEGREES && probability == 0.95) {
            return uncertainty * NORMAL_95;
        }
        double dof = Math.min(Math.max(degreesOfFreedom, 1), MANY_DEGREES);
        return uncertainty * new TDistribution(dof).inverseCumulativeProbability((1 + probability) / 2);
    }
}

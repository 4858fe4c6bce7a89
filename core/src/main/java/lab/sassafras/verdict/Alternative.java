package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;

/**
 * The result under another school.
 *
 * @param alternative which question is settled how
 * @param estimate    the result then; empty where the readings do not allow it
 * @param unit        of it, which differs where the question is what to divide by
 */
public record Alternative(Conventions.Variant alternative, Optional<Estimate> estimate, BenchUnit unit) {

    /**
     * {@return whether it is the same number as the one in force, to one part in twenty thousand}
     *
     * @param inForce the reduction under the schools in force
     */
    public boolean same(Reduction inForce) {
        return pair(inForce)
                .filter(two -> Math.abs(two.get(1) - two.get(0)) <= Math.abs(two.get(0)) / 20_000)
                .isPresent();
    }

    /**
     * {@return how far it lies from the one in force (%); empty where the two cannot be compared, and for a
     * temperature, of which no per cent can be taken}
     *
     * @param inForce the reduction under the schools in force
     */
    public Optional<Double> percentFrom(Reduction inForce) {
        return pair(inForce)
                .filter(two -> two.get(0) != 0 && !unit.dimension().equals(Dimension.TEMPERATURE))
                .map(two -> Estimate.percent(two.get(0), two.get(1)));
    }

    /** The result in force and this one, where both are of one kind. */
    private Optional<List<Double>> pair(Reduction inForce) {
        return inForce.result()
                .filter(any -> unit.equals(inForce.unit()))
                .flatMap(now -> estimate.map(then -> List.of(now.value(), then.value())));
    }
}

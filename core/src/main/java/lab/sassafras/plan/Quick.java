package lab.sassafras.plan;

import java.util.OptionalDouble;
import lab.sassafras.account.Account;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Interval;

/**
 * The numbers a plan is looked through for, without all the rest, its reference being given.
 *
 * @param change   of temperature (°C); 0 where no final one is sought
 * @param relative half the 95 % interval of the result, a part of it
 * @param standard its standard uncertainty, a part of it
 */
record Quick(double change, double relative, double standard) {

    /** {@return both; empty where the account cannot be solved so} */
    static java.util.Optional<Quick> of(Plan plan, Reference reference) {
        try {
            java.util.Optional<Foresight.Seen> seen = plan.seen();
            if (seen.isPresent()) {
                Sheet whole = plan.sheet(seen.get());
                return Expectation.account(plan, whole)
                        .estimate(whole.bindings())
                        .map(result -> of(0, result));
            }
            Sheet sheet = plan.sheet();
            Sheet seeking = sheet.supposing()
                    .seeking(
                            Plan.at(plan.span().end()),
                            Measured.independent(reference.value(), reference.uncertainty()));
            Account sought = Expectation.account(plan, seeking);
            OptionalDouble start = plan.amount(plan.span().start());
            return sought.estimate(seeking.bindings())
                    .filter(end -> start.isPresent()
                            && sought.solve(seeking.bindings()).solution().isPresent())
                    .flatMap(end -> {
                        Sheet whole = sheet.supposing().with(plan.ending(end.value()));
                        return Expectation.account(plan, whole)
                                .estimate(whole.bindings())
                                .map(result -> of(end.value() - start.getAsDouble(), result));
                    });
        } catch (Refused cannotBe) {
            return java.util.Optional.empty();
        }
    }

    private static Quick of(double change, Estimate result) {
        return new Quick(change, relative(result), result.uncertainty() / Math.abs(result.value()));
    }

    private static double relative(Estimate result) {
        return result.halfWidth(Interval.PROBABILITY) / Math.abs(result.value());
    }
}

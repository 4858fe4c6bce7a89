package lab.sassafras.plan;

import java.util.OptionalDouble;
import lab.sassafras.account.Account;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Interval;

/**
 * The numbers a plan is looked through for, without all the rest, its reference being given.
 *
 * @param change   of temperature (°C)
 * @param relative half the 95 % interval of the result, a part of it
 * @param standard its standard uncertainty, a part of it
 */
record Quick(double change, double relative, double standard) {

    /** {@return both; empty where the account cannot be solved so} */
    static java.util.Optional<Quick> of(Plan plan, Reference reference) {
        try {
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
                                .map(result -> new Quick(
                                        end.value() - start.getAsDouble(),
                                        relative(result),
                                        result.uncertainty() / Math.abs(result.value())));
                    });
        } catch (Refused cannotBe) {
            return java.util.Optional.empty();
        }
    }

    private static double relative(Estimate result) {
        return result.halfWidth(Interval.PROBABILITY) / Math.abs(result.value());
    }
}

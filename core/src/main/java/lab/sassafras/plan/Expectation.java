package lab.sassafras.plan;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Interval;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.yardstick.Judged;

/**
 * What is to be expected of a run as it is planned.
 *
 * @param plan      what is had
 * @param reference what the result should be, by which the rest is reckoned
 * @param end       final temperature with its 95 % interval (°C)
 * @param change    of temperature (°C)
 * @param heat      that goes over, by the parties that take it up (J)
 * @param reduction of the run at that temperature
 */
public record Expectation(
        Plan plan, Reference reference, Interval end, double change, double heat, Reduction reduction) {

    /** Where the final temperature is looked for while nothing is known of it (°C from the start). */
    private static final double[] GUESSES = {5, -5, 0.5, -0.5, 30, -30};

    /** {@return the result with its interval, as it would be printed} */
    public Interval result() {
        return reduction.samples().get(0).interval().orElseThrow();
    }

    /** {@return half the interval of the result, a part of it} */
    public double relative() {
        return result().half() / Math.abs(result().value());
    }

    /**
     * {@return half the interval of the mean of so many trials that all go as planned, a part of it: what they share,
     * such as an offset, stays as it is}
     *
     * @param trials at least 1
     */
    public double relative(int trials) {
        Interval mean = Reduction.of(plan.sheet(trials, end.value()), plan.conventions())
                .samples()
                .get(0)
                .interval()
                .orElseThrow();
        return mean.half() / Math.abs(mean.value());
    }

    /** {@return the result with what its uncertainty is made of} */
    public Estimate estimate() {
        return reduction.result().orElseThrow();
    }

    /** {@return unit of the result} */
    public BenchUnit unit() {
        return reduction.unit();
    }

    /**
     * Either what is to be expected, or why nothing is.
     *
     * @param expectation of the plan
     * @param findings    why there is none; else what to know of it
     */
    public record Outcome(Optional<Expectation> expectation, List<Finding> findings) {}

    /**
     * Works out a plan.
     *
     * @param plan what is had
     * @return what is to be expected, or why nothing is
     * @throws lab.sassafras.measure.Refused in plain words where something that is had cannot be
     */
    public static Outcome of(Plan plan) {
        Sheet sheet = plan.sheet();
        Optional<Reference> reference = reference(plan, sheet);
        if (reference.isEmpty()) {
            return new Outcome(
                    Optional.empty(),
                    List.of(Finding.note(
                            "plan.no-reference",
                            "What the result should be is not known here, so no temperature can be expected.")));
        }
        return of(plan, sheet, reference.get());
    }

    private static Outcome of(Plan plan, Sheet sheet, Reference reference) {
        Solution.Outcome sought = sought(plan, sheet, reference);
        if (sought.solution().isEmpty()) {
            return new Outcome(Optional.empty(), sought.findings());
        }
        Estimate end = sought.solution().get().estimate();
        Reduction reduction = Reduction.of(sheet.supposing().with(plan.ending(end.value())), plan.conventions());
        if (reduction.samples().get(0).interval().isEmpty()) {
            return new Outcome(Optional.empty(), reduction.findings());
        }
        double start = plan.amount(plan.span().start()).orElseThrow();
        return new Outcome(
                Optional.of(new Expectation(
                        plan, reference, Interval.of(end), end.value() - start, heat(reduction), reduction)),
                reduction.findings());
    }

    /** The final temperature, the result being what it should be. */
    private static Solution.Outcome sought(Plan plan, Sheet sheet, Reference reference) {
        Sheet seeking = sheet.supposing()
                .seeking(Plan.at(plan.span().end()), Measured.independent(reference.value(), reference.uncertainty()));
        return account(plan, seeking).solve(seeking.bindings());
    }

    static Account account(Plan plan, Sheet sheet) {
        return plan.experiment().accounts(sheet, plan.conventions()).get(0);
    }

    private static double heat(Reduction reduction) {
        return reduction.trials().get(0).solution().stream()
                .flatMap(each -> each.postings().stream())
                .mapToDouble(each -> Math.max(0, each.heat().value()))
                .sum();
    }

    /** What the result should be, by its yardstick at some temperature, or by what such a vessel has. */
    static Optional<Reference> reference(Plan plan, Sheet sheet) {
        if (plan.experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT) {
            return plan.setting().calorimeter().map(Expectation::constant);
        }
        double start = plan.amount(plan.span().start()).orElse(20);
        for (double guess : GUESSES) {
            Sheet supposed = sheet.supposing().with(plan.ending(start + guess));
            Optional<Reference> found = account(plan, supposed)
                    .solve(supposed.bindings())
                    .solution()
                    .flatMap(solved -> plan.experiment()
                            .yardstick()
                            .parts(new Judged(supposed, 1, solved.estimate(), solved, 1))
                            .reference());
            if (found.isPresent()) {
                return found.map(
                        each -> usual(each, plan.experiment().yardstick().usualPart()));
            }
        }
        return Optional.empty();
    }

    private static Reference usual(Reference whole, Measured part) {
        return part.value() == 1
                ? whole
                : new Reference(
                        whole.key(),
                        "what usually arrives of the " + whole.name(),
                        whole.value() * part.value(),
                        Math.hypot(whole.uncertainty() * part.value(), whole.value() * part.uncertainty()),
                        whole.unit(),
                        whole.source(),
                        whole.opened());
    }

    private static Reference constant(Calorimeter vessel) {
        VesselKind kind = vessel.kind();
        return vessel.constant()
                .map(pinned -> new Reference(
                        "constant",
                        "constant of " + vessel.name() + ", " + pinned.from(),
                        pinned.value().value(),
                        pinned.value().uncertainty(),
                        BenchUnit.JOULES_PER_DEGREE,
                        pinned.from(),
                        true))
                .orElseGet(() -> new Reference(
                        "constant",
                        "what " + kind.one() + " usually has",
                        kind.typical(),
                        (kind.largest() - kind.typical()) / 2,
                        BenchUnit.JOULES_PER_DEGREE,
                        "common practice, no source",
                        false));
    }
}

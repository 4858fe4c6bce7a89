package lab.sassafras.plan;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
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
 * @param ends      what is read last; empty where no single reading ends it
 * @param heat      that is exchanged, by the parties that take it up (J)
 * @param seen      what was foreseen of it; empty where its end was sought
 * @param reduction of the run at that temperature
 */
public record Expectation(
        Plan plan,
        Reference reference,
        Optional<Ends> ends,
        double heat,
        Optional<Foresight.Seen> seen,
        Reduction reduction) {

    /** Where the final temperature is looked for while nothing is known of it (°C from the start). */
    private static final double[] GUESSES = {5, -5, 0.5, -0.5, 30, -30};

    /**
     * What is read last.
     *
     * @param path   of its slot
     * @param value  with its 95 % interval (unit); no wider than itself where only a table says it
     * @param change from what it begins with (unit)
     * @param unit   of both
     */
    public record Ends(String path, Interval value, double change, BenchUnit unit) {

        /** {@return whether a temperature ends it} */
        public boolean temperature() {
            return unit.dimension().equals(Dimension.TEMPERATURE);
        }
    }

    /** {@return the final temperature; empty where none is read} */
    public Optional<Ends> warms() {
        return ends.filter(Ends::temperature);
    }

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
        Interval mean = Reduction.of(new PlanSheet(plan).repeated(trials, whole()), plan.conventions())
                .samples()
                .get(0)
                .interval()
                .orElseThrow();
        return mean.half() / Math.abs(mean.value());
    }

    /** The sheet as it will stand once all is read. */
    private Sheet whole() {
        return seen.map(plan::sheet)
                .orElseGet(() -> plan.ended(warms().orElseThrow().value().value()));
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
        Optional<Foresight.Seen> seen = plan.seen();
        if (seen.isPresent()) {
            return of(plan, seen.get());
        }
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
        Ends ends = new Ends(plan.span().end(), Interval.of(end), end.value() - start, BenchUnit.DEGREES_CELSIUS);
        return new Outcome(
                Optional.of(new Expectation(
                        plan, reference, Optional.of(ends), heat(reduction), Optional.empty(), reduction)),
                reduction.findings());
    }

    private static Outcome of(Plan plan, Foresight.Seen seen) {
        Reduction reduction = Reduction.of(plan.sheet(seen), plan.conventions());
        if (reduction.samples().get(0).interval().isEmpty()) {
            return new Outcome(Optional.empty(), reduction.findings());
        }
        return new Outcome(
                Optional.of(new Expectation(
                        plan,
                        reference(plan, seen).orElseThrow(),
                        seen.readings().stream().findFirst().map(each -> ends(plan, each)),
                        heat(reduction),
                        Optional.of(seen),
                        reduction)),
                reduction.findings());
    }

    private static Ends ends(Plan plan, Foresight.Reading last) {
        double value = Double.parseDouble(last.text());
        return new Ends(
                last.path(),
                new Interval(value, value, value, false),
                value - plan.amount(last.from()).orElse(0),
                BenchUnit.of(last.unit()).orElseThrow());
    }

    /** What the result should be, by the handbook, or else by what was foreseen itself. */
    private static Optional<Reference> reference(Plan plan, Foresight.Seen seen) {
        Sheet whole = plan.sheet(seen);
        return account(plan, whole)
                .solve(whole.bindings())
                .solution()
                .map(solved -> plan.experiment()
                        .yardstick()
                        .parts(new Judged(whole, 1, solved.estimate(), solved, 1))
                        .reference()
                        .orElseGet(() -> new Reference(
                                "foreseen",
                                "expected",
                                solved.estimate().value(),
                                solved.estimate().uncertainty(),
                                solved.result().unit(),
                                seen.by(),
                                false)));
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
        Optional<Foresight.Seen> seen = plan.seen();
        if (seen.isPresent()) {
            return reference(plan, seen.get());
        }
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

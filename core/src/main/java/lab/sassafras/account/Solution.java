package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Measured;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.statistics.TrialResult;

/**
 * An account solved with numbers.
 *
 * @param account  the books
 * @param bindings the numbers
 * @param result   what is reported, as an expression of the inputs
 * @param worked   what the working is of: the result, or the unknown it rests on
 * @param estimate value and uncertainty of the result
 * @param postings  each party with its heat; none where nothing is balanced
 * @param fill     mass the calorimeter held in all (g)
 * @param derived  further results, in the order declared
 * @param point    where it stands on a line through several trials
 */
public record Solution(
        Account account,
        Bindings bindings,
        Named result,
        Named worked,
        Estimate estimate,
        List<Posting> postings,
        Optional<Double> fill,
        List<Further> derived,
        Optional<TrialPoint> point) {

    /**
     * One party's line in the books.
     *
     * @param party  the party
     * @param heat   what it took up (J)
     * @param from   temperature before (°C); NaN-free, empty where it has none
     * @param to     temperature after (°C)
     * @param sought whether its heat was found through the balance
     * @param stages what its heat is made of (J), in the order of the party's stages
     */
    public record Posting(
            HeatTerm party,
            Estimate heat,
            Optional<Double> from,
            Optional<Double> to,
            boolean sought,
            List<Double> stages) {}

    /**
     * A further result with its number.
     *
     * @param derived  what it is
     * @param result   as an expression of the inputs
     * @param estimate value and uncertainty of it
     */
    public record Further(Derived derived, Expression result, Estimate estimate) {}

    /** Either the solution or the finding that says why there is none. */
    public record Outcome(Optional<Solution> solution, List<Finding> findings) {}

    /** {@return how many times the result belongs to its equation as written} */
    public double timesAsWritten() {
        return derived.stream()
                .filter(each -> each.derived().asWritten())
                .findFirst()
                .map(each -> each.estimate().value() / estimate.value())
                .orElse(1.0);
    }

    /** {@return how often the equation as written ran (mol): its heat over the heat of one; empty where none tells} */
    public OptionalDouble extent() {
        return derived.stream()
                .filter(each -> each.derived().unit().equals(BenchUnit.JOULES))
                .mapToDouble(each -> each.estimate().value() / 1000 / (estimate.value() * timesAsWritten()))
                .filter(Double::isFinite)
                .findFirst();
    }

    /** {@return what this trial brings to the result of several} */
    public TrialResult inShort() {
        return new TrialResult(estimate, point, account.amount(bindings));
    }

    /**
     * {@return the numbers for writing out the working: an unknown found by bracketing is put into its own balance}
     */
    public Bindings forWorking() {
        return worked.body() instanceof Expression.Root root
                ? bindings.with(
                        root.unknown().key(),
                        Measured.independent(new Computation(worked, bindings).value(), estimate.uncertainty()))
                : bindings;
    }

    List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        finalOutsideStarts().ifPresent(findings::add);
        smallChange().ifPresent(findings::add);
        return findings;
    }

    /** Things that only share heat end between where they began; a process among them may end anywhere. */
    private Optional<Finding> finalOutsideStarts() {
        if (postings.stream().anyMatch(entry -> entry.from().isEmpty())) {
            return Optional.empty();
        }
        double low = postings.stream()
                .flatMap(entry -> entry.from().stream())
                .min(Double::compare)
                .orElse(0.0);
        double high = postings.stream()
                .flatMap(entry -> entry.from().stream())
                .max(Double::compare)
                .orElse(0.0);
        boolean outside =
                postings.stream().flatMap(entry -> entry.to().stream()).anyMatch(to -> to < low || to > high);
        return outside
                ? Optional.of(Finding.question(
                        "account.final-outside-starts",
                        "The final temperature does not "
                                + "lie between the starting temperatures. Things that only share heat cannot do "
                                + "that: check the "
                                + "readings, and whether two were exchanged."))
                : Optional.empty();
    }

    /** Part of u² that comes from how the curve was read, and not from what an instrument shows. */
    private double byTheCurve() {
        return estimate.contributions().stream()
                .filter(each -> each.key().startsWith("curve["))
                .mapToDouble(each -> each.shareOf(estimate))
                .sum();
    }

    private Optional<Finding> smallChange() {
        double relative = Math.abs(estimate.uncertainty() / estimate.value());
        if (!(relative > 0.25) || result.unit().dimension().equals(Dimension.TEMPERATURE)) {
            return Optional.empty();
        }
        String why = byTheCurve() > 0.5
                ? ": the shape of the curve leaves the temperature change open. A longer record before mixing and after the "
                        + "rise would tell."
                : ": the temperature change is small against what the instruments can tell apart. The budget shows "
                        + "which reading to better.";
        return Optional.of(Finding.note(
                "account.weak",
                relative < 1
                        ? "The result is known to about " + Math.round(100 * relative) + " % only" + why
                        : "The result cannot be told from nothing" + why));
    }
}

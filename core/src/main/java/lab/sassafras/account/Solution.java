package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;

/**
 * A ledger solved with numbers.
 *
 * @param ledger   the books
 * @param bindings the numbers
 * @param result   the unknown as an expression of the inputs
 * @param estimate its value and uncertainty
 * @param entries  each party with its heat
 * @param fill     mass the calorimeter held in all (g)
 * @param derived  further results, in the order the ledger declares them
 */
public record Solution(Ledger ledger, Bindings bindings, Named result, Estimate estimate, List<Entry> entries,
                       Optional<Double> fill, List<Estimate> derived) {

    /**
     * One party's line in the books.
     *
     * @param party the party
     * @param heat  what it took up (J)
     * @param from  temperature before (°C); NaN-free, empty where it has none
     * @param to    temperature after (°C)
     */
    public record Entry(Party party, Estimate heat, Optional<Double> from, Optional<Double> to) {
    }

    /** Either the solution or the finding that says why there is none. */
    public record Outcome(Optional<Solution> solution, List<Finding> findings) {
    }

    /** Solves the books. Anything that is not a finite number becomes a named finding. */
    public static Outcome of(Ledger ledger, Bindings bindings) {
        Optional<Ledger.Solved> solved = ledger.solved();
        if (solved.isEmpty()) {
            return refused(Finding.refuse("account.crooked", "The unknown does not enter these books in a straight "
                    + "line, so they cannot be solved for it."));
        }
        Optional<Finding> unmet = ledger.parties().stream().flatMap(party -> party.demand().stream())
                .filter(demand -> new Computation(demand.above(), bindings).value()
                        <= new Computation(demand.below(), bindings).value()).findFirst()
                .map(demand -> Finding.refuse("account.change-incomplete", demand.otherwise()));
        if (unmet.isPresent()) {
            return refused(unmet.get());
        }
        double coefficient = new Computation(solved.get().coefficient(), bindings).value();
        if (coefficient == 0) {
            return refused(Finding.refuse("account.no-change", "Nothing changed temperature on the side of the "
                    + "unknown, so the balance cannot say how large it is. Check the starting and final temperatures."));
        }
        Estimate estimate = new Computation(solved.get().result(), bindings).estimate();
        if (!estimate.finite()) {
            return refused(Finding.refuse("account.no-number", "With these readings the balance gives no number. "
                    + "Check that every temperature lies where the chosen value for water is known (0 to 99.5 °C)."));
        }
        List<Entry> entries = solved.get().parties().stream().map(party -> entry(party, bindings)).toList();
        Solution solution = new Solution(ledger, bindings, solved.get().result(), estimate, entries,
                ledger.fill().map(fill -> new Computation(fill, bindings).value()),
                solved.get().derived().stream().map(each -> new Computation(each, bindings).estimate()).toList());
        return new Outcome(Optional.of(solution), solution.findings());
    }

    private static Outcome refused(Finding finding) {
        return new Outcome(Optional.empty(), List.of(finding));
    }

    private static Entry entry(Party party, Bindings bindings) {
        return new Entry(party, new Computation(party.heat(), bindings).estimate(),
                party.start().map(start -> new Computation(start, bindings).value()),
                party.end().map(end -> new Computation(end, bindings).value()));
    }

    public Working working(Figures figures) {
        return Working.of(result, bindings, figures);
    }

    private List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        finalOutsideStarts().ifPresent(findings::add);
        smallChange().ifPresent(findings::add);
        return findings;
    }

    /** Things that only share heat end between where they began; a process among them may end anywhere. */
    private Optional<Finding> finalOutsideStarts() {
        if (entries.stream().anyMatch(entry -> entry.from().isEmpty())) {
            return Optional.empty();
        }
        double low = entries.stream().flatMap(entry -> entry.from().stream()).min(Double::compare).orElse(0.0);
        double high = entries.stream().flatMap(entry -> entry.from().stream()).max(Double::compare).orElse(0.0);
        boolean outside = entries.stream().flatMap(entry -> entry.to().stream()).anyMatch(to -> to < low || to > high);
        return outside ? Optional.of(Finding.question("account.final-outside-starts", "The final temperature does not "
                + "lie between the starting temperatures. Things that only share heat cannot do that: check the "
                + "readings, and whether two were exchanged.")) : Optional.empty();
    }

    private Optional<Finding> smallChange() {
        double relative = Math.abs(estimate.uncertainty() / estimate.value());
        return relative > 0.25 ? Optional.of(Finding.note("account.weak", "The result is known to about "
                + Figures.POINT.significant(100 * relative, 2) + " % only: the temperature change is small against "
                + "what the instruments can tell apart. The budget shows which reading to better."))
                : Optional.empty();
    }
}

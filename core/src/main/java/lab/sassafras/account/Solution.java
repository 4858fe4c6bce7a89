package lab.sassafras.account;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.MonteCarlo;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;

/**
 * An account solved with numbers.
 *
 * @param account  the books
 * @param bindings the numbers
 * @param result   what is reported, as an expression of the inputs
 * @param worked   what the working is of: the result, or the unknown it rests on
 * @param estimate value and uncertainty of the result
 * @param entries  each party with its heat; none for a tally
 * @param fill     mass the calorimeter held in all (g)
 * @param derived  further results, in the order declared
 * @param point    the heat against its amount, for a line through several trials
 */
public record Solution(
        Account account,
        Bindings bindings,
        Named result,
        Named worked,
        Estimate estimate,
        List<Entry> entries,
        Optional<Double> fill,
        List<Further> derived,
        Optional<Point> point) {

    /**
     * One party's line in the books.
     *
     * @param party  the party
     * @param heat   what it took up (J)
     * @param from   temperature before (°C); NaN-free, empty where it has none
     * @param to     temperature after (°C)
     * @param sought whether its heat was found through the balance
     */
    public record Entry(Party party, Estimate heat, Optional<Double> from, Optional<Double> to, boolean sought) {}

    /** A further result with its number. */
    public record Further(Derived derived, Estimate estimate) {}

    /**
     * One trial on the line of heat against amount.
     *
     * @param amount (mol)
     * @param heat   what the party with the unknown took up (J)
     */
    public record Point(Estimate amount, Estimate heat) {}

    /** Either the solution or the finding that says why there is none. */
    public record Outcome(Optional<Solution> solution, List<Finding> findings) {}

    /** Solves the books. Anything that is not a finite number becomes a named finding. */
    public static Outcome of(Account account, Bindings bindings) {
        if (account instanceof Ledger ledger) {
            return of(ledger, bindings);
        } else if (account instanceof Cases cases) {
            return of(cases, bindings);
        } else if (account instanceof Tally tally) {
            return of(tally, bindings);
        }
        return new Outcome(Optional.empty(), ((Account.Incomplete) account).findings());
    }

    private static Outcome of(Tally tally, Bindings bindings) {
        Named total = tally.total();
        return accepted(
                List.of(),
                new Solution(
                        tally,
                        bindings,
                        total,
                        total,
                        new Computation(total, bindings).estimate(),
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        Optional.empty()));
    }

    private static Outcome of(Cases cases, Bindings bindings) {
        Outcome outcome = new Outcome(Optional.empty(), List.of());
        for (Ledger each : cases.cases()) {
            outcome = of(each, bindings);
            if (outcome.solution().isPresent()) {
                return outcome;
            }
        }
        return outcome;
    }

    private static Outcome of(Ledger ledger, Bindings bindings) {
        Attempt attempt = Attempt.at(ledger, bindings, true);
        return attempt.refusal()
                .map(Solution::refused)
                .orElseGet(() -> accepted(attempt.remarks(), attempt.solution()));
    }

    /** The result alone, without entries, further results or findings; empty where there is none. */
    public static Optional<Estimate> estimate(Account account, Bindings bindings) {
        if (account instanceof Cases cases) {
            return cases.cases().stream()
                    .flatMap(each -> estimate(each, bindings).stream())
                    .findFirst();
        }
        if (account instanceof Tally tally) {
            return Optional.of(new Computation(tally.total(), bindings).estimate())
                    .filter(Estimate::finite);
        }
        return account instanceof Ledger ledger
                ? Optional.of(Attempt.at(ledger, bindings, false))
                        .filter(each -> each.refusal().isEmpty())
                        .map(each -> each.computed().get(0).estimate())
                        .filter(Estimate::finite)
                : Optional.empty();
    }

    /**
     * Books solved for their unknown, or why that cannot be.
     *
     * @param computed the result, what multiplies the unknown, both sides of every demand, and then all that is read off the books,
     *                 on one tape
     */
    private record Attempt(
            Ledger ledger,
            Bindings bindings,
            Optional<Ledger.Solved> solved,
            List<Computation> computed,
            int demands,
            List<Finding> remarks,
            Optional<Finding> refusal) {

        static Attempt at(Ledger ledger, Bindings bindings, boolean whole) {
            Optional<Ledger.Solved> found = ledger.solved();
            if (found.isEmpty()) {
                return new Attempt(
                        ledger,
                        bindings,
                        found,
                        List.of(),
                        0,
                        List.of(),
                        Optional.of(
                                Finding.refuse(
                                        "account.crooked",
                                        "The unknown does not enter these books in a straight line, so they cannot be solved for it.")));
            }
            Ledger.Solved solved = found.get();
            List<Finding> remarks = ledger.remarks().isEmpty()
                    ? List.of()
                    : ledger.remarks().stream()
                            .flatMap(remark -> remark.on(bindings).stream())
                            .toList();
            List<Party.Demand> demands = solved.demands();
            List<Expression> asked = new ArrayList<>();
            asked.add(result(ledger, solved));
            asked.add(solved.coefficient().orElse(solved.result()));
            demands.forEach(demand -> asked.addAll(List.of(demand.above(), demand.below())));
            if (whole) {
                readOff(ledger, solved, asked);
            }
            List<Computation> computed = Computation.all(asked, bindings);
            return new Attempt(
                    ledger,
                    bindings,
                    found,
                    computed,
                    demands.size(),
                    remarks,
                    remarks.stream()
                            .filter(each -> each.grade() == Finding.Grade.REFUSE)
                            .findFirst()
                            .or(() -> unmet(demands, computed))
                            .or(() -> noChange(solved, computed.get(1))));
        }

        private static Named result(Ledger ledger, Ledger.Solved solved) {
            return ledger.answer().orElse(solved.result());
        }

        private static void readOff(Ledger ledger, Ledger.Solved solved, List<Expression> asked) {
            solved.parties().forEach(party -> {
                asked.add(party.heat());
                party.start().ifPresent(asked::add);
                party.end().ifPresent(asked::add);
            });
            ledger.fill().map(fill -> free(ledger, solved, fill)).ifPresent(asked::add);
            ledger.derived().forEach(each -> asked.add(free(ledger, solved, each.of(solved.base()))));
            ledger.amount().ifPresent(moles -> asked.addAll(List.of(moles, solved.base())));
        }

        private static Expression free(Ledger ledger, Ledger.Solved solved, Expression expression) {
            return expression.contains(ledger.unknown())
                    ? expression.with(ledger.unknown(), solved.result())
                    : expression;
        }

        /** Takes the answers in the order asked. */
        Solution solution() {
            Ledger.Solved found = solved.orElseThrow();
            Iterator<Computation> answers =
                    computed.subList(2 + 2 * demands, computed.size()).iterator();
            List<Entry> entries = found.parties().stream()
                    .map(party -> new Entry(
                            party,
                            answers.next().estimate(),
                            party.start().map(any -> answers.next().value()),
                            party.end().map(any -> answers.next().value()),
                            found.through().equals(party.key())))
                    .toList();
            return new Solution(
                    ledger,
                    bindings,
                    result(ledger, found),
                    found.result(),
                    computed.get(0).estimate(),
                    entries,
                    ledger.fill().map(any -> answers.next().value()),
                    ledger.derived().stream()
                            .map(each -> new Further(each, answers.next().estimate()))
                            .toList(),
                    ledger.amount()
                            .map(any -> new Point(
                                    answers.next().estimate(), answers.next().estimate())));
        }

        private static Optional<Finding> unmet(List<Party.Demand> demands, List<Computation> computed) {
            return IntStream.range(0, demands.size())
                    .filter(i -> computed.get(2 + 2 * i).value()
                            <= computed.get(3 + 2 * i).value())
                    .mapToObj(i -> Finding.refuse(
                            "account.change-incomplete", demands.get(i).otherwise()))
                    .findFirst();
        }

        private static Optional<Finding> noChange(Ledger.Solved solved, Computation coefficient) {
            return solved.coefficient()
                    .filter(each -> coefficient.value() == 0)
                    .map(
                            each -> Finding.refuse(
                                    "account.no-change",
                                    "Nothing changed temperature on the side of the "
                                            + "unknown, so the balance cannot say how large it is. Check the starting and final temperatures."));
        }
    }

    private static Outcome accepted(List<Finding> remarks, Solution solution) {
        return solution.estimate.finite()
                ? new Outcome(
                        Optional.of(solution),
                        Stream.concat(remarks.stream(), solution.findings().stream())
                                .toList())
                : refused(
                        Finding.refuse(
                                "account.no-number",
                                "With these readings the balance gives no number. "
                                        + "Check that every temperature lies where the chosen value for water is known (0 to 99.5 °C)."));
    }

    private static Outcome refused(Finding finding) {
        return new Outcome(Optional.empty(), List.of(finding));
    }

    /** The numbers for writing out the working: an unknown found by bracketing is put into its own balance. */
    public Bindings forWorking() {
        return worked.body() instanceof Expression.Root root
                ? bindings.with(
                        root.unknown().key(),
                        Measured.independent(new Computation(worked, bindings).value(), estimate.uncertainty()))
                : bindings;
    }

    /** The same result by random draws. */
    public MonteCarlo drawn(int draws) {
        return MonteCarlo.of(result, bindings, draws);
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
        double low = entries.stream()
                .flatMap(entry -> entry.from().stream())
                .min(Double::compare)
                .orElse(0.0);
        double high = entries.stream()
                .flatMap(entry -> entry.from().stream())
                .max(Double::compare)
                .orElse(0.0);
        boolean outside = entries.stream().flatMap(entry -> entry.to().stream()).anyMatch(to -> to < low || to > high);
        return outside
                ? Optional.of(Finding.question(
                        "account.final-outside-starts",
                        "The final temperature does not "
                                + "lie between the starting temperatures. Things that only share heat cannot do that: check the "
                                + "readings, and whether two were exchanged."))
                : Optional.empty();
    }

    private Optional<Finding> smallChange() {
        double relative = Math.abs(estimate.uncertainty() / estimate.value());
        return relative > 0.25
                ? Optional.of(Finding.note(
                        "account.weak",
                        "The result is known to about "
                                + Figures.POINT.significant(100 * relative, 2)
                                + " % only: the temperature change is small against "
                                + "what the instruments can tell apart. The budget shows which reading to better."))
                : Optional.empty();
    }
}

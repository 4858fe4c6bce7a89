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
import lab.sassafras.statistics.TrialPoint;

/**
 * Books solved for their unknown, or why that cannot be.
 *
 * @param books    the books
 * @param bindings the numbers
 * @param solved   the books solved; empty where that cannot be
 * @param demands  how many
 * @param remarks  what is said of the numbers
 * @param refusal  why there is no result
 * @param computed the result, what multiplies the unknown, both sides of every demand, and then all that is read off
 *                 the books, on one tape
 */
record Attempt(
        SingleAccount<?> books,
        Bindings bindings,
        Optional<SingleAccount.Solved> solved,
        List<Computation> computed,
        int demands,
        List<Finding> remarks,
        Optional<Finding> refusal) {

    static Attempt at(SingleAccount<?> books, Bindings bindings, boolean whole) {
        Optional<SingleAccount.Solved> found = books.solved();
        if (found.isEmpty()) {
            return new Attempt(
                    books,
                    bindings,
                    found,
                    List.of(),
                    0,
                    List.of(),
                    Optional.of(Finding.refuse(
                            "account.crooked",
                            "The unknown does not enter these books in a straight line, so they cannot be "
                                    + "solved for it.")));
        }
        SingleAccount.Solved solved = found.get();
        List<Finding> remarks = books.beside().remarks().isEmpty()
                ? List.of()
                : books.beside().remarks().stream()
                        .flatMap(remark -> remark.on(bindings).stream())
                        .toList();
        List<HeatTerm.Demand> demands = solved.demands();
        List<Expression> asked = new ArrayList<>();
        asked.add(result(books, solved));
        asked.add(solved.coefficient().orElse(solved.result()));
        demands.forEach(demand -> asked.addAll(List.of(demand.above(), demand.below())));
        if (whole) {
            readOff(books, solved, asked);
        }
        List<Computation> computed = Computation.all(asked, bindings);
        return new Attempt(
                books,
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

    /** The solution with what is to be known of it, or why there is none. */
    Solution.Outcome outcome() {
        return refusal.map(Attempt::refused).orElseGet(() -> accepted(solution()));
    }

    /** The result alone; empty where there is none. */
    Optional<Estimate> estimate() {
        return refusal.isPresent()
                ? Optional.empty()
                : Optional.of(computed.get(0).estimate()).filter(Estimate::finite);
    }

    private Solution.Outcome accepted(Solution solution) {
        return solution.estimate().finite()
                ? new Solution.Outcome(
                        Optional.of(solution),
                        Stream.concat(remarks.stream(), solution.findings().stream())
                                .toList())
                : refused(Finding.refuse(
                        "account.no-number",
                        "With these readings the balance gives no number. "
                                + "Check that every temperature lies where the chosen value for water is "
                                + "known (above 0 and below 100 °C)."));
    }

    private static Solution.Outcome refused(Finding finding) {
        return new Solution.Outcome(Optional.empty(), List.of(finding));
    }

    private static Named result(SingleAccount<?> books, SingleAccount.Solved solved) {
        return books.beside().answer().orElse(solved.result());
    }

    private static void readOff(SingleAccount<?> books, SingleAccount.Solved solved, List<Expression> asked) {
        solved.parties().forEach(party -> {
            asked.add(party.heat());
            party.start().ifPresent(asked::add);
            party.end().ifPresent(asked::add);
            party.stages().forEach(stage -> asked.add(stage.heat()));
        });
        books.beside().fill().map(fill -> free(books, solved, fill)).ifPresent(asked::add);
        books.beside().derived().forEach(each -> asked.add(free(books, solved, each.of(solved.base()))));
        books.beside()
                .fitted()
                .ifPresent(point -> asked.addAll(List.of(
                        free(books, solved, point.across()),
                        free(books, solved, point.up().of(solved.base())))));
    }

    private static Expression free(SingleAccount<?> books, SingleAccount.Solved solved, Expression expression) {
        return expression.contains(books.unknown()) ? expression.with(books.unknown(), solved.result()) : expression;
    }

    /** Takes the answers in the order asked. */
    Solution solution() {
        SingleAccount.Solved found = solved.orElseThrow();
        Iterator<Computation> answers =
                computed.subList(2 + 2 * demands, computed.size()).iterator();
        List<Solution.Posting> postings = found.parties().stream()
                .map(party -> new Solution.Posting(
                        party,
                        answers.next().estimate(),
                        party.start().map(any -> answers.next().value()),
                        party.end().map(any -> answers.next().value()),
                        found.through().equals(party.key()),
                        party.stages().stream()
                                .map(any -> answers.next().value())
                                .toList()))
                .toList();
        return new Solution(
                books,
                bindings,
                result(books, found),
                found.result(),
                computed.get(0).estimate(),
                postings,
                books.beside().fill().map(any -> answers.next().value()),
                books.beside().derived().stream()
                        .map(each -> new Solution.Further(
                                each,
                                free(books, found, each.of(found.base())),
                                answers.next().estimate()))
                        .toList(),
                books.beside()
                        .fitted()
                        .map(point -> new TrialPoint(
                                answers.next().estimate(),
                                answers.next().estimate(),
                                point.across().unit(),
                                point.up().unit(),
                                point.meetsZero())));
    }

    private static Optional<Finding> unmet(List<HeatTerm.Demand> demands, List<Computation> computed) {
        return IntStream.range(0, demands.size())
                .filter(i -> computed.get(2 + 2 * i).value()
                        <= computed.get(3 + 2 * i).value())
                .mapToObj(i ->
                        Finding.refuse(demands.get(i).code(), demands.get(i).otherwise()))
                .findFirst();
    }

    private static Optional<Finding> noChange(SingleAccount.Solved solved, Computation coefficient) {
        return solved.coefficient()
                .filter(each -> coefficient.value() == 0)
                .map(each -> Finding.refuse(
                        "account.no-change",
                        "Nothing changed temperature on the side of the "
                                + "unknown, so the balance cannot say how large it is. Check the starting "
                                + "and final temperatures."));
    }
}

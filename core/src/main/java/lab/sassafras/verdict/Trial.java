package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Linearity;

/**
 * One trial.
 *
 * @param account  its books
 * @param solution where they could be solved
 * @param leftOut  whether a person decided against it
 * @param draws    of its result, made when they are first asked for
 */
public record Trial(Account account, Optional<Solution> solution, boolean leftOut, Lazy<Optional<Drawn>> draws) {

    static Trial of(Account account, Optional<Solution> solution, boolean leftOut) {
        return new Trial(
                account,
                solution,
                leftOut,
                new Lazy<>(() -> solution.flatMap(
                        each -> Drawn.of(each.result(), each.estimate(), each.bindings(), Reduction.DRAWS))));
    }

    /** Whether its linear interval may stand: where a few evaluations are sure of it, nothing is drawn. */
    boolean linear() {
        return solution.filter(each -> Linearity.sure(each.result(), each.bindings())
                        || draws.get().filter(drawn -> !drawn.bearsOutLinear()).isEmpty())
                .isPresent();
    }

    Interval interval(Estimate estimate) {
        return linear() ? Interval.of(estimate) : Drawn.interval(draws.get(), estimate);
    }

    /** {@return which trial, from 1} */
    public int number() {
        return account.trial();
    }

    /** {@return whether it enters the result} */
    public boolean counts() {
        return solution.isPresent() && !leftOut;
    }

    /** Those of many that enter the result. */
    static List<Solution> counted(List<Trial> trials) {
        return trials.stream()
                .filter(Trial::counts)
                .flatMap(trial -> trial.solution().stream())
                .toList();
    }
}

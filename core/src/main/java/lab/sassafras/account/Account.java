package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;

/**
 * What one trial (or sample) amounts to: books that can be solved, or a list of what is still to be read.
 */
public sealed interface Account permits SingleAccount, AlternativeBalances, Account.Incomplete {

    /** {@return which trial it belongs to, from 1} */
    int trial();

    /** {@return what is sought, where the books could be drawn up} */
    Optional<Input> sought();

    /**
     * Solves the books. Anything that is not a finite number becomes a named finding.
     *
     * @param bindings the numbers that go into the inputs
     * @return the solution, or why there is none
     */
    Solution.Outcome solve(Bindings bindings);

    /**
     * {@return the result alone, without postings, further results or findings; empty where there is none}
     *
     * @param bindings the numbers that go into the inputs
     */
    Optional<Estimate> estimate(Bindings bindings);

    /**
     * {@return the amount the result grows with, where it is not per anything; empty where trials of any amounts have
     * a mean}
     *
     * @param bindings the numbers that go into the inputs
     */
    default Optional<Double> amount(Bindings bindings) {
        return Optional.empty();
    }

    /** {@return whether the school in force asks for a party these books cannot have} */
    boolean omits();

    /**
     * {@return the same, of which more is said once the numbers are in}
     *
     * @param more what is to be said besides
     */
    Account remarking(List<? extends Remark> more);

    /**
     * {@return the same books, of which another input is sought; what was sought is then an input to be given under the
     * same key}
     *
     * @param input   one of the inputs these books rest on
     * @param between where it is looked for, where it enters in no straight line
     */
    Account seeking(Input input, HeatBalance.Bounds between);

    /** {@return every expression a number is read from, for checking them} */
    List<Expression> expressions();

    /** {@return what is still to be read; none where the books could be drawn up} */
    List<Missing> missing();

    /**
     * Something not yet read.
     *
     * @param address where it stands
     * @param label   in words
     */
    record Missing(String address, String label) {}

    /**
     * Books that cannot be drawn up.
     *
     * @param trial    which trial, from 1
     * @param missing  what is still to be read
     * @param findings why what was given does not go together
     */
    record Incomplete(int trial, List<Missing> missing, List<Finding> findings) implements Account {
        /**
         * Keeps copies of what could change.
         *
         * @param trial    which trial, from 1
         * @param missing  what is still to be read
         * @param findings why what was given does not go together
         */
        public Incomplete {
            missing = List.copyOf(missing);
            findings = List.copyOf(findings);
        }

        @Override
        public Optional<Input> sought() {
            return Optional.empty();
        }

        @Override
        public Solution.Outcome solve(Bindings bindings) {
            return new Solution.Outcome(Optional.empty(), findings);
        }

        @Override
        public Optional<Estimate> estimate(Bindings bindings) {
            return Optional.empty();
        }

        @Override
        public boolean omits() {
            return false;
        }

        @Override
        public List<Expression> expressions() {
            return List.of();
        }

        @Override
        public Account remarking(List<? extends Remark> more) {
            return this;
        }

        @Override
        public Account seeking(Input input, HeatBalance.Bounds between) {
            return this;
        }
    }
}

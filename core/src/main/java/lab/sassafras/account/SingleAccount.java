package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/**
 * Books with one unknown, and what is said beside it: further results, the place on a line through several trials,
 * remarks.
 *
 * @param <B> the kind of books
 */
public sealed interface SingleAccount<B extends SingleAccount<B>> extends Account permits HeatBalance, DirectFormula {

    /** {@return what is sought} */
    Input unknown();

    /** {@return what is said beside the result} */
    Beside beside();

    /**
     * {@return the same books with other things said beside the result}
     *
     * @param other what is said instead
     */
    B with(Beside other);

    /** {@return members of a heat balance; none where nothing is balanced} */
    List<HeatTerm> parties();

    /** {@return the books solved for their unknown; empty where that cannot be} */
    Optional<Solved> solved();

    @Override
    default Optional<Input> sought() {
        return Optional.of(unknown());
    }

    @Override
    default Solution.Outcome solve(Bindings bindings) {
        return Attempt.at(this, bindings, true).outcome();
    }

    @Override
    default Optional<Estimate> estimate(Bindings bindings) {
        return Attempt.at(this, bindings, false).estimate();
    }

    @Override
    default boolean omits() {
        return beside().remarks().stream().anyMatch(Omission.class::isInstance);
    }

    /** What each party took up and its temperatures, the result, and all that is said beside it. */
    @Override
    default List<Expression> expressions() {
        List<Expression> all = new ArrayList<>();
        parties().forEach(party -> {
            all.add(party.heat());
            party.start().ifPresent(all::add);
            party.end().ifPresent(all::add);
            party.demands().forEach(demand -> all.add(demand.above().minus(demand.below())));
        });
        solved().ifPresent(solved -> {
            all.add(solved.result());
            beside().derived().forEach(each -> all.add(each.of(solved.base())));
            beside().fitted()
                    .ifPresent(point ->
                            all.addAll(List.of(point.across(), point.up().of(solved.base()))));
        });
        beside().fill().ifPresent(all::add);
        beside().answer().ifPresent(all::add);
        beside().amount().ifPresent(all::add);
        beside().other().ifPresent(all::add);
        return all;
    }

    @Override
    default List<Missing> missing() {
        return List.of();
    }

    @Override
    default B remarking(List<? extends Remark> more) {
        return with(beside().remarking(more));
    }

    /**
     * {@return the same, whose calorimeter held so much in all (g)}
     *
     * @param fill mass the calorimeter held in all (g)
     */
    default B holding(Expression fill) {
        return with(beside().holding(fill));
    }

    /**
     * {@return the same, from which further results follow}
     *
     * @param more results that follow
     */
    default B giving(Derived... more) {
        return with(beside().giving(List.of(more)));
    }

    /**
     * {@return the same, drawn on a line through several trials}
     *
     * @param across what it is drawn against
     * @param up     what is drawn
     */
    default B against(Named across, Derived up) {
        return with(beside().against(new Fitted(across, up, true)));
    }

    /**
     * {@return the same, drawn on a line through several trials that need not pass through nothing of both}
     *
     * @param across what it is drawn against
     * @param up     what is drawn
     */
    default B along(Named across, Derived up) {
        return with(beside().against(new Fitted(across, up, false)));
    }

    /**
     * {@return the same, which report another value than the unknown, the unknown being only a means to it}
     *
     * @param value what is reported
     */
    default B answering(Named value) {
        return with(beside().answering(value));
    }

    /**
     * {@return the same, whose result grows with an amount, so that trials of unlike amounts have no mean}
     *
     * @param amount such as the mass dissolved
     */
    default B growingWith(Expression amount) {
        return with(beside().growingWith(amount));
    }

    /**
     * {@return the same, whose result would be multiplied by a factor, had the other of two reagents run out}
     *
     * @param factor amount it is divided by, by the amount it would be
     */
    default B supposing(Expression factor) {
        return with(beside().supposing(factor));
    }

    @Override
    default Optional<Double> amount(Bindings bindings) {
        return beside().amount().map(amount -> new Computation(amount, bindings).value());
    }

    /**
     * Both ways of a point on a line through several trials.
     *
     * @param across what it is drawn against
     * @param up     what is drawn
     * @param meetsZero whether the line should pass through nothing of both
     */
    record Fitted(Named across, Derived up, boolean meetsZero) {}

    /**
     * What is said beside the unknown.
     *
     * @param fill    mass the calorimeter held in all, for comparing with other runs (g)
     * @param derived further results that follow
     * @param fitted  the point on a line through several trials
     * @param answer  what is reported where the unknown is only a means to it
     * @param amount  what the result grows with, where it is not per anything: a heat alone
     * @param other   what the result would be multiplied by, had the other of two reagents run out
     * @param remarks what is to be said once the numbers are in
     */
    record Beside(
            Optional<Expression> fill,
            List<Derived> derived,
            Optional<Fitted> fitted,
            Optional<Named> answer,
            Optional<Expression> amount,
            Optional<Expression> other,
            List<Remark> remarks) {

        /** Nothing. */
        public static final Beside NOTHING = new Beside(
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of());

        /**
         * Keeps copies of what could change.
         *
         * @param fill    mass the calorimeter held in all, for comparing with other runs (g)
         * @param derived further results that follow
         * @param fitted  the point on a line through several trials
         * @param answer  what is reported where the unknown is only a means to it
         * @param amount  what the result grows with, where it is not per anything: a heat alone
         * @param other   what the result would be multiplied by, had the other of two reagents run out
         * @param remarks what is to be said once the numbers are in
         */
        public Beside {
            derived = List.copyOf(derived);
            remarks = List.copyOf(remarks);
        }

        Beside holding(Expression mass) {
            return new Beside(Optional.of(mass), derived, fitted, answer, amount, other, remarks);
        }

        Beside giving(List<Derived> more) {
            return new Beside(fill, more, fitted, answer, amount, other, remarks);
        }

        Beside against(Fitted point) {
            return new Beside(fill, derived, Optional.of(point), answer, amount, other, remarks);
        }

        Beside answering(Named value) {
            return new Beside(fill, derived, fitted, Optional.of(value), amount, other, remarks);
        }

        Beside growingWith(Expression quantity) {
            return new Beside(fill, derived, fitted, answer, Optional.of(quantity), other, remarks);
        }

        Beside supposing(Expression factor) {
            return new Beside(fill, derived, fitted, answer, amount, Optional.of(factor), remarks);
        }

        Beside remarking(List<? extends Remark> more) {
            List<Remark> all = new ArrayList<>(remarks);
            all.addAll(more);
            return new Beside(fill, derived, fitted, answer, amount, other, all);
        }
    }

    /**
     * Books solved.
     *
     * @param result      the unknown as an expression of the inputs
     * @param parties     all parties with their heats free of the unknown
     * @param coefficient what multiplies the unknown; empty where nothing does
     * @param base        what further results are made from: the heat of the one party that holds the unknown, or
     *                    the unknown itself
     * @param through     key of the one party whose heat is found through the balance; empty where there is none
     */
    record Solved(Named result, List<HeatTerm> parties, Optional<Expression> coefficient, Named base, String through) {

        /** Everything that must hold. */
        List<HeatTerm.Demand> demands() {
            return parties.stream().allMatch(party -> party.demands().isEmpty())
                    ? List.of()
                    : parties.stream()
                            .flatMap(party -> party.demands().stream())
                            .toList();
        }
    }
}

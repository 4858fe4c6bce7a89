package lab.sassafras.account;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;

/**
 * Two reagents of one equation: the one that runs out first decides how far the reaction goes.
 *
 * @param first  one of them
 * @param second the other
 */
public record Reagents(Reagent first, Reagent second) {

    private static final String LIMITING = "reagents.limiting";
    private static final String NAMED = "Limiting reagent: ";

    /** From this ratio on, the two amounts are taken for a slip of units. Common practice, no source. */
    private static final double A_THOUSAND = 300;

    /**
     * One reagent.
     *
     * @param name  in words
     * @param moles what there was (mol)
     * @param count how often it stands in the equation
     */
    public record Reagent(String name, Expression moles, int count) {

        /** {@return how often the equation could run with it (mol)} */
        public Expression runs() {
            return count == 1 ? moles : moles.over(Expression.number(count, Integer.toString(count)));
        }
    }

    /** {@return how often the equation as written could run (mol)} */
    public Named extent() {
        return new Expression.Least(List.of(first.runs(), second.runs()))
                .named(Symbol.of("n:reaction"), BenchUnit.MOLES);
    }

    /** {@return what a result would be multiplied by, had the other one run out} */
    public Expression hadTheOtherRunOut() {
        return extent().over(first.runs().plus(second.runs()).minus(extent()));
    }

    /**
     * {@return the reagent that runs out first with these numbers}
     *
     * @param bindings the numbers that go into the inputs
     */
    public Reagent limiting(Bindings bindings) {
        return amount(first, bindings).value() <= amount(second, bindings).value() ? first : second;
    }

    /**
     * {@return the name of the reagent that ran out first, as findings tell it; empty where none does}
     *
     * @param findings of an account
     */
    public static Optional<String> limiting(List<Finding> findings) {
        return findings.stream()
                .filter(each -> each.code().equals(LIMITING))
                .map(each -> each.message().substring(NAMED.length()).replaceFirst("\\.( .*)?$", ""))
                .findFirst();
    }

    private static Estimate amount(Reagent reagent, Bindings bindings) {
        return new Computation(reagent.runs(), bindings).estimate();
    }

    /**
     * {@return what is to be said of the amounts}
     *
     * @param figures how numbers are written
     */
    public List<Remark> remarks(Figures figures) {
        return List.of(
                bindings -> nothing(bindings),
                bindings -> slip(bindings),
                bindings -> even(bindings),
                bindings -> Optional.of(excess(bindings, figures)));
    }

    private Optional<Finding> nothing(Bindings bindings) {
        Reagent limiting = limiting(bindings);
        return amount(limiting, bindings).value() > 0
                ? Optional.empty()
                : Optional.of(Finding.refuse(
                        "reagents.none",
                        "There was no " + limiting.name()
                                + " at all, so nothing can have reacted. Check its amount and its concentration."));
    }

    private Optional<Finding> slip(Bindings bindings) {
        double one = amount(first, bindings).value();
        double other = amount(second, bindings).value();
        double ratio = Math.max(one, other) / Math.min(one, other);
        return ratio < A_THOUSAND || !Double.isFinite(ratio)
                ? Optional.empty()
                : Optional.of(Finding.question(
                        "reagents.thousand",
                        "The moles of " + first.name() + " and " + second.name() + " are "
                                + Math.round(ratio)
                                + " times apart. That is what mL typed for L does, or mmol/L for mol/L: "
                                + "look at the units of both."));
    }

    /**
     * Where neither is surely the smaller, the result has a kink there, and the linear uncertainty cannot be trusted.
     */
    private Optional<Finding> even(Bindings bindings) {
        Estimate apart = new Computation(first.runs().minus(second.runs()), bindings).estimate();
        return Math.abs(apart.value()) > 2 * apart.uncertainty() || apart.uncertainty() == 0
                ? Optional.empty()
                : Optional.of(Finding.note(
                        "reagents.even",
                        "The moles of " + first.name() + " and " + second.name()
                                + " are equal within their uncertainty, so which one ran out first is not certain. "
                                + "The result by random draws takes "
                                + "both into account and stands in front. Take one in clear excess next time."));
    }

    private Finding excess(Bindings bindings, Figures figures) {
        Reagent limiting = limiting(bindings);
        Reagent other = limiting.equals(first) ? second : first;
        double left =
                amount(other, bindings).value() - amount(limiting, bindings).value();
        double share = 100 * left / amount(limiting, bindings).value();
        List<String> words = new ArrayList<>(List.of(NAMED + limiting.name() + "."));
        if (share > 0.05) {
            words.add("Of " + other.name() + " there were " + figures.significant(left * other.count(), 3)
                    + " mol more than needed (" + figures.significant(share, 2) + " %).");
        }
        return Finding.note(LIMITING, String.join(" ", words));
    }
}

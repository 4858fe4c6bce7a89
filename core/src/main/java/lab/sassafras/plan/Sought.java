package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.Reference;

/**
 * One amount of a plan that is sought, all others standing.
 *
 * @param path   of the amount
 * @param amount about how much, as one weighs it out
 * @param exact  how much to the last digit (bench unit)
 * @param meets  whether it comes to what is wanted; otherwise it is the nearest
 * @param comes  what it comes to: a change of temperature (°C), or a part of the result
 * @param why    no amount comes nearer, where it does not meet what is wanted
 */
public record Sought(String path, String amount, double exact, boolean meets, double comes, Why why) {

    /** Why no amount comes nearer. */
    public enum Why {
        /** It meets what is wanted. */
        MEETS(""),
        /** At the least that is looked for. */
        LEAST("The smaller it is the nearer, and nothing smaller is looked for."),
        /** At the most that is looked for. */
        MOST("The larger it is the nearer, and nothing larger is looked for."),
        /** With less and with more it is farther off. */
        TURNS("Smaller and larger it is farther off again."),
        /** Beyond it the account does not come out. */
        NO_FURTHER("Beyond that the account does not come out.");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        /** {@return it in words; empty where it meets what is wanted} */
        public String words() {
            return words;
        }
    }

    /** What is wanted. */
    public enum Wish {
        /** A change of temperature (°C). */
        CHANGE,
        /** Half the 95 % interval of the result, at most this part of it. */
        WITHIN
    }

    /** So much further than what is usual an amount is looked for (no source). */
    private static final double BEYOND = 4;

    private static final int STEPS = 48;
    private static final int HALVINGS = 40;
    /** An amount is proposed no further off than this (a part of it; no source). */
    private static final double PROPOSED = 0.01;
    /** A reference may hang on the amount, by the dilution: it is looked up again so often. */
    private static final int AGAIN = 3;

    private static final double SAME = 1e-9;

    /**
     * Seeks it.
     *
     * @param plan   what is had
     * @param path   of the amount that is sought
     * @param wish   what is wanted of it
     * @param wanted how much
     * @return what was found
     * @throws Refused where there is nothing of the kind to seek
     */
    public static Sought of(Plan plan, String path, Wish wish, double wanted) {
        if (plan.amount(path).isEmpty()) {
            throw new Refused("This plan has no amount called " + path + " that could be sought.");
        }
        if (wish == Wish.CHANGE && plan.experiment().foresight().isPresent()) {
            throw new Refused(
                    "No change of temperature is sought here. Seek a result within so many per cent instead.");
        }
        Sought found = new Sought(path, plan.one(path).text(), plan.amount(path).getAsDouble(), false, 0, Why.TURNS);
        for (int i = 0; i < AGAIN; i++) {
            Plan at = plan.with(path, Round.exact(found.exact));
            Reference reference = Expectation.reference(at, at.sheet())
                    .or(() -> Expectation.reference(plan, plan.sheet()))
                    .orElseThrow(() -> new Refused(
                            "What the result should be is not known here, so no amount can be sought by it."));
            found = of(plan, path, wish, wanted, reference);
        }
        return found;
    }

    private static Sought of(Plan plan, String path, Wish wish, double wanted, Reference reference) {
        ToDoubleFunction<Quick> comes = each -> wish == Wish.CHANGE ? each.change() : each.relative();
        List<double[]> tried = new ArrayList<>();
        double[] ends = bounds(plan, path);
        boolean positive = ends[0] > 0;
        for (int i = 0; i <= STEPS; i++) {
            double part = (double) i / STEPS;
            double amount =
                    positive ? ends[0] * Math.pow(ends[1] / ends[0], part) : ends[0] + part * (ends[1] - ends[0]);
            at(plan, path, amount, reference)
                    .ifPresent(each -> tried.add(new double[] {amount, comes.applyAsDouble(each)}));
        }
        if (tried.isEmpty()) {
            throw new Refused("With no amount of it does the account come out. Look at the others first.");
        }
        for (int i = 1; i < tried.size(); i++) {
            double one = tried.get(i - 1)[1] - wanted;
            double other = tried.get(i)[1] - wanted;
            if (one == 0 || one * other < 0) {
                double exact = between(plan, path, reference, comes, wanted, tried.get(i - 1)[0], tried.get(i)[0]);
                return new Sought(path, Round.about(exact, PROPOSED), exact, true, wanted, Why.MEETS);
            }
        }
        double[] nearest = tried.stream()
                .min(Comparator.comparingDouble(each -> Math.abs(each[1] - wanted)))
                .orElseThrow();
        boolean meets = wish == Wish.WITHIN && nearest[1] <= wanted;
        return new Sought(
                path,
                Round.about(nearest[0], PROPOSED),
                nearest[0],
                meets,
                nearest[1],
                meets ? Why.MEETS : why(nearest, tried, ends));
    }

    private static Why why(double[] nearest, List<double[]> tried, double[] ends) {
        boolean least = nearest == tried.get(0);
        if (!least && nearest != tried.get(tried.size() - 1)) {
            return Why.TURNS;
        }
        if (Math.abs(nearest[0] - ends[least ? 0 : 1]) > SAME * Math.abs(nearest[0])) {
            return Why.NO_FURTHER;
        }
        return least ? Why.LEAST : Why.MOST;
    }

    private static double between(
            Plan plan,
            String path,
            Reference reference,
            ToDoubleFunction<Quick> comes,
            double wanted,
            double from,
            double to) {
        double one = from;
        double other = to;
        double at = at(plan, path, one, reference).map(comes::applyAsDouble).orElse(wanted) - wanted;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (one + other) / 2;
            Optional<Double> value = at(plan, path, middle, reference).map(comes::applyAsDouble);
            if (value.isEmpty()) {
                break;
            }
            if (at * (value.get() - wanted) <= 0) {
                other = middle;
            } else {
                one = middle;
            }
        }
        return (one + other) / 2;
    }

    private static Optional<Quick> at(Plan plan, String path, double amount, Reference reference) {
        return Quick.of(plan.with(path, Round.exact(amount)), reference);
    }

    /** Between what an amount is looked for: what is usual and some more, and what is had. */
    static double[] bounds(Plan plan, String path) {
        double had = plan.amount(path).orElseThrow();
        Optional<Slot.Range> usual = plan.slot(path).flatMap(Slot::usual);
        double low = usual.map(Slot.Range::low).orElse(had);
        double high = usual.map(Slot.Range::high).orElse(had);
        if (plan.temperature(path)) {
            return new double[] {Math.min(low, had), Math.max(high, had)};
        }
        return new double[] {Math.min(low, had) / BEYOND, Math.max(high, had) * BEYOND};
    }
}

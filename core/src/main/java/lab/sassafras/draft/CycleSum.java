package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import lab.sassafras.substance.ChemicalEquation.Term;
import lab.sassafras.substance.ChemicalFormula;
import org.hipparchus.fraction.BigFraction;

/**
 * The sum of a cycle as a person writes it: each equation turned and multiplied as it is taken, what cancels struck
 * through, the target under the line.
 *
 * @param rows   the legs that are taken
 * @param target what they make
 */
public record CycleSum(List<Row> rows, Row target) {

    /**
     * One equation.
     *
     * @param label what it is
     * @param times how often it is taken, turned where negative, as written
     * @param left  of the arrow
     * @param right of the arrow
     * @param heat     of it as it is taken (kJ/mol); empty where it is not known
     * @param decimals digits after the mark its heat has by itself; negative where its ± decides
     */
    public record Row(
            String label, String times, List<Part> left, List<Part> right, OptionalDouble heat, int decimals) {}

    /**
     * One substance.
     *
     * @param count   how often it stands; empty for once
     * @param formula what it is
     * @param state   s, l, g or aq
     * @param struck  whether it cancels
     */
    public record Part(String count, ChemicalFormula formula, String state, boolean struck) {}

    /**
     * {@return the sum}
     *
     * @param legs that make their target
     */
    public static CycleSum of(CycleReactions legs) {
        List<BigFraction> times = legs.times();
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < times.size(); i++) {
            if (!times.get(i).equals(BigFraction.ZERO)) {
                rows.add(row(legs.legs().get(i), times.get(i)));
            }
        }
        BigFraction one = new BigFraction(1, legs.target().times());
        List<Part> left = parts(legs.equation().reagents(), one);
        List<Part> right = parts(legs.equation().products(), one);
        boolean spelledAlike = written(left, rows, true) && written(right, rows, false);
        return new CycleSum(
                rows.stream()
                        .map(row -> new Row(
                                row.label(),
                                row.times(),
                                struck(row.left(), left, spelledAlike),
                                struck(row.right(), right, spelledAlike),
                                row.heat(),
                                row.decimals()))
                        .toList(),
                new Row("overall reaction", "", left, right, OptionalDouble.empty(), -1));
    }

    private static Row row(CycleReactions.Leg leg, BigFraction taken) {
        boolean turned = taken.compareTo(BigFraction.ZERO) < 0;
        BigFraction each = taken.abs().divide(leg.equation().times());
        List<Part> reagents = parts(leg.equation().whole().reagents(), each);
        List<Part> products = parts(leg.equation().whole().products(), each);
        return new Row(
                "reaction " + leg.index() + ", " + leg.label(),
                (turned ? "−" : "+") + written(taken.abs()),
                turned ? products : reagents,
                turned ? reagents : products,
                leg.heat().isPresent()
                        ? OptionalDouble.of(leg.heat().getAsDouble() * taken.doubleValue())
                        : OptionalDouble.empty(),
                leg.decimals());
    }

    private static List<Part> parts(List<Term> terms, BigFraction times) {
        return terms.stream()
                .map(term -> new Part(count(times.multiply(term.count())), term.formula(), term.state(), false))
                .toList();
    }

    /** Whether every part of the target stands in some leg as it is written there. */
    private static boolean written(List<Part> target, List<Row> rows, boolean left) {
        return target.stream()
                .allMatch(part -> rows.stream()
                        .flatMap(row -> (left ? row.left() : row.right()).stream())
                        .anyMatch(each -> same(each, part)));
    }

    /** What is not in the target cancels; of salts written as ions on one side only, that is not told. */
    private static List<Part> struck(List<Part> parts, List<Part> target, boolean spelledAlike) {
        return parts.stream()
                .map(part -> new Part(
                        part.count(),
                        part.formula(),
                        part.state(),
                        target.stream().noneMatch(each -> same(each, part))
                                && (spelledAlike || !part.state().equals("aq"))))
                .toList();
    }

    private static boolean same(Part one, Part other) {
        return one.state().equals(other.state()) && one.formula().sameAs(other.formula());
    }

    private static String count(BigFraction count) {
        return count.equals(BigFraction.ONE) ? "" : written(count);
    }

    private static String written(BigFraction number) {
        if (number.getDenominatorAsInt() == 1) {
            return number.getNumerator().toString();
        }
        return number.equals(BigFraction.ONE_HALF) ? "½" : number.getNumerator() + "/" + number.getDenominator();
    }
}

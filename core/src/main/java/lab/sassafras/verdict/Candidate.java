package lab.sassafras.verdict;

import java.util.Comparator;
import java.util.List;
import lab.sassafras.expression.Estimate;
import lab.sassafras.substance.Substance;
import lab.sassafras.yardstick.Parts.Contender;
import org.hipparchus.special.Erf;

/**
 * Something on the shelf that the result may belong to.
 *
 * @param substance     from the shelf
 * @param difference    result less the value it would give (unit of the result)
 * @param compatibility probability of a difference at least as large if it were this (0 to 1)
 * @param objections    what was seen that speaks against it, in words
 */
public record Candidate(Substance substance, double difference, double compatibility, List<String> objections) {

    /** Compatibility below which the number itself speaks against a candidate. Common practice (5 %). */
    public static final double FITS = 0.05;

    private static final int SHOWN = 8;
    /** Further than three standard uncertainties, a candidate is not worth naming; squared. */
    private static final double WORTH_NAMING = 9;

    /** Those of many that are worth naming, what speaks against none first. */
    static List<Candidate> among(List<Contender> all, Estimate result) {
        return all.stream()
                .filter(each -> squares(each, result) <= WORTH_NAMING)
                .map(each -> of(each, result))
                .sorted(Comparator.comparing(
                                (Candidate each) -> !each.objections().isEmpty())
                        .thenComparing(Candidate::compatibility, Comparator.reverseOrder()))
                .limit(SHOWN)
                .toList();
    }

    /** The result, and what else was measured, together in one chi-squared. */
    private static Candidate of(Contender each, Estimate result) {
        double own = squares(each, result);
        return new Candidate(
                each.substance(),
                result.value() - each.value(),
                each.beside().isPresent()
                        ? Math.exp(-(own + Math.pow(each.beside().getAsDouble(), 2)) / 2)
                        : Erf.erfc(Math.sqrt(own / 2)),
                each.objections());
    }

    private static double squares(Contender each, Estimate result) {
        return Math.pow(result.value() - each.value(), 2)
                / (Math.pow(result.uncertainty(), 2) + Math.pow(each.uncertainty(), 2));
    }

    /** {@return whether neither number nor eye speaks against it} */
    public boolean fits() {
        return compatibility >= FITS && objections.isEmpty();
    }

    /** {@return as a person would say it} */
    public String words() {
        if (!objections.isEmpty()) {
            return "contradicted by " + String.join(", ", objections);
        }
        return compatibility >= 0.3 ? "fits well" : compatibility >= FITS ? "fits" : "hardly fits";
    }
}

package lab.sassafras.verdict;

import java.util.List;
import lab.sassafras.substance.Substance;

/**
 * A solid of the shelf that the result may belong to.
 *
 * @param substance     from the shelf
 * @param difference    result less its specific heat (J/(g·°C))
 * @param compatibility probability of a difference at least as large if it were this solid (0 to 1)
 * @param objections    what was seen that speaks against it, in words
 */
public record Candidate(Substance substance, double difference, double compatibility, List<String> objections) {

    /** Compatibility below which the number itself speaks against a candidate. Common practice (5 %). */
    public static final double FITS = 0.05;

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

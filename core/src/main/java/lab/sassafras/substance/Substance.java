package lab.sassafras.substance;

import java.util.Optional;
import lab.sassafras.measure.BenchUnit;

/**
 * One row of the reference shelf.
 *
 * @param key          identity
 * @param name         in words
 * @param kind         what sort of thing it is
 * @param formula      of an element or compound; empty for alloys, glass and mixtures
 * @param specificHeat near 25 °C (J/(g·°C))
 * @param uncertainty  standard uncertainty, covering grade and composition (J/(g·°C))
 * @param density      near 20 °C (g/mL)
 * @param colour       what the eye sees of a clean piece
 * @param magnetic     whether a hand magnet holds it
 * @param everyday     false where no teaching lab would hand it out (gas, radioactive, priceless)
 * @param source       the publication
 * @param opened       false where the number was set down from memory of that source
 */
public record Substance(
        String key,
        String name,
        Kind kind,
        String formula,
        double specificHeat,
        double uncertainty,
        double density,
        String colour,
        boolean magnetic,
        boolean everyday,
        String source,
        boolean opened) {

    /** What sort of thing. */
    public enum Kind {
        METAL("metal"),
        ALLOY("alloy"),
        SOLID("other solid"),
        LIQUID("liquid");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        public boolean solid() {
            return this != LIQUID;
        }
    }

    /** Its specific heat with the source. */
    public Reference specificHeatOnRecord() {
        return new Reference(key, name, specificHeat, uncertainty, BenchUnit.JOULES_PER_GRAM_DEGREE, source, opened);
    }

    /** Molar mass (g/mol); empty without a formula. */
    public Optional<Double> molarMass() {
        return formula.isEmpty()
                ? Optional.empty()
                : Optional.of(ChemicalFormula.read(formula).molarMass());
    }

    /** Molar heat c · M (J/(mol·°C)); empty without a formula. */
    public Optional<Double> molarHeat() {
        return molarMass().map(mass -> mass * specificHeat);
    }

    /** The source as the page names it, with the mark of a number nobody looked up. */
    public String sourceInWords() {
        return specificHeatOnRecord().sourceInWords();
    }
}

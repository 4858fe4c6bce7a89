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
 * @param offered      whether it may be chosen for a bath or a cup; otherwise it is a handbook row only
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
        boolean offered,
        String source,
        boolean opened) {

    /** What sort of thing. */
    public enum Kind {
        /** A metallic element. */
        METAL("metal"),
        /** A mixture of metals. */
        ALLOY("alloy"),
        /** Any other solid. */
        SOLID("other solid"),
        /** A liquid. */
        LIQUID("liquid");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** {@return what it is called in a sentence} */
        public String word() {
            return word;
        }

        /** {@return whether it is a solid} */
        public boolean solid() {
            return this != LIQUID;
        }
    }

    /** {@return its specific heat with the source} */
    public Reference specificHeatOnRecord() {
        return new Reference(key, name, specificHeat, uncertainty, BenchUnit.JOULES_PER_GRAM_DEGREE, source, opened);
    }

    /** {@return molar mass (g/mol); empty without a formula} */
    public Optional<Double> molarMass() {
        return formula.isEmpty()
                ? Optional.empty()
                : Optional.of(ChemicalFormula.read(formula).molarMass());
    }

    /** {@return molar heat c · M (J/(mol·°C)); empty without a formula} */
    public Optional<Double> molarHeat() {
        return molarMass().map(mass -> mass * specificHeat);
    }

    /** {@return the source as the page names it, with the mark of a number nobody looked up} */
    public String sourceInWords() {
        return specificHeatOnRecord().sourceInWords();
    }
}

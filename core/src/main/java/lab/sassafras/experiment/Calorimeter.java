package lab.sassafras.experiment;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Cup;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;

/**
 * The vessel an entry used, with the constant it is pinned to.
 *
 * @param name     what the class calls it
 * @param kind     what it is made of
 * @param constant the pinned constant; empty where none was adopted
 */
public record Calorimeter(String name, Kind kind, Optional<Pinned> constant) {

    /** How an experiment stands to the calorimeter. */
    public enum Use {
        FINDS_CONSTANT,
        NEEDS_CONSTANT,
        NONE
    }

    /**
     * What it is, with the largest constant cup and probe can be believed to have. Common practice, no source.
     */
    public enum Kind {
        FOAM_CUP("foam cup", 5, 15),
        NESTED_FOAM_CUPS("two foam cups, nested", 8, 20),
        GLASS_BEAKER("glass beaker", 60, 250),
        METAL_CUP("metal cup", 60, 400),
        VACUUM_FLASK("vacuum flask", 50, 200);

        private final String words;
        private final double typical;
        private final double largest;

        Kind(String words, double typical, double largest) {
            this.words = words;
            this.typical = typical;
            this.largest = largest;
        }

        public String words() {
            return words;
        }

        /** A middling constant (J/°C), for saying what ignoring it does. */
        public double typical() {
            return typical;
        }

        /** The largest constant to believe without asking (J/°C). */
        public double largest() {
            return largest;
        }
    }

    /**
     * A constant taken over from a calibration.
     *
     * @param key   identity of the calibration
     * @param value the constant (J/°C)
     * @param fill  mass the calorimeter held when it was found (g)
     * @param from  where it comes from, in words
     */
    public record Pinned(String key, Measured value, double fill, String from) {

        String input() {
            return "calorimeter:" + key;
        }

        String fillInput() {
            return "calorimeter-fill:" + key;
        }
    }

    /** Whether it has on record what a treatment needs; a mass and a material come with the run. */
    boolean serves(CalorimeterTreatment.Needs needs) {
        return switch (needs) {
            case NOTHING, MATERIAL -> true;
            case CONSTANT -> constant.isPresent();
            case CONSTANT_AND_FILL ->
                constant.filter(pinned -> pinned.fill() > 0).isPresent();
        };
    }

    /** What a school may count of it. */
    Cup cup(Optional<Expression> mass, Optional<Expression> specificHeat) {
        return new Cup(
                kind.words(),
                constant.map(pinned -> new Input(
                        pinned.input(),
                        new Symbol("C", kind.words()),
                        "calorimeter constant",
                        BenchUnit.JOULES_PER_DEGREE)),
                constant.filter(pinned -> pinned.fill() > 0)
                        .map(pinned -> new Input(
                                pinned.fillInput(),
                                Symbol.of("m:fill then"),
                                "fill the constant was found at",
                                BenchUnit.GRAMS)),
                mass,
                specificHeat);
    }

    void bind(Map<String, Measured> values) {
        constant.ifPresent(pinned -> {
            values.put(
                    pinned.input(), pinned.value().heldInCommon("calibration:" + pinned.key(), "calorimeter constant"));
            values.put(pinned.fillInput(), Measured.exact(pinned.fill()));
        });
    }

    public Calorimeter with(Measured value) {
        return new Calorimeter(name, kind, Optional.of(new Pinned("supposed", value, 0, "supposed")));
    }
}

package lab.sassafras.slot;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Cup;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;

/**
 * The vessel an entry used, with the constant it is pinned to.
 *
 * @param name     what the class calls it
 * @param kind     what it is made of
 * @param constant the pinned constant; empty where none was adopted
 */
public record Calorimeter(String name, VesselKind kind, Optional<Pinned> constant) {

    /** How an experiment stands to the calorimeter. */
    public enum Use {
        /** It finds the constant of the vessel. */
        FINDS_CONSTANT,
        /** It draws on a constant found before. */
        NEEDS_CONSTANT,
        /** It has no calorimeter, or finds it itself. */
        NONE
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

    /**
     * {@return whether it has on record what a treatment needs; a mass and a material come with the run}
     *
     * @param needs of the treatment
     */
    public boolean serves(CalorimeterTreatment.Needs needs) {
        return switch (needs) {
            case NOTHING, MATERIAL -> true;
            case CONSTANT -> constant.isPresent();
            case CONSTANT_AND_FILL ->
                constant.filter(pinned -> pinned.fill() > 0).isPresent();
        };
    }

    /** {@return what a school may count of it} */
    public Cup cup() {
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
                                BenchUnit.GRAMS)));
    }

    /**
     * Adds its numbers, by input name.
     *
     * @param values takes them
     */
    public void bind(Map<String, Measured> values) {
        constant.ifPresent(pinned -> {
            values.put(
                    pinned.input(),
                    pinned.value()
                            .heldInCommon("calibration:" + pinned.key(), "calorimeter constant", Scope.EVERYWHERE));
            values.put(pinned.fillInput(), Measured.exact(pinned.fill()));
        });
    }

    /**
     * {@return the same, supposed to have this constant (J/°C)}
     *
     * @param value the constant (J/°C)
     */
    public Calorimeter with(Measured value) {
        return new Calorimeter(name, kind, Optional.of(new Pinned("supposed", value, 0, "supposed")));
    }
}

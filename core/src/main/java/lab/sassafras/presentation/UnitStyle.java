package lab.sassafras.presentation;

import java.util.Map;
import lab.sassafras.convention.Convention;
import lab.sassafras.expression.Script;
import lab.sassafras.measure.BenchUnit;

/** How units and temperatures are written. */
public enum UnitStyle implements Convention {
    /** J/(g·°C), mL, T. */
    BENCH("bench", "J/(g·°C), mL, T", "The units the instruments show."),
    /** J/(kg·K), cm³, θ. */
    SI("si", "J/(kg·K), cm³, θ", "Kilograms and kelvins in results, cubic centimetres, θ for a Celsius temperature.");

    private final Said said;

    UnitStyle(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /**
     * {@return the unit a result is written in}
     *
     * @param unit of the number
     */
    public BenchUnit unit(BenchUnit unit) {
        return this == SI && unit.equals(BenchUnit.JOULES_PER_GRAM_DEGREE)
                ? BenchUnit.JOULES_PER_KILOGRAM_KELVIN
                : this == SI && unit.equals(BenchUnit.JOULES_PER_GRAM) ? BenchUnit.KILOJOULES_PER_KILOGRAM : unit;
    }

    /** {@return how the working is written} */
    public Script script() {
        return this == SI ? new Script("θ", Map.of("mL", "cm³", "g/mL", "g/cm³", "mL/L", "cm³/L")) : Script.PLAIN;
    }

    @Override
    public Said said() {
        return said;
    }
}

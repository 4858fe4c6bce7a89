package lab.sassafras.convention;

import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** One number for water at every temperature. */
public enum FixedWaterHeat implements WaterHeat {
    /** 4.184 J/(g·°C). */
    THERMOCHEMICAL(
            "4.184",
            4.184,
            "4.184 J/(g·°C)",
            "The value that defines the thermochemical calorie; within 0.9 % from 0 to 100 °C."),
    /** 4.18 J/(g·°C). */
    ROUNDED("4.18", 4.18, "4.18 J/(g·°C)", "Rounded to three figures; right near 25 to 40 °C."),
    /** 1 cal/(g·°C). */
    CALORIE(
            "1-cal",
            4.184,
            "1 cal/(g·°C)",
            "One calorie for each gram and degree, 4.184 J exactly (NIST SP 811): the same number as 4.184.");

    private final Said said;
    private final double value;
    private final Expression specificHeat;

    FixedWaterHeat(String key, double value, String words, String explanation) {
        this.said = new Said(key, words, explanation);
        this.value = value;
        this.specificHeat = new Expression.Constant(value, Double.toString(value), BenchUnit.JOULES_PER_GRAM_DEGREE)
                .named(Symbol.of("c:water"), BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    @Override
    public boolean comesToSame(Convention inForce, Evidence evidence) {
        return inForce instanceof FixedWaterHeat other && value == other.value;
    }

    @Override
    public Said said() {
        return said;
    }

    @Override
    public Expression specificHeat(String what, Expression start, Expression end) {
        return specificHeat;
    }
}

package lab.sassafras.convention;

import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.LiquidWater;

/** The value at the mean of the two temperatures, by the IAPWS-IF97 formulation at 0.101325 MPa. */
public final class WaterHeatByTemperature implements WaterHeat {

    private static final Said SAID = new Said(
            "iapws",
            "value at the mean temperature",
            "Liquid water at 0.101325 MPa by IAPWS-IF97, taken halfway between start and end.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Expression specificHeat(String what, Expression start, Expression end) {
        return new Expression.Applied(LiquidWater.specificHeat(), Expression.mean(start, end))
                .named(new Symbol("c", what), BenchUnit.JOULES_PER_GRAM_DEGREE);
    }
}

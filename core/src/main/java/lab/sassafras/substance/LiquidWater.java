package lab.sassafras.substance;

import com.hummeling.if97.IF97;
import lab.sassafras.expression.SmoothFunction;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * Specific heat of liquid water at 0.101325 MPa against temperature, IAPWS-IF97 region 1.
 *
 * <p>The formulation is evaluated once for every degree from 0.01 to 99.5 °C and carried between by a cubic spline,
 * so that the derivative is exact for the function used. Outside that range there is no value: the formulation
 * refuses ice and answers with steam at 100 °C.
 */
public final class LiquidWater implements SmoothFunction {

    /** Lowest temperature with a value (°C). */
    public static final double LOWEST = 0.01;
    /** Highest temperature with a value (°C). */
    public static final double HIGHEST = 99.5;

    private static final double PRESSURE = 0.101325;
    private static final LiquidWater INSTANCE = new LiquidWater();

    private final PolynomialSplineFunction specificHeat = fit();
    private final PolynomialSplineFunction slope = specificHeat.polynomialSplineDerivative();

    private LiquidWater() {}

    /** {@return the specific heat of liquid water} */
    public static LiquidWater specificHeat() {
        return INSTANCE;
    }

    private static PolynomialSplineFunction fit() {
        IF97 steamTables = new IF97();
        int points = 101;
        double[] temperatures = new double[points];
        double[] values = new double[points];
        for (int i = 0; i < points; i++) {
            temperatures[i] = LOWEST + (HIGHEST - LOWEST) * i / (points - 1);
            values[i] = steamTables.isobaricHeatCapacityPT(PRESSURE, temperatures[i] + 273.15);
        }
        return new SplineInterpolator().interpolate(temperatures, values);
    }

    @Override
    public Symbol symbol() {
        return Symbol.of("c:water at");
    }

    @Override
    public BenchUnit argumentUnit() {
        return BenchUnit.DEGREES_CELSIUS;
    }

    @Override
    public BenchUnit unit() {
        return BenchUnit.JOULES_PER_GRAM_DEGREE;
    }

    /**
     * @param temperature (°C)
     * @return specific heat (J/(g·°C), the same number as kJ/(kg·K)); NaN outside the liquid range held here
     */
    @Override
    public double value(double temperature) {
        return specificHeat.isValidPoint(temperature) ? specificHeat.value(temperature) : Double.NaN;
    }

    @Override
    public double derivative(double temperature) {
        return slope.isValidPoint(temperature) ? slope.value(temperature) : Double.NaN;
    }
}

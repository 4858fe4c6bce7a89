package lab.sassafras.substance;

import com.hummeling.if97.IF97;
import lab.sassafras.expression.SmoothFunction;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** Boiling point of water against pressure: saturation temperature of IAPWS-IF97, region 4, from 500 to 1100 hPa. */
public final class BoilingPoint implements SmoothFunction {

    private static final double LOWEST = 500;
    private static final double HIGHEST = 1100;
    private static final double STEP = 0.5;
    private static final BoilingPoint WATER = new BoilingPoint();

    private final IF97 steamTables = new IF97();

    private BoilingPoint() {}

    /** {@return the boiling point of water} */
    public static BoilingPoint ofWater() {
        return WATER;
    }

    @Override
    public Symbol symbol() {
        return Symbol.of("T:boiling at");
    }

    @Override
    public BenchUnit argumentUnit() {
        return BenchUnit.HECTOPASCALS;
    }

    @Override
    public BenchUnit unit() {
        return BenchUnit.DEGREES_CELSIUS;
    }

    /**
     * @param pressure (hPa)
     * @return boiling point (°C); NaN outside the range of a barometer
     */
    @Override
    public double value(double pressure) {
        return pressure >= LOWEST && pressure <= HIGHEST
                ? steamTables.saturationTemperatureP(pressure / 10_000) - 273.15
                : Double.NaN;
    }

    /** Central difference over 1 hPa: the curve bends by less than 10⁻⁷ °C there. */
    @Override
    public double derivative(double pressure) {
        double low = Math.max(LOWEST, pressure - STEP);
        double high = Math.min(HIGHEST, pressure + STEP);
        return (value(high) - value(low)) / (high - low);
    }
}

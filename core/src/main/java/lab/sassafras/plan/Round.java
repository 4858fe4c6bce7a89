package lab.sassafras.plan;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Amounts as one weighs them out, pours them, or sets them. */
final class Round {

    private static final int FIGURES = 4;
    private static final double[] STEPS = {5, 2, 1};

    private Round() {}

    /** As it is written, without needless digits. */
    static String plain(double value) {
        return new BigDecimal(value)
                .round(new MathContext(FIGURES, RoundingMode.HALF_EVEN))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** To the last digit that counts. */
    static String exact(double value) {
        return new BigDecimal(value)
                .round(new MathContext(12))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** The roundest number that is no further away than a part of it. */
    static String about(double value, double part) {
        double size = Math.pow(10, Math.floor(Math.log10(Math.max(1e-9, Math.abs(value)))));
        for (double by = 1; by > 1e-4; by /= 10) {
            for (double step : STEPS) {
                double near = Math.rint(value / (step * by * size)) * step * by * size;
                if (Math.abs(near - value) <= part * Math.abs(value)) {
                    return plain(near);
                }
            }
        }
        return plain(value);
    }
}

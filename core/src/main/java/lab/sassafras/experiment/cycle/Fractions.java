package lab.sassafras.experiment.cycle;

import org.hipparchus.fraction.BigFraction;

/** Fractions as they stand in the working. */
final class Fractions {

    private static final int LARGEST_DENOMINATOR = 60;

    private Fractions() {}

    static String written(BigFraction fraction) {
        return fraction.getDenominatorAsInt() == 1
                ? fraction.getNumerator().toString()
                : "(" + fraction.getNumerator() + "/" + fraction.getDenominator() + ")";
    }

    static String written(double number) {
        return written(new BigFraction(number, 1e-6, LARGEST_DENOMINATOR));
    }
}

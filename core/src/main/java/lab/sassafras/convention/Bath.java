package lab.sassafras.convention;

import java.util.Optional;

/** What a solid was brought to temperature in. */
public enum Bath {
    /** Boiling water. */
    BOILING(100),
    /** Melting ice. */
    ICE(0),
    /** Any other, which goes by its reading. */
    OTHER(Double.NaN);

    private final double fixedPoint;

    Bath(double fixedPoint) {
        this.fixedPoint = fixedPoint;
    }

    /** {@return the temperature such a bath is taken to have (°C); empty where it has none of its own} */
    public Optional<Double> fixedPoint() {
        return Double.isNaN(fixedPoint) ? Optional.empty() : Optional.of(fixedPoint);
    }
}

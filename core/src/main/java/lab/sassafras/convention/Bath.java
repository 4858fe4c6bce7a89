package lab.sassafras.convention;

import java.util.Optional;

/** What a solid was brought to temperature in. */
public enum Bath {
    BOILING(100),
    ICE(0),
    OTHER(Double.NaN);

    private final double fixedPoint;

    Bath(double fixedPoint) {
        this.fixedPoint = fixedPoint;
    }

    /** The temperature such a bath is taken to have (°C); empty where it has none of its own. */
    public Optional<Double> fixedPoint() {
        return Double.isNaN(fixedPoint) ? Optional.empty() : Optional.of(fixedPoint);
    }
}

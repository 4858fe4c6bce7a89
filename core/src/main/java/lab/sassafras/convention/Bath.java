package lab.sassafras.convention;

import java.util.Optional;

/** What a solid was brought to temperature in. */
public enum Bath {
    /** Boiling water. */
    BOILING("boiling-bath"),
    /** Melting ice. */
    ICE("ice-bath"),
    /** Any other, which goes by its reading. */
    OTHER("");

    private final String fixedPoint;

    Bath(String fixedPoint) {
        this.fixedPoint = fixedPoint;
    }

    /**
     * {@return what the shelf calls the temperature such a bath is taken to have; empty where it has none of its own}
     */
    public Optional<String> fixedPoint() {
        return fixedPoint.isEmpty() ? Optional.empty() : Optional.of(fixedPoint);
    }
}

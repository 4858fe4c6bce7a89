package lab.sassafras.curve;

import java.util.Set;

/**
 * What a person says about a curve beside its stretches.
 *
 * @param once     time from mixing to a single reading (s)
 * @param fraction part of the change to whose moment lines are carried
 * @param sure     seconds of readings that count however far they lie off, on the readings' clock
 */
public record Stated(double once, double fraction, Set<Double> sure) {

    /**
     * What holds where nothing is said: three minutes (common practice, no source), 0.6 of the change (ASTM D240; the
     * classical rule takes 0.63, both from memory; 0.5 suits a heater or a flame of constant power), no reading against
     * what the others show.
     */
    public static final Stated USUAL = new Stated(180, 0.6, Set.of());

    /**
     * Keeps a copy of what could change.
     *
     * @param once     time from mixing to a single reading (s)
     * @param fraction part of the change to whose moment lines are carried
     * @param sure     seconds of readings that count however far they lie off, on the readings' clock
     */
    public Stated {
        sure = Set.copyOf(sure);
    }
}

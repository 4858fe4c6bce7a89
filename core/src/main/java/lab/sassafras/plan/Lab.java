package lab.sassafras.plan;

import java.util.OptionalDouble;

/**
 * What a lab allows, and has for everybody.
 *
 * @param strongest acids and bases are planned up to this (mol/L)
 * @param plate     what its hot plates are rated (W)
 * @param soaks     how long a class leaves something in a bath (min); as is usual where it is empty
 */
public record Lab(double strongest, double plate, OptionalDouble soaks) {

    /** Where nobody said otherwise: 2 mol/L, a plate of 1 kW. Common practice, no source. */
    public static final Lab USUAL = new Lab(2, 1000, OptionalDouble.empty());

    /** What a plate gives of its rating to the water on it. No source. */
    private static final double YIELD = 0.6;
    /** Of water (J/(g·°C)). */
    private static final double WATER = 4.184;
    /** Water comes from a tap or a room so warm (°C). No source. */
    static final double ROOM = 22;

    /**
     * {@return how long water takes on one plate (min)}
     *
     * @param grams of water
     * @param to    how hot (°C)
     */
    public double minutes(double grams, double to) {
        return grams * WATER * Math.max(0, to - ROOM) / (YIELD * plate) / 60;
    }
}

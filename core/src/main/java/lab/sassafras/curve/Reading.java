package lab.sassafras.curve;

/**
 * One reading on the clock.
 *
 * @param seconds     from the beginning of the record (s)
 * @param temperature as read (°C)
 */
public record Reading(double seconds, double temperature) {

    /** No bench is hotter (°C). What a meter shows when nothing is plugged in lies far beyond. */
    public static final double HOTTEST = 5000;
    /** Nothing is colder (°C). */
    public static final double COLDEST = -273.15;
    /** No record lasts as long (s): some four months. */
    public static final double LONGEST = 1e7;

    /** {@return whether a clock and a thermometer can have shown this} */
    public boolean possible() {
        return canBe(temperature) && seconds >= 0 && seconds < LONGEST;
    }

    /**
     * {@return whether a number can be a temperature at a bench}
     *
     * @param temperature in question (°C)
     */
    public static boolean canBe(double temperature) {
        return temperature >= COLDEST && temperature <= HOTTEST;
    }
}

package lab.sassafras.curve;

import java.util.List;
import java.util.Optional;

/**
 * What surrounds the calorimeter.
 *
 * @param temperature as read (°C)
 * @param uncertainty standard uncertainty of taking it for what the calorimeter cools towards (°C)
 */
public record Room(double temperature, double uncertainty) {

    /** What a reading of the room says of the air about a cup (°C). Common practice, no source. */
    private static final double LEAST = 0.3;

    /**
     * {@return the room by its readings: their mean, and as uncertain as they lie apart, but never better than 0.3 °C}
     *
     * @param readings in any order (°C); none for a room that was not read
     */
    public static Optional<Room> of(List<Double> readings) {
        double low = readings.stream().mapToDouble(each -> each).min().orElse(0);
        double high = readings.stream().mapToDouble(each -> each).max().orElse(0);
        return readings.isEmpty()
                ? Optional.empty()
                : Optional.of(new Room(
                        readings.stream().mapToDouble(each -> each).average().orElseThrow(),
                        Math.max(LEAST, (high - low) / 2)));
    }
}

package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Room;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;

/**
 * Readings on a clock, as a slot may name them by their identity.
 *
 * @param label       in words
 * @param readings    those that count, in order of time (s from its beginning, °C)
 * @param thermometer they were read on; empty where it is not on the shelf
 * @param room        temperature of the room, where it was read
 * @param sure        seconds of readings that count however far they lie off, where a person says so
 * @param impossible  how many readings were kept once that no clock and thermometer can have shown; they do not count
 * @param leapt       how far the computer’s clock leapt forward while they were read (s), 0 where it did not
 * @param unit        they are in
 */
public record Logged(
        String label,
        List<Reading> readings,
        Optional<Instrument> thermometer,
        Optional<Room> room,
        Set<Double> sure,
        int impossible,
        double leapt,
        BenchUnit unit) {

    /**
     * Readings in a room whose temperature was not read.
     *
     * @param label       in words
     * @param readings    those that count, in order of time (s from its beginning, °C)
     * @param thermometer they were read on; empty where it is not on the shelf
     */
    public Logged(String label, List<Reading> readings, Optional<Instrument> thermometer) {
        this(label, readings, thermometer, Optional.empty(), Set.of(), 0, 0, BenchUnit.DEGREES_CELSIUS);
    }

    /** What an unknown thermometer is taken to show (°C). Common practice, no source. */
    private static final double USUAL_DISPLAY = 0.1;

    /** {@return smallest step its thermometer shows (°C)} */
    public double display() {
        return thermometer.map(Instrument::resolution).orElse(USUAL_DISPLAY);
    }
}

package lab.sassafras.curve;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;

/**
 * Readings of one stretch of a record, for whatever is read from them.
 *
 * @param readings in order of time; those that are no numbers are left out
 * @param display  smallest step the instrument shows (unit of the readings)
 * @param unit     of the readings
 * @param mixed    the same about the moment of mixing that is marked on them; empty where none is
 */
public record Stretch(List<Reading> readings, double display, BenchUnit unit, Optional<Curve> mixed) {

    /**
     * Takes readings as they come.
     *
     * @param readings in any order
     * @param display  smallest step the instrument shows (unit of the readings)
     * @param unit     of the readings
     * @param mixed    the same about the moment of mixing that is marked on them; empty where none is
     */
    public Stretch {
        readings = readings.stream()
                .filter(each -> Double.isFinite(each.seconds()) && Double.isFinite(each.temperature()))
                .sorted(Comparator.comparingDouble(Reading::seconds))
                .toList();
    }

    /**
     * Takes readings on which no moment is marked.
     *
     * @param readings in any order
     * @param display  smallest step the instrument shows (unit of the readings)
     * @param unit     of the readings
     */
    public Stretch(List<Reading> readings, double display, BenchUnit unit) {
        this(readings, display, unit, Optional.empty());
    }

    /** {@return standard uncertainty of one reading that is no more than the step it is shown in} */
    double least() {
        return display / Math.sqrt(12);
    }
}

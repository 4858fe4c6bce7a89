package lab.sassafras.curve;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.Refused;

/**
 * The readings of one trial in order of time, with the moment of mixing.
 *
 * @param readings in order of time; those that are no numbers are left out
 * @param mixing   moment of mixing, on the readings' clock (s)
 * @param display  smallest step the thermometer shows (°C)
 * @param room     what surrounds the calorimeter, where it was read
 * @param windows  which readings are baseline, where a person says so
 * @param stated   what else a person says about it
 * @param ratio    heat capacity before mixing, as a part of that after it; 1 where little was added
 */
public record Curve(
        List<Reading> readings,
        double mixing,
        double display,
        Optional<Room> room,
        Optional<Windows> windows,
        Stated stated,
        double ratio) {

    /** A heat capacity grows no further than this by what is poured in, or the masses are wrong. */
    private static final double LEAST_RATIO = 0.05;

    /**
     * Takes readings as they come.
     *
     * @param readings in any order
     * @param mixing   moment of mixing, on the readings' clock (s)
     * @param display  smallest step the thermometer shows (°C)
     * @param room     what surrounds the calorimeter, where it was read
     * @param windows  which readings are baseline, where a person says so
     * @param stated   what else a person says about it
     * @param ratio    heat capacity before mixing, as a part of that after it; 1 where little was added, or nobody
     *                 knows
     * @throws Refused where nothing was read before mixing, or nothing after it
     */
    public Curve {
        ratio = ratio >= LEAST_RATIO && ratio <= 1 ? ratio : 1;
        readings = readings.stream()
                .filter(each -> Double.isFinite(each.seconds()) && Double.isFinite(each.temperature()))
                .sorted(Comparator.comparingDouble(Reading::seconds))
                .toList();
        if (!Double.isFinite(mixing)) {
            throw new Refused("No moment of mixing is marked.");
        }
        if (readings.isEmpty()) {
            throw new Refused("There is no reading on this curve.");
        }
        if (readings.get(0).seconds() >= mixing) {
            throw new Refused("There is no reading before mixing.");
        }
        if (readings.get(readings.size() - 1).seconds() <= mixing) {
            throw new Refused("There is no reading after mixing.");
        }
        if (windows.isPresent()) {
            within(readings, mixing, windows.get());
        }
    }

    /**
     * Takes readings as they come, nothing else being said about them.
     *
     * @param readings in any order
     * @param mixing   moment of mixing, on the readings' clock (s)
     * @param display  smallest step the thermometer shows (°C)
     * @param room     what surrounds the calorimeter, where it was read
     * @param windows  which readings are baseline, where a person says so
     * @throws Refused where nothing was read before mixing, or nothing after it
     */
    public Curve(
            List<Reading> readings, double mixing, double display, Optional<Room> room, Optional<Windows> windows) {
        this(readings, mixing, display, room, windows, Stated.USUAL, 1);
    }

    /**
     * Takes readings as they come, which of them are baseline being left to what they show.
     *
     * @param readings in any order
     * @param mixing   moment of mixing, on the readings' clock (s)
     * @param display  smallest step the thermometer shows (°C)
     * @param room     what surrounds the calorimeter, where it was read
     * @throws Refused where nothing was read before mixing, or nothing after it
     */
    public Curve(List<Reading> readings, double mixing, double display, Optional<Room> room) {
        this(readings, mixing, display, room, Optional.empty());
    }

    private static void within(List<Reading> readings, double mixing, Windows windows) {
        List<Reading> within = readings.stream().filter(windows::holds).toList();
        if (within.stream().noneMatch(each -> each.seconds() < mixing)) {
            throw new Refused("There is no reading in the stretch before mixing.");
        }
        if (within.stream().noneMatch(each -> each.seconds() > mixing)) {
            throw new Refused("There is no reading in the stretch after mixing.");
        }
    }

    /** {@return how many readings come before mixing} */
    int before() {
        int low = 0;
        int high = readings.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (readings.get(middle).seconds() < mixing) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}

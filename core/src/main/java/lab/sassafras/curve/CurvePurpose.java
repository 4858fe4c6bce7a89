package lab.sassafras.curve;

import java.util.List;
import lab.sassafras.measure.BenchUnit;

/**
 * What an experiment reads from readings on a clock: a steady rise, a plateau. Each purpose is a class of its own and
 * is declared with the slot its readings stand in. Most experiments read the two temperatures about a moment of mixing
 * ({@link Mixing}).
 */
public interface CurvePurpose {

    /**
     * One number that is told.
     *
     * @param key      stable name, part of the name of its input
     * @param unit     of it
     * @param absolute whether an offset of the instrument is in it, as in a temperature and not in a difference of two
     */
    record Tells(String key, BenchUnit unit, boolean absolute) {}

    /** {@return unit of the readings it is made for} */
    default BenchUnit reads() {
        return BenchUnit.DEGREES_CELSIUS;
    }

    /** {@return whether a moment is marked on its readings, as that of mixing} */
    default boolean marked() {
        return false;
    }

    /** {@return the numbers it tells, in order} */
    List<Tells> tells();

    /**
     * {@return those numbers with their covariance, or why there are none}
     *
     * @param stretch the readings
     */
    Told of(Stretch stretch);
}

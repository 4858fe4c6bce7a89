package lab.sassafras.curve;

import lab.sassafras.measure.Refused;

/**
 * Which readings are taken for baseline where a person says so, on the readings' clock.
 *
 * @param foreFrom  first second before mixing (s)
 * @param foreTo    last second before mixing (s)
 * @param afterFrom first second after mixing (s)
 * @param afterTo   last second after mixing (s)
 */
public record Windows(double foreFrom, double foreTo, double afterFrom, double afterTo) {

    /**
     * Takes them as given.
     *
     * @param foreFrom  first second before mixing (s)
     * @param foreTo    last second before mixing (s)
     * @param afterFrom first second after mixing (s)
     * @param afterTo   last second after mixing (s)
     * @throws Refused where one ends before it begins, or the later begins before the earlier ends
     */
    public Windows {
        if (!(foreFrom <= foreTo && foreTo <= afterFrom && afterFrom <= afterTo)) {
            throw new Refused(
                    "The stretch before mixing comes first and the one after it second, and each begins before it ends.");
        }
    }

    boolean holds(Reading reading) {
        return reading.seconds() >= foreFrom && reading.seconds() <= foreTo
                || reading.seconds() >= afterFrom && reading.seconds() <= afterTo;
    }
}

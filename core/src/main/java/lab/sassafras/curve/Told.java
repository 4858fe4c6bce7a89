package lab.sassafras.curve;

import java.util.List;
import java.util.Map;

/** What a purpose makes of a stretch of readings. */
public sealed interface Told {

    /**
     * Numbers, in the order the purpose tells them.
     *
     * @param values           (their units)
     * @param covariance       of them, row by row
     * @param degreesOfFreedom of the noise they are known by; infinite where it is taken as known
     * @param drawn            lines they are read from
     */
    record Numbers(List<Double> values, List<List<Double>> covariance, double degreesOfFreedom, List<Drawn> drawn)
            implements Told {

        /**
         * Keeps copies of what could change.
         *
         * @param values           (their units)
         * @param covariance       of them, row by row
         * @param degreesOfFreedom of the noise they are known by; infinite where it is taken as known
         * @param drawn            lines they are read from
         */
        public Numbers {
            drawn = List.copyOf(drawn);
            values = List.copyOf(values);
            covariance = covariance.stream().map(List::copyOf).toList();
        }

        /**
         * {@return standard uncertainty of one of them (its unit)}
         *
         * @param which from 0
         */
        public double uncertainty(int which) {
            return Math.sqrt(covariance.get(which).get(which));
        }
    }

    /**
     * A line laid through readings.
     *
     * @param key  what it is of, part of the name of its word
     * @param line points of it, in order of time
     */
    record Drawn(String key, List<Reading> line) {}

    /** The same numbers in several ways: by each, or why there are none by that one. */
    non-sealed interface Ways extends Told {

        /** {@return what is told, by the name of the way, in order} */
        Map<String, Told> ways();
    }

    /**
     * Nothing can be read.
     *
     * @param reason why, and what would help, in plain words
     */
    record None(String reason) implements Told {}
}

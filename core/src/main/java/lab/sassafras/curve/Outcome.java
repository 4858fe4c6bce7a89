package lab.sassafras.curve;

import java.util.List;
import lab.sassafras.expression.Estimate;

/** What a way of reading a curve comes to: a change, or the reason why there is none. */
public sealed interface Outcome {

    /**
     * The temperatures just before and just after mixing.
     *
     * @param start            before (°C)
     * @param end              after (°C)
     * @param startVariance    of the start (°C²)
     * @param endVariance      of the end (°C²)
     * @param covariance       of the two (°C²)
     * @param degreesOfFreedom of the noise they are known by; infinite where it is taken as known
     */
    record Change(
            double start,
            double end,
            double startVariance,
            double endVariance,
            double covariance,
            double degreesOfFreedom)
            implements Outcome {

        /** {@return end less start (°C)} */
        public double difference() {
            return end - start;
        }

        /** {@return standard uncertainty of the difference (°C)} */
        public double uncertainty() {
            return Math.sqrt(Math.max(0, startVariance + endVariance - 2 * covariance));
        }

        /**
         * {@return half the width of Student's interval of the difference (°C)}
         *
         * @param probability of the interval (0 to 1)
         */
        public double halfWidth(double probability) {
            return new Estimate(difference(), uncertainty(), degreesOfFreedom, List.of()).halfWidth(probability);
        }
    }

    /**
     * No change can be read this way.
     *
     * @param reason why, and what would help, in plain words
     */
    record Withheld(String reason) implements Outcome {}
}

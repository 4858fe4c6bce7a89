package lab.sassafras.curve;

import java.util.Arrays;
import java.util.List;

/**
 * A straight line through readings, by least squares in closed form about their middle. Readings whose noise hangs
 * together are whitened first: of each only that part counts which the one before did not tell (first-order
 * autoregression).
 *
 * @param readings how many
 * @param worth    how many independent ones they are worth
 * @param middle   mean of their times (s)
 * @param height   mean of their temperatures (°C)
 * @param slope    (°C/s)
 * @param spread   sum of squares of the times about their middle (s²)
 * @param noise    standard deviation of a reading about the line (°C)
 */
record LineFit(int readings, double worth, double middle, double height, double slope, double spread, double noise) {

    /**
     * Lays the line through all of them.
     *
     * @param leastNoise what a reading scatters by at least (°C)
     */
    static LineFit through(List<Reading> readings, double leastNoise) {
        boolean[] counts = new boolean[readings.size()];
        Arrays.fill(counts, true);
        return through(
                readings.stream().mapToDouble(Reading::seconds).toArray(),
                readings.stream().mapToDouble(Reading::temperature).toArray(),
                counts,
                0,
                counts.length,
                leastNoise);
    }

    /**
     * Lays the line through those that count.
     *
     * @param seconds      times (s)
     * @param temperatures in the same order (°C)
     * @param counts       which are laid through
     * @param from         first
     * @param to           after the last
     * @param leastNoise   what a reading scatters by at least (°C)
     */
    static LineFit through(
            double[] seconds, double[] temperatures, boolean[] counts, int from, int to, double leastNoise) {
        int n = 0;
        double middle = 0;
        double height = 0;
        for (int i = from; i < to; i++) {
            if (counts[i]) {
                n++;
                middle += (seconds[i] - middle) / n;
                height += (temperatures[i] - height) / n;
            }
        }
        double spread = 0;
        double together = 0;
        double up = 0;
        for (int i = from; i < to; i++) {
            if (counts[i]) {
                double across = seconds[i] - middle;
                double high = temperatures[i] - height;
                spread += across * across;
                together += across * high;
                up += high * high;
            }
        }
        double slope = spread > 0 ? together / spread : 0;
        double left = Math.max(0, up - slope * together);
        double noise = n > 2 ? Math.sqrt(left / (n - 2)) : 0;
        return new LineFit(n, n, middle, height, slope, spread, Math.max(noise, leastNoise));
    }

    /**
     * The same where the noise of a reading hangs together with that of the one before, the less the longer between
     * them.
     *
     * @param memory time in which what they have in common falls to a part in e (s); 0 for nothing in common
     */
    static LineFit whitened(
            double[] seconds,
            double[] temperatures,
            boolean[] counts,
            int from,
            int to,
            double leastNoise,
            double memory) {
        LineFit plain = through(seconds, temperatures, counts, from, to, leastNoise);
        if (memory <= 0 || plain.readings < 3) {
            return plain;
        }
        double weight = 0;
        double across = 0;
        double high = 0;
        double squares = 0;
        double together = 0;
        double up = 0;
        int before = -1;
        for (int i = from; i < to; i++) {
            if (counts[i]) {
                double told = before < 0 ? 0 : Math.exp(-(seconds[i] - seconds[before]) / memory);
                double scale = 1 / Math.sqrt(Math.max(1e-6, 1 - told * told));
                double one = (1 - told) * scale;
                double time = told(seconds, i, before, told, plain.middle) * scale;
                double height = told(temperatures, i, before, told, plain.height) * scale;
                weight += one * one;
                across += one * time;
                high += one * height;
                squares += time * time;
                together += time * height;
                up += height * height;
                before = i;
            }
        }
        double middle = across / weight;
        double spread = squares - across * middle;
        double slope = spread > 0 ? (together - middle * high) / spread : 0;
        double level = high / weight;
        double left = Math.max(0, up - level * high - slope * (together - middle * high));
        double noise = Math.sqrt(left / (plain.readings - 2));
        return new LineFit(
                plain.readings,
                weight,
                plain.middle + middle,
                plain.height + level,
                slope,
                spread,
                Math.max(noise, leastNoise));
    }

    private static double told(double[] values, int i, int before, double told, double zero) {
        return values[i] - zero - (before < 0 ? 0 : told * (values[before] - zero));
    }

    /** Height of the line (°C) at a time (s). */
    double at(double seconds) {
        return height + slope * (seconds - middle);
    }

    /** Variance of that height (°C²). */
    double variance(double seconds) {
        double away = seconds - middle;
        return noise * noise * (1 / worth + (spread > 0 ? away * away / spread : 0));
    }

    int degreesOfFreedom() {
        return Math.max(1, (int) Math.floor(worth) - 2);
    }
}

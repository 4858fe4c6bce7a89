package lab.sassafras.curve;

/**
 * A straight line through readings, by least squares in closed form about their middle.
 *
 * @param readings how many
 * @param middle   mean of their times (s)
 * @param height   mean of their temperatures (°C)
 * @param slope    (°C/s)
 * @param spread   sum of squares of the times about their middle (s²)
 * @param noise    standard deviation of a reading about the line (°C)
 */
record LineFit(int readings, double middle, double height, double slope, double spread, double noise) {

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
        return new LineFit(n, middle, height, slope, spread, Math.max(noise, leastNoise));
    }

    /** Height of the line (°C) at a time (s). */
    double at(double seconds) {
        return height + slope * (seconds - middle);
    }

    /** Variance of that height (°C²). */
    double variance(double seconds) {
        double away = seconds - middle;
        return noise * noise * (1.0 / readings + (spread > 0 ? away * away / spread : 0));
    }

    int degreesOfFreedom() {
        return Math.max(1, readings - 2);
    }
}

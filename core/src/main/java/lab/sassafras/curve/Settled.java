package lab.sassafras.curve;

import lab.sassafras.measure.Figures;

/**
 * Whether readings stand still over a stretch: the line through them changes over it by no more than a step of the
 * display, or than twice what their noise leaves open. Two minutes, or the four readings nearest to mixing where they
 * are further apart (common practice, no source).
 *
 * @param from      first second of the stretch (s from mixing)
 * @param to        last second
 * @param change    of the line over the stretch (°C)
 * @param tolerance what it may change by (°C)
 * @param mean      of the readings (°C)
 * @param variance  of that mean (°C²)
 * @param readings  how many; fewer than two tell nothing
 */
public record Settled(
        double from, double to, double change, double tolerance, double mean, double variance, int readings) {

    private static final double STRETCH = 120;
    private static final int FEWEST = 4;

    /** The last stretch before mixing. */
    static Settled before(Baselines of) {
        int first = of.before;
        while (first > 0
                && (of.seconds[first - 1] >= of.seconds[of.before - 1] - STRETCH || of.before - first < FEWEST)) {
            first--;
        }
        return over(of, first, of.before);
    }

    /** The first stretch after mixing once the rise is over. */
    static Settled after(Baselines of) {
        int first = of.settledFrom();
        int end = first;
        while (end < of.seconds.length && (of.seconds[end] <= of.seconds[first] + STRETCH || end - first < FEWEST)) {
            end++;
        }
        return over(of, first, end);
    }

    private static Settled over(Baselines of, int first, int end) {
        LineFit line = of.line(first, end);
        double from = of.seconds[first];
        double to = of.seconds[end - 1];
        double length = to - from;
        double open = line.spread() > 0 ? 2 * line.noise() * length / Math.sqrt(line.spread()) : 0;
        return new Settled(
                from,
                to,
                line.slope() * length,
                Math.max(of.curve.display(), open),
                line.height(),
                line.noise() * line.noise() / Math.max(1, line.worth()),
                line.readings());
    }

    /** {@return whether they stand still} */
    public boolean holds() {
        return readings >= 2 && Math.abs(change) <= tolerance;
    }

    /**
     * {@return rule, slope and stretch in a sentence}
     *
     * @param figures how numbers are written
     */
    public String said(Figures figures) {
        if (readings < 2) {
            return "One reading does not tell whether it had settled.";
        }
        return (holds() ? "settled: " : "not settled: ") + figures.signed(change, 2) + " °C over "
                + ClockTime.write(Math.rint(to - from)) + (holds() ? ", within " : ", more than ")
                + figures.significant(tolerance, 1) + " °C (a step of the display, or what the noise leaves open).";
    }
}

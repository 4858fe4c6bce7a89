package lab.sassafras.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What is known of an instrument's scale: how far a unit of it may be off, and where it was compared with something
 * better. The true value is reading + offset + gain · (reading − origin), with one offset and one gain for all its
 * readings: an offset cancels in a rise, a gain does not.
 *
 * @param gain   half the width of the rectangle its gain lies in (a part of one, 0.002 for 0.2 %); it counts where
 *               fewer than two points tell the gain
 * @param points where it was compared, by rising reading; empty where it never was
 */
public record Correction(double gain, List<Point> points) {

    /** Most points one instrument is compared at. */
    public static final int MOST_POINTS = 12;
    /** Further than this from one, a gain is a slip of the pen and no scale. No source. */
    private static final double LARGEST_GAIN = 0.1;
    /** A point so many of its ± off the common line shows that the scale is none. No source. */
    private static final double OFF_THE_LINE = 2;

    /**
     * One comparison.
     *
     * @param reading     what the instrument showed (bench unit)
     * @param actual      what it was (bench unit)
     * @param uncertainty standard uncertainty of what it was (bench unit), above 0
     */
    public record Point(double reading, double actual, double uncertainty) {

        double correction() {
            return actual - reading;
        }
    }

    /**
     * Puts the points in order.
     *
     * @param gain   half the width of the rectangle its gain lies in (a part of one)
     * @param points where it was compared
     * @throws Refused where the points cannot be those of a scale
     */
    public Correction {
        points = points.stream()
                .sorted(Comparator.comparingDouble(Point::reading))
                .toList();
        if (!(gain >= 0 && gain <= LARGEST_GAIN)) {
            throw new Refused("A gain is off by 0 to 10 %.");
        }
        if (points.size() > MOST_POINTS) {
            throw new Refused("At most " + MOST_POINTS + " points.");
        }
        for (int i = 0; i < points.size(); i++) {
            if (!(points.get(i).uncertainty() > 0)) {
                throw new Refused("The ± of a point is larger than zero.");
            }
            if (i > 0 && !alike(points.get(i - 1), points.get(i))) {
                throw new Refused("Two points must differ in their reading, and a step between them is not off by more "
                        + "than a tenth of itself: are reading and true value exchanged, or a digit wrong?");
            }
        }
    }

    /**
     * {@return what is known of a scale never compared with anything}
     *
     * @param gain half the width of the rectangle its gain lies in (a part of one)
     */
    public static Correction unknown(double gain) {
        return new Correction(gain, List.of());
    }

    private static boolean alike(Point low, Point high) {
        double step = high.reading() - low.reading();
        double slack = LARGEST_GAIN * step + OFF_THE_LINE * (low.uncertainty() + high.uncertainty());
        return step > 0 && high.actual() > low.actual() && Math.abs(high.actual() - low.actual() - step) <= slack;
    }

    /** {@return whether the points tell the gain themselves} */
    public boolean tellsGain() {
        return points.size() > 1;
    }

    /**
     * {@return whether readings are corrected piece by piece: a straight line leaves a point out by more than its ±
     * explains}
     *
     * @param reading standard uncertainty of one reading (bench unit)
     */
    public boolean piecewise(double reading) {
        return points.size() > 2
                && points.stream().anyMatch(point -> {
                    double[] parts = onTheLine(point.reading(), reading);
                    double line = IntStream.range(0, parts.length)
                            .mapToDouble(i -> parts[i] * points.get(i).correction())
                            .sum();
                    return Math.abs(point.correction() - line) > OFF_THE_LINE * uncertainty(point, reading);
                });
    }

    /** Of a point's correction: what it was, and what was read. */
    double uncertainty(Point point, double reading) {
        return Math.hypot(point.uncertainty(), reading);
    }

    /**
     * How much of each point's correction a value has.
     *
     * @param value   as read (bench unit)
     * @param reading standard uncertainty of one reading (bench unit)
     * @return in the order of the points; they add up to 1
     */
    List<Double> parts(double value, double reading) {
        List<Double> parts = new ArrayList<>();
        for (double each : piecewise(reading) ? betweenTwo(value) : onTheLine(value, reading)) {
            parts.add(each);
        }
        return parts;
    }

    /** Of the straight line through all points, weighted by their ±. */
    private double[] onTheLine(double value, double reading) {
        double[] weights = points.stream()
                .mapToDouble(point -> Math.pow(uncertainty(point, reading), -2))
                .toArray();
        double all = 0;
        double middle = 0;
        for (int i = 0; i < weights.length; i++) {
            all += weights[i];
            middle += weights[i] * points.get(i).reading();
        }
        middle /= all;
        double spread = 0;
        for (int i = 0; i < weights.length; i++) {
            spread += weights[i] * Math.pow(points.get(i).reading() - middle, 2);
        }
        double[] parts = new double[weights.length];
        for (int i = 0; i < weights.length; i++) {
            double lean = spread > 0 ? (points.get(i).reading() - middle) * (value - middle) / spread : 0;
            parts[i] = weights[i] * (1 / all + lean);
        }
        return parts;
    }

    /** Of the two points it lies between; beyond the last ones their line goes on. */
    private double[] betweenTwo(double value) {
        int above = 1;
        while (above < points.size() - 1 && points.get(above).reading() < value) {
            above++;
        }
        double low = points.get(above - 1).reading();
        double high = points.get(above).reading();
        double[] parts = new double[points.size()];
        parts[above] = (value - low) / (high - low);
        parts[above - 1] = 1 - parts[above];
        return parts;
    }
}

package lab.sassafras.app.chart;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.curve.Reading;

/**
 * The last readings of a clock as a small curve beside the field they are typed into.
 *
 * @param points of a line in the picture
 */
public record SmallCurve(String points) {

    /** Readings it shows. */
    private static final int SHOWN = 60;

    private static final double WIDTH = 180;
    private static final double HEIGHT = 40;

    /** A line stands off the edge by so much. */
    private static final double EDGE = 3;

    /** {@return the picture} */
    public String svg() {
        return Svg.picture("small-curve", (int) WIDTH, (int) HEIGHT)
                .unspoken()
                .add(Svg.of("polyline").with("points", points))
                .written();
    }

    /** Of the last of those that count, in order of time; a line without points where there is none. */
    public static SmallCurve of(List<Reading> counting) {
        List<Reading> last = counting.subList(Math.max(0, counting.size() - SHOWN), counting.size());
        double from = last.stream().mapToDouble(Reading::seconds).min().orElse(0);
        double to = last.stream().mapToDouble(Reading::seconds).max().orElse(0);
        double low = last.stream().mapToDouble(Reading::temperature).min().orElse(0);
        double high = last.stream().mapToDouble(Reading::temperature).max().orElse(0);
        return new SmallCurve(IntStream.range(0, last.size())
                .mapToObj(i -> String.format(
                        Locale.ROOT,
                        "%.1f,%.1f",
                        along(last.get(i).seconds(), from, to, EDGE, WIDTH - EDGE),
                        along(last.get(i).temperature(), low, high, HEIGHT - EDGE, EDGE)))
                .collect(Collectors.joining(" ")));
    }

    private static double along(double value, double low, double high, double start, double end) {
        return high > low ? start + (value - low) / (high - low) * (end - start) : (start + end) / 2;
    }
}

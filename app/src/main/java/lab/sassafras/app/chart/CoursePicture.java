package lab.sassafras.app.chart;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.plan.Course;

/**
 * The curve to expect, with its band.
 *
 * @param across marks of time
 * @param up     marks of temperature
 * @param line   what is expected
 * @param band   between what it may lie
 * @param mixed  where both come together; empty where nothing does
 */
public record CoursePicture(
        List<StraightScale.Mark> across,
        List<StraightScale.Mark> up,
        String line,
        String band,
        Optional<String> mixed) {

    private static final double LEFT = 52;
    private static final double WIDTH = 640;
    private static final double FOOT = 190;
    private static final double HEIGHT = 170;
    private static final int ACROSS = 7;
    private static final int UP = 5;

    /**
     * {@return the picture}
     *
     * @param course  to expect
     * @param written how a temperature is written
     */
    public static CoursePicture of(Course course, DoubleFunction<String> written) {
        List<Course.Point> points = course.readings();
        StraightScale time = new StraightScale(
                LEFT,
                WIDTH,
                points.get(0).seconds(),
                points.get(points.size() - 1).seconds());
        StraightScale temperature = StraightScale.around(
                FOOT,
                -HEIGHT,
                points.stream()
                        .flatMap(each -> Stream.of(each.low(), each.high()))
                        .toList(),
                0.08);
        String low = points.stream()
                .map(each -> at(time, temperature, each.seconds(), each.low()))
                .collect(Collectors.joining("L"));
        String high = java.util.stream.IntStream.range(0, points.size())
                .mapToObj(i -> points.get(points.size() - 1 - i))
                .map(each -> at(time, temperature, each.seconds(), each.high()))
                .collect(Collectors.joining("L"));
        return new CoursePicture(
                time.marks(ACROSS, ClockTime::write),
                temperature.marks(UP, written),
                "M"
                        + points.stream()
                                .map(each -> at(time, temperature, each.seconds(), each.middle()))
                                .collect(Collectors.joining("L")),
                "M" + low + "L" + high + "z",
                Double.isNaN(course.mixed()) ? Optional.empty() : Optional.of(time.at(course.mixed())));
    }

    private static String at(StraightScale time, StraightScale temperature, double seconds, double value) {
        return String.format(Locale.ROOT, "%.1f %.1f", time.place(seconds), temperature.place(value));
    }
}

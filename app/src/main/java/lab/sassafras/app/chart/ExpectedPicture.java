package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;

/**
 * Temperatures of a plan on one scale: where things start, where they end and within what, and where the thermometer's
 * range ends.
 *
 * @param marks of the scale
 * @param flags what starts, by its temperature
 * @param end   where it ends
 * @param from  lower end of the band it may end in
 * @param width of that band
 * @param limit ends of the thermometer's range that lie on the scale
 */
public record ExpectedPicture(
        List<StraightScale.Mark> marks, List<Flag> flags, Flag end, String from, String width, List<Flag> limit) {

    private static final double EDGE = 30;
    private static final double LENGTH = 640;
    private static final double ROOM = 0.08;
    private static final double LEAST = 20;
    private static final int MARKS = 10;
    /** Names nearer than this stand one above the other. */
    private static final double APART = 95;

    /**
     * A mark with its words.
     *
     * @param x     where
     * @param row   how high its words stand, from 0
     * @param words beside it
     */
    public record Flag(String x, int row, String words) {

        /** Where its words are anchored: those at the right edge run to the left. */
        public String anchor() {
            return Double.parseDouble(x) > EDGE + LENGTH - APART ? "end" : "middle";
        }
    }

    /**
     * A temperature with its name.
     *
     * @param words       what it is
     * @param temperature (°C)
     */
    public record Named(String words, double temperature) {}

    /**
     * {@return the picture}
     *
     * @param starts  what starts where
     * @param end     where it ends, in words too
     * @param band    ends of the interval (°C)
     * @param limits  ends of the range of the thermometer, in words too
     * @param written how a temperature is written
     */
    public static ExpectedPicture of(
            List<Named> starts, Named end, double[] band, List<Named> limits, DoubleFunction<String> written) {
        List<Double> numbers = new ArrayList<>(List.of(end.temperature(), band[0], band[1]));
        starts.forEach(each -> numbers.add(each.temperature()));
        double middle = numbers.stream().mapToDouble(each -> each).average().orElse(0);
        numbers.add(middle - LEAST / 2);
        numbers.add(middle + LEAST / 2);
        StraightScale scale = StraightScale.around(EDGE, LENGTH, numbers, ROOM);
        List<Flag> flags = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        int row = 0;
        for (Named each : starts.stream()
                .sorted(Comparator.comparingDouble(Named::temperature))
                .toList()) {
            double x = scale.place(each.temperature());
            row = x - last < APART ? row + 1 : 0;
            last = x;
            flags.add(new Flag(StraightScale.coordinate(x), row, each.words()));
        }
        return new ExpectedPicture(
                scale.marks(MARKS, written),
                flags,
                new Flag(scale.at(end.temperature()), 0, end.words()),
                scale.at(band[0]),
                String.format(Locale.ROOT, "%.1f", Math.max(2, scale.place(band[1]) - scale.place(band[0]))),
                limits.stream()
                        .filter(each -> each.temperature() > scale.low() && each.temperature() < scale.high())
                        .map(each -> new Flag(scale.at(each.temperature()), 0, each.words()))
                        .toList());
    }

    /** Where the words of the end are anchored likewise. */
    public String ends() {
        return Double.parseDouble(end.x()) > EDGE + LENGTH / 2 ? "end" : "start";
    }
}

package lab.sassafras.app.chart;

import java.util.List;
import java.util.Optional;

/**
 * How far the ± of a plan would come down by doing something otherwise: an arrow for each, from where it is now.
 *
 * @param marks of the scale, in per cent, the smallest at the right
 * @param now   where it is
 * @param asks  where the purpose wants it; empty where nothing is asked or it lies off the scale
 * @param rows  one for each, its arrow's tip
 */
public record GainPicture(List<StraightScale.Mark> marks, String now, Optional<String> asks, List<Row> rows) {

    private static final double RIGHT = 250;
    private static final double LENGTH = 230;
    private static final int MARKS = 2;
    private static final double ROOM = 1.08;

    /**
     * One of them.
     *
     * @param tip    of its arrow
     * @param number it comes to
     * @param at     where that is written
     */
    public record Row(String tip, String number, String at) {}

    /**
     * {@return the picture}
     *
     * @param now   half the interval, in per cent
     * @param asks  what the purpose asks for, in per cent; empty where nothing
     * @param gains what each comes to, in per cent
     */
    public static GainPicture of(double now, Optional<Double> asks, List<Double> gains) {
        StraightScale scale = new StraightScale(RIGHT, -LENGTH, 0, Math.max(now * ROOM, 1e-6));
        return new GainPicture(
                scale.marks(MARKS, GainPicture::written),
                scale.at(now),
                asks.filter(each -> each <= scale.high()).map(scale::at),
                gains.stream()
                        .map(each ->
                                new Row(scale.at(each), written(each), StraightScale.coordinate(scale.place(each) + 8)))
                        .toList());
    }

    private static String written(double percent) {
        return new java.math.BigDecimal(percent)
                .round(new java.math.MathContext(2))
                .stripTrailingZeros()
                .toPlainString();
    }
}

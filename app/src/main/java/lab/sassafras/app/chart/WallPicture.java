package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Results of a class as large as a wall: a row each, nobody named, on one scale with the band of the reference where it
 * is told.
 *
 * @param height    of the picture, which is {@link #WIDTH} wide
 * @param marks     of the scale
 * @param base      where the scale stands
 * @param reference where the reference lies; empty where it is not told
 * @param rows      from top to bottom
 */
public record WallPicture(
        int height, List<StraightScale.Mark> marks, int base, Optional<CausesPicture.Band> reference, List<Row> rows) {

    /** As wide as what projectors show, less a margin (px). */
    public static final int WIDTH = 1800;

    private static final int EDGE = 110;
    private static final int STEP = 56;
    private static final int BELOW = 80;
    private static final int MARKS = 5;

    /** A result with its interval. */
    public record Row(String dot, String from, String to, int y) {}

    /**
     * {@return the picture}
     *
     * @param shown     results of one page
     * @param all       results of all pages, which share one scale
     * @param reference where it should lie, lower and upper end; empty where nothing is told
     * @param written   how a number of the scale is written
     */
    public static WallPicture of(
            List<SidePicture.Result> shown,
            List<SidePicture.Result> all,
            Optional<double[]> reference,
            DoubleFunction<String> written) {
        List<Double> numbers = new ArrayList<>();
        all.forEach(each -> numbers.addAll(List.of(each.value() - each.half(), each.value() + each.half())));
        reference.ifPresent(band -> numbers.addAll(List.of(band[0], band[1])));
        if (numbers.stream().distinct().count() < 2) {
            numbers.addAll(List.of(numbers.get(0) - 1, numbers.get(0) + 1));
        }
        StraightScale scale = StraightScale.around(EDGE, WIDTH - 2.0 * EDGE, numbers, 0.06);
        List<Row> rows = new ArrayList<>();
        for (SidePicture.Result each : shown) {
            rows.add(new Row(
                    scale.at(each.value()),
                    scale.at(each.value() - each.half()),
                    scale.at(each.value() + each.half()),
                    STEP / 2 + STEP * rows.size()));
        }
        int base = STEP * rows.size() + 14;
        return new WallPicture(
                base + BELOW,
                scale.marks(MARKS, written),
                base,
                reference.map(band -> new CausesPicture.Band(
                        scale.at(band[0]),
                        StraightScale.coordinate(Math.max(6, scale.place(band[1]) - scale.place(band[0]))))),
                rows);
    }
}

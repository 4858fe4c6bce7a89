package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Possible causes, drawn: one row a suspect under one scale of results, an arrow from the result as it stands
 * to where it would be without the error, a thin line on to the largest size that can be believed, and the band the
 * reference lies in.
 *
 * @param frame     where things stand that do not depend on the numbers
 * @param marks     of the scale
 * @param result    where the result stands
 * @param reference where the reference lies with its uncertainty; empty where nothing is told
 * @param rows      one for each suspect, in the order given
 */
public record CausesPicture(
        Frame frame, List<StraightScale.Mark> marks, String result, Optional<Band> reference, List<Row> rows) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of every row
     * @param height of a row
     * @param middle of a row
     * @param head   height of the row with the scale
     * @param figure height of the figures in it
     * @param ground of the scale in it
     */
    public record Frame(int width, int height, int middle, int head, int figure, int ground) {}

    private static final Frame FRAME = new Frame(300, 26, 13, 34, 20, 28);
    /** What runs through all rows begins so far above each. */
    static final int ABOVE = -200;
    /** And is so long. */
    static final int THROUGH = 430;

    private static final int EDGE = 14;
    private static final double TIP = 6;

    /**
     * A stretch of the scale.
     *
     * @param x     where it begins
     * @param width how wide it is
     */
    public record Band(String x, String width) {}

    /**
     * One suspect.
     *
     * @param arrow   from the result to where it would be
     * @param tip     of the arrow
     * @param reach   where the largest size to believe would bring it
     */
    public record Row(String arrow, String tip, String reach) {}

    /**
     * A suspect in numbers.
     *
     * @param change result without a plausible error, less the result
     * @param reach  the same for the largest error to believe
     */
    public record Moved(double change, double reach) {}

    /**
     * {@return the picture}
     *
     * @param result    as it stands
     * @param reference where it should lie, lower and upper end; empty where nothing is told
     * @param moved     one for each suspect
     * @param written   how a number of the scale is written
     */
    public static CausesPicture of(
            double result, Optional<double[]> reference, List<Moved> moved, DoubleFunction<String> written) {
        List<Double> numbers = new ArrayList<>(List.of(result));
        reference.ifPresent(band -> numbers.addAll(List.of(band[0], band[1])));
        moved.forEach(each -> numbers.add(result + each.change()));
        StraightScale scale = StraightScale.around(EDGE, FRAME.width() - 2.0 * EDGE, numbers, 0.12);
        return new CausesPicture(
                FRAME,
                scale.marks(3, written),
                scale.at(result),
                reference.map(band -> new Band(
                        scale.at(band[0]),
                        StraightScale.coordinate(Math.max(2, scale.place(band[1]) - scale.place(band[0]))))),
                moved.stream().map(each -> row(scale, result, each)).toList());
    }

    private static Row row(StraightScale scale, double result, Moved moved) {
        double to = scale.place(result + moved.change());
        double back = moved.change() < 0 ? TIP : -TIP;
        return new Row(
                StraightScale.coordinate(to),
                "M" + StraightScale.coordinate(to) + " " + FRAME.middle() + "l" + back + " -4v8z",
                scale.at(scale.within(result + moved.reach())));
    }

    /** {@return the scale above the rows} */
    public String head() {
        return head(frame, marks);
    }

    static String head(Frame frame, List<StraightScale.Mark> marks) {
        Svg svg = Svg.picture("", frame.width(), frame.head());
        marks.forEach(each -> svg.add(Svg.group()
                .add(
                        Svg.upright("ground", each.at(), frame.ground() - 4, frame.ground()),
                        Svg.text("", each.at(), frame.figure(), each.label()).middle())));
        return svg.add(Svg.level("ground", 0, frame.width(), frame.ground())).written();
    }

    /**
     * {@return one row: where the result stands and where it would be}
     *
     * @param row one of the rows
     */
    public String svg(Row row) {
        Svg svg = Svg.picture("", frame.width(), frame.height()).unspoken();
        reference.ifPresent(band -> svg.add(column("reference", band)));
        return svg.add(
                        Svg.upright("stands", result, ABOVE, ABOVE + THROUGH),
                        Svg.level("reach", result, row.reach(), frame.middle()),
                        Svg.level("moves", result, row.arrow(), frame.middle()),
                        Svg.path("tip", row.tip()))
                .written();
    }

    /** Through all rows, and the space between them. */
    static Svg column(String kind, Band band) {
        return Svg.rect(kind, band.x(), ABOVE, band.width(), THROUGH);
    }
}

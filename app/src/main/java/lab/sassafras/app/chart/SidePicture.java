package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Results of several entries on one scale: a dot with its ± for each, the mean with its spread, and the band the
 * reference lies in.
 *
 * @param frame     where things stand that do not depend on the numbers
 * @param marks     of the scale
 * @param reference where the reference lies; empty where none is told
 * @param mean      where the mean stands
 * @param spread    one scatter to both sides of it
 * @param rows      one for each entry
 */
public record SidePicture(
        CausesPicture.Frame frame,
        List<StraightScale.Mark> marks,
        Optional<CausesPicture.Band> reference,
        String mean,
        CausesPicture.Band spread,
        List<Row> rows) {

    private static final CausesPicture.Frame FRAME = new CausesPicture.Frame(420, 30, 15, 34, 20, 28);
    private static final double EDGE = 16;

    /**
     * One entry.
     *
     * @param dot  its result
     * @param from lower end of its interval
     * @param to   upper end of it
     */
    public record Row(String dot, String from, String to) {}

    /**
     * A result with its interval.
     *
     * @param value the result
     * @param half  half its interval
     */
    public record Result(double value, double half) {}

    /**
     * {@return the picture}
     *
     * @param results   of the entries
     * @param mean      of them
     * @param scatter   of them
     * @param reference where it should lie, lower and upper end; empty where nothing is told
     * @param written   how a number of the scale is written
     */
    public static SidePicture of(
            List<Result> results,
            double mean,
            double scatter,
            Optional<double[]> reference,
            DoubleFunction<String> written) {
        List<Double> numbers = new ArrayList<>(List.of(mean - scatter, mean + scatter));
        results.forEach(each -> numbers.addAll(List.of(each.value() - each.half(), each.value() + each.half())));
        reference.ifPresent(band -> numbers.addAll(List.of(band[0], band[1])));
        StraightScale scale = StraightScale.around(EDGE, FRAME.width() - 2 * EDGE, numbers, 0.06);
        return new SidePicture(
                FRAME,
                scale.marks(4, written),
                reference.map(band -> band(scale, band[0], band[1])),
                scale.at(mean),
                band(scale, mean - scatter, mean + scatter),
                results.stream()
                        .map(each -> new Row(
                                scale.at(each.value()),
                                scale.at(each.value() - each.half()),
                                scale.at(each.value() + each.half())))
                        .toList());
    }

    private static CausesPicture.Band band(StraightScale scale, double low, double high) {
        return new CausesPicture.Band(
                scale.at(low), StraightScale.coordinate(Math.max(2, scale.place(high) - scale.place(low))));
    }

    /** {@return the scale above the rows} */
    public String head() {
        return CausesPicture.head(frame, marks);
    }

    /**
     * {@return one row: a result in its interval}
     *
     * @param row   one of the rows
     * @param apart whether it is an outlier
     */
    public String svg(Row row, boolean apart) {
        Svg svg = Svg.picture("", frame.width(), frame.height()).unspoken().add(CausesPicture.column("spread", spread));
        reference.ifPresent(band -> svg.add(CausesPicture.column("reference", band)));
        return svg.add(
                        Svg.upright("stands", mean, CausesPicture.ABOVE, CausesPicture.ABOVE + CausesPicture.THROUGH),
                        Svg.level("moves", row.from(), row.to(), frame.middle()),
                        Svg.circle(apart ? "dot apart" : "dot", row.dot(), frame.middle(), 5.5))
                .written();
    }
}

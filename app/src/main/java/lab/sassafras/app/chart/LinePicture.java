package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialPoint;

/**
 * The line through several trials: a tag for each trial, the line that was laid through them, and the corner where it
 * should meet zero.
 *
 * @param frame   where the scales stand
 * @param spots   one for each trial
 * @param laid    the line
 * @param zero    height of nothing up
 * @param across  the scale across
 * @param up      the scale up
 * @param summary the whole in a sentence, for those who cannot see it
 */
public record LinePicture(Frame frame, List<Spot> spots, Laid laid, String zero, Axis across, Axis up, String summary) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of the whole
     * @param height of the whole
     * @param left   end of the scale across
     * @param right  end of the scale across
     * @param top    end of the scale up
     * @param bottom end of the scale up
     * @param tick   length of a mark
     * @param spot   radius of a tag
     */
    public record Frame(int width, int height, int left, int right, int top, int bottom, int tick, int spot) {}

    private static final Frame FRAME = new Frame(560, 240, 70, 540, 14, 194, 5, 9);

    /** Below this much of a unit, a scale is written in thousandths of it. */
    private static final double SMALL = 0.5;

    /**
     * A trial where it stands.
     *
     * @param x     across
     * @param y     up
     * @param trial its number
     */
    public record Spot(String x, String y, int trial) {}

    /**
     * The line from nothing across to beyond the last trial.
     *
     * @param x1 where it begins
     * @param y1 height there
     * @param x2 where it ends
     * @param y2 height there
     */
    public record Laid(String x1, String y1, String x2, String y2) {}

    /**
     * A scale with its words.
     *
     * @param words what it measures and in which unit
     * @param marks of it
     */
    public record Axis(String words, List<StraightScale.Mark> marks) {}

    /**
     * Draws it.
     *
     * @param points of the trials that count, at least one
     * @param trials their numbers, in the same order
     * @param names  of what is drawn across and up; empty where their kinds say enough
     */
    public static LinePicture of(
            StraightLine line, List<TrialPoint> points, List<Integer> trials, Figures figures, List<String> names) {
        boolean meetsZero = points.get(0).meetsZero();
        List<Double> places =
                points.stream().map(point -> point.across().value()).toList();
        StraightScale wide = StraightScale.around(FRAME.left(), FRAME.right() - FRAME.left(), places, 0.06);
        double least = meetsZero ? 0 : wide.low();
        double most = meetsZero ? Collections.max(places) * 1.06 : wide.high();
        StraightScale across = new StraightScale(FRAME.left(), FRAME.right() - FRAME.left(), least, most);
        List<Double> heights = new ArrayList<>(
                List.of(line.intercept() + line.slope() * least, line.intercept() + line.slope() * most));
        points.forEach(point -> heights.add(point.up().value()));
        if (meetsZero) {
            heights.add(0.0);
        }
        StraightScale up = new StraightScale(
                FRAME.bottom(), FRAME.top() - FRAME.bottom(), Collections.min(heights), Collections.max(heights));
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            spots.add(new Spot(
                    across.at(points.get(i).across().value()),
                    up.at(points.get(i).up().value()),
                    trials.get(i)));
        }
        BenchUnit upUnit = points.get(0).upUnit();
        return new LinePicture(
                FRAME,
                List.copyOf(spots),
                new Laid(
                        across.at(least),
                        up.at(line.intercept() + line.slope() * least),
                        across.at(most),
                        up.at(line.intercept() + line.slope() * most)),
                up.at(meetsZero ? 0 : up.low()),
                axis(across, name(names, 0), points.get(0).acrossUnit(), figures),
                axis(up, name(names, 1), upUnit, figures),
                upUnit.dimension().word() + " against "
                        + points.get(0).acrossUnit().dimension().word() + ": " + points.size()
                        + " trials and the line through them"
                        + (meetsZero
                                ? ", which stands at "
                                        + figures.signed(
                                                line.intercept(), Figures.decimalsFor(line.interceptUncertainty()))
                                        + " " + upUnit.symbol() + " where there is nothing across."
                                : "."));
    }

    /** Marked in the unit or in thousandths of it. */
    private static Axis axis(StraightScale scale, Optional<String> name, BenchUnit unit, Figures figures) {
        boolean small = Math.max(Math.abs(scale.low()), Math.abs(scale.high())) < SMALL;
        double times = small ? 1000 : 1;
        return new Axis(
                name.map(each ->
                                (small ? "1000 × " : "") + each + (unit.symbol().isEmpty() ? "" : ", " + unit.symbol()))
                        .orElseGet(() -> unit.dimension().word() + ", " + (small ? thousandth(unit) : unit.symbol())),
                scale.marks(4, value -> figures.plain(Math.rint(value * times * 1e6) / 1e6)));
    }

    private static Optional<String> name(List<String> names, int which) {
        return names.isEmpty() ? Optional.empty() : Optional.of(names.get(which));
    }

    private static String thousandth(BenchUnit unit) {
        return unit.symbol().startsWith("k") ? unit.symbol().substring(1) : "m" + unit.symbol();
    }

    /** {@return the picture, for a page or a report} */
    public String svg() {
        Svg svg = Svg.picture("line-picture", frame.width(), frame.height())
                .titled("line-title", summary)
                .add(
                        Svg.level("ground", frame.left(), frame.right(), zero),
                        Svg.upright("ground", frame.left(), frame.top(), frame.bottom()));
        across.marks()
                .forEach(each -> svg.add(Svg.group()
                        .add(
                                Svg.upright("ground", each.at(), frame.bottom(), frame.bottom() + frame.tick()),
                                Svg.text("tick", each.at(), frame.bottom() + frame.tick(), each.label())
                                        .middle()
                                        .with("dy", "1.2em"))));
        up.marks()
                .forEach(each -> svg.add(Svg.group()
                        .add(
                                Svg.level("ground", frame.left() - frame.tick(), frame.left(), each.at()),
                                Svg.text("tick", frame.left() - 2 * frame.tick(), each.at(), each.label())
                                        .end()
                                        .with("dy", 4))));
        svg.add(
                Svg.text("small", frame.right(), frame.height(), across.words())
                        .end()
                        .with("dy", "-.5em"),
                Svg.text("small", 8, frame.top() - 4, up.words()),
                Svg.line("laid", laid.x1(), laid.y1(), laid.x2(), laid.y2()));
        spots.forEach(each -> svg.add(Svg.group().add(Svg.tag(each.x(), each.y(), frame.spot(), each.trial()))));
        return svg.written();
    }
}

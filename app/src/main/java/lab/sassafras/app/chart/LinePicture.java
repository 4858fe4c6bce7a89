package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.account.HeatLine;
import lab.sassafras.account.Solution;
import lab.sassafras.measure.Figures;

/**
 * Heat against amount through several trials: each trial a numbered spot, the line drawn on to no amount at all, where it
 * should meet zero. Its picture is 560 by 240.
 *
 * @param spots   one for each trial
 * @param x1      where the line begins, at no amount
 * @param y1      height there
 * @param x2      where it ends
 * @param y2      height there
 * @param zero    height of no heat
 * @param across  marks of the amount, in mmol
 * @param up      marks of the heat, in kJ
 * @param summary the whole in a sentence, for those who cannot see it
 */
public record LinePicture(
        List<Spot> spots,
        String x1,
        String y1,
        String x2,
        String y2,
        String zero,
        List<Mark> across,
        List<Mark> up,
        String summary) {

    private static final double LEFT = 70;
    private static final double WIDE = 470;
    private static final double TOP = 14;
    private static final double HIGH = 180;

    /** A trial where it stands. */
    public record Spot(String x, String y, int trial) {}

    /** A mark of a scale. */
    public record Mark(String at, String label) {}

    /** @param points of the trials that count, with their numbers in the same order */
    public static LinePicture of(HeatLine line, List<Solution.Point> points, List<Integer> trials, Figures figures) {
        double most = points.stream()
                        .mapToDouble(point -> point.amount().value())
                        .max()
                        .orElse(1)
                * 1.06;
        List<Double> heights = new ArrayList<>(List.of(0.0, line.intercept(), line.intercept() + line.slope() * most));
        points.forEach(point -> heights.add(point.heat().value() / 1000));
        double low = heights.stream().min(Double::compare).orElseThrow();
        double high = heights.stream().max(Double::compare).orElseThrow();
        Scale across = new Scale(LEFT, WIDE, 0, most);
        Scale up = new Scale(TOP + HIGH, -HIGH, low, high);
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            spots.add(new Spot(
                    across.at(points.get(i).amount().value()),
                    up.at(points.get(i).heat().value() / 1000),
                    trials.get(i)));
        }
        return new LinePicture(
                List.copyOf(spots),
                across.at(0),
                up.at(line.intercept()),
                across.at(most),
                up.at(line.intercept() + line.slope() * most),
                up.at(0),
                across.marks(1000, figures),
                up.marks(1, figures),
                "Heat against amount: " + points.size() + " trials and the line through them, which meets no amount at "
                        + figures.signed(1000 * line.intercept(), 0) + " J.");
    }

    /** A straight scale from a coordinate over a length. */
    private record Scale(double from, double length, double low, double high) {

        String at(double value) {
            return String.format(Locale.ROOT, "%.1f", from + length * (value - low) / (high - low));
        }

        /** Marks at a round step, about four of them; labels in a unit so many times smaller. */
        List<Mark> marks(double times, Figures figures) {
            double rough = (high - low) / 4;
            double power = Math.pow(10, Math.floor(Math.log10(rough)));
            double step = rough >= 5 * power ? 5 * power : rough >= 2 * power ? 2 * power : power;
            List<Mark> marks = new ArrayList<>();
            for (double value = Math.ceil(low / step - 1e-9) * step; value <= high * (1 + 1e-9); value += step) {
                marks.add(new Mark(at(value), figures.plain(Math.rint(value * times * 1e6) / 1e6)));
            }
            return marks;
        }
    }
}

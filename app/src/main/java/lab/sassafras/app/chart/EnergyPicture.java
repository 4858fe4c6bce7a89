package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Levels of energy: what is taken at the top or bottom, each step with its heat as an arrow from level to level, what
 * was measured directly beside them, and the gap where the two ways do not meet.
 *
 * @param frame   where things stand that do not depend on the numbers
 * @param levels  in the order of the steps, the first being what is taken
 * @param steps   arrows between them
 * @param direct  the way measured directly; empty where there is none
 * @param summary in a sentence, for those who cannot see it
 */
public record EnergyPicture(Frame frame, List<Level> levels, List<Step> steps, Optional<Step> direct, String summary) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of the whole
     * @param height of the whole
     * @param left   where the first level begins
     * @param right  where the last ends
     */
    public record Frame(int width, int height, int left, int right) {}

    private static final Frame FRAME = new Frame(640, 300, 60, 620);
    private static final double TOP = 40;
    private static final double BOTTOM = 250;
    private static final double TIP = 9;

    /**
     * A level.
     *
     * @param from  where it begins
     * @param to    where it ends
     * @param y     its height
     * @param text  where its words stand
     * @param words what is there
     */
    public record Level(String from, String to, String y, String text, String words) {}

    /**
     * An arrow from one level to the next.
     *
     * @param x     where it stands
     * @param from  height it begins at
     * @param to    height it ends at
     * @param tip   of it
     * @param label where its words stand
     * @param words heat of the step
     * @param gave  whether heat was given off
     */
    public record Step(String x, String from, String to, String tip, String label, String words, boolean gave) {}

    /**
     * A step in numbers.
     *
     * @param words of the level it ends at
     * @param heat  of it (kJ/mol)
     */
    public record Taken(String words, double heat) {}

    /**
     * {@return the picture}
     *
     * @param begins  words of what is taken
     * @param taken   the steps, at least one
     * @param direct  heat measured directly (kJ/mol); empty where there is none
     * @param written how a heat is written
     */
    public static EnergyPicture of(
            String begins, List<Taken> taken, Optional<Double> direct, DoubleFunction<String> written) {
        List<Double> heights = new ArrayList<>(List.of(0.0));
        taken.forEach(each -> heights.add(heights.get(heights.size() - 1) + each.heat()));
        List<Double> all = new ArrayList<>(heights);
        direct.ifPresent(all::add);
        StraightScale up = StraightScale.around(BOTTOM, TOP - BOTTOM, all, 0.04);
        double column = (FRAME.right() - FRAME.left()) / (double) (taken.size() + (direct.isPresent() ? 2 : 1));
        List<Level> levels = new ArrayList<>();
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < heights.size(); i++) {
            double x = FRAME.left() + i * column;
            double y = up.place(heights.get(i));
            boolean last = i == heights.size() - 1;
            boolean reachedDown = i > 0 && taken.get(i - 1).heat() < 0;
            levels.add(level(
                    x,
                    x + (last ? 0.86 : 1.12) * column,
                    y,
                    reachedDown,
                    i == 0 ? begins : taken.get(i - 1).words()));
            if (i > 0) {
                steps.add(step(
                        x + 0.1 * column,
                        up.place(heights.get(i - 1)),
                        y,
                        written.apply(taken.get(i - 1).heat())));
            }
        }
        Optional<Step> beside = direct.map(heat ->
                step(FRAME.right() - 0.5 * column, up.place(0), up.place(heat), "directly " + written.apply(heat)));
        beside.ifPresent(any -> levels.add(level(
                FRAME.right() - 0.9 * column,
                FRAME.right(),
                up.place(direct.orElseThrow()),
                direct.orElseThrow() < 0,
                "measured")));
        return new EnergyPicture(
                FRAME,
                List.copyOf(levels),
                List.copyOf(steps),
                beside,
                "Levels of energy: " + begins + "; "
                        + String.join(
                                "; ",
                                taken.stream()
                                        .map(each -> each.words() + " " + written.apply(each.heat()))
                                        .toList())
                        + direct.map(heat -> "; measured directly " + written.apply(heat))
                                .orElse("") + ".");
    }

    /** @param below whether its words stand under it, an arrow coming from above */
    private static Level level(double from, double to, double y, boolean below, String words) {
        return new Level(
                StraightScale.coordinate(from),
                StraightScale.coordinate(to),
                StraightScale.coordinate(y),
                StraightScale.coordinate(below ? y + 17 : y - 6),
                words);
    }

    private static Step step(double x, double from, double to, String words) {
        boolean down = to > from;
        double tip = down ? -TIP : TIP;
        return new Step(
                StraightScale.coordinate(x),
                StraightScale.coordinate(from),
                StraightScale.coordinate(to),
                "M" + StraightScale.coordinate(x) + " " + StraightScale.coordinate(to) + "l-4.5 " + tip + "h9z",
                StraightScale.coordinate((from + to) / 2 + 4),
                words,
                down);
    }

    /** {@return the picture, for a page or a report} */
    public String svg() {
        Svg svg = Svg.picture("levels", frame.width(), frame.height()).titled("levels-title", summary);
        levels.forEach(each -> svg.add(Svg.group()
                .add(
                        Svg.level("level", each.from(), each.to(), each.y()),
                        Svg.text("small", each.from(), each.text(), each.words()))));
        steps.forEach(each -> svg.add(drawn(each, each.gave() ? "gave" : "took")
                .add(Svg.text("", each.x(), each.label(), each.words()).with("dx", 8))));
        direct.ifPresent(each -> svg.add(drawn(each, "direct")
                .add(Svg.text("", each.x(), each.label(), each.words()).end().with("dx", -8))));
        return svg.written();
    }

    private static Svg drawn(Step each, String kind) {
        return Svg.group()
                .add(
                        Svg.upright("step " + kind, each.x(), each.from(), each.to()),
                        Svg.path("tip " + kind, each.tip()));
    }
}

package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A whole as one bar, in its parts from left to right, each with a number that its words beside it repeat.
 *
 * @param frame where things stand that do not depend on the numbers
 * @param parts in order
 */
public record PartsPicture(Frame frame, List<Part> parts) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of the whole
     * @param height of the whole
     * @param top    of the bar
     * @param thick  height of the bar
     * @param spot   middle of the numbers
     */
    public record Frame(int width, int height, int top, int thick, int spot) {}

    private static final Frame FRAME = new Frame(640, 70, 28, 34, 12);
    private static final int SPOT = 9;
    /** The kind that is hatched: what is only supposed. */
    private static final String HATCHED = "supposed";

    private static final double EDGE = 10;
    private static final double NARROWEST = 20;

    /**
     * One part.
     *
     * @param number it is called by
     * @param x      where it begins
     * @param width  of it
     * @param middle of it
     * @param tag    where its number stands, clear of its neighbours'
     * @param kind   how it is filled
     */
    public record Part(int number, String x, String width, String middle, String tag, String kind) {}

    /**
     * A part in numbers.
     *
     * @param share of the whole (0 to 1)
     * @param kind  how it is filled
     */
    public record Of(double share, String kind) {}

    /**
     * {@return the picture}
     *
     * @param shares in order
     */
    public static PartsPicture of(List<Of> shares) {
        double x = EDGE;
        double tag = 0;
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < shares.size(); i++) {
            double width = shares.get(i).share() * (FRAME.width() - 2 * EDGE);
            tag = Math.max(tag + NARROWEST, x + width / 2);
            parts.add(new Part(
                    i + 1,
                    place(x),
                    place(width),
                    place(x + width / 2),
                    place(tag),
                    shares.get(i).kind()));
            x += width;
        }
        return new PartsPicture(FRAME, List.copyOf(parts));
    }

    private static String place(double at) {
        return String.format(Locale.ROOT, "%.1f", at);
    }

    /**
     * {@return the picture, for a page or a report}
     *
     * @param title the whole in a sentence
     */
    public String svg(String title) {
        Svg svg = Svg.picture("parts", frame.width(), frame.height()).titled("parts-title", title);
        for (Part each : parts) {
            Svg part = Svg.group();
            if (each.kind().equals(HATCHED)) {
                part.add(Svg.hatchedRect(
                        each.kind(),
                        Double.parseDouble(each.x()),
                        frame.top(),
                        Double.parseDouble(each.width()),
                        frame.thick()));
            } else {
                part.add(Svg.rect(each.kind(), each.x(), frame.top(), each.width(), frame.thick()));
            }
            svg.add(part.add(Svg.line("leader", each.tag(), frame.spot() + SPOT, each.middle(), frame.top()))
                    .add(Svg.tag(each.tag(), frame.spot(), SPOT, each.number())));
        }
        return svg.written();
    }
}

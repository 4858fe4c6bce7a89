package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;

/**
 * An element of a picture while it is put together, written out as SVG: the page lays it in as it is, and so may a
 * report. Words are escaped here and nowhere else.
 */
final class Svg {

    /** Between strokes, along an edge. */
    private static final double APART = 9.9;
    /** The slanting end of a stroke stays within the edge. */
    private static final double INSET = 1.5;

    private final String name;
    private final Map<String, String> attributes = new LinkedHashMap<>();
    private final List<Object> inside = new ArrayList<>();

    private Svg(String name) {
        this.name = name;
    }

    static Svg of(String name) {
        return new Svg(name);
    }

    /** A picture of its own. */
    static Svg picture(String kind, Object width, Object height) {
        return of("svg")
                .styled(kind)
                .with("xmlns", "http://www.w3.org/2000/svg")
                .with("viewBox", "0 0 " + width + " " + height);
    }

    static Svg group() {
        return of("g");
    }

    static Svg line(String kind, Object x1, Object y1, Object x2, Object y2) {
        return of("line")
                .styled(kind)
                .with("x1", x1)
                .with("y1", y1)
                .with("x2", x2)
                .with("y2", y2);
    }

    static Svg upright(String kind, Object x, Object y1, Object y2) {
        return line(kind, x, y1, x, y2);
    }

    static Svg level(String kind, Object x1, Object x2, Object y) {
        return line(kind, x1, y, x2, y);
    }

    static Svg rect(String kind, Object x, Object y, Object width, Object height) {
        return of("rect")
                .styled(kind)
                .with("x", x)
                .with("y", y)
                .with("width", width)
                .with("height", height);
    }

    static Svg circle(String kind, Object x, Object y, Object radius) {
        return of("circle").styled(kind).with("cx", x).with("cy", y).with("r", radius);
    }

    static Svg path(String kind, String d) {
        return of("path").styled(kind).with("d", d);
    }

    static Svg text(String kind, Object x, Object y, Object words) {
        return of("text").styled(kind).with("x", x).with("y", y).saying(words);
    }

    static Svg span(String kind, Object words) {
        return of("tspan").styled(kind).saying(words);
    }

    /** A number in its disc. */
    static List<Svg> tag(Object x, Object y, Object radius, Object number) {
        return List.of(
                circle("tag-spot", x, y, radius), text("tag", x, y, number).with("dy", 4.5));
    }

    /** A hatched rectangle: what lies under it, slanting strokes each cut off at its edges, and its outline. */
    static List<Svg> hatchedRect(String kind, double x, double y, double width, double height) {
        return List.of(
                rect("hatch-ground", x, y, width, height),
                hatched("hatch", x + INSET, y + INSET, width - 2 * INSET, height - 2 * INSET, APART),
                rect(kind, x, y, width, height).with("fill", "none"));
    }

    private static Svg hatched(String kind, double x, double y, double width, double height, double apart) {
        StringBuilder strokes = new StringBuilder();
        for (double along = apart / 2; width > 0 && along < width + height; along += apart) {
            double fromX = Math.min(along, width);
            double toX = Math.max(0, along - height);
            strokes.append(String.format(
                    Locale.ROOT, "M%.1f %.1fL%.1f %.1f", x + fromX, y + along - fromX, x + toX, y + along - toX));
        }
        return path(kind, strokes.toString());
    }

    private Svg styled(String kind) {
        return kind.isEmpty() ? this : with("class", kind);
    }

    Svg with(String attribute, Object value) {
        attributes.put(attribute, Objects.toString(value));
        return this;
    }

    Svg middle() {
        return with("text-anchor", "middle");
    }

    Svg end() {
        return with("text-anchor", "end");
    }

    Svg add(Svg... more) {
        inside.addAll(List.of(more));
        return this;
    }

    Svg add(List<Svg> more) {
        inside.addAll(more);
        return this;
    }

    Svg saying(Object words) {
        inside.add(Objects.toString(words));
        return this;
    }

    /** Named by its first child, for those who cannot see it. */
    Svg titled(String id, String words) {
        return with("role", "img")
                .with("aria-labelledby", id)
                .add(of("title").with("id", id).saying(words));
    }

    /** Hidden from those who cannot see it: the words beside it say the same. */
    Svg unspoken() {
        return with("aria-hidden", "true");
    }

    String written() {
        StringBuilder out = new StringBuilder();
        write(out);
        return out.toString();
    }

    private void write(StringBuilder out) {
        out.append('<').append(name);
        attributes.forEach((attribute, value) -> out.append(' ')
                .append(attribute)
                .append("=\"")
                .append(escaped(value))
                .append('"'));
        if (inside.isEmpty()) {
            out.append("/>");
            return;
        }
        out.append('>');
        for (Object each : inside) {
            if (each instanceof Svg element) {
                element.write(out);
            } else {
                out.append(escaped(each.toString()));
            }
        }
        out.append("</").append(name).append('>');
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}

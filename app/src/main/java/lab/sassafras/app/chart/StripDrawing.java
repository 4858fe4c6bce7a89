package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;

/** The strip written out: what is only seen, and the bars a hand may drag. */
final class StripDrawing {

    /** Around the field in which lines are drawn. */
    private static final int MARGIN = 6;

    private static final int FLAG = 40;

    private final StripPicture picture;
    private final StripPicture.Frame frame;

    StripDrawing(StripPicture picture) {
        this.picture = picture;
        this.frame = picture.frame();
    }

    /**
     * @param decimals how a temperature under the hairline is written
     * @param mark     its decimal mark
     */
    String svg(int decimals, String mark) {
        return Svg.picture("strip-picture", frame.width(), frame.height())
                .with("role", "group")
                .with("x-on:pointerdown", "grab")
                .with("x-on:pointermove", "drag")
                .with("x-on:pointerup", "drop")
                .with("x-on:pointercancel", "drop")
                .with("aria-labelledby", "strip-picture-title")
                .add(
                        Svg.of("title")
                                .with("id", "strip-picture-title")
                                .with("data-live", "summary")
                                .saying(picture.summary()),
                        Svg.of("clipPath")
                                .with("id", "strip-clip")
                                .add(Svg.rect(
                                        "",
                                        frame.left() - MARGIN,
                                        frame.top() - MARGIN,
                                        frame.right() - frame.left() + 2 * MARGIN,
                                        frame.bottom() - frame.top() + 2 * MARGIN)),
                        seen(decimals, mark))
                .add(bars())
                .add(Svg.group()
                        .with("class", "hairline")
                        .with("hidden", "")
                        .unspoken()
                        .add(
                                Svg.of("line").with("class", "upright"),
                                Svg.of("line").with("class", "level")))
                .written();
    }

    private Svg seen(int decimals, String mark) {
        Svg seen = span(Svg.group().unspoken().with("class", "scales-of").with("data-live", "picture"))
                .with("data-top", frame.top())
                .with("data-bottom", frame.bottom())
                .with("data-low", picture.low())
                .with("data-high", picture.high())
                .with("data-decimals", decimals)
                .with("data-mark", mark);
        picture.across()
                .forEach(each -> seen.add(Svg.group()
                        .add(
                                Svg.upright("grid", each.at(), frame.top(), frame.bottom()),
                                Svg.text("tick", each.at(), frame.bar() + 27, each.label())
                                        .middle())));
        picture.up()
                .forEach(each -> seen.add(Svg.group()
                        .add(
                                Svg.level("grid", frame.left(), frame.right(), each.at()),
                                Svg.text("tick", frame.left() - 10, each.at(), each.label())
                                        .end()
                                        .with("dy", 4))));
        seen.add(
                Svg.text("small", frame.left(), frame.top() - 24, "temperature, °C"),
                Svg.text("small", frame.left(), frame.height() - 8, "minutes from the start"));
        if (picture.flag() != null) {
            seen.add(flag(picture.flag()));
        }
        for (int i = 0; i < picture.others().size(); i++) {
            seen.add(other(picture.others().get(i), i % 3));
        }
        return seen.add(read());
    }

    /** With the times at its ends, for whoever turns a place into a time. */
    private Svg span(Svg group) {
        return group.with("data-left", frame.left())
                .with("data-right", frame.right())
                .with("data-first", picture.first())
                .with("data-last", picture.last());
    }

    private Svg flag(StripPicture.Flag flag) {
        int top = frame.top() - FLAG;
        return Svg.group()
                .add(
                        Svg.upright("mixing", flag.x(), frame.top() - 18, frame.bottom()),
                        Svg.path(
                                "flag",
                                "M" + flag.x() + " " + top + "h"
                                        + (20 + 7 * flag.words().length()) + "v26H" + flag.x() + "z"),
                        Svg.text("flag-words", flag.x(), top, flag.words())
                                .with("dx", 9)
                                .with("dy", 18));
    }

    private static Svg other(StripPicture.Other other, int kind) {
        return Svg.group()
                .with("class", "other kind-" + kind)
                .add(
                        points("", other.line()),
                        Svg.text("small", other.x(), other.y(), other.name())
                                .end()
                                .with("dy", -8));
    }

    private static Svg points(String kind, String points) {
        Svg line = Svg.of("polyline");
        return (kind.isEmpty() ? line : line.with("class", kind)).with("points", points);
    }

    /** Lines, change and readings, within the field. */
    private Svg read() {
        Svg read = Svg.group().with("clip-path", "url(#strip-clip)");
        if (picture.fore() != null) {
            StripPicture.Stretch after = Objects.requireNonNull(picture.after());
            read.add(
                    points("fore", picture.fore().line()),
                    points("fore carried", picture.fore().carried()),
                    points("after", after.line()),
                    points("after carried", after.carried()));
        }
        if (picture.arrow() != null) {
            read.add(arrow(picture.arrow()));
        }
        picture.lines().forEach(each -> read.add(line(each)));
        if (!picture.dots().isEmpty()) {
            read.add(Svg.path("dots", picture.dots()));
        }
        picture.spots().forEach(each -> read.add(spot(each)));
        return read;
    }

    /** Its words stand where no line goes on: below what rises, above what falls or stands still. */
    private static Svg line(StripPicture.Drawn line) {
        return Svg.group()
                .with("class", "laid " + line.kind())
                .add(
                        points("", line.points()),
                        Svg.text("small", line.x(), line.y(), line.words())
                                .with("dx", 12)
                                .with("dy", line.rises() ? 22 : -14));
    }

    private static Svg arrow(StripPicture.Arrow arrow) {
        return Svg.group()
                .add(
                        Svg.upright("arrow", arrow.x(), arrow.y1(), arrow.y2()),
                        Svg.of("polygon").with("class", "head").with("points", arrow.head()),
                        beside(arrow, Svg.text("change", arrow.x(), arrow.middle(), arrow.label())),
                        beside(arrow, Svg.text("small", arrow.x(), arrow.middle(), arrow.words()))
                                .with("dy", 21));
    }

    private static Svg beside(StripPicture.Arrow arrow, Svg text) {
        return text.with("text-anchor", arrow.leftward() ? "end" : "start").with("dx", arrow.leftward() ? -12 : 40);
    }

    private static Svg spot(StripPicture.Spot spot) {
        Svg group = Svg.group().add(Svg.circle(spot.counts() ? "spot" : "spot hollow", spot.x(), spot.y(), 5));
        return spot.words().isEmpty()
                ? group
                : group.add(Svg.text("small", spot.x(), spot.y(), spot.words())
                        .with("dx", 10)
                        .with("dy", 18));
    }

    /** What is taken for baseline; none where nothing is read from the curve. */
    private List<Svg> bars() {
        if (picture.fore() == null) {
            return List.of();
        }
        List<Svg> bars = new ArrayList<>(bar(picture.fore(), "fore", "before"));
        bars.addAll(bar(Objects.requireNonNull(picture.after()), "after", "after"));
        return List.of(span(Svg.group().with("class", "bars").with("data-live", "bars"))
                .with("data-top", frame.bar() - FLAG)
                .add(bars));
    }

    private List<Svg> bar(StripPicture.Stretch stretch, String kind, String words) {
        if (stretch.x1().equals(stretch.x2())) {
            return List.of();
        }
        double width = Double.parseDouble(stretch.x2()) - Double.parseDouble(stretch.x1());
        return List.of(
                Svg.rect("bar " + kind, stretch.x1(), frame.bar() - 9, String.format(Locale.ROOT, "%.1f", width), 9),
                Svg.text("bar-words " + kind, stretch.middle(), frame.bar() - 14, words)
                        .middle(),
                grip(stretch.x1()),
                grip(stretch.x2()));
    }

    private Svg grip(String x) {
        return Svg.rect("grip", x, frame.bar() - 16, 6, 22).with("rx", 3);
    }
}

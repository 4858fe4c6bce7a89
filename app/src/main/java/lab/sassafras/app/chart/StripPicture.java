package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Laid;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Windows;
import lab.sassafras.measure.Figures;
import org.jspecify.annotations.Nullable;

/**
 * The strip: temperature against time, the moment of mixing as a flag, what a way of reading lays through the readings,
 * and the change as a measured arrow.
 *
 * @param frame  where the scales stand
 * @param spots  readings, those that do not count hollow; of very many only those
 * @param dots   of very many, those that count, as one path
 * @param others other trials laid over it, mixing on mixing
 * @param lines  laid through the readings
 * @param across the scale across
 * @param up     the scale up
 * @param flag   the moment of mixing; null while it is not marked
 * @param fore   the stretch before mixing; null where nothing is read from the curve
 * @param after  the stretch after it
 * @param arrow  the change; null where none can be read
 * @param first  second at the left end
 * @param last   second at the right end
 * @param low    temperature at the lower end (°C)
 * @param high   temperature at the upper end (°C)
 * @param summary the whole in a sentence, for those who cannot see it
 */
public record StripPicture(
        Frame frame,
        List<Spot> spots,
        String dots,
        List<Other> others,
        List<Drawn> lines,
        List<Mark> across,
        List<Mark> up,
        @Nullable Flag flag,
        @Nullable Stretch fore,
        @Nullable Stretch after,
        @Nullable Arrow arrow,
        double first,
        double last,
        double low,
        double high,
        String summary) {

    /** Where things stand that do not depend on the numbers. */
    public record Frame(int width, int height, int left, int right, int top, int bottom, int bar) {}

    private static final Frame FRAME = new Frame(1120, 420, 64, 1090, 46, 340, 362);

    /** More than this are one path, which a browser draws at once. */
    private static final int MOST_APART = 200;

    private static final int ARROW_OFF = 14;

    /** Least height of the scale (°C), so that noise does not look like a change. */
    private static final double LEAST_HEIGHT = 2;

    /** A reading as it comes in: the words say why it does not count. */
    public record Dot(double seconds, double temperature, boolean counts, String words) {}

    /** A reading where it stands. */
    public record Spot(String x, String y, boolean counts, String words) {}

    /**
     * Another trial as it comes in, its times on the clock of the one shown.
     *
     * @param name     which
     * @param readings that count, in order of time
     */
    public record Besides(String name, List<Reading> readings) {

        Besides within(Part part) {
            return new Besides(
                    name,
                    readings.stream().filter(each -> part.holds(each.seconds())).toList());
        }
    }

    /**
     * A line laid through the readings as it comes in.
     *
     * @param kind   of line, as its style is called
     * @param points of it, in order of time
     * @param words  at its middle
     */
    public record Line(String kind, List<Reading> points, String words) {}

    /**
     * What is laid over the readings.
     *
     * @param besides other trials
     * @param lines   through the readings themselves
     */
    public record Over(List<Besides> besides, List<Line> lines) {}

    /** Such a line where it stands. */
    public record Drawn(String kind, String points, String x, String y, String words, boolean rises) {}

    /** Another trial laid over: the points of a thin line, and where its name stands. */
    public record Other(String name, String line, String x, String y) {}

    /** A part of the time that is looked at closely (s). */
    public record Part(double from, double to) {

        boolean holds(double seconds) {
            return seconds >= from && seconds <= to;
        }
    }

    /** A mark of a scale. */
    public record Mark(String at, String label) {}

    /** The moment of mixing. */
    public record Flag(String x, String words) {}

    /**
     * A stretch of baseline with the line laid through it.
     *
     * @param from     second it begins at
     * @param to       second it ends at
     * @param x1       the same across
     * @param x2       the same across
     * @param line     points of the line within it
     * @param carried  points of the line from there to where the change is taken
     * @param words    what it is called, with its times
     */
    public record Stretch(double from, double to, String x1, String x2, String line, String carried, String words) {

        /** Its middle across. */
        public String middle() {
            return place((Double.parseDouble(x1) + Double.parseDouble(x2)) / 2);
        }
    }

    /** The change as an arrow from the temperature before to the one after. */
    public record Arrow(String x, String y1, String y2, String head, String label, String words, boolean leftward) {

        /** Height of its label. */
        public String middle() {
            return place((Double.parseDouble(y1) + Double.parseDouble(y2)) / 2);
        }
    }

    /**
     * What is drawn of the way in force.
     *
     * @param laid    its lines
     * @param windows stretches taken for baseline
     * @param change  what it comes to
     * @param label   the change as written
     * @param words   the way in words
     */
    public record Read(Laid laid, Windows windows, Change change, String label, String words) {}

    /**
     * Draws it.
     *
     * @param dots   readings in order of time, at least one
     * @param over   what is laid over it
     * @param mixing second of mixing, if it is marked
     * @param flag   words at its flag; empty where nothing is mixed
     * @param read   what is drawn of the way in force, if it gives a change
     * @param part   of the time that is looked at closely; the whole where there is none
     */
    public static StripPicture of(
            List<Dot> dots,
            Over over,
            Optional<Double> mixing,
            String flag,
            Optional<Read> read,
            Optional<Part> part,
            Figures figures) {
        String summary = summary(dots, mixing, flag, read, figures)
                + part.map(each -> " Shown from " + ClockTime.write(each.from()) + " to " + ClockTime.write(each.to())
                                + ".")
                        .orElse("");
        Part time = part.orElse(whole(dots, over.besides(), mixing));
        return drawn(
                dots.stream().filter(each -> time.holds(each.seconds())).toList(),
                new Over(
                        over.besides().stream()
                                .map(each -> each.within(time))
                                .filter(each -> !each.readings().isEmpty())
                                .toList(),
                        over.lines()),
                mixing.filter(time::holds).map(at -> new Mixed(at, flag)),
                read,
                time,
                figures,
                summary);
    }

    /** All of the time there is. */
    public static Part whole(List<Dot> dots, List<Besides> besides, Optional<Double> mixing) {
        double earliest = Math.min(0, dots.get(0).seconds());
        double latest = Math.max(dots.get(dots.size() - 1).seconds(), mixing.orElse(0.0));
        for (Besides each : besides) {
            earliest = Math.min(earliest, each.readings().get(0).seconds());
            latest = Math.max(
                    latest, each.readings().get(each.readings().size() - 1).seconds());
        }
        return new Part(earliest, Math.max(earliest + 60, latest));
    }

    /** The moment of mixing with what stands at its flag. */
    private record Mixed(double seconds, String words) {}

    private static StripPicture drawn(
            List<Dot> dots,
            Over over,
            Optional<Mixed> mixing,
            Optional<Read> read,
            Part time,
            Figures figures,
            String summary) {
        List<Double> temperatures =
                new ArrayList<>(dots.stream().map(Dot::temperature).toList());
        over.besides().forEach(each -> each.readings().forEach(one -> temperatures.add(one.temperature())));
        read.ifPresent(each -> {
            cut(each.laid().fore(), time.from(), time.to()).forEach(point -> temperatures.add(point.temperature()));
            cut(each.laid().after(), time.from(), time.to()).forEach(point -> temperatures.add(point.temperature()));
        });
        double low = temperatures.stream().min(Double::compare).orElse(0.0);
        double high = temperatures.stream().max(Double::compare).orElse(0.0);
        double air = Math.max(0.06 * (high - low), (LEAST_HEIGHT - (high - low)) / 2);
        StripScale up = new StripScale(FRAME.bottom(), FRAME.top() - FRAME.bottom(), low - air, high + air);
        double first = time.from();
        double last = time.to();
        StripScale across = new StripScale(FRAME.left(), FRAME.right() - FRAME.left(), first, last);
        List<Dot> drawn = StripDots.thinned(dots, across);
        boolean many = drawn.size() > MOST_APART;
        return new StripPicture(
                FRAME,
                StripDots.spots(
                        many ? drawn.stream().filter(each -> !each.counts()).toList() : drawn, across, up),
                many ? StripDots.path(drawn, across, up) : "",
                over.besides().stream().map(each -> other(each, across, up)).toList(),
                over.lines().stream().map(each -> line(each, across, up)).toList(),
                across.marks(60, figures, true),
                up.marks(1, figures, false),
                mixing.map(at -> new Flag(across.at(at.seconds()), at.words())).orElse(null),
                read.map(each -> stretch(
                                "before",
                                each,
                                each.windows().foreFrom(),
                                each.windows().foreTo(),
                                across,
                                up))
                        .orElse(null),
                read.map(each -> stretch(
                                "after",
                                each,
                                each.windows().afterFrom(),
                                each.windows().afterTo(),
                                across,
                                up))
                        .orElse(null),
                read.filter(each -> time.holds(each.laid().at()))
                        .map(each -> arrow(each, across, up))
                        .orElse(null),
                first,
                last,
                low - air,
                high + air,
                summary);
    }

    private static Other other(Besides besides, StripScale across, StripScale up) {
        List<Dot> dots = StripDots.thinned(
                besides.readings().stream()
                        .map(each -> new Dot(each.seconds(), each.temperature(), true, ""))
                        .toList(),
                across);
        Dot end = dots.get(dots.size() - 1);
        return new Other(
                besides.name(),
                points(
                        dots.stream()
                                .map(each -> new Reading(each.seconds(), each.temperature()))
                                .toList(),
                        across,
                        up),
                across.at(end.seconds()),
                up.at(end.temperature()));
    }

    private static Drawn line(Line line, StripScale across, StripScale up) {
        Reading first = line.points().get(0);
        Reading last = line.points().get(line.points().size() - 1);
        return new Drawn(
                line.kind(),
                points(line.points(), across, up),
                across.at((first.seconds() + last.seconds()) / 2),
                up.at((first.temperature() + last.temperature()) / 2),
                line.words(),
                last.temperature() > first.temperature());
    }

    private static Stretch stretch(String words, Read read, double from, double to, StripScale across, StripScale up) {
        List<Reading> line =
                words.equals("before") ? read.laid().fore() : read.laid().after();
        return new Stretch(
                from,
                to,
                across.at(across.within(from)),
                across.at(across.within(to)),
                points(cut(line, from, to), across, up),
                words.equals("before")
                        ? points(cut(line, to, read.laid().at()), across, up)
                        : points(cut(line, read.laid().at(), from), across, up),
                words + " " + ClockTime.write(from) + " to " + ClockTime.write(to));
    }

    /** Part of a line between two times, with its ends put in where they lie between points. */
    private static List<Reading> cut(List<Reading> line, double from, double to) {
        List<Reading> part = new ArrayList<>();
        for (int i = 1; i < line.size(); i++) {
            Reading one = line.get(i - 1);
            Reading other = line.get(i);
            double start = Math.max(from, one.seconds());
            double end = Math.min(to, other.seconds());
            if (start < end) {
                if (part.isEmpty()) {
                    part.add(between(one, other, start));
                }
                part.add(between(one, other, end));
            }
        }
        return part;
    }

    private static Reading between(Reading one, Reading other, double seconds) {
        double share = (seconds - one.seconds()) / (other.seconds() - one.seconds());
        return new Reading(seconds, one.temperature() + share * (other.temperature() - one.temperature()));
    }

    private static String points(List<Reading> line, StripScale across, StripScale up) {
        return line.stream()
                .map(each -> across.at(each.seconds()) + "," + up.at(each.temperature()))
                .collect(Collectors.joining(" "));
    }

    private static Arrow arrow(Read read, StripScale across, StripScale up) {
        double x = Double.parseDouble(across.at(read.laid().at())) - ARROW_OFF;
        double tip = Double.parseDouble(up.at(read.change().end()));
        boolean upward = read.change().end() > read.change().start();
        double base = tip + (upward ? 11 : -11);
        return new Arrow(
                place(x),
                up.at(read.change().start()),
                up.at(read.change().end()),
                place(x) + "," + place(tip) + " " + place(x - 6) + "," + place(base) + " " + place(x + 6) + ","
                        + place(base),
                read.label(),
                read.words(),
                x > FRAME.left() + 260);
    }

    private static String summary(
            List<Dot> dots, Optional<Double> mixing, String flag, Optional<Read> read, Figures figures) {
        return dots.size() + " readings from " + ClockTime.write(dots.get(0).seconds()) + " to "
                + ClockTime.write(dots.get(dots.size() - 1).seconds())
                + mixing.map(at -> "; " + flag + " at " + ClockTime.write(at))
                        .orElse(flag.isEmpty() ? "" : "; mixing is not marked")
                + read.map(each -> ". From " + figures.fixed(each.change().start(), 2) + " to "
                                + figures.fixed(each.change().end(), 2) + " °C, a change of " + each.label() + ", "
                                + each.words())
                        .orElse("")
                + ".";
    }

    static String place(double at) {
        return String.format(Locale.ROOT, "%.1f", at);
    }

    /**
     * {@return the picture, with the bars a hand may drag}
     *
     * @param decimals how a temperature under the hairline is written
     * @param mark     its decimal mark
     */
    public String svg(int decimals, String mark) {
        return new StripDrawing(this).svg(decimals, mark);
    }
}

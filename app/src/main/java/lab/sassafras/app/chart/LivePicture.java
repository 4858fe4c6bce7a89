package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;

/**
 * Temperatures as they come, of every probe of a bench: what came is drawn with the page, what comes is added to it in
 * the same coordinates.
 *
 * @param look    the part of the time and the temperatures it shows
 * @param probes  in the order they are told apart by
 * @param mixing  when both came together (s), and what is said there; empty while that is not marked
 * @param now     second of now
 * @param summary the whole in a sentence, for those who cannot see it
 * @param expected where a plan expects it to end; empty where none does
 */
public record LivePicture(
        Look look, List<Probe> probes, List<Moment> mixing, double now, String summary, Optional<Band> expected) {

    /** Of which nothing is expected. */
    public LivePicture(Look look, List<Probe> probes, List<Moment> mixing, double now, String summary) {
        this(look, probes, mixing, now, summary, Optional.empty());
    }

    /** Two temperatures between which something is expected (°C). */
    public record Band(double low, double high) {}

    private static final int WIDTH = 1120;
    private static final int HEIGHT = 400;
    private static final int LEFT = 60;
    private static final int RIGHT = 1090;
    private static final int TOP = 34;
    private static final int BOTTOM = 352;
    /** More readings than two a column look the same as their highest and lowest. */
    private static final int MOST_APART = 2 * (RIGHT - LEFT);

    private static final double LEAST_HEIGHT = 2;
    private static final int ARM = 3;
    /** Kinds of mark, so that probes are told apart without colour. */
    private static final int KINDS = 4;

    private static final int MARKS = 10;
    private static final int LEVELS = 5;
    private static final double[] STEPS = {1, 5, 10, 30, 60, 120, 300, 600, 1800, 3600, 7200, 21_600, 86_400};

    /** What is told apart by mark: a probe with its readings, in order of time. */
    public record Probe(String name, List<Reading> readings) {}

    /** A moment, and what is said there. */
    public record Moment(double seconds, String words) {}

    /**
     * What is shown: from and to on the clock (s), lowest and highest (°C).
     *
     * @param first left end
     * @param last  right end
     * @param low   lower end
     * @param high  upper end
     */
    public record Look(double first, double last, double low, double high) {

        /** Whole degrees around what was read in a part of the time. */
        public static Look around(double first, double last, List<Probe> probes) {
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (Probe probe : probes) {
                for (Reading each : probe.readings()) {
                    if (each.seconds() >= first && each.seconds() <= last && each.possible()) {
                        low = Math.min(low, each.temperature());
                        high = Math.max(high, each.temperature());
                    }
                }
            }
            if (low > high) {
                return new Look(first, last, 20, 20 + LEAST_HEIGHT);
            }
            double air = Math.max((LEAST_HEIGHT - (high - low)) / 2, (high - low) / 10);
            return new Look(first, last, Math.floor(low - air), Math.ceil(high + air));
        }

        /** Whether it is one at all, and no larger than a record. */
        public boolean possible() {
            return first >= -Reading.LONGEST
                    && last <= Reading.LONGEST
                    && last - first >= 1
                    && low >= Reading.COLDEST - HEIGHT
                    && high <= 2 * Reading.HOTTEST
                    && high - low >= 1;
        }

        /** Whether a reading is on it. */
        public boolean holds(Reading each) {
            return each.seconds() >= first
                    && each.seconds() <= last
                    && each.temperature() >= low
                    && each.temperature() <= high;
        }

        private StraightScale across() {
            return new StraightScale(LEFT, RIGHT - LEFT, first, last);
        }

        private StraightScale up() {
            return new StraightScale(BOTTOM, TOP - BOTTOM, low, high);
        }

        /** Where a second is across. */
        public String across(double seconds) {
            return across().at(seconds);
        }
    }

    /** Readings as marks of a kind, in the coordinates of a look; what is not on it is left out. */
    public static String path(Look look, int kind, List<Reading> readings) {
        StraightScale across = look.across();
        StraightScale up = look.up();
        return readings.stream()
                .filter(look::holds)
                .map(each -> mark(kind, across.place(each.seconds()), up.place(each.temperature())))
                .collect(Collectors.joining());
    }

    private static String mark(int kind, double x, double y) {
        return switch (kind % KINDS) {
            case 0 -> "M" + StraightScale.coordinate(x) + " " + StraightScale.coordinate(y) + "h0";
            case 1 ->
                String.format(Locale.ROOT, "M%.1f %.1fh%dM%.1f %.1fv%d", x - ARM, y, 2 * ARM, x, y - ARM, 2 * ARM);
            case 2 ->
                String.format(
                        Locale.ROOT,
                        "M%.1f %.1fl%d %dm0 %dl%d %d",
                        x - ARM,
                        y - ARM,
                        2 * ARM,
                        2 * ARM,
                        -2 * ARM,
                        -2 * ARM,
                        2 * ARM);
            default -> String.format(Locale.ROOT, "M%.1f %.1fl%d %dl%d %dz", x, y - ARM, ARM, 2 * ARM, -2 * ARM, 0);
        };
    }

    /** Of very many, the highest and the lowest of each column. */
    static List<Reading> thinned(Look look, List<Reading> readings) {
        List<Reading> seen = readings.stream().filter(look::holds).toList();
        if (seen.size() <= MOST_APART) {
            return seen;
        }
        StraightScale across = look.across();
        List<Reading> some = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= seen.size(); i++) {
            if (i == seen.size()
                    || Math.rint(across.place(seen.get(i).seconds()))
                            != Math.rint(across.place(seen.get(from).seconds()))) {
                Reading low = seen.get(from);
                Reading high = low;
                for (Reading each : seen.subList(from, i)) {
                    low = each.temperature() < low.temperature() ? each : low;
                    high = each.temperature() > high.temperature() ? each : high;
                }
                some.add(low);
                some.add(high);
                from = i;
            }
        }
        return some;
    }

    /** {@return the picture} */
    public String svg(Figures figures) {
        Svg picture = Svg.picture("live-picture", WIDTH, HEIGHT)
                .titled("live-title", summary)
                .with("data-now", look.across(look.across().within(now)));
        for (double each : StraightScale.multiples(look.first(), look.last(), step())) {
            picture.add(Svg.text("tick", look.across(each), BOTTOM + 24, ClockTime.write(each))
                    .middle());
        }
        look.up()
                .marks(LEVELS, figures::plain)
                .forEach(each -> picture.add(
                        Svg.level("grid", LEFT, RIGHT, each.at()),
                        Svg.text("tick", LEFT - 10, each.at(), each.label())
                                .end()
                                .with("dy", 4)));
        picture.add(
                Svg.text("small", LEFT, TOP - 16, "temperature, °C"),
                Svg.text("small", LEFT, HEIGHT - 4, "minutes and seconds on the clock"));
        mixing.stream()
                .filter(each -> each.seconds() >= look.first() && each.seconds() <= look.last())
                .forEach(each -> picture.add(flag(each)));
        expected.filter(each -> each.high() > look.low() && each.low() < look.high())
                .ifPresent(each -> band(picture, each));
        for (int i = 0; i < probes.size(); i++) {
            picture.add(Svg.group()
                    .with("class", "marks kind-" + i % KINDS)
                    .with("data-probe", i)
                    .add(Svg.path("", path(look, i, thinned(look, probes.get(i).readings())))));
        }
        String at = look.across(look.across().within(now));
        return picture.add(Svg.upright("now-line", at, TOP, BOTTOM)).written();
    }

    /** Faintly behind what is read, from the mixing on where that is marked. */
    private void band(Svg picture, Band ends) {
        StraightScale up = look.up();
        double from = mixing.isEmpty()
                ? look.first()
                : look.across().within(mixing.get(0).seconds());
        double head = up.place(up.within(ends.high()));
        picture.add(
                Svg.path(
                        "expected-band",
                        String.format(
                                Locale.ROOT,
                                "M%s %.1fH%dV%.1fH%sz",
                                look.across(from),
                                head,
                                RIGHT,
                                up.place(up.within(ends.low())),
                                look.across(from))),
                Svg.text("small", RIGHT - 4, String.format(Locale.ROOT, "%.1f", head - 4), "expected in the end")
                        .end());
    }

    /** A round part of the time, of which no more than ten are on it (s). */
    private double step() {
        double length = look.last() - look.first();
        return Arrays.stream(STEPS)
                .filter(each -> length / each <= MARKS)
                .findFirst()
                .orElse(Math.ceil(length / MARKS / 86_400) * 86_400);
    }

    private Svg flag(Moment moment) {
        String x = look.across(moment.seconds());
        return Svg.group()
                .add(
                        Svg.upright("mixing", x, TOP, BOTTOM),
                        Svg.path(
                                "flag",
                                "M" + x + " " + TOP + "h"
                                        + (20 + 7 * moment.words().length()) + "v24H" + x + "z"),
                        Svg.text("flag-words", x, TOP, moment.words())
                                .with("dx", 9)
                                .with("dy", 17));
    }
}

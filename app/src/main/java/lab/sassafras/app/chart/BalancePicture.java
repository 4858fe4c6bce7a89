package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.account.Solution;
import lab.sassafras.measure.Figures;

/**
 * The balance: what gave heat left of a post, what took it right of it, on one scale. The piece that was sought makes
 * the sides equal. Every piece carries a number that its row below explains, so a sliver reads as well as a slab.
 *
 * @param frame    where things stand that do not depend on the numbers
 * @param height   of the picture
 * @param segments the pieces of the beam
 * @param rows     what each number means
 * @param ticks    the scale
 * @param summary  the whole in a sentence, for those who cannot see it
 */
public record BalancePicture(
        Frame frame, int height, List<Segment> segments, List<Row> rows, List<Tick> ticks, String summary) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width      of the whole
     * @param left       end of the beam
     * @param right      end of the beam
     * @param post       where the beam rests
     * @param names      height of the sides' names
     * @param tags       height of the pieces' numbers
     * @param spot       radius behind a number
     * @param leader     where the line from a number to its piece begins
     * @param beam       top of the beam
     * @param thick      of the beam
     * @param postTop    end of the post
     * @param postBottom end of the post
     * @param ground     height of the scale
     * @param tick       half the length of a mark
     * @param labels     height of the marks' figures
     */
    public record Frame(
            int width,
            int left,
            int right,
            int post,
            int names,
            int tags,
            int spot,
            int leader,
            int beam,
            int thick,
            int postTop,
            int postBottom,
            int ground,
            int tick,
            int labels) {}

    private static final Frame FRAME = new Frame(760, 20, 740, 380, 18, 33, 10, 42, 50, 44, 26, 108, 104, 3, 120);
    static final double POST = FRAME.post();
    static final double SIDE = FRAME.post() - FRAME.left();
    private static final double LEAST = 2;
    private static final double TAG = 20;
    private static final int FIRST_ROW = 142;
    private static final int ROW = 44;
    private static final int STAGES = 18;

    /**
     * A piece of the beam.
     *
     * @param x      left edge
     * @param width  its length
     * @param gave   whether it gave heat
     * @param sought whether it is the unknown
     * @param number what its row is called
     * @param middle where its middle is
     * @param tag    where its number stands
     * @param stages where one part of its way ends and the next begins
     */
    public record Segment(
            String x,
            String width,
            boolean gave,
            boolean sought,
            int number,
            String middle,
            String tag,
            List<String> stages) {}

    /**
     * What a number means: party, temperatures, heat with its sign in words.
     *
     * @param spotX        where its number stands
     * @param spotY        where its number stands
     * @param textX        where its words begin
     * @param nameY        height of the first line
     * @param heatY        height of the second line
     * @param number       of the piece
     * @param party        in words
     * @param temperatures from and to; empty where there are none
     * @param stages       what its heat is made of, where it changes state on the way
     * @param stagesY      height of that line
     * @param heat         with its sign in words
     * @param gave         whether it gave heat
     * @param sought       whether it is the unknown
     */
    public record Row(
            String spotX,
            String spotY,
            String textX,
            String nameY,
            String heatY,
            int number,
            String party,
            String temperatures,
            String stages,
            String stagesY,
            String heat,
            boolean gave,
            boolean sought) {}

    /**
     * A mark of the scale.
     *
     * @param x     where it stands
     * @param label its figure
     */
    public record Tick(String x, String label) {}

    /** What the post stands on. */
    public String fulcrum() {
        int foot = FRAME.labels() - 4;
        return "M" + FRAME.post() + " " + (FRAME.ground() - 2) + " " + (FRAME.post() + 16) + " " + foot + " "
                + (FRAME.post() - 16) + " " + foot + "Z";
    }

    public static BalancePicture of(Solution solution, Figures figures) {
        List<Solution.Posting> gave = solution.postings().stream()
                .filter(entry -> entry.heat().value() < 0)
                .toList();
        List<Solution.Posting> took = solution.postings().stream()
                .filter(entry -> entry.heat().value() >= 0)
                .toList();
        double scale = SIDE / Math.max(1e-9, Math.max(total(gave), total(took)));
        Drawing drawing = new Drawing(figures, scale);
        drawing.side(gave, true);
        drawing.side(took, false);
        int rows = Math.max(gave.size(), took.size());
        return new BalancePicture(
                FRAME,
                FIRST_ROW
                        + rows * ROW
                        + (solution.postings().stream()
                                        .allMatch(each -> each.stages().isEmpty())
                                ? 0
                                : STAGES),
                drawing.segments,
                drawing.rows,
                ticks(Math.max(total(gave), total(took)), scale, figures),
                drawing.summary());
    }

    private static double total(List<Solution.Posting> side) {
        return side.stream()
                .mapToDouble(entry -> Math.abs(entry.heat().value()))
                .sum();
    }

    /** Marks at a round step, the same on both sides. */
    private static List<Tick> ticks(double most, double scale, Figures figures) {
        double rough = most / 2.5;
        double power = Math.pow(10, Math.floor(Math.log10(Math.max(rough, 1e-9))));
        double step = rough >= 5 * power ? 5 * power : rough >= 2 * power ? 2 * power : power;
        List<Tick> ticks = new ArrayList<>();
        for (double at : StraightScale.multiples(step, most * 1.001, step)) {
            String label = figures.plain(at) + (at + step > most * 1.001 ? " J" : "");
            ticks.add(new Tick(at(POST - at * scale), label));
            ticks.add(new Tick(at(POST + at * scale), label));
        }
        return ticks;
    }

    /** Lays out one side after the other. */
    private static final class Drawing {

        private final Figures figures;
        private final double scale;
        private final List<Segment> segments = new ArrayList<>();
        private final List<Row> rows = new ArrayList<>();

        Drawing(Figures figures, double scale) {
            this.figures = figures;
            this.scale = scale;
        }

        void side(List<Solution.Posting> side, boolean gave) {
            double edge = 0;
            List<Double> tags = spread(side);
            int first = rows.size();
            for (int i = 0; i < side.size(); i++) {
                Solution.Posting entry = side.get(i);
                double width = width(entry);
                double middle = edge + width / 2;
                double x = gave ? POST - edge - width : POST + edge;
                boolean sought = entry.sought();
                segments.add(new Segment(
                        at(x),
                        at(width),
                        gave,
                        sought,
                        first + i + 1,
                        at(gave ? POST - middle : POST + middle),
                        at(gave ? POST - tags.get(i) : POST + tags.get(i)),
                        stages(entry, gave, edge)));
                double column = gave ? FRAME.left() : POST + 14;
                double top = FIRST_ROW + i * ROW;
                rows.add(new Row(
                        at(column + FRAME.spot()),
                        at(top + 6),
                        at(column + 28),
                        at(top + 11),
                        at(top + 29),
                        first + i + 1,
                        entry.party().label(),
                        temperatures(entry),
                        stages(entry),
                        at(top + 46),
                        heat(entry),
                        gave,
                        sought));
                edge += width;
            }
        }

        /**
         * Where the numbers stand: over the middles, pushed apart until they can be read, back from the end of the
         * beam.
         */
        private List<Double> spread(List<Solution.Posting> side) {
            List<Double> tags = new ArrayList<>();
            double edge = 0;
            double last = -TAG;
            for (Solution.Posting entry : side) {
                double width = width(entry);
                last = Math.max(edge + width / 2, last + TAG);
                tags.add(last);
                edge += width;
            }
            double limit = SIDE;
            for (int i = tags.size() - 1; i >= 0; i--) {
                tags.set(i, Math.min(tags.get(i), limit));
                limit = tags.get(i) - TAG;
            }
            return tags;
        }

        private double width(Solution.Posting entry) {
            return Math.max(LEAST, Math.abs(entry.heat().value()) * scale);
        }

        private String temperatures(Solution.Posting entry) {
            return entry.from()
                    .flatMap(from -> entry.to()
                            .map(to -> (to > from ? "warms " : to < from ? "cools " : "stays ") + figures.fixed(from, 1)
                                    + " → " + figures.fixed(to, 1) + " °C"))
                    .orElse("");
        }

        /** Where the stages of one sign divide the piece, from the post outwards. */
        private List<String> stages(Solution.Posting entry, boolean gave, double edge) {
            double whole = entry.stages().stream().mapToDouble(Math::abs).sum();
            boolean oneWay = entry.stages().stream().allMatch(each -> each < 0 == gave || each == 0);
            List<String> ends = new ArrayList<>();
            double at = edge;
            for (int i = 0; i + 1 < entry.stages().size() && oneWay && whole > 0; i++) {
                at += width(entry) * Math.abs(entry.stages().get(i)) / whole;
                ends.add(at(gave ? POST - at : POST + at));
            }
            return ends;
        }

        private String stages(Solution.Posting entry) {
            return IntStream.range(0, entry.stages().size())
                    .filter(i -> Math.abs(entry.stages().get(i)) >= 0.5)
                    .mapToObj(i -> entry.party().stages().get(i).words() + " "
                            + figures.signed(entry.stages().get(i), 0) + " J")
                    .collect(Collectors.joining(", "));
        }

        private String heat(Solution.Posting entry) {
            double value = entry.heat().value();
            int decimals =
                    Math.max(0, Math.min(2, Figures.decimalsFor(entry.heat().uncertainty())));
            return figures.signed(value, decimals) + " J, " + (value < 0 ? "released" : "absorbed");
        }

        String summary() {
            StringBuilder words = new StringBuilder("Heat balance. ");
            rows.forEach(row -> words.append(row.party())
                    .append(' ')
                    .append(row.temperatures())
                    .append(": ")
                    .append(row.heat())
                    .append(row.sought() ? " (found). " : ". "));
            return words.append("The heats sum to zero.").toString();
        }
    }

    /** A coordinate as pictures have it. */
    private static String at(double coordinate) {
        return String.format(Locale.ROOT, "%.1f", coordinate);
    }

    /** {@return the picture, for a page or a report} */
    public String svg() {
        Svg svg = Svg.picture("balance", frame.width(), height)
                .titled("balance-title", summary)
                .add(
                        Svg.text("side-name", frame.left(), frame.names(), "Released"),
                        Svg.text("side-name", frame.right(), frame.names(), "Absorbed")
                                .end());
        segments.forEach(each -> svg.add(drawn(each)));
        svg.add(
                Svg.upright("post", frame.post(), frame.postTop(), frame.postBottom()),
                Svg.level("ground", frame.left(), frame.right(), frame.ground()),
                Svg.path("fulcrum", fulcrum()));
        ticks.forEach(each -> svg.add(Svg.group()
                .add(
                        Svg.upright("ground", each.x(), frame.ground() - frame.tick(), frame.ground() + frame.tick()),
                        Svg.text("tick", each.x(), frame.labels(), each.label()))));
        rows.forEach(each -> svg.add(drawn(each)));
        return svg.written();
    }

    private Svg drawn(Segment each) {
        String kind = "piece " + (each.gave() ? "gave" : "took") + (each.sought() ? " sought" : "");
        Svg piece = Svg.group();
        if (each.gave()) {
            piece.add(Svg.hatchedRect(
                    kind, Double.parseDouble(each.x()), frame.beam(), Double.parseDouble(each.width()), frame.thick()));
        } else {
            piece.add(Svg.rect(kind, each.x(), frame.beam(), each.width(), frame.thick()));
        }
        each.stages().forEach(end -> piece.add(Svg.upright("stage", end, frame.beam(), frame.beam() + frame.thick())));
        return piece.add(Svg.line("leader", each.tag(), frame.leader(), each.middle(), frame.beam()))
                .add(Svg.tag(each.tag(), frame.tags(), frame.spot(), each.number()));
    }

    private Svg drawn(Row each) {
        Svg heat = Svg.of("text")
                .with("class", "heat " + (each.gave() ? "gave" : "took"))
                .with("x", each.textX())
                .with("y", each.heatY())
                .add(Svg.span("", each.heat()));
        if (each.sought()) {
            heat.add(Svg.span("small", "found").with("dx", 8));
        }
        Svg row = Svg.group()
                .add(Svg.tag(each.spotX(), each.spotY(), frame.spot(), each.number()))
                .add(
                        Svg.of("text")
                                .with("x", each.textX())
                                .with("y", each.nameY())
                                .add(
                                        Svg.span("party", each.party()),
                                        Svg.span("small", each.temperatures()).with("dx", 8)),
                        heat);
        return each.stages().isEmpty() ? row : row.add(Svg.text("small", each.textX(), each.stagesY(), each.stages()));
    }
}

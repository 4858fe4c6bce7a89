package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.account.Solution;
import lab.sassafras.measure.Figures;

/**
 * The balance: what gave heat left of a post, what took it right of it, on one scale. The piece that was sought makes
 * the sides equal. Every piece carries a number that its row below explains, so a sliver reads as well as a slab.
 *
 * @param height   of the picture (its width is 760)
 * @param segments the pieces of the beam
 * @param rows     what each number means
 * @param ticks    the scale
 * @param summary  the whole in a sentence, for those who cannot see it
 */
public record BalancePicture(int height, List<Segment> segments, List<Row> rows, List<Tick> ticks, String summary) {

    static final double POST = 380;
    static final double SIDE = 360;
    private static final double LEAST = 2;
    private static final double TAG = 20;
    private static final int FIRST_ROW = 142;
    private static final int ROW = 44;

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
     */
    public record Segment(double x, double width, boolean gave, boolean sought, int number, double middle, double tag) {

        public String at(double coordinate) {
            return String.format(Locale.ROOT, "%.1f", coordinate);
        }
    }

    /** What a number means: party, temperatures, heat with its sign in words. */
    public record Row(
            double x,
            double y,
            int number,
            String party,
            String temperatures,
            String heat,
            boolean gave,
            boolean sought) {}

    /** A mark of the scale. */
    public record Tick(double x, String label) {}

    public static BalancePicture of(Solution solution, Figures figures) {
        List<Solution.Posting> gave = solution.postings().stream()
                .filter(entry -> entry.heat().value() < 0)
                .toList();
        List<Solution.Posting> took = solution.postings().stream()
                .filter(entry -> entry.heat().value() >= 0)
                .toList();
        double scale = SIDE / Math.max(1e-9, Math.max(total(gave), total(took)));
        Drawing drawing = new Drawing(solution, figures, scale);
        drawing.side(gave, true);
        drawing.side(took, false);
        int rows = Math.max(gave.size(), took.size());
        return new BalancePicture(
                FIRST_ROW + rows * ROW,
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
        for (double at = step; at <= most * 1.001; at += step) {
            String label = figures.plain(at) + (at + step > most * 1.001 ? " J" : "");
            ticks.add(new Tick(POST - at * scale, label));
            ticks.add(new Tick(POST + at * scale, label));
        }
        return ticks;
    }

    /** Lays out one side after the other. */
    private static final class Drawing {

        private final Solution solution;
        private final Figures figures;
        private final double scale;
        private final List<Segment> segments = new ArrayList<>();
        private final List<Row> rows = new ArrayList<>();

        Drawing(Solution solution, Figures figures, double scale) {
            this.solution = solution;
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
                        x,
                        width,
                        gave,
                        sought,
                        first + i + 1,
                        gave ? POST - middle : POST + middle,
                        gave ? POST - tags.get(i) : POST + tags.get(i)));
                rows.add(new Row(
                        gave ? 20 : POST + 14,
                        FIRST_ROW + i * ROW,
                        first + i + 1,
                        entry.party().label(),
                        temperatures(entry),
                        heat(entry),
                        gave,
                        sought));
                edge += width;
            }
        }

        /** Where the numbers stand: over the middles, pushed apart until they can be read, back from the end of the beam. */
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

        private String heat(Solution.Posting entry) {
            double value = entry.heat().value();
            int decimals =
                    Math.max(0, Math.min(2, Figures.decimalsFor(entry.heat().uncertainty())));
            return figures.signed(value, decimals) + " J, " + (value < 0 ? "given off" : "taken up");
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

    /** Locale-free coordinate, for the template. */
    public String at(double coordinate) {
        return String.format(Locale.ROOT, "%.1f", coordinate);
    }
}

package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;

/**
 * The budget: where the uncertainty comes from, longest first.
 *
 * @param bars one for each source worth showing
 */
public record BudgetPicture(List<Bar> bars) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of a bar's picture
     * @param height of it
     * @param top    of the bar
     * @param thick  of the bar
     * @param text   height of the figure
     */
    public record Frame(int width, int height, int top, int thick, int text) {}

    private static final Frame FRAME = new Frame(230, 16, 3, 10, 13);

    /** Length of a bar that brings everything. */
    static final double LONGEST = 180;

    private static final int SHOWN = 7;

    /** One source: its words, its length, where its figure stands, its share in per cent. */
    public record Bar(String label, String width, String textAt, String percent) {}

    public static BudgetPicture of(Estimate estimate, Figures figures) {
        List<Bar> bars = new ArrayList<>();
        double shown = 0;
        for (Estimate.Contribution each : estimate.contributions()) {
            double share = each.shareOf(estimate);
            if (bars.size() == SHOWN || share < 0.001) {
                break;
            }
            bars.add(bar(each.label(), share, figures));
            shown += share;
        }
        if (1 - shown > 0.001 && !bars.isEmpty()) {
            bars.add(bar("everything else", 1 - shown, figures));
        }
        return new BudgetPicture(List.copyOf(bars));
    }

    private static Bar bar(String label, double share, Figures figures) {
        double width = Math.max(1, share * LONGEST);
        return new Bar(
                label,
                coordinate(width),
                coordinate(width + 6),
                share < 0.095 ? figures.significant(100 * share, 1) : figures.fixed(100 * share, 0));
    }

    private static String coordinate(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    /**
     * {@return one bar with its share}
     *
     * @param bar one of the bars
     */
    public String svg(Bar bar) {
        return Svg.picture("", FRAME.width(), FRAME.height())
                .with("role", "img")
                .with("aria-label", bar.percent() + " per cent")
                .add(
                        Svg.rect("", 0, FRAME.top(), bar.width(), FRAME.thick()),
                        Svg.text("", bar.textAt(), FRAME.text(), bar.percent() + " %"))
                .written();
    }
}

package lab.sassafras.app.notebook;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.app.chart.PartsPicture;
import lab.sassafras.measure.Figures;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.WhereHeatWent;

/**
 * Where the heat of a burning went.
 *
 * @param whole   what the fuel gave by the tables
 * @param picture of its parts
 * @param lines   the same in words
 */
public record HeatPanel(String whole, PartsPicture picture, List<Line> lines) {

    /**
     * One part.
     *
     * @param number in the picture
     * @param words  where it went
     * @param heat   how much
     * @param share  of the whole
     * @param kind   of it, in words; empty where it is on the account
     */
    public record Line(int number, String words, String heat, String share, String kind) {}

    /** The first part in a few words. */
    Optional<String> first() {
        return lines.stream().findFirst().map(each -> each.words() + ", " + each.share());
    }

    static Optional<HeatPanel> of(Reduction reduction, Figures figures) {
        return reduction.happened().whereHeatWent().map(went -> of(went, figures));
    }

    private static HeatPanel of(WhereHeatWent went, Figures figures) {
        List<WhereHeatWent.Part> parts = went.parts();
        return new HeatPanel(
                figures.significant(went.whole() / 1000, 3) + " kJ",
                PartsPicture.of(parts.stream()
                        .map(each -> new PartsPicture.Of(
                                each.joules() / went.whole(), each.kind().name().toLowerCase(Locale.ROOT)))
                        .toList()),
                java.util.stream.IntStream.range(0, parts.size())
                        .mapToObj(i -> new Line(
                                i + 1,
                                parts.get(i).words(),
                                figures.significant(parts.get(i).joules() / 1000, 3) + " kJ",
                                figures.significant(100 * parts.get(i).joules() / went.whole(), 2) + " %",
                                parts.get(i).kind() == WhereHeatWent.Kind.SUPPOSED ? "if so, at a plausible size" : ""))
                        .toList());
    }
}

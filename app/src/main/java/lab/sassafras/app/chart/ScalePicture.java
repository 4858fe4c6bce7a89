package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Slot;

/**
 * The scale: what an instrument can show, under the figure being typed, with the usual band and the other readings of
 * the run. The page moves the pointer; everything else stands.
 *
 * @param frame      where things stand that do not depend on the numbers
 * @param instrument its key; empty where nothing is read on
 * @param low        number at the left end (bench unit)
 * @param high       number at the right end (bench unit)
 * @param ticks      marks
 * @param usual      the usual band
 * @param planned    where a plan expects it; empty where none does
 * @param readings   what else was read
 * @param summary    in words, for those who cannot see it
 */
public record ScalePicture(
        Frame frame,
        String instrument,
        double low,
        double high,
        List<Tick> ticks,
        Optional<Band> usual,
        Optional<Band> planned,
        List<Reading> readings,
        String summary) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of the whole
     * @param height of the whole
     * @param left   end of the scale
     * @param right  end of the scale
     * @param line   height of the scale
     * @param band   top of the usual band
     * @param figure height of the figures
     * @param word   height of the word under the band
     * @param top    where the pointer begins
     */
    public record Frame(
            int width, int height, int left, int right, int line, int band, int figure, int word, int top) {}

    private static final Frame FRAME = new Frame(660, 112, 20, 640, 62, 44, 86, 106, 14);
    private static final int MOST_READINGS = 5;
    private static final double LABEL = 96;
    /** The band of a plan lies close under the scale. */
    private static final int PLANNED_BELOW = 3;

    private static final int PLANNED_HIGH = 6;

    /** The pointer at the left edge of the picture, its tip on the scale; the page moves it. */
    public String pointer() {
        int shoulder = FRAME.line() - 16;
        return "M0 " + FRAME.line() + " -8 " + shoulder + " 8 " + shoulder + "ZM0 " + shoulder + "V" + FRAME.top();
    }

    /**
     * A mark of the scale.
     *
     * @param x      where it stands
     * @param length how long it is
     * @param label  its figure; empty for a mark between
     */
    public record Tick(String x, int length, String label) {}

    /**
     * Where readings usually lie.
     *
     * @param x      left end
     * @param width  its length
     * @param middle where its word stands
     */
    public record Band(String x, String width, String middle) {}

    /**
     * Something else that was read.
     *
     * @param x     where it lies
     * @param textY height of its words
     * @param words what it is
     * @param end   how its words are anchored
     */
    public record Reading(String x, String textY, String words, String end) {}

    /**
     * A number to be marked.
     *
     * @param words what it is
     * @param value the number (bench unit)
     */
    public record Mark(String words, double value) {}

    /**
     * What is laid behind a scale.
     *
     * @param usual   where readings usually lie
     * @param planned where a plan expects this one
     */
    public record Bands(Optional<Slot.Range> usual, Optional<Slot.Range> planned) {}

    /** The scale of an instrument. */
    public static ScalePicture of(Instrument instrument, Bands bands, List<Mark> others, Figures figures) {
        return drawn(
                instrument.key(),
                instrument.low(),
                instrument.high(),
                instrument.unit().symbol(),
                bands,
                others,
                figures);
    }

    /** A scale for what is read on nothing that is on the shelf, about the usual band. */
    public static ScalePicture about(
            Slot.Range usual, Optional<Slot.Range> planned, String unit, List<Mark> others, Figures figures) {
        double room = usual.high() - usual.low();
        double low = usual.low() >= 0 ? Math.max(0, usual.low() - room) : usual.low() - room;
        return drawn("", low, usual.high() + room, unit, new Bands(Optional.of(usual), planned), others, figures);
    }

    private static ScalePicture drawn(
            String key, double low, double high, String unit, Bands bands, List<Mark> others, Figures figures) {
        Scale scale = new Scale(low, high);
        return new ScalePicture(
                FRAME,
                key,
                low,
                high,
                ticks(scale, figures),
                bands.usual().flatMap(scale::band),
                bands.planned().flatMap(scale::band),
                readings(scale, others),
                "Scale from " + figures.plain(low) + " to " + figures.plain(high) + " " + unit
                        + words(", usually ", bands.usual(), figures)
                        + words(", by the plan ", bands.planned(), figures)
                        + ".");
    }

    private static String words(String before, Optional<Slot.Range> band, Figures figures) {
        return band.map(range ->
                        before + figures.plain(rounded(range.low())) + " to " + figures.plain(rounded(range.high())))
                .orElse("");
    }

    private static double rounded(double value) {
        return Math.rint(value * 100) / 100;
    }

    private static List<Tick> ticks(Scale scale, Figures figures) {
        double rough = (scale.high - scale.low) / 6;
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double step = rough >= 5 * power ? 5 * power : rough >= 2 * power ? 2 * power : power;
        List<Tick> ticks = new ArrayList<>();
        long first = (long) Math.ceil(2 * scale.low / step - 1e-9);
        long last = (long) Math.floor(2 * scale.high / step + 1e-9);
        for (long half = first; half <= last; half++) {
            double value = half * step / 2;
            boolean whole = half % 2 == 0;
            ticks.add(new Tick(
                    at(scale.x(value)), whole ? 10 : 5, whole ? figures.plain(Math.rint(value * 1e6) / 1e6) : ""));
        }
        return ticks;
    }

    /** In two rows, so that neighbours can be read; those that lie off the scale are left out. */
    private static List<Reading> readings(Scale scale, List<Mark> others) {
        List<Mark> inside = others.stream()
                .filter(each -> each.value() >= scale.low && each.value() <= scale.high)
                .sorted(java.util.Comparator.comparingDouble(Mark::value))
                .limit(MOST_READINGS)
                .toList();
        List<Reading> readings = new ArrayList<>();
        double last = -LABEL;
        boolean upper = true;
        for (Mark each : inside) {
            double x = scale.x(each.value());
            upper = x - last >= LABEL || !upper;
            last = x;
            readings.add(new Reading(
                    at(x),
                    upper ? "30" : "12",
                    each.words(),
                    x < FRAME.left() + LABEL ? "start" : x > FRAME.right() - LABEL ? "end" : "middle"));
        }
        return readings;
    }

    private record Scale(double low, double high) {

        double x(double value) {
            return FRAME.left() + (value - low) / (high - low) * (FRAME.right() - FRAME.left());
        }

        Optional<Band> band(Slot.Range range) {
            if (range.high() <= low || range.low() >= high) {
                return Optional.empty();
            }
            double from = x(Math.max(low, range.low()));
            double to = x(Math.min(high, range.high()));
            return Optional.of(new Band(at(from), at(Math.max(2, to - from)), at((from + to) / 2)));
        }
    }

    private static String at(double coordinate) {
        return String.format(Locale.ROOT, "%.1f", coordinate);
    }

    /** {@return the picture, for a page or a report} */
    public String svg() {
        Svg svg = Svg.picture("scale", frame.width(), frame.height())
                .with("role", "img")
                .with("aria-label", summary)
                .with("data-instrument", instrument)
                .with("data-low", low)
                .with("data-high", high)
                .with("data-left", frame.left())
                .with("data-right", frame.right());
        usual.ifPresent(each -> svg.add(Svg.hatchedRect(
                        "usual",
                        Double.parseDouble(each.x()),
                        frame.band(),
                        Double.parseDouble(each.width()),
                        frame.line() - frame.band()))
                .add(Svg.text("small", each.middle(), frame.word(), "usual range")
                        .middle()));
        planned.ifPresent(each -> svg.add(
                        Svg.rect("planned", each.x(), frame.line() + PLANNED_BELOW, each.width(), PLANNED_HIGH))
                .add(Svg.text("small", each.middle(), frame.band() - PLANNED_BELOW, "by the plan")
                        .middle()));
        svg.add(Svg.level("line", frame.left(), frame.right(), frame.line()));
        ticks.forEach(each -> svg.add(Svg.group()
                .add(
                        Svg.upright("tick", each.x(), frame.line(), frame.line() + each.length()),
                        Svg.text("figure", each.x(), frame.figure(), each.label())
                                .middle())));
        readings.forEach(each -> svg.add(Svg.group()
                .with("class", "reading")
                .add(
                        Svg.upright("", each.x(), each.textY(), frame.line()),
                        Svg.text("small", each.x(), each.textY(), each.words())
                                .with("text-anchor", each.end())
                                .with("dy", -2))));
        return svg.add(Svg.path("pointer", pointer()).with("hidden", "")).written();
    }
}

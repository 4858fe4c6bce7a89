package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Figures;

/** Every kind of slow curve read by the recommended way: coverage, how far off, how wide. */
final class Curves {

    /** The reference method takes a third of a second a curve. */
    private static final int OF_REFERENCE = 40;

    private Curves() {}

    /** One curve read: what it is off by and half its 95 % interval (°C), whether that holds the truth. */
    record Row(double off, double half, boolean holds) {}

    static List<Row> read(SlowHeat kind, int seeds) {
        List<Row> rows = new ArrayList<>();
        for (int seed = 0; seed < seeds; seed++) {
            SlowHeat.Drawn drawn = kind.draw(seed);
            Baselines baselines = Baselines.of(drawn.curve());
            CurveMethod way = Recommendation.of(baselines, Figures.POINT).way();
            if (way.of(baselines) instanceof Change change) {
                double off = change.difference() - drawn.rise();
                rows.add(new Row(off, change.halfWidth(0.95), Math.abs(off) <= change.halfWidth(0.95)));
            }
        }
        return rows;
    }

    /** What the reference method is off by over the same curves (°C, rms). */
    static double reference(SlowHeat kind, int seeds) {
        double sum = 0;
        int many = 0;
        for (int seed = 0; seed < seeds; seed++) {
            SlowHeat.Drawn drawn = kind.draw(seed);
            double off = Integrated.change(drawn.curve()) - drawn.rise();
            if (Double.isFinite(off)) {
                sum += off * off;
                many++;
            }
        }
        return Math.sqrt(sum / many);
    }

    static double covered(List<Row> rows) {
        return 100.0 * rows.stream().filter(Row::holds).count() / rows.size();
    }

    static double rms(List<Row> rows) {
        return Math.sqrt(rows.stream()
                .mapToDouble(row -> row.off() * row.off())
                .average()
                .orElse(0));
    }

    static double meanHalf(List<Row> rows) {
        return rows.stream().mapToDouble(Row::half).average().orElse(0);
    }

    /** Prints the table of docs/performance.md. @param arguments how many seeds, 2,000 where nothing is said */
    public static void main(String[] arguments) {
        int seeds = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2000;
        for (SlowHeat kind : SlowHeat.values()) {
            List<Row> rows = read(kind, seeds);
            System.out.printf(
                    Locale.ROOT,
                    "%-15s %5d read  coverage %5.1f %%  rms %.3f °C  mean half-width %.3f °C (%.2f of 1.96 rms)  bias %+.3f"
                            + "  reference %.3f °C%n",
                    kind,
                    rows.size(),
                    covered(rows),
                    rms(rows),
                    meanHalf(rows),
                    meanHalf(rows) / 1.96 / rms(rows),
                    rows.stream().mapToDouble(Row::off).average().orElse(0),
                    reference(kind, Math.min(seeds, OF_REFERENCE)));
        }
    }
}

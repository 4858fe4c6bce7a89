package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Figures;

/**
 * Many seeded benches of a kind, each read every way: how often the interval holds the truth, and how far off it is.
 */
enum Population {
    /** Heat at once, of all sizes, on all clocks. */
    A(Bench::ofA),
    /** The thermometer lags 5 to 15 s. */
    B(Bench::ofB),
    /** The heat takes its time, 30 to 180 s. */
    C(Bench::ofC),
    /** A coarse display and a small rise. */
    D(Bench::ofD),
    /** The noise of a reading is remembered for 2 to 20 s. */
    E(Bench::ofE);

    private final Function<Random, Bench> kind;

    Population(Function<Random, Bench> kind) {
        this.kind = kind;
    }

    /**
     * One bench read one way: what the difference is off by, its uncertainty (°C), whether its interval holds the
     * truth.
     */
    record Row(Bench bench, double off, double uncertainty, boolean holds) {}

    /** By one way, or by the recommended one where there is none; those withheld have no row. */
    List<Row> read(int seeds, CurveMethod... ways) {
        List<Row> rows = new ArrayList<>();
        for (int seed = 0; seed < seeds; seed++) {
            Random random = new Random(7919L * seed + ordinal());
            Bench bench = kind.apply(random);
            Baselines baselines = Baselines.of(bench.draw(random).curve());
            CurveMethod way = ways.length > 0
                    ? ways[0]
                    : Recommendation.of(baselines, Figures.POINT).way();
            if (way.of(baselines) instanceof Change change) {
                double off = change.difference() - bench.rise();
                rows.add(new Row(bench, off, change.uncertainty(), Math.abs(off) <= change.halfWidth(0.95)));
            }
        }
        return rows;
    }

    /** Share of the rows whose interval holds the truth (%). */
    static double covered(List<Row> rows) {
        return 100.0 * rows.stream().filter(Row::holds).count() / rows.size();
    }

    /** The least of that share in the thirds of a quantity (%). */
    static double leastInThirds(List<Row> rows, ToDoubleFunction<Bench> by) {
        List<Row> sorted = rows.stream()
                .sorted(Comparator.comparingDouble(row -> by.applyAsDouble(row.bench())))
                .toList();
        double least = 100;
        for (int third = 0; third < 3; third++) {
            least = Math.min(
                    least, covered(sorted.subList(third * sorted.size() / 3, (third + 1) * sorted.size() / 3)));
        }
        return least;
    }

    /** Prints the table of docs/methods.md. @param arguments how many seeds, 2,000 where nothing is said */
    public static void main(String[] arguments) {
        int seeds = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2000;
        for (Population population : values()) {
            for (CurveMethod way : CurveMethod.values()) {
                print(population, way.key(), population.read(seeds, way));
            }
            List<Row> recommended = population.read(seeds);
            print(population, "recommended", recommended);
            System.out.printf(
                    Locale.ROOT,
                    "  least in thirds of rise %.1f, of Newton constant %.1f, of length after %.1f%n",
                    leastInThirds(recommended, Bench::rise),
                    leastInThirds(recommended, Bench::cooling),
                    leastInThirds(recommended, Bench::after));
        }
    }

    private static void print(Population population, String way, List<Row> rows) {
        double bias = rows.stream().mapToDouble(Row::off).average().orElse(0);
        double usual = rows.stream().mapToDouble(Row::uncertainty).sorted().toArray()[rows.size() / 2];
        System.out.printf(
                Locale.ROOT,
                "%s  %-12s %5d read  %5.1f %% hold the truth  bias %+.3f °C  median u %.3f °C%n",
                population,
                way,
                rows.size(),
                covered(rows),
                bias,
                usual);
    }
}

package lab.sassafras.experiment.heating;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.verdict.Interval;

/** How often the truth lies in what is said of a population of melting curves, and how wide that is. */
public final class Melts {

    static final Map<String, IntFunction<Melt>> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("heater in the sample", Melt::heated);
        KINDS.put("on a plate", Melt::onPlate);
        KINDS.put("left to cool", Melt::cooled);
        KINDS.put("range of 3 °C, heater", seed -> Melt.softened(seed, 3));
        KINDS.put("range of 8 °C, heater", seed -> Melt.softened(seed, 8));
    }

    /**
     * What came of a population.
     *
     * @param read   how many gave a heat; the others said why they do not
     * @param fusion share whose heat of fusion lies in its 95 % interval
     * @param level  share whose temperature, or middle of a range, does
     * @param width  median of the half-width of the heat, as a part of it
     * @param ranges share that was read as a range and not as a level
     */
    record Found(int read, double fusion, double level, double width, double ranges) {}

    private Melts() {}

    static Found of(IntFunction<Melt> kind, int seeds) {
        int[] within = new int[3];
        List<Double> widths = new ArrayList<>();
        for (int seed = 0; seed < seeds; seed++) {
            Melt melt = kind.apply(seed);
            Optional<Solution> solved = melt.sheet().reduced().trials().get(0).solution();
            if (solved.isPresent()) {
                Estimate heat = solved.get().estimate();
                Estimate level = solved.get().derived().get(0).estimate();
                within[0] += holds(heat, melt.fusion());
                within[1] += holds(level, melt.level());
                within[2] += solved.get().derived().size() == 3 ? 1 : 0;
                widths.add(Interval.of(heat).half() / melt.fusion());
            }
        }
        Collections.sort(widths);
        double read = widths.size();
        return new Found(
                widths.size(), within[0] / read, within[1] / read, widths.get(widths.size() / 2), within[2] / read);
    }

    private static int holds(Estimate estimate, double truth) {
        return Math.abs(estimate.value() - truth) <= Interval.of(estimate).half() ? 1 : 0;
    }

    /**
     * Prints a table of all kinds.
     *
     * @param args how many of each kind, 2,000 unless it is said
     */
    public static void main(String[] args) {
        int seeds = args.length > 0 ? Integer.parseInt(args[0]) : 2000;
        System.out.println("| kind | read of " + seeds + " | heat of fusion | temperature | half-width | ranges |");
        KINDS.forEach((name, kind) -> {
            Found found = of(kind, seeds);
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %d | %.1f %% | %.1f %% | %.1f %% | %.1f %% |%n",
                    name,
                    found.read(),
                    100 * found.fusion(),
                    100 * found.level(),
                    100 * found.width(),
                    100 * found.ranges());
        });
    }
}

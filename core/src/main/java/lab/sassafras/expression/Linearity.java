package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shape;
import lab.sassafras.measure.Shared;

/**
 * Whether a formula is so straight within its uncertainties that random draws are sure to bear the law of propagation
 * out, by a few dozen evaluations in place of fifty thousand draws: every source is moved by twice its uncertainty to
 * both sides, and all together to where the ends of the interval lie. What that departs from the straight line by, and
 * what flat distributions take off the ends, must be a quarter of what is tolerated (a quarter: common practice, no
 * source).
 */
public final class Linearity {

    private static final double TWICE = 2;
    private static final double PART = 0.25;
    /**
     * What the squared share of a flat distribution takes off an end at 1.96 u, by its kurtosis of −1.2
     * (Cornish–Fisher).
     */
    private static final double FLAT = 0.0824;
    /** Of squared shares: beyond, that approximation does not hold. */
    private static final double MOST_FLAT = 0.3;

    private Linearity() {}

    /** One source: by how much a standard uncertainty of it moves each input. */
    private record Source(double[] moves, boolean flat) {}

    /**
     * {@return whether it surely is; false where only draws can tell}
     *
     * @param expression the formula
     * @param bindings   the numbers that go into the inputs
     */
    public static boolean sure(Expression expression, Bindings bindings) {
        Tape tape = Tape.of(expression);
        List<Measured> inputs = tape.inputs().stream().map(bindings::of).toList();
        List<Source> sources = sources(inputs);
        double[] values = inputs.stream().mapToDouble(Measured::value).toArray();
        List<double[]> places = new ArrayList<>(List.of(values));
        for (Source each : sources) {
            places.add(moved(values, each.moves(), TWICE));
            places.add(moved(values, each.moves(), -TWICE));
        }
        double[] found = at(tape, places);
        double variance = 0;
        double bend = 0;
        double flat = 0;
        double[] along = new double[values.length];
        for (int s = 0; s < sources.size(); s++) {
            double more = found[1 + 2 * s];
            double less = found[2 + 2 * s];
            double by = (more - less) / (2 * TWICE);
            variance += by * by;
            bend += (more + less - 2 * found[0]) / (2 * TWICE * TWICE);
            flat += sources.get(s).flat() ? Math.pow(by, 4) : 0;
            along = moved(along, sources.get(s).moves(), by);
        }
        double u = Math.sqrt(variance);
        if (!(u > 0) || !Double.isFinite(u)) {
            return false;
        }
        double far = Estimate.NORMAL_95;
        double[] ends = at(tape, List.of(moved(values, along, far / u), moved(values, along, -far / u)));
        double departs = Math.max(Math.abs(ends[0] - found[0] - far * u), Math.abs(ends[1] - found[0] + far * u));
        double flatShare = flat / (variance * variance);
        return flatShare <= MOST_FLAT
                && departs + Math.abs(bend) + FLAT * flatShare * u <= PART * MonteCarlo.tolerance(u);
    }

    private static List<Source> sources(List<Measured> inputs) {
        List<Source> sources = new ArrayList<>();
        Map<Shared, double[]> shared = new LinkedHashMap<>();
        for (int i = 0; i < inputs.size(); i++) {
            int input = i;
            Measured each = inputs.get(i);
            if (each.ownUncertainty() > 0) {
                double[] moves = new double[inputs.size()];
                moves[i] = each.ownUncertainty();
                sources.add(new Source(moves, each.shape() == Shape.RECTANGULAR));
            }
            each.shares()
                    .forEach(share -> shared.computeIfAbsent(share.source(), any -> new double[inputs.size()])[input] +=
                            share.sensitivity() * share.source().standardUncertainty());
        }
        shared.forEach((source, moves) -> sources.add(new Source(moves, source.shape() == Shape.RECTANGULAR)));
        return sources;
    }

    private static double[] moved(double[] values, double[] by, double times) {
        double[] moved = values.clone();
        for (int i = 0; i < moved.length; i++) {
            moved[i] += times * by[i];
        }
        return moved;
    }

    private static double[] at(Tape tape, List<double[]> places) {
        int inputs = places.get(0).length;
        double[][] rows = new double[inputs][places.size()];
        for (int p = 0; p < places.size(); p++) {
            for (int i = 0; i < inputs; i++) {
                rows[i][p] = places.get(p)[i];
            }
        }
        return tape.run(rows, places.size()).clone();
    }
}

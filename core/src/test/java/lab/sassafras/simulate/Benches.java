package lab.sassafras.simulate;

import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;

/** Simulated benches of which only the seed is chosen. */
public final class Benches {

    private Benches() {}

    public static boolean bomb(Experiment experiment) {
        return experiment.key().startsWith("bomb");
    }

    public static Bench of(Experiment experiment, long seed) {
        SplittableRandom drawn =
                new SplittableRandom(seed * 7919 + experiment.key().hashCode());
        boolean bomb = bomb(experiment);
        double capacity = bomb ? 1800 + 400 * drawn.nextDouble() : 6 + 6 * drawn.nextDouble();
        Instrument balance = new Instrument(
                "b1", "balance", InstrumentKind.BALANCE, BenchUnit.GRAMS, bomb ? 0.0001 : 0.01, 0, 4000, 0.005, 0);
        Instrument thermometer = new Instrument(
                "t1",
                "thermometer",
                InstrumentKind.THERMOMETER,
                BenchUnit.DEGREES_CELSIUS,
                bomb ? 0.001 : 0.01,
                -10,
                110,
                bomb ? 0.02 : 0.1,
                bomb ? 0.0008 : 0.015);
        return new Bench(
                seed, 1, Set.of(), capacity, 0.08, balance, thermometer, bomb ? 15 : 5, bomb ? 3 : 2, Map.of(), "");
    }
}

package lab.sassafras.experiment.heating;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.TraceUse;

/**
 * A sample that melts, by a physics of the tests' own, fixed beforehand: 10 to 30 g, a heater of 5 to 20 W known to 1 %,
 * a probe of 0.1 °C, a loss of 0.05 to 0.3 W/°C that drifts, the end of the plateau smeared over 5 to 20 %, a reading
 * every 10 to 60 s; the loss known to 10 %. Heat is followed second by second.
 *
 * @param sheet  what a bench would have read
 * @param level  where it melts (°C)
 * @param fusion heat of fusion (J/g)
 */
record Melt(BenchSheet sheet, double level, double fusion) {

    private static final String TRACE = "11111111-2222-3333-4444-555555555555";
    private static final double ROOM = 22;
    private static final double OVERHEATED = 1;
    private static final double END_ABOVE = 15;

    /** Its heater, loss and sample, drawn; one that cannot bring it far enough is drawn anew. */
    private record Bench(
            double mass,
            double solid,
            double liquid,
            double fusion,
            double level,
            double vessel,
            double power,
            double loss,
            double smeared,
            double drift) {

        static Bench drawn(Random random) {
            while (true) {
                double solid = between(random, 1.2, 2.4);
                Bench bench = new Bench(
                        between(random, 10, 30),
                        solid,
                        solid * between(random, 1, 1.4),
                        between(random, 120, 240),
                        between(random, 35, 80),
                        between(random, 3, 10),
                        between(random, 5, 20),
                        between(random, 0.05, 0.3),
                        between(random, 0.05, 0.2),
                        between(random, -0.1, 0.1));
                if (bench.power() - 1.05 * bench.loss() * (bench.level() + END_ABOVE - ROOM) > 0.25 * bench.power()) {
                    return bench;
                }
            }
        }

        private double before() {
            return mass * solid + vessel;
        }

        private double after() {
            return mass * liquid + vessel;
        }

        private double change() {
            return mass * fusion + after() * OVERHEATED;
        }

        /** Temperatures every second until it is well beyond its level. */
        List<Double> warmed(double heater) {
            double lasts = (before() * (level - ROOM) + change() + after() * END_ABOVE) / (power - loss * 20);
            List<Double> all = new ArrayList<>();
            double at = ROOM;
            double melted = 0;
            while (at < level + END_ABOVE && all.size() < 30_000) {
                all.add(at);
                double leak = loss * (1 + drift * (all.size() / lasts - 0.5));
                double heat = heater - leak * (at - ROOM);
                if (at < level && melted == 0) {
                    at += heat / before();
                    if (at >= level) {
                        melted = (at - level) * before() / change();
                        at = level;
                    }
                } else if (melted < 1) {
                    melted += heat / change();
                    double late = Math.max(0, (melted - 1 + smeared) / smeared);
                    at = level + OVERHEATED * late * late;
                } else {
                    at += heat / after();
                }
            }
            return all;
        }
    }

    private static double between(Random random, double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    static Melt heated(int seed) {
        Random random = new Random(seed);
        Bench bench = Bench.drawn(random);
        int every = new int[] {10, 15, 20, 30, 60}[random.nextInt(5)];
        double off = 0.1 * random.nextGaussian();
        double gain = between(random, -0.002, 0.002);
        List<Double> warmed = bench.warmed(bench.power() * (1 + 0.01 * random.nextGaussian()));
        List<Reading> readings = new ArrayList<>();
        for (int second = 0; second < warmed.size(); second += every) {
            readings.add(new Reading(
                    second,
                    tenth(warmed.get(second) + off + gain * (warmed.get(second) - 20) + 0.03 * random.nextGaussian())));
        }
        Instrument probe = new Instrument(
                "p", "probe", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.1, 0);
        double loss = bench.loss() * (1 + 0.1 * random.nextGaussian());
        double volts = 10;
        BenchSheet sheet = BenchSheet.of("heating-curve")
                .logging(Map.of(TRACE, new Logged("a curve", readings, Optional.of(probe))))
                .mass("sample[1]/mass", String.format(java.util.Locale.ROOT, "%.2f", bench.mass()))
                .says("sample[1]/name", "A")
                .says("sample[1]/way", "heater")
                .assumed("heater[1]/voltage", text(volts), text(0.007 * volts), "V")
                .assumed("heater[1]/current", text(bench.power() / volts), text(0.00714 * bench.power() / volts), "A")
                .assumed("room[1]/loss", text(loss), text(0.1 * loss), "W/°C")
                .says("run[1]/curve", TraceUse.whole(TRACE).text());
        sheet.give(
                "room[1]/temperature", lab.sassafras.slot.Role.READ, text(tenth(ROOM + off)), "°C", Optional.of(probe));
        return new Melt(sheet, bench.level(), bench.fusion());
    }

    private static String text(double value) {
        return String.format(java.util.Locale.ROOT, "%.5f", value);
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}

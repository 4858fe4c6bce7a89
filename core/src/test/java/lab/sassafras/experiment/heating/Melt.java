package lab.sassafras.experiment.heating;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;

/**
 * A sample that melts or freezes, by a physics of the tests' own, fixed beforehand: 10 to 30 g, a heater of 5 to 20 W
 * known to 1 %, a probe of 0.1 °C, a loss of 0.05 to 0.3 W/°C that drifts by a tenth, up to 8 °C of supercooling, the
 * end of the plateau smeared over 5 to 20 %, a reading every 10 to 60 s; the loss known to 10 %. Heat is followed
 * second by second.
 *
 * @param sheet    what a bench would have read
 * @param readings the curve in it
 * @param level  where it melts (°C)
 * @param fusion heat of fusion (J/g)
 */
record Melt(BenchSheet sheet, List<Reading> readings, double level, double fusion) {

    private static final String TRACE = "11111111-2222-3333-4444-555555555555";
    private static final double ROOM = 22;
    private static final double OVERHEATED = 1;
    /** One goes on so far beyond the plateau, and for so many readings, but not out of the probe's range. */
    private static final double BEYOND = 15;

    private static final int READINGS_BEYOND = 6;
    private static final double HOTTEST = 105;
    private static final int LONGEST = 30_000;
    private static final int TICKS = 50;

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
            double drift,
            double supercooled) {

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
                        between(random, -0.1, 0.1),
                        between(random, 0, 8));
                if (bench.power() - 1.05 * bench.loss() * (bench.level() + BEYOND - ROOM) > 0.25 * bench.power()) {
                    return bench;
                }
            }
        }

        private double molten() {
            return mass * liquid + vessel;
        }

        private double frozen() {
            return mass * solid + vessel;
        }

        private double leak(int second, double lasts) {
            return loss * (1 + drift * (Math.min(1, second / lasts) - 0.5));
        }

        /** Temperatures every second until it is well beyond its level, where it is read so often (s). */
        List<Double> warmed(double heater, int every) {
            double change = mass * fusion + molten() * OVERHEATED;
            double lasts = (frozen() * (level - ROOM) + change + molten() * BEYOND) / (power - loss * 20);
            List<Double> all = new ArrayList<>();
            double at = ROOM;
            double melted = 0;
            int beyond = 0;
            while ((at < level + BEYOND || beyond < READINGS_BEYOND * every) && at < HOTTEST && all.size() < LONGEST) {
                all.add(at);
                double heat = heater - leak(all.size(), lasts) * (at - ROOM);
                if (at < level && melted == 0) {
                    at += heat / frozen();
                    if (at >= level) {
                        melted = (at - level) * frozen() / change;
                        at = level;
                    }
                } else if (melted < 1) {
                    melted += heat / change;
                    double late = Math.max(0, (melted - 1 + smeared) / smeared);
                    at = level + OVERHEATED * late * late;
                } else {
                    at += heat / molten();
                    beyond++;
                }
            }
            return all;
        }

        /** Temperatures every second from well above its level, cooling by itself until it is well below. */
        List<Double> cooled(int every) {
            double change = mass * fusion + frozen() * OVERHEATED;
            double lasts = (molten() * BEYOND + change + frozen() * (level - ROOM) / 3) / (loss * (level - ROOM));
            List<Double> all = new ArrayList<>();
            double at = level + BEYOND;
            double froze = 0;
            int beyond = 0;
            while ((at > level - (level - ROOM) / 2 || beyond < READINGS_BEYOND * every) && all.size() < LONGEST) {
                all.add(at);
                double heat = leak(all.size(), lasts) * (at - ROOM);
                if (froze == 0) {
                    at -= heat / molten();
                    if (at <= level - supercooled) {
                        froze = (level - at) * molten() / change;
                        at = level;
                    }
                } else if (froze < 1) {
                    froze += heat / change;
                    double late = Math.max(0, (froze - 1 + smeared) / smeared);
                    at = level - OVERHEATED * late * late;
                } else {
                    at -= heat / frozen();
                    beyond++;
                }
            }
            return all;
        }

        /** Temperatures every second of what melts evenly over so many degrees about its level. */
        List<Double> softened(double heater, double range) {
            List<Double> all = new ArrayList<>();
            double at = ROOM;
            for (int tick = 0; at < level + range / 2 + BEYOND && at < HOTTEST && tick < TICKS * LONGEST; tick++) {
                if (tick % TICKS == 0) {
                    all.add(at);
                }
                double capacity = at < level ? frozen() : molten();
                capacity += Math.abs(at - level) < range / 2 ? mass * fusion / range : 0;
                at += (heater - loss * (at - ROOM)) / capacity / TICKS;
            }
            return all;
        }
    }

    private static double between(Random random, double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    private static int every(Random random) {
        return new int[] {10, 15, 20, 30, 60}[random.nextInt(5)];
    }

    /** A heater stands in the sample. */
    static Melt heated(int seed) {
        Random random = new Random(seed);
        Bench bench = Bench.drawn(random);
        int every = every(random);
        List<Double> warmed = bench.warmed(bench.power() * (1 + 0.01 * random.nextGaussian()), every);
        return read(bench, warmed, every, random).heater();
    }

    /** It stands on a plate; the specific heat of the liquid is known to 3 %, the vessel's part is a part of that. */
    static Melt onPlate(int seed) {
        Random random = new Random(seed);
        Bench bench = Bench.drawn(random);
        int every = every(random);
        Melt melt = read(bench, bench.warmed(bench.power(), every), every, random);
        double liquid = bench.molten() / bench.mass() * (1 + 0.03 * random.nextGaussian());
        melt.sheet()
                .says("sample[1]/way", "plate")
                .assumed("plate[1]/liquid", text(liquid), text(0.03 * liquid), "J/(g·°C)");
        return melt;
    }

    /** It is left to cool. */
    static Melt cooled(int seed) {
        Random random = new Random(seed);
        Bench bench = Bench.drawn(random);
        int every = every(random);
        Melt melt = read(bench, bench.cooled(every), every, random);
        melt.sheet().says("sample[1]/way", "cooling");
        return melt;
    }

    /** A mixture with a heater in it, that melts over so many degrees. */
    static Melt softened(int seed, double range) {
        Random random = new Random(seed);
        Bench bench = Bench.drawn(random);
        int every = every(random);
        List<Double> softened = bench.softened(bench.power() * (1 + 0.01 * random.nextGaussian()), range);
        return read(bench, softened, every, random).heater();
    }

    private Melt heater() {
        sheet.says("sample[1]/way", "heater");
        return this;
    }

    private static Melt read(Bench bench, List<Double> happened, int every, Random random) {
        double off = 0.1 * random.nextGaussian();
        double gain = between(random, -0.002, 0.002);
        List<Reading> readings = new ArrayList<>();
        for (int second = 0; second < happened.size(); second += every) {
            double at = happened.get(second);
            readings.add(new Reading(second, tenth(at + off + gain * (at - 20) + 0.03 * random.nextGaussian())));
        }
        Instrument probe = new Instrument(
                "p", "probe", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.1, 0);
        double loss = bench.loss() * (1 + 0.1 * random.nextGaussian());
        double volts = 10;
        BenchSheet sheet = BenchSheet.of("heating-curve")
                .logging(Map.of(TRACE, new Logged("a curve", readings, Optional.of(probe))))
                .mass("sample[1]/mass", String.format(Locale.ROOT, "%.2f", bench.mass()))
                .says("sample[1]/name", "A")
                .assumed("heater[1]/voltage", text(volts), text(0.007 * volts), "V")
                .assumed("heater[1]/current", text(bench.power() / volts), text(0.00714 * bench.power() / volts), "A")
                .assumed("room[1]/loss", text(loss), text(0.1 * loss), "W/°C")
                .says("run[1]/curve", TraceUse.whole(TRACE).text());
        sheet.give("room[1]/temperature", Role.READ, text(tenth(ROOM + off)), "°C", Optional.of(probe));
        return new Melt(sheet, List.copyOf(readings), bench.level(), bench.fusion());
    }

    private static String text(double value) {
        return String.format(Locale.ROOT, "%.5f", value);
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}

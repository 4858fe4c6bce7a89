package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A calorimeter as physics, stepped forward in time, to make curves whose true change is known: it loses heat in
 * proportion to what it stands above its surroundings, heat comes at once or as a first-order process, and the
 * thermometer may lag. Nothing here is of the code under test.
 *
 * @param rise     true change (°C)
 * @param cooling  Newton's time constant (s)
 * @param start    at the beginning of the record (°C)
 * @param room     (°C)
 * @param before   length of the record before mixing (s)
 * @param after    and after it (s)
 * @param spacing  between readings (s)
 * @param noise    standard deviation of a reading (°C)
 * @param display  step of the display (°C); 0 shows everything
 * @param release  time constant of the heat's coming (s); 0 for at once
 * @param lag      time constant of the thermometer (s)
 * @param spikes   share of readings that are spikes
 * @param roomRead whether the room's temperature was read
 * @param memory   time in which the noise of a reading is forgotten (s); 0 where each has its own
 */
record Bench(
        double rise,
        double cooling,
        double start,
        double room,
        double before,
        double after,
        double spacing,
        double noise,
        double display,
        double release,
        double lag,
        double spikes,
        boolean roomRead,
        double memory) {

    private static final double ROOM_UNCERTAINTY = 0.3;

    /** A curve drawn, and the temperatures that a thermometer without lag or noise had shown about mixing. */
    record Drawn(Curve curve, double start, double end) {}

    /** Steps of a tenth of a second, midpoint rule. */
    Drawn draw(Random random) {
        double step = 0.1;
        double body = start;
        double probe = start - lag * (room - start) / cooling;
        double kept = 0;
        double atMixing = Double.NaN;
        double next = 0;
        double drift = random.nextGaussian();
        double remembered = memory > 0 ? Math.exp(-spacing / memory) : 0;
        List<Reading> readings = new ArrayList<>();
        int steps = (int) Math.round((before + after) / step);
        int mixing = (int) Math.round(before / step);
        for (int i = 0; i <= steps; i++) {
            double time = i * step;
            if (i == mixing) {
                atMixing = body;
                kept = release > 0 ? rise : 0;
                body += release > 0 ? 0 : rise;
            }
            if (time >= next - 1e-9) {
                next += spacing;
                boolean skipped = Math.abs(i - mixing) * step < Math.min(spacing / 2, 3);
                if (!skipped) {
                    readings.add(new Reading(time, shown((lag > 0 ? probe : body) + noise * drift, random)));
                    drift = remembered * drift + Math.sqrt(1 - remembered * remembered) * random.nextGaussian();
                }
            }
            double middle = body + step / 2 * flow(body, kept);
            double keptThen = release > 0 ? kept * Math.exp(-step / release) : 0;
            body += step * ((room - middle) / cooling) + (kept - keptThen);
            kept = keptThen;
            probe += lag > 0 ? (body - probe) * (1 - Math.exp(-step / lag)) : 0;
        }
        Optional<Room> read = roomRead
                ? Optional.of(new Room(room + ROOM_UNCERTAINTY * random.nextGaussian(), ROOM_UNCERTAINTY))
                : Optional.empty();
        return new Drawn(new Curve(readings, mixing * step, display, read), atMixing, atMixing + rise);
    }

    private double flow(double body, double kept) {
        return (room - body) / cooling + (release > 0 ? kept / release : 0);
    }

    private double shown(double temperature, Random random) {
        double off = 0;
        if (random.nextDouble() < spikes) {
            off += (random.nextBoolean() ? 1 : -1) * (0.5 + 2 * random.nextDouble());
        }
        double exact = temperature + off;
        return display > 0 ? Math.round(exact / display) * display : exact;
    }

    /** Population A: heat at once, of all sizes, on all clocks. */
    static Bench ofA(Random random) {
        double room = 19 + 5 * random.nextDouble();
        return new Bench(
                between(random, 2, 50),
                between(random, 1000, 8000),
                room + 4 * random.nextDouble() - 2,
                room,
                between(random, 120, 300),
                between(random, 300, 900),
                pick(random, 1, 2, 5, 10, 15, 30),
                between(random, 0.01, 0.1),
                0,
                0,
                0,
                0.01,
                random.nextBoolean(),
                0);
    }

    /** Population B: as A, the probe lags 5 to 15 s. */
    static Bench ofB(Random random) {
        Bench a = ofA(random);
        return a.with(0, 0, between(random, 5, 15), a.rise, 0);
    }

    /** Population C: as A, the heat takes its time, 30 to 180 s. */
    static Bench ofC(Random random) {
        Bench a = ofA(random);
        return a.with(0, between(random, 30, 180), 0, a.rise, 0);
    }

    /** Population D: as A, a coarse display and a small rise. */
    static Bench ofD(Random random) {
        Bench a = ofA(random);
        return a.with(pick(random, 0.1, 0.2, 0.5), 0, 0, between(random, 2, 10), 0);
    }

    /** Population E: as A, the noise of a reading is remembered for 2 to 20 s. */
    static Bench ofE(Random random) {
        Bench a = ofA(random);
        return a.with(0, 0, 0, a.rise, between(random, 2, 20));
    }

    private Bench with(double display, double release, double lag, double rise, double memory) {
        return new Bench(
                rise, cooling, start, room, before, after, spacing, noise, display, release, lag, spikes, roomRead,
                memory);
    }

    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private static double pick(Random random, double... of) {
        return of[random.nextInt(of.length)];
    }
}

package lab.sassafras.curve;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Outcome.Withheld;

/** A way of reading the temperatures just before and just after mixing from a curve. */
public enum CurveMethod {
    /** The extreme, as the reading turns. */
    EXTREME("extreme") {
        @Override
        Outcome read(Baselines of) {
            return single(of, of.temperatures[furthest(of)]);
        }
    },
    /**
     * The mean of the plateau: of the readings next to the extreme that do not differ from it by more than their noise.
     */
    PLATEAU("plateau") {
        @Override
        Outcome read(Baselines of) {
            int furthest = furthest(of);
            double most = Math.max(of.curve.display(), 2 * of.fit().noise());
            int count = 0;
            double sum = 0;
            for (int i = furthest;
                    i < of.seconds.length && Math.abs(of.temperatures[i] - of.temperatures[furthest]) <= most;
                    i++) {
                sum += of.temperatures[i];
                count++;
            }
            double variance = of.fit().noise() * of.fit().noise();
            return new Change(
                    of.temperatures[of.before - 1],
                    sum / count,
                    variance,
                    variance / count,
                    0,
                    of.fit().degreesOfFreedom());
        }
    },
    /** The means of readings that stand still, before mixing and after the rise. */
    SETTLED("settled") {
        @Override
        Outcome read(Baselines of) {
            Settled start = of.settledBefore();
            Settled end = of.settledAtEnd();
            if (!start.holds()) {
                return new Withheld("Before mixing the readings had not settled.");
            }
            if (!end.holds()) {
                return new Withheld("After mixing the readings do not stand still.");
            }
            return new Change(
                    start.mean(),
                    end.mean(),
                    start.variance(),
                    end.variance(),
                    0,
                    of.fit().degreesOfFreedom());
        }
    },
    /** One reading after a wait: the first at or after it. */
    AFTER_WAIT("after-wait") {
        @Override
        Outcome read(Baselines of) {
            for (int i = of.before; i < of.seconds.length; i++) {
                if (of.seconds[i] >= of.curve.stated().once()) {
                    return single(of, of.temperatures[i]);
                }
            }
            return new Withheld("The record ends before the wait is over.");
        }
    },
    /** Straight lines through both baselines, carried to mixing. */
    LINES("carried") {
        @Override
        Outcome read(Baselines of) {
            return carried(of, 0);
        }

        @Override
        Laid lay(Baselines of, Change change) {
            return straight(of, 0);
        }
    },
    /** The start as read, and a straight line through the cooling part alone, carried to mixing. */
    COOLING("cooling") {
        @Override
        Outcome read(Baselines of) {
            LineFit after = of.afterLine();
            if (after.readings() < 2) {
                return new Withheld("A line takes two readings after mixing.");
            }
            return new Change(
                    of.temperatures[of.before - 1],
                    after.at(0),
                    of.fit().noise() * of.fit().noise(),
                    after.variance(0),
                    0,
                    after.degreesOfFreedom());
        }

        @Override
        Laid lay(Baselines of, Change change) {
            return new Laid(super.lay(of, change).fore(), straight(of, 0).after(), of.curve.mixing());
        }
    },
    /** Both baselines as Newton's cooling with one constant, carried to mixing. */
    NEWTON("newton") {
        @Override
        Outcome read(Baselines of) {
            if (!of.enough()) {
                return TOO_FEW;
            }
            return cooling(of);
        }

        @Override
        Laid lay(Baselines of, Change change) {
            return curved(of, of.fit());
        }
    },
    /** Straight lines carried to the moment at which a stated part of the change was reached. */
    FRACTION("fraction") {
        @Override
        Outcome read(Baselines of) {
            return carried(of, reached(of));
        }

        @Override
        Laid lay(Baselines of, Change change) {
            return straight(of, reached(of));
        }
    },
    /**
     * Newton's law with the rates of both baselines and the area of the main period (Regnault–Pfaundler): what the
     * cooling curve carried to mixing claims too much is its constant times the area it has above the readings.
     */
    INTEGRAL("integral") {
        @Override
        Outcome read(Baselines of) {
            if (!of.enough() || of.loss().none()) {
                return TOO_FEW;
            }
            return of.loss().change();
        }

        @Override
        Laid lay(Baselines of, Change change) {
            return curved(of, of.loss().likeliest());
        }
    };

    private static final Withheld TOO_FEW = new Withheld(
            "A cooling curve takes at least two readings before mixing and four after it, six after a slow rise.");

    private final String key;

    CurveMethod(String key) {
        this.key = key;
    }

    /** {@return the name files know it by} */
    public String key() {
        return key;
    }

    private static final Set<CurveMethod> AS_READ = EnumSet.of(EXTREME, PLATEAU, SETTLED, AFTER_WAIT);

    /** {@return whether what goes to the surroundings or comes from them is taken off by the drift it makes} */
    public boolean corrects() {
        return !AS_READ.contains(this);
    }

    abstract Outcome read(Baselines of);

    /**
     * {@return what is drawn of this way; empty where no change can be read}
     *
     * @param baselines of the curve
     */
    public Optional<Laid> laid(Baselines baselines) {
        return of(baselines) instanceof Change change ? Optional.of(lay(baselines, change)) : Optional.empty();
    }

    /**
     * {@return how fast start and end move with the moment taken for mixing (°C/s), by the slopes of what is laid
     * through the curve there}
     *
     * @param baselines of the curve
     */
    public Drift drift(Baselines baselines) {
        return laid(baselines)
                .map(laid -> new Drift(slope(laid.fore(), laid.fore().size() - 2), slope(laid.after(), 0)))
                .orElse(new Drift(0, 0));
    }

    private static double slope(List<Reading> line, int first) {
        if (line.size() < 2) {
            return 0;
        }
        Reading one = line.get(first);
        Reading next = line.get(first + 1);
        return next.seconds() > one.seconds()
                ? (next.temperature() - one.temperature()) / (next.seconds() - one.seconds())
                : 0;
    }

    /**
     * How fast both temperatures move with the moment taken for mixing.
     *
     * @param start (°C/s)
     * @param end   (°C/s)
     */
    public record Drift(double start, double end) {}

    /** Where both temperatures are single readings: level from each to mixing. */
    Laid lay(Baselines of, Change change) {
        double mixing = of.curve.mixing();
        double end = mixing + of.seconds[furthest(of)];
        return new Laid(
                List.of(
                        new Reading(mixing + of.seconds[of.before - 1], change.start()),
                        new Reading(mixing, change.start())),
                List.of(new Reading(mixing, change.end()), new Reading(end, change.end())),
                mixing);
    }

    private static Laid straight(Baselines of, double carriedTo) {
        double mixing = of.curve.mixing();
        LineFit fore = of.foreLine();
        LineFit after = of.afterLine();
        double first = of.seconds[0];
        double last = of.seconds[of.seconds.length - 1];
        return new Laid(
                List.of(
                        new Reading(mixing + first, fore.at(first)),
                        new Reading(mixing + carriedTo, fore.at(carriedTo))),
                List.of(
                        new Reading(mixing + carriedTo, after.at(carriedTo)),
                        new Reading(mixing + last, after.at(last))),
                mixing + carriedTo);
    }

    private static Laid curved(Baselines of, CoolingFit fit) {
        return new Laid(
                curved(of, fit, of.seconds[0], 0, false),
                curved(of, fit, 0, of.seconds[of.seconds.length - 1], true),
                of.curve.mixing());
    }

    private static List<Reading> curved(Baselines of, CoolingFit fit, double from, double to, boolean past) {
        return IntStream.rangeClosed(0, Laid.POINTS)
                .mapToDouble(i -> from + (to - from) * i / Laid.POINTS)
                .mapToObj(since -> new Reading(of.curve.mixing() + since, fit.cooling(since, past)))
                .toList();
    }

    /**
     * {@return the change read this way, or why there is none}
     *
     * @param baselines of the curve
     */
    public Outcome of(Baselines baselines) {
        return baselines.once(this, this::judged);
    }

    private Outcome judged(Baselines baselines) {
        Outcome outcome = read(baselines);
        if (outcome instanceof Change change && baselines.coarse()) {
            double least = Math.pow(baselines.curve.display(), 2) / 12;
            return new Change(
                    change.start(),
                    change.end(),
                    Math.max(least, change.startVariance()),
                    Math.max(least, change.endVariance()),
                    change.covariance(),
                    change.degreesOfFreedom());
        }
        return outcome;
    }

    /** Which reading after mixing lies furthest from the last before, spikes aside, whichever way a fit would go. */
    private static int furthest(Baselines of) {
        double start = of.temperatures[of.before - 1];
        int furthest = of.before;
        for (int i = of.before; i < of.seconds.length; i++) {
            if (!of.spike(i) && Math.abs(of.temperatures[i] - start) > Math.abs(of.temperatures[furthest] - start)) {
                furthest = i;
            }
        }
        return furthest;
    }

    private static Outcome single(Baselines of, double end) {
        double variance = of.fit().noise() * of.fit().noise();
        return new Change(
                of.temperatures[of.before - 1],
                end,
                variance,
                variance,
                0,
                of.fit().degreesOfFreedom());
    }

    /** Start and end by the cooling curve at mixing. */
    private static Change cooling(Baselines of) {
        CoolingFit fit = of.fit();
        double[] start = fit.only(LossModel.START);
        double[] end = fit.only(LossModel.END);
        return new Change(
                fit.at(LossModel.START),
                fit.at(LossModel.END),
                fit.covariance(start, start),
                fit.covariance(end, end),
                fit.covariance(start, end),
                fit.degreesOfFreedom());
    }

    private static Outcome carried(Baselines of, double seconds) {
        LineFit fore = of.foreLine();
        LineFit after = of.afterLine();
        if (fore.readings() < 2 || after.readings() < 2) {
            return new Withheld("A line takes two readings before mixing and two after it.");
        }
        return new Change(
                fore.at(seconds),
                after.at(seconds),
                fore.variance(seconds),
                after.variance(seconds),
                0,
                Math.min(fore.degreesOfFreedom(), after.degreesOfFreedom()));
    }

    /** Time from mixing at which the stated part of the change was reached (s). */
    private static double reached(Baselines of) {
        LineFit fore = of.foreLine();
        LineFit after = of.afterLine();
        double reached = of.curve.stated().fraction();
        double lastTime = 0;
        double lastShare = 0;
        for (int i = of.before; i < of.seconds.length; i++) {
            double time = of.seconds[i];
            double share = (of.temperatures[i] - fore.at(time)) / (after.at(time) - fore.at(time));
            if (share >= reached) {
                return lastTime + (time - lastTime) * (reached - lastShare) / (share - lastShare);
            }
            lastTime = time;
            lastShare = share;
        }
        return 0;
    }
}

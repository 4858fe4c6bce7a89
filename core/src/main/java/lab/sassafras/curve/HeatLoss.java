package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.curve.Outcome.Change;
import org.jspecify.annotations.Nullable;

/**
 * The heat lost while the main period lasted, integrated over the readings (Regnault–Pfaundler): the end is the cooling
 * curve where the main period is taken to end, less what it would have lost to there. Nobody knows where it ends, nor
 * whether what follows still carries a tail of heat, so a dozen ends are tried, each with a tail and without; every one
 * is weighed by how well it fits and how many readings it leaves to the integral (weights of H. Akaike, IEEE Trans.
 * Autom. Control 19 (1974) 716, memory), and what they differ by is part of the uncertainty.
 */
final class HeatLoss {

    private static final int COARSE = 7;
    private static final int FINE = 6;
    /** A dozen fits of a heat that is to be integrated need no finer points than a tenth of their time from mixing. */
    private static final double FOLD = 0.1;
    /** What the curve bends by within such a point, as a part of the change. */
    private static final double BEND = 1e-5;

    private static final int FEWEST = 4;
    private static final int FEWEST_WITH_TAIL = 6;
    /** The last end tried leaves this part of the record after mixing. */
    private static final double LATEST = 0.7;
    /** So many times the noise beyond the cooling curve is no noise. */
    private static final double TOUCHED = 5;
    /** A fit so much less likely than the best adds nothing. */
    private static final double NEGLIGIBLE = 1e-4;

    private final Baselines of;
    private final List<Tried> tried;
    private final Points points;
    /** The same of a reading about its neighbours, and never less than a point hides (°C). */
    private final double least;

    /** Standard deviation of a reading about what is fitted (°C). */
    private double noise;

    /** How many neighbouring readings say together what one says. */
    private double together = 1;

    /**
     * One end tried, with what it comes to.
     *
     * @param fit         from that end on
     * @param end         first point that is fitted
     * @param weight      how likely it is among all tried
     * @param start       temperature before (°C)
     * @param finish      temperature after (°C)
     * @param finishBy    how the latter hangs on the numbers of the fit
     * @param noiseOfArea variance of the latter by the readings that were integrated (°C²)
     * @param tailLeft    what the tail still brings after the last reading (°C)
     */
    private record Tried(
            CoolingFit fit,
            int end,
            double weight,
            double start,
            double finish,
            double[] finishBy,
            double noiseOfArea,
            double tailLeft) {

        private double[] startBy() {
            return fit.only(LossModel.START);
        }
    }

    private HeatLoss(Baselines of) {
        this.of = of;
        this.noise = Math.max(of.aboutNeighbours(), BEND * Math.abs(of.middleAfter() - of.foreMean()));
        this.least = noise;
        this.points = Points.of(of.seconds, of.temperatures, of.before, counting(of.before), FOLD);
        this.tried = weighed(fits());
    }

    static HeatLoss of(Baselines baselines) {
        return new HeatLoss(baselines);
    }

    /** A fit from a reading on. */
    private record Fit(CoolingFit fit, int end) {}

    /** A coarse row of ends, and a fine one about the likeliest of them. */
    private List<Fit> fits() {
        if (!of.chosen().isEmpty()) {
            return fits(List.of(points.before), null);
        }
        List<Fit> coarse = fits(ends(points.before, latest(), COARSE), null);
        if (coarse.isEmpty()) {
            return coarse;
        }
        double[] cost = costs(coarse);
        int likeliest = IntStream.range(0, cost.length)
                .reduce((one, other) -> cost[other] < cost[one] ? other : one)
                .orElseThrow();
        int end = coarse.get(likeliest).end();
        int sooner = coarse.stream()
                .mapToInt(Fit::end)
                .filter(each -> each < end)
                .max()
                .orElse(end);
        int later = coarse.stream()
                .mapToInt(Fit::end)
                .filter(each -> each > end)
                .min()
                .orElse(end);
        List<Integer> fine = new ArrayList<>(ends(sooner, later, FINE));
        coarse.forEach(each -> fine.remove(Integer.valueOf(each.end())));
        List<Fit> all = new ArrayList<>(coarse);
        all.addAll(fits(fine, coarse.get(likeliest).fit()));
        return all;
    }

    /** The last point that is tried: a part of the record after mixing is left behind it. */
    private int latest() {
        double time = LATEST * points.time[points.size - 1];
        int point = points.before;
        while (point < points.size - 1 && points.time[point] < time) {
            point++;
        }
        return point;
    }

    /** Points evenly spread; the last first, which is the surest start. */
    private static List<Integer> ends(int first, int last, int many) {
        return IntStream.range(0, many)
                .map(i -> last - (int) Math.rint((double) i * (last - first) / (many - 1)))
                .distinct()
                .boxed()
                .toList();
    }

    private List<Fit> fits(List<Integer> ends, @Nullable CoolingFit begun) {
        List<Fit> fits = new ArrayList<>();
        @Nullable CoolingFit plain = begun;
        @Nullable CoolingFit tailed = begun != null && begun.hasTail() ? begun : null;
        for (int end : ends) {
            int left = points.readings(end) - points.readings(points.size);
            if (left < FEWEST) {
                continue;
            }
            plain = fit(end, LossModel.plain(of.curve, of.foreMean(), of.middleAfter()), plain);
            fits.add(new Fit(plain, end));
            if (left >= FEWEST_WITH_TAIL) {
                tailed = tailed(end, plain, tailed);
                if (tailed.comesLate()) {
                    fits.add(new Fit(tailed, end));
                }
            }
        }
        return fits;
    }

    /** From the tail of a later end, or from tails of a few lengths: which of them is likeliest. */
    private CoolingFit tailed(int end, CoolingFit plain, @Nullable CoolingFit later) {
        LossModel model = LossModel.withTail(of.curve, of.foreMean(), of.middleAfter(), from(end));
        List<CoolingFit> begun = new ArrayList<>();
        if (later != null) {
            begun.add(fit(end, model, later));
        }
        if (later == null || end == points.before) {
            begun.add(fit(end, model, plain));
            for (double tailTime : CoolingFit.TAIL_TIMES) {
                begun.add(CoolingFit.of(of, points, end, model)
                        .beginTail(tailTime)
                        .fittedBy(least, of.leastNoise));
            }
        }
        return begun.stream()
                .min(Comparator.comparingDouble(CoolingFit::objective))
                .orElseThrow();
    }

    private CoolingFit fit(int end, LossModel model, @Nullable CoolingFit begun) {
        CoolingFit fit = CoolingFit.of(of, points, end, model);
        return (begun == null ? fit : fit.from(begun)).fittedBy(least, of.leastNoise);
    }

    /** Which reading an end is. */
    private int reading(int end) {
        return points.first[end];
    }

    /** Time from mixing from which on a fit holds (s): from mixing itself where no reading is left to the integral. */
    private double from(int end) {
        for (int i = of.before; i < reading(end); i++) {
            if (!of.alone(i)) {
                return of.seconds[reading(end)];
            }
        }
        return 0;
    }

    private boolean[] counting(int end) {
        boolean[] counts = new boolean[of.seconds.length];
        for (int i = 0; i < counts.length; i++) {
            counts[i] = (i < of.before || i >= end)
                    && !of.alone(i)
                    && (of.chosen().isEmpty() || of.chosen().get(i));
        }
        return counts;
    }

    private List<Tried> weighed(List<Fit> fits) {
        if (fits.isEmpty()) {
            return List.of();
        }
        Fit surely = late(fits);
        CoolingFit late = surely.fit().lieOff(counting(reading(surely.end())));
        noise = Math.max(
                least,
                Math.sqrt(late.squares()
                        / Math.max(1, late.counted() - late.model().free().length)));
        together = Math.max(late.found().together(), of.readingsToAStep());
        double[] cost = costs(fits);
        double least = Arrays.stream(cost).min().orElse(0);
        double all =
                Arrays.stream(cost).map(each -> Math.exp((least - each) / 2)).sum();
        List<Tried> tried = new ArrayList<>();
        for (int i = 0; i < cost.length; i++) {
            double weight = Math.exp((least - cost[i]) / 2) / all;
            if (weight > NEGLIGIBLE) {
                tried.add(tried(fits.get(i), weight));
            }
        }
        return tried;
    }

    /**
     * The fit that begins where the main period is surely over, with the tail it may still have: what is left is noise.
     */
    private Fit late(List<Fit> fits) {
        int surely = of.laterPart();
        return fits.stream()
                .min(Comparator.comparingInt((Fit each) -> Math.abs(reading(each.end()) - surely))
                        .thenComparing(each -> !each.fit().hasTail()))
                .orElseThrow();
    }

    private double[] costs(List<Fit> fits) {
        return fits.stream()
                .mapToDouble(each ->
                        (each.fit().judged() / (noise * noise) + 2.0 * (reading(each.end()) - of.before)) / together
                                + each.fit().penalty()
                                + 2.0 * each.fit().model().free().length)
                .map(each -> Double.isNaN(each) ? Double.POSITIVE_INFINITY : each)
                .toArray();
    }

    private Tried tried(Fit fit, double weight) {
        CoolingFit cooling = fit.fit().covary(noise * Math.sqrt(together));
        double[] at = cooling.numbers();
        double rate = LossModel.rateAfter(at);
        double until = from(fit.end());
        double area = 0;
        double variance = 0;
        double[] by = new double[LossModel.NUMBERS];
        int end = reading(fit.end());
        LossModel.Laid laid = cooling.laid();
        double here = shown(of.before, cooling, laid);
        for (int i = of.before; i < end; i++) {
            double step = of.seconds[i + 1] - of.seconds[i];
            double sooner = i > of.before ? of.seconds[i] - of.seconds[i - 1] : 0;
            double next = shown(i + 1, cooling, laid);
            area += step * (here + next) / 2;
            here = next;
            double reach = (step + sooner) / 2 * noise;
            variance += reach * reach * together;
        }
        if (until > 0) {
            Gap gap = new Gap(of.seconds[of.before], shown(of.before, cooling, laid), cooling, noise);
            area += gap.area();
            variance += gap.variance();
            by[LossModel.START] = rate * gap.byStart();
        }
        double tail = at[LossModel.TAIL];
        double tailTime = LossModel.tailTime(at);
        hangsOn(by, at, until, area - tail * tailTime);
        double rest = LossModel.rest(at, true);
        double left = Math.exp(-rate * until);
        return new Tried(
                cooling,
                fit.end(),
                weight,
                at[LossModel.START],
                rest + (at[LossModel.END] - rest) * left + rate * (area - rest * until - tail * tailTime),
                by,
                rate * rate * variance,
                tail * (1 - rate * tailTime) * Math.exp((until - of.seconds[of.seconds.length - 1]) / tailTime));
    }

    /**
     * A reading; one that lies far beyond the cooling curve touched something, and counts as on it: no heat is given
     * back.
     */
    private double shown(int i, CoolingFit cooling, LossModel.Laid laid) {
        double curve = laid.coolingAfter(of.seconds[i]);
        double beyond = (of.temperatures[i] - curve) * Math.signum(curve - cooling.at(LossModel.START));
        return beyond > TOUCHED * noise ? curve : of.temperatures[i];
    }

    /**
     * How the temperature after hangs on each number of the fit, by its derivatives.
     *
     * @param until time of the end (s)
     * @param area  of the temperature until then, less that of the tail (°C·s)
     */
    private static void hangsOn(double[] by, double[] at, double until, double area) {
        double rate = LossModel.rateAfter(at);
        double k = Math.exp(at[LossModel.LOG_RATE]);
        double rest = LossModel.rest(at, true);
        double left = Math.exp(-rate * until);
        double byRest = 1 - left - rate * until;
        double byRate = -(at[LossModel.END] - rest) * until * left + area - rest * until;
        double laterRest = at[LossModel.LATER_SOURCE] / rate;
        double tailTime = LossModel.tailTime(at);
        by[LossModel.END] = left;
        by[LossModel.ROOM] = byRest;
        by[LossModel.SOURCE] = byRest / k;
        by[LossModel.LATER_SOURCE] = byRest / rate;
        by[LossModel.LOG_RATE] = rate * byRate - byRest * (at[LossModel.SOURCE] / k + laterRest);
        by[LossModel.LOG_RATIO] = rate * byRate - byRest * laterRest;
        by[LossModel.TAIL] = -rate * tailTime;
        by[LossModel.LOG_TAIL_TIME] = -rate * at[LossModel.TAIL] * tailTime;
    }

    /**
     * From mixing to the first reading nobody looked. What the temperature lay short of the cooling curve by fell from
     * the whole change to what the first reading shows: exponentially, or straight at most.
     *
     * @param length of it (s)
     * @param first  the first reading (°C)
     */
    private record Gap(double length, double first, CoolingFit fit, double noise) {

        private double whole() {
            return fit.cooling(0, true) - fit.at(LossModel.START);
        }

        private double left() {
            return Math.copySign(Math.max(noise, (fit.cooling(length, true) - first) * Math.signum(whole())), whole());
        }

        private double shortBy() {
            double ratio = whole() / left();
            return ratio > 1.001 ? (whole() - left()) / Math.log(ratio) : straight();
        }

        private double straight() {
            return (whole() + left()) / 2;
        }

        double area() {
            return length * ((fit.cooling(0, true) + fit.cooling(length, true)) / 2 - shortBy());
        }

        double variance() {
            return Math.pow(length * (straight() - shortBy()), 2) / 3;
        }

        double byStart() {
            double ratio = whole() / left();
            return ratio > 1.001
                    ? length * (1 / Math.log(ratio) - (1 - 1 / ratio) / Math.pow(Math.log(ratio), 2))
                    : length / 2;
        }
    }

    /** Whether no end could be tried: too little is left of the readings once those that stand out are taken away. */
    boolean none() {
        return tried.isEmpty();
    }

    /** Start and end, over all ends tried. */
    Change change() {
        double start = 0;
        double finish = 0;
        for (Tried each : tried) {
            start += each.weight() * each.start();
            finish += each.weight() * each.finish();
        }
        double ofStart = 0;
        double ofFinish = 0;
        double ofBoth = 0;
        double degrees = 1;
        double most = 0;
        for (Tried each : tried) {
            CoolingFit fit = each.fit();
            double offStart = each.start() - start;
            double offFinish = each.finish() - finish;
            ofStart += each.weight() * (fit.covariance(each.startBy(), each.startBy()) + offStart * offStart);
            ofFinish += each.weight()
                    * (fit.covariance(each.finishBy(), each.finishBy()) + each.noiseOfArea() + offFinish * offFinish);
            ofBoth += each.weight() * (fit.covariance(each.startBy(), each.finishBy()) + offStart * offFinish);
            if (each.weight() > most) {
                most = each.weight();
                degrees = fit.degreesOfFreedom();
            }
        }
        return new Change(start, finish, ofStart, ofFinish, ofBoth, degrees);
    }

    /** The likeliest of all fits, to be drawn. */
    CoolingFit likeliest() {
        return tried.stream()
                .max(Comparator.comparingDouble(Tried::weight))
                .orElseThrow()
                .fit();
    }

    /** Part of the rise that the tail may still bring after the last reading, over all ends tried. */
    double stillToCome() {
        Change change = change();
        double left = 0;
        for (Tried each : tried) {
            left += each.weight() * Math.abs(each.tailLeft());
        }
        return left / Math.abs(change.difference());
    }

    /**
     * How likely it is that all heat had come by the first reading: that no reading is left to the integral, and no
     * tail.
     */
    double atOnce() {
        return tried.stream()
                .filter(each -> each.end() == points.before && !each.fit().hasTail())
                .mapToDouble(Tried::weight)
                .sum();
    }
}

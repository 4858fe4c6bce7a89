package lab.sassafras.curve;

import lab.sassafras.measure.TimeBudget;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;

/**
 * Both baselines fitted together by a {@link LossModel}, by least squares (Gauss–Newton with Levenberg's damping). What
 * neighbouring readings have in common is found, and counts as what it is worth.
 */
final class CoolingFit {

    /** Lengths of a tail that are tried first (s): one of them lies within a factor of 1.8 of any. */
    private static final double[] TRIED_TIMES = {1, 3, 10, 30, 90, 270, 800};

    /** Lengths of a tail that a fit is begun from (s). */
    static final double[] TAIL_TIMES = {8, 30, 110};

    /** How far off the usual one a constant is unusual (in its logarithm). */
    private static final double UNUSUAL = 1.1;

    private static final double SCATTERED = 1.3;

    /** What of a tail is no cooling curve (a part of its squares): less, and the two cannot be told apart. */
    private static final double ALONG = 1e-3;

    private static final boolean[] NONE = {};
    private static final int FEWEST_PAIRS = 12;
    /**
     * Readings that are taken together lie within this part of their time from mixing; within the second where there
     * are many.
     */
    private static final double FOLD = 0.02;

    private static final double FOLD_OF_MANY = 0.08;
    private static final int MANY = 3000;
    /** So many standard deviations of a correlation that is none are chance. */
    private static final double CHANCE = 2;

    private static final double MOST_CORRELATION = 0.98;
    /** A display so fine (°C) that nothing is taken together where a fit is judged. */
    private static final double FINE = 1e-4;

    /** Of chi-squared with two degrees of freedom: passed by chance once in four hundred. */
    private static final double BETTER = 12;

    /** Of chi-squared: a step that takes off less moves no number by a hundredth of its uncertainty. */
    private static final double SETTLED = 1e-4;

    /** The same by a tenth, where fits are only weighed against each other. */
    private static final double NEARLY = 1e-2;

    private static final int ROUNDS = 60;
    /** A tail carried back so far (°C) is begun from no further. */
    private static final double MOST_TAIL = 1000;
    /** So far behind the start (a part of the tail) a tail may seem to begin, by noise. */
    private static final double BEHIND = 0.1;

    private final LossModel model;
    private final double[] seconds;
    private final double[] temperatures;
    private boolean[] counts;
    private final int before;
    private double[] at;
    private double[][] covariance;
    private double noise;
    private double leastNoise;
    private double correlation;
    private int counted;
    private double settled = SETTLED;

    private Points points;
    /** First point after mixing that is fitted. */
    private int from;

    /** What each reading lies off the fit by (°C); nothing before it is asked for. */
    private double[] offs = {};

    private final boolean everyReading;

    /** Readings by their time from mixing (s), those before it first; {@code counts} says which are fitted. */
    CoolingFit(
            double[] seconds,
            double[] temperatures,
            int before,
            boolean[] counts,
            LossModel model,
            double display,
            double noise) {
        this(
                seconds,
                temperatures,
                before,
                counts,
                model,
                Points.of(seconds, temperatures, before, counts, fold(seconds)),
                before,
                display < FINE,
                noise);
    }

    private static double fold(double[] seconds) {
        return seconds.length > MANY ? FOLD_OF_MANY : FOLD;
    }

    private CoolingFit(
            double[] seconds,
            double[] temperatures,
            int before,
            boolean[] counts,
            LossModel model,
            Points points,
            int from,
            boolean everyReading,
            double noise) {
        this.model = model;
        this.seconds = seconds;
        this.temperatures = temperatures;
        this.before = before;
        this.counts = counts;
        this.points = points;
        this.from = Math.max(points.before, from);
        this.everyReading = everyReading;
        this.noise = noise;
        this.counted = points.readings(this.from);
        at = model.begin(temperatures[before - 1], firstAfter());
        covariance = new double[LossModel.NUMBERS][LossModel.NUMBERS];
    }

    /** Of readings that were taken together once, from a point on. */
    static CoolingFit of(Baselines readings, Points points, int from, LossModel model) {
        return new CoolingFit(
                readings.seconds,
                readings.temperatures,
                readings.before,
                NONE,
                model,
                points,
                from,
                false,
                readings.aboutNeighbours());
    }

    private double firstAfter() {
        return from < points.size ? points.height[from] : temperatures[before];
    }

    /** Starts from another fit of the same curve; a tail goes on as it was, from another time on. */
    CoolingFit from(CoolingFit other) {
        double[] begun = other.at.clone();
        if (!model.hasTail()) {
            begun[LossModel.TAIL] = 0;
        } else if (other.model.hasTail()) {
            begun[LossModel.TAIL] =
                    Math.max(-MOST_TAIL, Math.min(MOST_TAIL, other.model.tail(other.at, model.tailFrom())));
        } else {
            begun[LossModel.LOG_TAIL_TIME] = at[LossModel.LOG_TAIL_TIME];
            begun[LossModel.TAIL] = model.tailFrom() > 0 ? 0 : begun[LossModel.END] - begun[LossModel.START];
        }
        at = begun;
        return this;
    }

    /** Starts with a tail of a length that ends at the last reading's height (s). */
    CoolingFit beginTail(double tailTime) {
        double left = Math.exp((model.tailFrom() - seconds[seconds.length - 1]) / tailTime);
        double last = temperatures[seconds.length - 1];
        double rising = (last - firstAfter()) / Math.max(0.1, 1 - left);
        at[LossModel.END] = firstAfter() + rising;
        at[LossModel.TAIL] = rising;
        at[LossModel.LOG_TAIL_TIME] = Math.log(tailTime);
        return this;
    }

    /**
     * Fits what counts by now; the noise is what the readings scatter by about the fit, never less than given as least.
     */
    CoolingFit fitted(double least) {
        leastNoise = least;
        points = Points.of(seconds, temperatures, before, counts, fold(seconds));
        from = points.before;
        counted = points.readings(from);
        descend();
        noise = Math.max(leastNoise, Math.sqrt(judged(at) / Math.max(1, degreesOfFreedom())));
        descend();
        lieOff();
        noise = Math.max(leastNoise, Math.sqrt(squares() / Math.max(1, degreesOfFreedom())));
        correlation = correlation(Math.max(leastNoise, FINE));
        covary(noise * Math.sqrt(together()));
        return this;
    }

    /** Fits with a noise that is known (°C), never less than a least one, and leaves the covariance for later. */
    CoolingFit fittedBy(double known, double least) {
        leastNoise = least;
        noise = known;
        settled = NEARLY;
        descend();
        return this;
    }

    /** What every reading lies off by, of which some are fitted. */
    CoolingFit lieOff(boolean[] fitted) {
        counts = fitted;
        return lieOff();
    }

    private CoolingFit lieOff() {
        LossModel.Laid laid = model.new Laid(at);
        offs = offs.length == 0 ? new double[seconds.length] : offs;
        for (int i = 0; i < seconds.length; i++) {
            offs[i] = temperatures[i] - laid.at(seconds[i], i >= before);
        }
        return this;
    }

    /** Works out the covariance of the numbers by the noise of a reading that stands for itself alone (°C). */
    CoolingFit covary(double alone) {
        double kept = noise;
        noise = alone;
        int[] free = model.free();
        double[][] normal = new double[free.length][free.length];
        normal(at, normal, new double[free.length]);
        noise = kept;
        double[][] inverse = new LUDecomposition(MatrixUtils.createRealMatrix(normal), 1e-300)
                .getSolver()
                .getInverse()
                .getData();
        for (int r = 0; r < free.length; r++) {
            for (int c = 0; c < free.length; c++) {
                covariance[free[r]][free[c]] = inverse[r][c];
            }
        }
        return this;
    }

    /** Correlation of neighbouring readings about the fit; 0 where it is no more than chance makes it. */
    private double correlation(double least) {
        double sum = 0;
        double squares = 0;
        int pairs = 0;
        int last = -1;
        for (int i = 0; i < offs.length; i++) {
            if (counts[i]) {
                squares += offs[i] * offs[i];
                if (last >= 0 && (last < before) == (i < before)) {
                    sum += offs[last] * offs[i];
                    pairs++;
                }
                last = i;
            }
        }
        double found = squares > 0 ? sum / squares : 0;
        boolean chance = pairs < FEWEST_PAIRS || found < CHANCE / Math.sqrt(pairs) || noise <= least;
        return chance ? 0 : Math.min(MOST_CORRELATION, found);
    }

    /** How many neighbouring readings say together what one independent one says. */
    double together() {
        return (1 + correlation) / (1 - correlation);
    }

    /** Time in which what neighbouring readings have in common falls to a part in e (s). */
    double memory() {
        if (correlation <= 0) {
            return 0;
        }
        double[] steps = new double[seconds.length - 1];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = seconds[i + 1] - seconds[i];
        }
        return -Baselines.median(steps) / Math.log(correlation);
    }

    /** What the counted readings lie off this fit by, squared and summed (°C²). */
    double squares() {
        double sum = 0;
        for (int i = 0; i < offs.length; i++) {
            sum += counts[i] ? offs[i] * offs[i] : 0;
        }
        return sum;
    }

    /** The same of a fit that is being tried. */
    private double judged(double[] where) {
        LossModel.Laid laid = model.new Laid(where);
        return everyReading ? squares(laid) : foldedSquares(laid);
    }

    private void descend() {
        int[] free = model.free();
        double damping = 1e-3;
        double now = objective(at);
        for (int round = 0; round < ROUNDS; round++) {
            TimeBudget.check();
            double[][] normal = new double[free.length][free.length];
            double[] downhill = new double[free.length];
            normal(at, normal, downhill);
            for (int i = 0; i < free.length; i++) {
                normal[i][i] *= 1 + damping;
            }
            double[] step = new LUDecomposition(new Array2DRowRealMatrix(normal, false), 1e-300)
                    .getSolver()
                    .solve(MatrixUtils.createRealVector(downhill))
                    .toArray();
            double[] next = at.clone();
            for (int i = 0; i < free.length; i++) {
                next[free[i]] += step[i];
            }
            model.bound(next);
            double then = objective(next);
            if (then <= now) {
                at = next;
                damping = Math.max(1e-9, damping / 10);
                if (now - then <= enough(now)) {
                    return;
                }
                now = then;
            } else {
                damping *= 10;
                if (damping > 1e9 || settled == NEARLY && then - now <= enough(now)) {
                    return;
                }
            }
        }
    }

    /** A fit far off needs no last figure: it is not going to weigh anything. */
    private double enough(double now) {
        return settled == NEARLY ? Math.max(settled, settled * (now - counted) / 100) : settled;
    }

    private double objective(double[] where) {
        return judged(where) / (noise * noise) + model.penalty(where);
    }

    /** What the fit leaves of the readings it counts, squared and summed (°C²). */
    double judged() {
        return judged(at);
    }

    /** How unusual its numbers are. */
    double penalty() {
        return model.penalty(at);
    }

    /**
     * Whether its tail is heat that comes late: it goes the way of the change, is over before the vessel has cooled,
     * and does not begin behind the start. A tail that does not bends the cooling curve in its place.
     */
    boolean comesLate() {
        double tail = at[LossModel.TAIL];
        double fast = 1 - rate() * LossModel.tailTime(at);
        double begun = cooling(model.tailFrom(), true) - tail - at[LossModel.START];
        return fast > 0 && tail * (begun + tail * fast) > 0 && begun * tail >= -BEHIND * tail * tail;
    }

    double objective() {
        return objective(at);
    }

    /**
     * Looks for what neighbouring readings have in common, the steps of a coarse display too, once it is known what
     * each lies off by.
     */
    CoolingFit found() {
        correlation = correlation(FINE);
        return this;
    }

    private double squares(LossModel.Laid laid) {
        double sum = 0;
        for (int i = 0; i < seconds.length; i++) {
            if (counts[i]) {
                double off = temperatures[i] - laid.at(seconds[i], i >= before);
                sum += off * off;
            }
        }
        return sum;
    }

    /**
     * The same from what was taken together, within which slope and bend of the curve are told.
     */
    private double foldedSquares(LossModel.Laid laid) {
        double sum = 0;
        for (int i = 0; i < points.size; i = next(i)) {
            laid.lay(points.time[i], points.after[i]);
            double off = points.height[i] - laid.value() - bent(laid, i);
            double slope = points.across[i] > 0 ? laid.slope() : 0;
            sum += points.weight[i] * off * off
                    + points.up[i]
                    - 2 * slope * points.together[i]
                    + slope * slope * points.across[i];
        }
        return sum;
    }

    /** What the mean of the curve within a point lies above its middle. */
    private double bent(LossModel.Laid laid, int i) {
        return points.across[i] > 0 ? laid.bend() * points.across[i] / points.weight[i] / 2 : 0;
    }

    /** The next point that is fitted. */
    private int next(int point) {
        return point + 1 == points.before ? from : point + 1;
    }

    private void normal(double[] where, double[][] normal, double[] downhill) {
        LossModel.Laid laid = model.new Laid(where);
        int[] free = model.free();
        double[] slopes = new double[LossModel.NUMBERS];
        double certain = 1 / (noise * noise);
        for (int i = 0; i < points.size; i = next(i)) {
            double off = points.height[i] - laid.at(points.time[i], points.after[i], slopes) - bent(laid, i);
            double counting = points.weight[i] * certain;
            for (int r = 0; r < free.length; r++) {
                double by = counting * slopes[free[r]];
                downhill[r] += by * off;
                for (int c = 0; c <= r; c++) {
                    normal[r][c] += by * slopes[free[c]];
                }
            }
        }
        for (int r = 0; r < free.length; r++) {
            for (int c = 0; c < r; c++) {
                normal[c][r] = normal[r][c];
            }
        }
        model.prior(where, normal, downhill);
    }

    /** The cooling curve on one side of mixing (°C), at a time from it (s). */
    double cooling(double since, boolean past) {
        return LossModel.cooling(at, since, past);
    }

    /** The fit at many times, what does not change worked once. */
    LossModel.Laid laid() {
        return model.new Laid(at);
    }

    /** What a reading lies off the fit by (°C). */
    double off(int i) {
        return offs[i];
    }

    /** What a reading lies short of the cooling curve without the tail by (°C, signed as a reading above it). */
    double offCooling(int i) {
        return off(i) - (i >= before ? model.tail(at, seconds[i]) : 0);
    }

    boolean hasTail() {
        return model.hasTail();
    }

    /** Standard uncertainty of the fit at a reading (°C). */
    double uncertainty(int i) {
        double[] slopes = new double[LossModel.NUMBERS];
        model.new Laid(at).at(seconds[i], i >= before, slopes);
        return Math.sqrt(Math.max(0, covariance(slopes, slopes)));
    }

    /** Standard deviation of a reading about the fit (°C). */
    double noise() {
        return noise;
    }

    /**
     * Whether this fit, with a tail, takes so much off the squares of one without that it is not for its two numbers.
     */
    boolean betterThan(CoolingFit plain) {
        return plain.squares() - squares() > BETTER * noise * noise;
    }

    /**
     * Whether a tail might take so much off the squares: what one of a few lengths would take off by itself, the other
     * numbers following it, is no less than half of that. It costs a hundredth of the fit. Where readings scatter more
     * about the fit than about their neighbours, or the constant is an unusual one, it is not left at that.
     *
     * @param usual what a reading scatters by about its neighbours (°C)
     */
    boolean mayHaveTail(double usual) {
        if (noise > SCATTERED * usual || Math.abs(at[LossModel.LOG_RATE] - LossModel.USUAL_LOG_RATE) > UNUSUAL) {
            return true;
        }
        LossModel.Laid laid = model.new Laid(at);
        double[] slopes = new double[LossModel.NUMBERS];
        for (double tailTime : TRIED_TIMES) {
            double own = 0;
            double off = 0;
            double[] along = new double[LossModel.NUMBERS];
            for (int i = 0; i < points.size; i = next(i)) {
                if (points.after[i]) {
                    double shape = Math.exp(-points.time[i] / tailTime);
                    double counting = points.weight[i] * shape / (noise * noise);
                    own += counting * shape;
                    off += counting * (points.height[i] - laid.at(points.time[i], true, slopes));
                    for (int number : model.free()) {
                        along[number] += counting * slopes[number];
                    }
                }
            }
            double free = own - covariance(along, along) / together();
            double less = off * off / free * noise * noise;
            double left = Math.max(leastNoise * leastNoise, (squares() - less) / degreesOfFreedom());
            if (free > ALONG * own && less > BETTER / 2 * left) {
                return true;
            }
        }
        return false;
    }

    /** Newton's constant after mixing (1/s). */
    double rate() {
        return LossModel.rateAfter(at);
    }

    double at(int number) {
        return at[number];
    }

    double[] numbers() {
        return at.clone();
    }

    LossModel model() {
        return model;
    }

    /** How a result hangs on the numbers where it is one of them. */
    double[] only(int number) {
        double[] hangsOn = new double[LossModel.NUMBERS];
        hangsOn[number] = 1;
        return hangsOn;
    }

    /** Covariance of two results by how each hangs on the numbers. */
    double covariance(double[] one, double[] other) {
        double sum = 0;
        for (int r : model.free()) {
            for (int c : model.free()) {
                sum += one[r] * covariance[r][c] * other[c];
            }
        }
        return sum;
    }

    int counted() {
        return counted;
    }

    int degreesOfFreedom() {
        return Math.max(1, (int) Math.floor(counted / together()) - (model.hasTail() ? 6 : 4));
    }
}

package lab.sassafras.curve;

import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;

/**
 * Both baselines fitted together as Newton's cooling toward one surrounding temperature with one constant: {@code T = E +
 * (T₀ − E) e^(−k s)}, s from mixing, with one T₀ before and another after. Four numbers: E, start, end, and ln k, by
 * least squares (Gauss–Newton with Levenberg's damping). What is common to all cups is given as little weight as it
 * deserves: k is one in 3,000 s within a factor of e, the surroundings lie within 10 °C of the readings before, or
 * within its uncertainty of the room that was read (common practice, no source).
 *
 * <p>Where the heat comes late or the thermometer follows late, two more numbers: what the readings after mixing lie
 * short of the cooling curve by, and the time in which that dies away.
 */
final class CoolingFit {

    static final int SURROUNDINGS = 0;
    static final int START = 1;
    static final int END = 2;
    static final int LOG_RATE = 3;
    static final int TAIL = 4;
    static final int LOG_TAIL_TIME = 5;

    private static final int WITHOUT_TAIL = 4;
    private static final int WITH_TAIL = 6;
    private static final double USUAL_LOG_TAIL_TIME = Math.log(40);
    private static final double LOG_TAIL_TIME_SPREAD = 1.5;
    private static final double SHORTEST_TAIL = Math.log(0.5);
    private static final double LONGEST_TAIL = Math.log(2000);
    private static final double USUAL_LOG_RATE = -Math.log(3000);
    private static final double LOG_RATE_SPREAD = 1;
    private static final double SURROUNDINGS_SPREAD = 10;
    private static final double SLOWEST = -Math.log(1e6);
    private static final double FASTEST = -Math.log(100);
    /** Lengths of a tail that are tried first (s): one of them lies within a factor of 1.8 of any. */
    private static final double[] TAIL_TIMES = {1, 3, 10, 30, 90, 270, 800};

    /** How far off the usual one a constant is unusual (in its logarithm). */
    private static final double UNUSUAL = 1.1;

    private static final double SCATTERED = 1.3;

    /** What of a tail is no cooling curve (a part of its squares): less, and the two cannot be told apart. */
    private static final double ALONG = 1e-3;

    private static final int FEWEST_PAIRS = 12;
    /** So many standard deviations of a correlation that is none are chance. */
    private static final double CHANCE = 2;

    private static final double MOST_CORRELATION = 0.98;
    /** A display so fine (°C) that nothing is taken together where a fit is judged. */
    private static final double FINE = 1e-4;
    /** So little (°C) that no temperature is leant by it, and no fit is without an answer. */
    private static final double ANYWHERE = 1e4;

    /** Of chi-squared with two degrees of freedom: passed by chance once in four hundred. */
    private static final double BETTER = 12;

    private static final double FOLD = 0.02;
    /** Of chi-squared: a step that takes off less moves no number by a hundredth of its uncertainty. */
    private static final double SETTLED = 1e-4;

    private static final int ROUNDS = 60;

    private final double[] seconds;
    private final double[] temperatures;
    private final boolean[] counts;
    private final int before;
    private final double usualSurroundings;
    private final double surroundingsSpread;

    private final int numbers;
    private final double[] at;
    private double[][] covariance;
    private double noise;
    private double leastNoise;
    private double correlation;
    private int counted;

    private final double[] time;
    private final double[] height;
    private final double[] weight;
    private final boolean[] after;
    /** Within what was taken together: squares of the times about their mean, of the heights, and of both together. */
    private final double[] across;

    /** What each reading lies off the fit by (°C). */
    private final double[] offs;

    private final double[] up;
    private final double[] together;
    private final boolean finelyShown;
    private int points;

    /** Readings by their time from mixing (s), those before it first; {@code counts} says which are fitted. */
    CoolingFit(
            double[] seconds,
            double[] temperatures,
            int before,
            boolean[] counts,
            Curve curve,
            double noise,
            boolean tail) {
        numbers = tail ? WITH_TAIL : WITHOUT_TAIL;
        at = new double[numbers];
        covariance = new double[numbers][numbers];
        this.seconds = seconds;
        this.temperatures = temperatures;
        this.before = before;
        this.counts = counts;
        this.noise = noise;
        time = new double[seconds.length];
        height = new double[seconds.length];
        weight = new double[seconds.length];
        after = new boolean[seconds.length];
        across = new double[seconds.length];
        offs = new double[seconds.length];
        up = new double[seconds.length];
        together = new double[seconds.length];
        finelyShown = curve.display() < FINE;
        double mean = 0;
        for (int i = 0; i < before; i++) {
            mean += temperatures[i] / before;
        }
        usualSurroundings = curve.room().map(Room::temperature).orElse(mean);
        surroundingsSpread = curve.room().map(Room::uncertainty).orElse(SURROUNDINGS_SPREAD);
        at[SURROUNDINGS] = usualSurroundings;
        at[START] = temperatures[before - 1];
        at[END] = firstAfter();
        at[LOG_RATE] = USUAL_LOG_RATE;
    }

    private double firstAfter() {
        for (int i = before; i < seconds.length; i++) {
            if (counts[i]) {
                return temperatures[i];
            }
        }
        return temperatures[before];
    }

    /** Starts from another fit of the same curve. */
    CoolingFit from(CoolingFit other) {
        System.arraycopy(other.at, 0, at, 0, Math.min(numbers, other.numbers));
        if (other.numbers < numbers) {
            at[TAIL] = at[END] - at[START];
            at[LOG_TAIL_TIME] = USUAL_LOG_TAIL_TIME;
        }
        return this;
    }

    /**
     * Takes neighbouring readings together as far as no curve bends between them: within a fiftieth of their time from
     * mixing. That keeps what a fit costs from growing with the readings.
     */
    private void fold() {
        points = 0;
        counted = 0;
        double begun = 0;
        for (int i = 0; i < seconds.length; i++) {
            if (counts[i]) {
                counted++;
                double size = Math.abs(seconds[i]);
                boolean joins = points > 0
                        && i != before
                        && (after[points - 1] == (i >= before))
                        && Math.abs(seconds[i] - begun) <= FOLD * Math.min(size, Math.abs(begun));
                if (joins) {
                    int into = points - 1;
                    weight[into]++;
                    double later = seconds[i] - time[into];
                    double higher = temperatures[i] - height[into];
                    time[into] += later / weight[into];
                    height[into] += higher / weight[into];
                    across[into] += later * (seconds[i] - time[into]);
                    up[into] += higher * (temperatures[i] - height[into]);
                    together[into] += later * (temperatures[i] - height[into]);
                } else {
                    begun = seconds[i];
                    time[points] = begun;
                    height[points] = temperatures[i];
                    weight[points] = 1;
                    across[points] = 0;
                    up[points] = 0;
                    together[points] = 0;
                    after[points] = i >= before;
                    points++;
                }
            }
        }
    }

    /** Fits; the noise is what the readings scatter by about the fit, never less than given as least. */
    CoolingFit fitted(double least) {
        leastNoise = least;
        fold();
        descend();
        noise = Math.max(leastNoise, Math.sqrt(judged(at) / Math.max(1, degreesOfFreedom())));
        descend();
        double k = rate();
        for (int i = 0; i < seconds.length; i++) {
            offs[i] = temperatures[i] - value(at, k, seconds[i], i >= before);
        }
        noise = Math.max(leastNoise, Math.sqrt(squares() / Math.max(1, degreesOfFreedom())));
        correlation = correlation();
        double alone = noise;
        noise *= Math.sqrt(together());
        double[][] normal = new double[numbers][numbers];
        normal(at, normal, new double[numbers]);
        noise = alone;
        covariance = new LUDecomposition(MatrixUtils.createRealMatrix(normal), 1e-300)
                .getSolver()
                .getInverse()
                .getData();
        return this;
    }

    /** Correlation of neighbouring readings about the fit; 0 where it is no more than chance makes it. */
    private double correlation() {
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
        boolean chance =
                pairs < FEWEST_PAIRS || found < CHANCE / Math.sqrt(pairs) || noise <= Math.max(leastNoise, FINE);
        return chance ? 0 : Math.min(MOST_CORRELATION, found);
    }

    /** How many neighbouring readings say together what one independent one says. */
    private double together() {
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
    private double squares() {
        double sum = 0;
        for (int i = 0; i < offs.length; i++) {
            sum += counts[i] ? offs[i] * offs[i] : 0;
        }
        return sum;
    }

    /** The same of a fit that is being tried. */
    private double judged(double[] where) {
        return finelyShown ? squares(where) : foldedSquares(where);
    }

    private void descend() {
        double damping = 1e-3;
        double now = objective(at);
        for (int round = 0; round < ROUNDS; round++) {
            double[][] normal = new double[numbers][numbers];
            double[] downhill = new double[numbers];
            normal(at, normal, downhill);
            for (int i = 0; i < numbers; i++) {
                normal[i][i] *= 1 + damping;
            }
            double[] step = new LUDecomposition(MatrixUtils.createRealMatrix(normal), 1e-300)
                    .getSolver()
                    .solve(MatrixUtils.createRealVector(downhill))
                    .toArray();
            double[] next = at.clone();
            for (int i = 0; i < numbers; i++) {
                next[i] += step[i];
            }
            next[LOG_RATE] = Math.min(FASTEST, Math.max(SLOWEST, next[LOG_RATE]));
            if (numbers == WITH_TAIL) {
                next[LOG_TAIL_TIME] = Math.min(LONGEST_TAIL, Math.max(SHORTEST_TAIL, next[LOG_TAIL_TIME]));
            }
            double then = objective(next);
            if (then <= now) {
                System.arraycopy(next, 0, at, 0, numbers);
                damping = Math.max(1e-9, damping / 10);
                if (now - then <= SETTLED) {
                    return;
                }
                now = then;
            } else {
                damping *= 10;
                if (damping > 1e9) {
                    return;
                }
            }
        }
    }

    private double objective(double[] where) {
        double rate = (where[LOG_RATE] - USUAL_LOG_RATE) / LOG_RATE_SPREAD;
        double surroundings = (where[SURROUNDINGS] - usualSurroundings) / surroundingsSpread;
        double anywhere = Math.hypot(where[START], where[END]) / ANYWHERE;
        return judged(where) / (noise * noise)
                + rate * rate
                + surroundings * surroundings
                + anywhere * anywhere
                + Math.pow(tailOff(where), 2);
    }

    private double tailOff(double[] where) {
        return numbers == WITH_TAIL ? (where[LOG_TAIL_TIME] - USUAL_LOG_TAIL_TIME) / LOG_TAIL_TIME_SPREAD : 0;
    }

    private double squares(double[] where) {
        double k = Math.exp(where[LOG_RATE]);
        double sum = 0;
        for (int i = 0; i < seconds.length; i++) {
            if (counts[i]) {
                double off = temperatures[i] - value(where, k, seconds[i], i >= before);
                sum += off * off;
            }
        }
        return sum;
    }

    /**
     * The same from what was taken together, within which the curve is straight: what it bends there is less than a
     * display shows that is not very fine.
     */
    private double foldedSquares(double[] where) {
        double k = Math.exp(where[LOG_RATE]);
        double tailTime = tailTime(where);
        double sum = 0;
        for (int i = 0; i < points; i++) {
            double above = (where[after[i] ? END : START] - where[SURROUNDINGS]) * Math.exp(-k * time[i]);
            double off = height[i] - where[SURROUNDINGS] - above;
            double slope = -k * above;
            if (after[i] && numbers == WITH_TAIL) {
                double tail = where[TAIL] * Math.exp(-time[i] / tailTime);
                off += tail;
                slope += tail / tailTime;
            }
            sum += weight[i] * off * off + up[i] - 2 * slope * together[i] + slope * slope * across[i];
        }
        return sum;
    }

    private double value(double[] where, double k, double since, boolean past) {
        return where[SURROUNDINGS]
                + (where[past ? END : START] - where[SURROUNDINGS]) * Math.exp(-k * since)
                - (past && numbers == WITH_TAIL ? where[TAIL] * tailLeft(where, since) : 0);
    }

    private double tailTime(double[] where) {
        return numbers == WITH_TAIL ? Math.exp(where[LOG_TAIL_TIME]) : 1;
    }

    private double tailLeft(double[] where, double since) {
        return Math.exp(-since / tailTime(where));
    }

    private void normal(double[] where, double[][] normal, double[] downhill) {
        double k = Math.exp(where[LOG_RATE]);
        double tailTime = tailTime(where);
        double[] slope = new double[numbers];
        for (int i = 0; i < points; i++) {
            double off = height[i] - slope(where, k, tailTime, time[i], after[i], slope);
            double counting = weight[i] / (noise * noise);
            for (int r = 0; r < numbers; r++) {
                downhill[r] += counting * slope[r] * off;
                for (int c = 0; c <= r; c++) {
                    normal[r][c] += counting * slope[r] * slope[c];
                }
            }
        }
        for (int r = 0; r < numbers; r++) {
            for (int c = 0; c < r; c++) {
                normal[c][r] = normal[r][c];
            }
        }
        normal[LOG_RATE][LOG_RATE] += 1 / (LOG_RATE_SPREAD * LOG_RATE_SPREAD);
        downhill[LOG_RATE] += (USUAL_LOG_RATE - where[LOG_RATE]) / (LOG_RATE_SPREAD * LOG_RATE_SPREAD);
        for (int own = START; own <= END; own++) {
            normal[own][own] += 1 / (ANYWHERE * ANYWHERE);
            downhill[own] -= where[own] / (ANYWHERE * ANYWHERE);
        }
        if (numbers == WITH_TAIL) {
            normal[LOG_TAIL_TIME][LOG_TAIL_TIME] += 1 / (LOG_TAIL_TIME_SPREAD * LOG_TAIL_TIME_SPREAD);
            downhill[LOG_TAIL_TIME] -= tailOff(where) / LOG_TAIL_TIME_SPREAD;
            normal[TAIL][TAIL] += 1 / (ANYWHERE * ANYWHERE);
        }
        normal[SURROUNDINGS][SURROUNDINGS] += 1 / (surroundingsSpread * surroundingsSpread);
        downhill[SURROUNDINGS] += (usualSurroundings - where[SURROUNDINGS]) / (surroundingsSpread * surroundingsSpread);
    }

    /** Fills in how the fit at a time (s from mixing) hangs on each number. @return the fit there (°C) */
    private double slope(double[] where, double k, double tailTime, double since, boolean past, double[] slope) {
        double left = Math.exp(-k * since);
        double above = where[past ? END : START] - where[SURROUNDINGS];
        slope[SURROUNDINGS] = 1 - left;
        slope[START] = past ? 0 : left;
        slope[END] = past ? left : 0;
        slope[LOG_RATE] = -above * left * since * k;
        double tail = 0;
        if (numbers == WITH_TAIL) {
            double tailLeft = past ? Math.exp(-since / tailTime) : 0;
            tail = where[TAIL] * tailLeft;
            slope[TAIL] = -tailLeft;
            slope[LOG_TAIL_TIME] = -tail * since / tailTime;
        }
        return where[SURROUNDINGS] + above * left - tail;
    }

    /** The cooling curve on one side of mixing (°C), at a time from it (s). */
    double cooling(double since, boolean past) {
        return at[SURROUNDINGS] + (at[past ? END : START] - at[SURROUNDINGS]) * Math.exp(-rate() * since);
    }

    /** What a reading lies off the fit by (°C). */
    double off(int i) {
        return offs[i];
    }

    /** What a reading lies short of the cooling curve without the tail by (°C, signed as a reading above it). */
    double offCooling(int i) {
        return off(i) - (numbers == WITH_TAIL && i >= before ? at[TAIL] * tailLeft(at, seconds[i]) : 0);
    }

    boolean hasTail() {
        return numbers == WITH_TAIL;
    }

    /** Standard uncertainty of the fit at a reading (°C). */
    double uncertainty(int i) {
        double[] slope = new double[numbers];
        slope(at, rate(), tailTime(at), seconds[i], i >= before, slope);
        return Math.sqrt(Math.max(0, covariance(slope, slope)));
    }

    /** Standard deviation of a reading about the fit (°C). */
    double noise() {
        return noise;
    }

    /** Whether this fit, with a tail, takes so much off the squares of one without that it is not for its two numbers. */
    boolean betterThan(CoolingFit plain) {
        return plain.squares() - squares() > BETTER * noise * noise;
    }

    /**
     * Whether a tail might take so much off the squares: what one of a few lengths would take off by itself, the four numbers
     * following it, is no less than half of that. It costs a hundredth of the fit. Where readings scatter
     * more about the fit than about their neighbours, or the constant is an unusual one, it is not left at that.
     *
     * @param usual what a reading scatters by about its neighbours (°C)
     */
    boolean mayHaveTail(double usual) {
        if (noise > SCATTERED * usual || Math.abs(at[LOG_RATE] - USUAL_LOG_RATE) > UNUSUAL) {
            return true;
        }
        double k = rate();
        double[] slope = new double[numbers];
        for (double tailTime : TAIL_TIMES) {
            double own = 0;
            double off = 0;
            double[] along = new double[numbers];
            for (int i = 0; i < points; i++) {
                if (after[i]) {
                    double shape = Math.exp(-time[i] / tailTime);
                    double counting = weight[i] * shape / (noise * noise);
                    own += counting * shape;
                    off += counting * (height[i] - slope(at, k, 1, time[i], true, slope));
                    for (int r = 0; r < numbers; r++) {
                        along[r] += counting * slope[r];
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

    /** Newton's constant (1/s). */
    double rate() {
        return Math.exp(at[LOG_RATE]);
    }

    double at(int number) {
        return at[number];
    }

    /** How a result hangs on the numbers where it is one of them. */
    double[] only(int number) {
        double[] hangsOn = new double[numbers];
        hangsOn[number] = 1;
        return hangsOn;
    }

    /** Covariance of two results by how each hangs on the numbers. */
    double covariance(double[] one, double[] other) {
        double sum = 0;
        for (int r = 0; r < numbers; r++) {
            for (int c = 0; c < numbers; c++) {
                sum += one[r] * covariance[r][c] * other[c];
            }
        }
        return sum;
    }

    int degreesOfFreedom() {
        return Math.max(1, (int) Math.floor(counted / together()) - numbers);
    }
}

package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;

/**
 * How a calorimeter loses heat before mixing and after it: {@code dT/dt = −k (T − R) + w} before, with the room R and a
 * source w such as a stirrer on a warm plate, and the same divided by how much the heat capacity grew after, with a
 * further source for what evaporates from hot contents. Where the heat comes late or the thermometer follows late, what
 * the readings lie short of the cooling curve by dies away exponentially from a stated time on.
 *
 * <p>What is common to all cups is given as little weight as it deserves: k is one in 3,000 s within a factor of e, the
 * room lies within 10 °C of the readings before, or within its uncertainty of what was read, w is none within 5·10⁻⁴
 * °C/s, the heat capacity known to 5 %, and to 30 % more than 12 °C from the room, where contents that evaporate are
 * cooled as well: within 6·10⁻⁴ °C/s at 12 °C above the room and as much more as the vapour pressure of water grows
 * (common practice, no source).
 */
final class LossModel {

    static final int ROOM = 0;
    static final int START = 1;
    static final int END = 2;
    static final int LOG_RATE = 3;
    static final int SOURCE = 4;
    static final int LOG_RATIO = 5;
    static final int LATER_SOURCE = 6;
    static final int TAIL = 7;
    static final int LOG_TAIL_TIME = 8;
    static final int NUMBERS = 9;

    static final double USUAL_LOG_RATE = -Math.log(3000);
    private static final double LOG_RATE_SPREAD = 1;
    private static final double ROOM_SPREAD = 10;
    private static final double SOURCE_SPREAD = 5e-4;
    private static final double RATIO_SPREAD = 0.05;
    private static final double HOT = 12;
    private static final double HOT_RATIO_SPREAD = 0.3;
    /** What evaporates from contents so far above the room that their vapour pressure has doubled (°C/s). */
    private static final double EVAPORATING_SPREAD = 6e-4;
    /** Water's vapour pressure doubles with every so many degrees between 20 and 60 °C (memory). */
    private static final double DOUBLES = 12;

    private static final double USUAL_LOG_TAIL_TIME = Math.log(40);
    private static final double LOG_TAIL_TIME_SPREAD = 1.2;
    private static final double SHORTEST_TAIL = Math.log(0.5);
    private static final double LONGEST_TAIL = Math.log(2000);
    private static final double SLOWEST = -Math.log(1e6);
    private static final double FASTEST = -Math.log(100);
    /** So little (°C) that no temperature is leant by it, and no fit is without an answer. */
    private static final double ANYWHERE = 1e4;

    private final double[] usual = new double[NUMBERS];
    private final double[] spread = new double[NUMBERS];
    private final int[] free;
    private final boolean tail;
    private final double tailFrom;

    private LossModel(Curve curve, double foreMean, double afterMixing, boolean tail, double tailFrom) {
        this.tail = tail;
        this.tailFrom = tailFrom;
        double room = curve.room().map(Room::temperature).orElse(foreMean);
        boolean hot = Math.abs(afterMixing - room) > HOT;
        prior(ROOM, room, curve.room().map(Room::uncertainty).orElse(ROOM_SPREAD));
        prior(START, 0, ANYWHERE);
        prior(END, 0, ANYWHERE);
        prior(LOG_RATE, USUAL_LOG_RATE, LOG_RATE_SPREAD);
        // where the room was not read, a source is no other thing than another room
        prior(SOURCE, 0, curve.room().isPresent() ? SOURCE_SPREAD : 0);
        prior(LOG_RATIO, Math.log(curve.ratio()), hot ? HOT_RATIO_SPREAD : RATIO_SPREAD);
        prior(LATER_SOURCE, 0, hot ? evaporating(afterMixing - room) : 0);
        prior(TAIL, 0, tail ? ANYWHERE : 0);
        prior(LOG_TAIL_TIME, USUAL_LOG_TAIL_TIME, tail ? LOG_TAIL_TIME_SPREAD : 0);
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < NUMBERS; i++) {
            if (spread[i] > 0) {
                all.add(i);
            }
        }
        this.free = all.stream().mapToInt(each -> each).toArray();
    }

    private static double evaporating(double aboveRoom) {
        return EVAPORATING_SPREAD * Math.abs(Math.pow(2, aboveRoom / DOUBLES) - 1);
    }

    private void prior(int number, double about, double within) {
        usual[number] = about;
        spread[number] = within;
    }

    static LossModel plain(Curve curve, double foreMean, double afterMixing) {
        return new LossModel(curve, foreMean, afterMixing, false, 0);
    }

    /** With a tail from a time after mixing on (s). */
    static LossModel withTail(Curve curve, double foreMean, double afterMixing, double from) {
        return new LossModel(curve, foreMean, afterMixing, true, from);
    }

    boolean hasTail() {
        return tail;
    }

    double tailFrom() {
        return tailFrom;
    }

    /** Which numbers are fitted; the others are held. */
    int[] free() {
        return free;
    }

    /** Numbers to begin from. */
    double[] begin(double start, double end) {
        double[] where = usual.clone();
        where[START] = start;
        where[END] = end;
        return where;
    }

    /** Keeps numbers where they can be. */
    void bound(double[] where) {
        where[LOG_RATE] = Math.min(FASTEST, Math.max(SLOWEST, where[LOG_RATE]));
        where[LOG_TAIL_TIME] = Math.min(LONGEST_TAIL, Math.max(SHORTEST_TAIL, where[LOG_TAIL_TIME]));
    }

    /** What numbers lie off what is usual, squared, in their spreads. */
    double penalty(double[] where) {
        double sum = 0;
        for (int number : free) {
            double off = (where[number] - usual[number]) / spread[number];
            sum += off * off;
        }
        return sum;
    }

    /** Adds what is usual to a normal matrix of the free numbers, and to its right side. */
    void prior(double[] where, double[][] normal, double[] downhill) {
        for (int i = 0; i < free.length; i++) {
            double weight = 1 / (spread[free[i]] * spread[free[i]]);
            normal[i][i] += weight;
            downhill[i] += weight * (usual[free[i]] - where[free[i]]);
        }
    }

    /** Newton's constant after mixing (1/s). */
    static double rateAfter(double[] where) {
        return Math.exp(where[LOG_RATE] + where[LOG_RATIO]);
    }

    /** What the temperature would end at, before mixing or after (°C). */
    static double rest(double[] where, boolean past) {
        double before = where[ROOM] + where[SOURCE] * Math.exp(-where[LOG_RATE]);
        return past ? before + where[LATER_SOURCE] / rateAfter(where) : before;
    }

    static double tailTime(double[] where) {
        return Math.exp(where[LOG_TAIL_TIME]);
    }

    /** The cooling curve on one side of mixing, without a tail (°C), at a time from mixing (s). */
    static double cooling(double[] where, double since, boolean past) {
        double rest = rest(where, past);
        double rate = past ? rateAfter(where) : Math.exp(where[LOG_RATE]);
        return rest + (where[past ? END : START] - rest) * Math.exp(-rate * since);
    }

    /** What of the tail is left (°C). */
    double tail(double[] where, double since) {
        return tail ? where[TAIL] * Math.exp(-(since - tailFrom) / tailTime(where)) : 0;
    }

    double at(double[] where, double since, boolean past) {
        return cooling(where, since, past) - (past ? tail(where, since) : 0);
    }

    /** The model at many times with the same numbers: what does not change is worked once. */
    final class Laid {

        private final double[] where;
        private final double k;
        private final double after;
        private final double restBefore;
        private final double restAfter;
        private final double tailTime;
        private double value;
        private double slope;
        private double bend;

        Laid(double[] where) {
            this.where = where;
            this.k = Math.exp(where[LOG_RATE]);
            this.after = rateAfter(where);
            this.restBefore = rest(where, false);
            this.restAfter = rest(where, true);
            this.tailTime = tailTime(where);
        }

        /** The temperature at a time from mixing (°C). */
        double at(double since, boolean past) {
            double rest = past ? restAfter : restBefore;
            double value = rest + (where[past ? END : START] - rest) * Math.exp(-(past ? after : k) * since);
            return past && tail ? value - where[TAIL] * Math.exp(-(since - tailFrom) / tailTime) : value;
        }

        /** The cooling curve after mixing, without a tail (°C). */
        double coolingAfter(double since) {
            return restAfter + (where[END] - restAfter) * Math.exp(-after * since);
        }

        /**
         * Works out the temperature, how fast it changes and how fast that changes, at a time from mixing: two
         * exponentials for three.
         */
        void lay(double since, boolean past) {
            double rate = past ? after : k;
            double rest = past ? restAfter : restBefore;
            double above = where[past ? END : START] - rest;
            double left = Math.exp(-rate * since);
            value = rest + above * left;
            slope = -rate * above * left;
            bend = rate * rate * above * left;
            if (past && tail) {
                double tailLeft = Math.exp(-(since - tailFrom) / tailTime);
                value -= where[TAIL] * tailLeft;
                slope += where[TAIL] * tailLeft / tailTime;
                bend -= where[TAIL] * tailLeft / (tailTime * tailTime);
            }
        }

        /** The temperature last laid (°C). */
        double value() {
            return value;
        }

        /** How fast it changed there (°C/s). */
        double slope() {
            return slope;
        }

        /** How fast that changed (°C/s²). */
        double bend() {
            return bend;
        }

        /** Fills in how the temperature hangs on each number, and works out its bend. @return the temperature (°C) */
        double at(double since, boolean past, double[] slopes) {
            double rate = past ? after : k;
            double rest = past ? restAfter : restBefore;
            double left = Math.exp(-rate * since);
            double above = where[past ? END : START] - rest;
            double gone = 1 - left;
            double byRate = -above * since * left * rate;
            slopes[ROOM] = gone;
            slopes[START] = past ? 0 : left;
            slopes[END] = past ? left : 0;
            slopes[SOURCE] = gone / k;
            double laterRest = past ? where[LATER_SOURCE] / after : 0;
            slopes[LOG_RATE] = byRate - gone * (where[SOURCE] / k + laterRest);
            slopes[LOG_RATIO] = past ? byRate - gone * laterRest : 0;
            slopes[LATER_SOURCE] = past ? gone / after : 0;
            double tailLeft = past && tail ? Math.exp(-(since - tailFrom) / tailTime) : 0;
            slopes[TAIL] = -tailLeft;
            slopes[LOG_TAIL_TIME] = -where[TAIL] * tailLeft * (since - tailFrom) / tailTime;
            bend = rate * rate * above * left - (past && tail ? where[TAIL] * tailLeft / (tailTime * tailTime) : 0);
            return rest + above * left - where[TAIL] * tailLeft;
        }
    }
}

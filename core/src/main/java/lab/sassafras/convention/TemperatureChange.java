package lab.sassafras.convention;

import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** A way of saying what the temperatures just before and just after mixing were. */
public enum TemperatureChange implements School {
    EXTREME(
            "extreme",
            "the extreme, as the reading turns",
            "The highest or lowest value before it turns. What leaked until then is not " + "given back."),
    PLATEAU(
            "plateau",
            "the mean of a plateau",
            "The mean of several readings while the temperature stands, written down as one value."),
    AFTER_WAIT(
            "after-wait",
            "one reading after a stated wait",
            "Read once, always after the same wait, so that trials compare."),
    CARRIED(
            "carried",
            "both lines carried to the mixing moment",
            "An earlier reading tells how the start drifted, a later one how the end "
                    + "did; both lines are drawn to the mixing moment. Right if all heat came at once, too much if it came slowly.") {
        @Override
        public Expression start(Expression read, Watch watch) {
            return at("start at mixing", read.plus(before(read, watch).times(watch.untilMixing())));
        }

        @Override
        public Expression end(Expression start, Expression read, Watch watch) {
            return at("end at mixing", read.minus(after(read, watch).times(watch.since())));
        }
    },
    FRACTION(
            "fraction",
            "both lines carried to 0.6 of the rise",
            "Both lines are drawn to the moment at which three fifths of the change were "
                    + "reached, for slow changes (ASTM D240 takes 60 %, the classical rule 63 %; from memory).") {
        @Override
        public Expression start(Expression read, Watch watch) {
            return at(
                    "start at 0.6",
                    read.plus(before(read, watch).times(watch.untilMixing().plus(watch.reached()))));
        }

        @Override
        public Expression end(Expression start, Expression read, Watch watch) {
            return at(
                    "end at 0.6",
                    read.minus(after(read, watch).times(watch.since().minus(watch.reached()))));
        }
    },
    INTEGRAL(
            "integral",
            "heat-leak integral",
            "Newton’s law with the drift before and after gives the leak constant; the mean temperature of "
                    + "the main period gives what leaked in it (Regnault–Pfaundler).") {
        @Override
        public Expression start(Expression read, Watch watch) {
            return CARRIED.start(read, watch);
        }

        @Override
        public Expression end(Expression start, Expression read, Watch watch) {
            Expression after = after(read, watch);
            Expression constant = before(watch.read(), watch)
                    .minus(after)
                    .over(read.minus(start))
                    .named(Symbol.of("k:leak"), BenchUnit.PER_SECOND);
            Expression drift = after.plus(constant.times(read.minus(watch.mean())))
                    .named(Symbol.of("r:main period"), BenchUnit.DEGREES_PER_SECOND);
            return at("end without leak", read.minus(drift.times(watch.since())));
        }
    };

    private final Said said;

    TemperatureChange(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /** Whether both temperatures count as they were read. */
    public boolean asRead() {
        return this == EXTREME || this == PLATEAU || this == AFTER_WAIT;
    }

    /** What was watched beside the two temperatures that count; a school asks only for what it needs. */
    public interface Watch {
        /** The start as read (°C). */
        Expression read();

        /** A reading some time before the start (°C). */
        Expression early();

        /** Time from the early reading to the start (s). */
        Expression fore();

        /** Time from the start reading to mixing (s). */
        Expression untilMixing();

        /** Time from mixing to the final reading (s). */
        Expression since();

        /** A reading some time after the final one (°C). */
        Expression later();

        /** Time from the final reading to the later one (s). */
        Expression between();

        /** Time from mixing until 0.6 of the change was reached (s). */
        Expression reached();

        /** Mean temperature from mixing to the final reading (°C). */
        Expression mean();
    }

    /**
     * The start that counts (°C).
     *
     * @param read what was read as start (°C)
     */
    public Expression start(Expression read, Watch watch) {
        return read;
    }

    /**
     * The end that counts (°C).
     *
     * @param start the start that counts (°C)
     * @param read  what was read as final (°C)
     */
    public Expression end(Expression start, Expression read, Watch watch) {
        return read;
    }

    private static Expression before(Expression read, Watch watch) {
        return read.minus(watch.early()).over(watch.fore()).named(Symbol.of("r:before"), BenchUnit.DEGREES_PER_SECOND);
    }

    private static Expression after(Expression read, Watch watch) {
        return watch.later()
                .minus(read)
                .over(watch.between())
                .named(Symbol.of("r:after"), BenchUnit.DEGREES_PER_SECOND);
    }

    private static Expression at(String word, Expression temperature) {
        return temperature.named(new Symbol("T", word), BenchUnit.DEGREES_CELSIUS);
    }

    @Override
    public Said said() {
        return said;
    }
}

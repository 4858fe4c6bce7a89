package lab.sassafras.convention;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.convention.ConventionPlace.When;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** A way of saying what the temperatures just before and just after mixing were. */
public enum TemperatureChange implements Convention {
    /** The extreme, as the reading turns. */
    EXTREME(
            "extreme",
            "highest (lowest) temperature, as read",
            "The highest or lowest value before it turns. What leaked until then is not " + "given back."),
    /** The mean of a plateau. */
    PLATEAU(
            "plateau",
            "the mean of a plateau",
            "The mean of several readings while the temperature stands, recorded as one value."),
    /** The means of readings that stand still. */
    SETTLED(
            "settled",
            "the means of settled readings",
            "From timed readings: the mean of those that stand still before mixing and after the rise. For vessels that "
                    + "hardly leak. Typed temperatures count as they were read.") {
        @Override
        public boolean applies(Evidence evidence) {
            return evidence.readOnAClock();
        }
    },
    /** One reading after a stated wait. */
    AFTER_WAIT(
            "after-wait",
            "one reading after a stated wait",
            "Read once, always after the same wait, so that trials compare."),
    /** Both lines carried to the mixing moment. */
    CARRIED(
            "carried",
            "lines extrapolated to the time of mixing",
            "An earlier reading tells how the start drifted, a later one how the end "
                    + "did; both lines are drawn to the mixing moment. Right if all heat came at once, too much if "
                    + "it came slowly.") {
        @Override
        public List<ConventionPlace> places() {
            return BOTH_LINES;
        }

        @Override
        public Expression start(Expression read, ConventionPlace.Answers answers) {
            return at("start at mixing", read.plus(before(read, answers).times(answers.at(WAIT))));
        }

        @Override
        public Expression end(
                Expression start, Expression startRead, Expression read, ConventionPlace.Answers answers) {
            return at("end at mixing", read.minus(after(read, answers).times(answers.at(SINCE))));
        }
    },
    /** The cooling line alone. */
    COOLING(
            "cooling",
            "final drift extrapolated, the start as read",
            "The start is read just before mixing; a straight line through the cooling part is drawn back to the "
                    + "mixing moment. What the start drifts by until then is excluded.") {
        @Override
        public List<ConventionPlace> places() {
            return ONE_LINE;
        }

        @Override
        public Expression end(
                Expression start, Expression startRead, Expression read, ConventionPlace.Answers answers) {
            return CARRIED.end(start, startRead, read, answers);
        }
    },
    /** Both cooling curves carried to the mixing moment. */
    NEWTON(
            "newton",
            "cooling curves extrapolated to the time of mixing",
            "From timed readings: both sides as Newton’s cooling toward one temperature with one constant. Right "
                    + "for long records, if all heat came at once. Typed temperatures count as they were read.") {
        @Override
        public boolean applies(Evidence evidence) {
            return evidence.readOnAClock();
        }
    },
    /** Two temperatures the reader picked from the curve. */
    PICKED(
            "picked",
            "the reader’s own pick from the curve",
            "Both temperatures as a person read them off the curve and wrote them down, each as uncertain as a reading.") {
        @Override
        public boolean applies(Evidence evidence) {
            return evidence.readOnAClock();
        }
    },
    /** Both lines carried to a stated part of the rise. */
    FRACTION(
            "fraction",
            "lines extrapolated to the stated part of the rise",
            "Both lines are drawn to the moment at which a stated part of the change was "
                    + "reached, 0.6 where nothing is said, for slow changes (ASTM D240 takes 60 %, the classical rule 63 %; from memory).") {
        @Override
        public List<ConventionPlace> places() {
            return with(REACHED);
        }

        @Override
        public Expression start(Expression read, ConventionPlace.Answers answers) {
            return at(
                    "start at the part",
                    read.plus(before(read, answers).times(answers.at(WAIT).plus(answers.at(REACHED)))));
        }

        @Override
        public Expression end(
                Expression start, Expression startRead, Expression read, ConventionPlace.Answers answers) {
            return at(
                    "end at the part",
                    read.minus(after(read, answers).times(answers.at(SINCE).minus(answers.at(REACHED)))));
        }
    },
    /** Heat-leak integral. */
    INTEGRAL(
            "integral",
            "heat loss integrated (Regnault–Pfaundler)",
            "Newton’s law with the drift before and after gives the leak constant; the mean temperature of "
                    + "the main period gives what leaked in it (Regnault–Pfaundler).") {
        @Override
        public List<ConventionPlace> places() {
            return with(MEAN);
        }

        @Override
        public Expression start(Expression read, ConventionPlace.Answers answers) {
            return CARRIED.start(read, answers);
        }

        @Override
        public Expression end(
                Expression start, Expression startRead, Expression read, ConventionPlace.Answers answers) {
            Expression after = after(read, answers);
            Expression constant = before(startRead, answers)
                    .minus(after)
                    .over(read.minus(start))
                    .named(Symbol.of("k:leak"), BenchUnit.PER_SECOND);
            Expression drift = after.plus(constant.times(read.minus(answers.at(MEAN))))
                    .named(Symbol.of("r:main period"), BenchUnit.DEGREES_PER_SECOND);
            return at("end without leak", read.minus(drift.times(answers.at(SINCE))));
        }
    };

    /**
     * Group of what was typed of a drift before there were readings on a clock. It is still read where it stands, and
     * no longer asked: two readings before and two after on the clock are the same.
     */
    public static final String DRIFT = "drift";

    /** A reading some time before the start (°C). */
    public static final ConventionPlace EARLY =
            ConventionPlace.inTrial(DRIFT, "early", BenchUnit.DEGREES_CELSIUS, When.BEFORE_START);
    /** Time from the early reading to the start (s). */
    public static final ConventionPlace FORE =
            ConventionPlace.inTrial(DRIFT, "fore", BenchUnit.SECONDS, When.AFTER_START);
    /** Time from the start reading to mixing (s). */
    public static final ConventionPlace WAIT =
            ConventionPlace.inTrial(DRIFT, "wait", BenchUnit.SECONDS, When.AFTER_END);
    /** Time from mixing to the final reading (s). */
    public static final ConventionPlace SINCE =
            ConventionPlace.inTrial(DRIFT, "since", BenchUnit.SECONDS, When.AFTER_END);
    /** A reading some time after the final one (°C). */
    public static final ConventionPlace LATER = ConventionPlace.inTrial(
                    DRIFT, "later", BenchUnit.DEGREES_CELSIUS, When.AFTER_END)
            .taking(3);
    /** Time from the final reading to the later one (s). */
    public static final ConventionPlace BETWEEN =
            ConventionPlace.inTrial(DRIFT, "between", BenchUnit.SECONDS, When.AFTER_END);
    /** Time from mixing until the stated part of the change was reached (s). */
    public static final ConventionPlace REACHED =
            ConventionPlace.inTrial(DRIFT, "reached", BenchUnit.SECONDS, When.AFTER_END);
    /** Mean temperature from mixing to the final reading (°C). */
    public static final ConventionPlace MEAN =
            ConventionPlace.inTrial(DRIFT, "mean", BenchUnit.DEGREES_CELSIUS, When.AFTER_END);

    private static final List<ConventionPlace> ONE_LINE = List.of(SINCE, LATER, BETWEEN);
    private static final List<ConventionPlace> BOTH_LINES = List.of(EARLY, FORE, WAIT, SINCE, LATER, BETWEEN);

    private final Said said;

    TemperatureChange(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /** {@return the way a curve is read under it; empty where it takes more than a curve} */
    public Optional<CurveMethod> way() {
        return Arrays.stream(CurveMethod.values())
                .filter(each -> each.key().equals(key()))
                .findFirst();
    }

    /** {@return whether it goes by what the calorimeter cools toward, so that the room's temperature helps} */
    public boolean goesByTheRoom() {
        return this == NEWTON || this == INTEGRAL;
    }

    /** {@return whether it is read from readings on a clock, where no drift was typed} */
    public boolean takesACurve() {
        return this == NEWTON || !asRead();
    }

    /** Whether both temperatures count as they were read. */
    private boolean asRead() {
        return places().isEmpty();
    }

    @Override
    public boolean comesToSame(Convention inForce, Evidence evidence) {
        return !evidence.readOnAClock() && inForce instanceof TemperatureChange other && asRead() && other.asRead();
    }

    /**
     * {@return the start that counts (°C)}
     *
     * @param read    what was read as start (°C)
     * @param answers what was watched beside it; a school asks only for what it needs
     */
    public Expression start(Expression read, ConventionPlace.Answers answers) {
        return read;
    }

    /**
     * {@return the end that counts (°C)}
     *
     * @param start     the start that counts (°C)
     * @param startRead what was read as start (°C)
     * @param read      what was read as final (°C)
     * @param answers   what was watched beside them; a school asks only for what it needs
     */
    public Expression end(Expression start, Expression startRead, Expression read, ConventionPlace.Answers answers) {
        return read;
    }

    private static List<ConventionPlace> with(ConventionPlace more) {
        return Stream.concat(BOTH_LINES.stream(), Stream.of(more)).toList();
    }

    private static Expression before(Expression read, ConventionPlace.Answers answers) {
        return read.minus(answers.at(EARLY))
                .over(answers.at(FORE))
                .named(Symbol.of("r:before"), BenchUnit.DEGREES_PER_SECOND);
    }

    private static Expression after(Expression read, ConventionPlace.Answers answers) {
        return answers.at(LATER)
                .minus(read)
                .over(answers.at(BETWEEN))
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

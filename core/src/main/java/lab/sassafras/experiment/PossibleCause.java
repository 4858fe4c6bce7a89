package lab.sassafras.experiment;

import java.util.Map;
import java.util.Optional;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;

/**
 * A way this experiment is known to go wrong, with the size it plausibly has and the largest one to believe. Its words
 * stand under {@code suspect.key} and leave the size to it.
 *
 * @param key       its name
 * @param cause     what would have been otherwise
 * @param size      of a plausible error: true value less recorded value (unit of the cause)
 * @param most      largest size to believe, as a distance (unit of the cause)
 * @param way       what its sign says
 * @param measure   what its size is measured in
 * @param condition whether it can have been in a trial at all
 */
public record PossibleCause(
        String key, Cause cause, double size, double most, Sign way, Measure measure, Condition condition) {

    /** As large as this many plausible sizes an error is believed unless something else is said (no source). */
    private static final double BELIEVED = 3;

    /** Which way it can go. */
    public enum Sign {
        /** The way its size says. */
        ONE,
        /** As well the other way. */
        EITHER
    }

    /**
     * What a size is measured in.
     *
     * @param share whether it is a share of what was recorded, rather than so many of its unit
     * @param each  what one of the unit comes to (unit of the cause)
     * @param unit  in words; empty for the unit of the cause
     */
    public record Measure(boolean share, double each, String unit) {

        /** In the unit of what was recorded. */
        static final Measure PLAIN = new Measure(false, 1, "");
    }

    /** Whether a suspect can have been at all, by what stands on the sheet. */
    @FunctionalInterface
    public interface Condition {

        /**
         * {@return whether it can}
         *
         * @param sheet what was read
         * @param trial which trial, from 1
         */
        boolean holds(Sheet sheet, int trial);
    }

    /** What would have been otherwise. */
    public sealed interface Cause {

        /**
         * A reading; a quantity that may be left out and was counts as something.
         *
         * @param path      the slot that would be wrong
         * @param from      the slot from whose reading the true value lies so much further away than the recorded one
         *                  (nearer, where negative)
         * @param countedAs what it counts as where it was left out (bench unit of the slot)
         * @param answer    of a choice that goes with it; empty where none does
         */
        record Read(String path, Optional<String> from, double countedAs, Optional<Answer> answer) implements Cause {}

        /** Heat that came in from outside and is on no account (J). */
        record Heat() implements Cause {}

        /** Something that went through the change of temperature and is on no account (J/°C). */
        record AlongWith() implements Cause {}

        /** The calorimeter, where it is left out of the books (J/°C). */
        record LeftOutCalorimeter() implements Cause {}

        /** The calorimeter, whose constant is another than the one it is counted with (J/°C). */
        record OtherConstant() implements Cause {}

        /** The moment both came together, later than marked where positive (s). */
        record Mark() implements Cause {}

        /** The other reagent ran out. */
        record OtherReagent() implements Cause {}

        /** One of the readings was misread or miswritten: by 5 or 10 degrees, or two digits in the other order. */
        record Misread() implements Cause {}

        /** A mass was read with its vessel, whose own was not taken off (g). */
        record WithItsVessel() implements Cause {}

        /**
         * Another answer to a question in words, each judged by the reference that belongs to it.
         *
         * @param path     of the question
         * @param instead what it may have been
         */
        record Answered(String path, Instead instead) implements Cause {}
    }

    /** What an answer may have been in place of the one given. */
    @FunctionalInterface
    public interface Instead {

        /**
         * {@return each other answer with its size (unit of the suspect)}
         *
         * @param answered what was answered
         * @param sheet    what was read
         */
        Map<String, Double> of(String answered, Sheet sheet);
    }

    /**
     * A choice that would have been answered otherwise.
     *
     * @param path   of the choice
     * @param answer it should have had
     */
    public record Answer(String path, String answer) {}

    /**
     * An error of a reading that has the same sign in every run.
     *
     * @param key   stable name
     * @param path  group and slot, as an experiment declares them
     * @param error true value less recorded value, of a plausible size (bench unit)
     */
    public PossibleCause(String key, String path, double error) {
        this(key, new Cause.Read(path, Optional.empty(), 0, Optional.empty()), error);
    }

    private PossibleCause(String key, Cause cause, double size) {
        this(key, cause, size, BELIEVED * Math.abs(size), Sign.ONE, Measure.PLAIN, (sheet, trial) -> true);
    }

    /**
     * {@return an error that pushes away from another reading, or towards it where negative}
     *
     * @param other path of the other reading
     * @param key   stable name
     * @param path  group and slot, as an experiment declares them
     * @param error true value less recorded value, of a plausible size (bench unit)
     */
    public static PossibleCause from(String other, String key, String path, double error) {
        return new PossibleCause(key, new Cause.Read(path, Optional.of(other), 0, Optional.empty()), error);
    }

    /**
     * {@return heat from outside that is on no account}
     *
     * @param key    stable name
     * @param joules of a plausible size, positive where it came in (J)
     */
    public static PossibleCause heat(String key, double joules) {
        return new PossibleCause(key, new Cause.Heat(), joules);
    }

    /**
     * {@return something that warmed or cooled along with the contents and is on no account}
     *
     * @param key          stable name
     * @param heatCapacity of a plausible size (J/°C)
     */
    public static PossibleCause alongWith(String key, double heatCapacity) {
        return new PossibleCause(key, new Cause.AlongWith(), heatCapacity);
    }

    /**
     * {@return a thermometer that was off against that of another reading; only where the two were not read on one}
     *
     * @param path  of the reading
     * @param other path of the other reading
     */
    public static PossibleCause twoThermometers(String path, String other) {
        return new PossibleCause("two-thermometers", path, 0.5)
                .eitherWay()
                .where((sheet, trial) -> sheet.reading(path, trial)
                        .flatMap(here -> sheet.reading(other, trial)
                                .filter(there -> !here.instrument().equals(there.instrument())))
                        .isPresent());
    }

    /** {@return a reading misread by a mark of the thermometer, or two of its digits exchanged} */
    static PossibleCause misread() {
        return new PossibleCause("misread", new Cause.Misread(), 1);
    }

    /** {@return a mass read with its vessel: a boat of a gram to a beaker (no source)} */
    static PossibleCause withItsVessel() {
        return new PossibleCause("tare-forgotten", new Cause.WithItsVessel(), -1).upTo(120);
    }

    /** {@return the other of two reagents having run out} */
    public static PossibleCause otherReagent() {
        return new PossibleCause("other-reagent", new Cause.OtherReagent(), 1);
    }

    /**
     * {@return another answer to a question in words, each judged by the reference that belongs to it}
     *
     * @param key     stable name
     * @param path    of the question
     * @param unit    of the size of an answer, in words; empty where it has none
     * @param instead what it may have been
     */
    public static PossibleCause answered(String key, String path, String unit, Instead instead) {
        return new PossibleCause(
                key,
                new Cause.Answered(path, instead),
                1,
                Double.POSITIVE_INFINITY,
                Sign.EITHER,
                new Measure(false, 1, unit),
                (sheet, trial) -> true);
    }

    /** {@return the moment of mixing marked late} */
    static PossibleCause markedLate() {
        return new PossibleCause("marked-late", new Cause.Mark(), -15);
    }

    /** {@return the calorimeter being left out} */
    static PossibleCause calorimeterIgnored() {
        return new PossibleCause("cup-ignored", new Cause.LeftOutCalorimeter(), 0)
                .where((sheet, trial) -> sheet.calorimeter(trial).isPresent());
    }

    /** {@return the constant belonging to another calorimeter than the one in which it was done} */
    static PossibleCause otherCup() {
        return new PossibleCause("other-cup", new Cause.OtherConstant(), 0)
                .eitherWay()
                .where((sheet, trial) ->
                        sheet.calorimeter(trial).flatMap(Calorimeter::constant).isPresent());
    }

    /**
     * {@return the same, which goes with another answer to a choice}
     *
     * @param choice   path of the choice
     * @param answered the answer it should have had
     */
    public PossibleCause with(String choice, String answered) {
        Cause.Read read = (Cause.Read) cause;
        return because(
                new Cause.Read(read.path(), read.from(), read.countedAs(), Optional.of(new Answer(choice, answered))));
    }

    /**
     * {@return the same, of a quantity that counts so where it was left out, such as 100 % of a purity}
     *
     * @param value it counts as (bench unit of the slot)
     */
    public PossibleCause insteadOf(double value) {
        Cause.Read read = (Cause.Read) cause;
        return because(new Cause.Read(read.path(), read.from(), value, read.answer()));
    }

    private PossibleCause because(Cause other) {
        return new PossibleCause(key, other, size, most, way, measure, condition);
    }

    /**
     * {@return the same, believed up to another size}
     *
     * @param largest as a distance (unit of its measure)
     */
    public PossibleCause upTo(double largest) {
        return new PossibleCause(key, cause, size, largest * measure.each(), way, measure, condition);
    }

    /** {@return the same, which may as well go the other way} */
    public PossibleCause eitherWay() {
        return new PossibleCause(key, cause, size, most, Sign.EITHER, measure, condition);
    }

    /** {@return the same, its sizes being shares of what was recorded} */
    public PossibleCause ofItself() {
        return new PossibleCause(key, cause, size, most, way, new Measure(true, 1, ""), condition);
    }

    /**
     * {@return the same, its size counted in something else than the unit of what was recorded}
     *
     * @param each what one of them comes to (bench unit of the slot)
     * @param unit in words
     */
    public PossibleCause counted(double each, String unit) {
        return new PossibleCause(key, cause, size * each, most * each, way, new Measure(false, each, unit), condition);
    }

    /** {@return the same, which cannot be where the liquid was poured from something made to deliver a volume} */
    public PossibleCause exceptPoured() {
        String path = ((Cause.Read) cause).path();
        return where((sheet, trial) -> sheet.weighing(sheet.address(path, trial))
                .roleThatCounts(sheet.setting().conventions().in(ConventionQuestion.MASS))
                .filter(Role.VOLUME::equals)
                .isEmpty());
    }

    /**
     * {@return the same, only where a condition holds}
     *
     * @param other what must hold
     */
    public PossibleCause where(Condition other) {
        return new PossibleCause(
                key,
                cause,
                size,
                most,
                way,
                measure,
                (sheet, trial) -> condition.holds(sheet, trial) && other.holds(sheet, trial));
    }

    /** {@return the slot that would be wrong; empty where it is no reading} */
    public Optional<String> path() {
        return cause instanceof Cause.Read read ? Optional.of(read.path()) : Optional.empty();
    }

    /**
     * {@return true value less recorded value of a plausible size in a trial (unit of the cause), where it is no share}
     *
     * @param sheet what was read
     * @param trial which trial, from 1
     */
    public double error(Sheet sheet, int trial) {
        if (!(cause instanceof Cause.Read read) || read.from().isEmpty()) {
            return size;
        }
        Optional<Line> here = sheet.reading(read.path(), trial);
        Optional<Line> there = sheet.reading(read.from().get(), trial);
        return here.isPresent()
                        && there.isPresent()
                        && here.get().value() < there.get().value()
                ? -size
                : size;
    }
}

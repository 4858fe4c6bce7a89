package lab.sassafras.convention;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;

/**
 * A reading that a school needs and experiments do not take of themselves. It is asked for under that school alone.
 *
 * @param group    of the slot
 * @param slot     within the group
 * @param unit     bench unit
 * @param perTrial whether it is read in every trial, or once for the entry
 * @param when     in the course of the work
 * @param minutes  how long the hand waits for it
 * @param usual    range it usually lies in (unit); empty where there is none
 * @param accepted values the handbooks agree on (unit); none where it is measured
 */
public record ConventionPlace(
        String group,
        String slot,
        BenchUnit unit,
        boolean perTrial,
        When when,
        int minutes,
        Optional<Range> usual,
        List<Double> accepted) {

    /** Where in the course of a trial it is read. */
    public enum When {
        /** Before anything is done. */
        FIRST,
        /** Before the settled reading the change starts from. */
        BEFORE_START,
        /** With that reading. */
        AFTER_START,
        /** After the reading the change ends with. */
        AFTER_END
    }

    /**
     * Where readings usually lie.
     *
     * @param low  lower end (unit of the place)
     * @param high upper end (unit of the place)
     */
    public record Range(double low, double high) {}

    /** What was read there, as an expression. */
    @FunctionalInterface
    public interface Answers {
        /**
         * {@return what stands at a place (its unit); what lacks is remembered as missing}
         *
         * @param place where it is read
         */
        Expression at(ConventionPlace place);
    }

    /**
     * Keeps copies of what could change.
     *
     * @param group    of the slot
     * @param slot     within the group
     * @param unit     bench unit
     * @param perTrial whether it is read in every trial, or once for the entry
     * @param when     in the course of the work
     * @param minutes  how long the hand waits for it
     * @param usual    range it usually lies in (unit); empty where there is none
     * @param accepted values the handbooks agree on (unit); none where it is measured
     */
    public ConventionPlace {
        accepted = List.copyOf(accepted);
    }

    /** Read once, before anything is done. */
    static ConventionPlace first(String group, String slot, BenchUnit unit) {
        return new ConventionPlace(group, slot, unit, false, When.FIRST, 0, Optional.empty(), List.of());
    }

    /** Read in every trial. */
    static ConventionPlace inTrial(String group, String slot, BenchUnit unit, When when) {
        return new ConventionPlace(group, slot, unit, true, when, 0, Optional.empty(), List.of());
    }

    ConventionPlace usually(double low, double high) {
        return new ConventionPlace(
                group, slot, unit, perTrial, when, minutes, Optional.of(new Range(low, high)), accepted);
    }

    ConventionPlace accepting(List<Double> values) {
        return new ConventionPlace(group, slot, unit, perTrial, when, minutes, usual, values);
    }

    ConventionPlace taking(int longer) {
        return new ConventionPlace(group, slot, unit, perTrial, when, longer, usual, accepted);
    }

    /** {@return group and slot, as experiments name a slot} */
    public String path() {
        return group + "/" + slot;
    }
}

package lab.sassafras.convention;

import lab.sassafras.expression.Expression;

/** A way of saying what warming water takes. */
public interface WaterHeat extends Convention {

    /**
     * Specific heat to use for water that goes from one temperature to another.
     *
     * @param what  the water in words, for the working
     * @param start (°C)
     * @param end   (°C)
     * @return (J/(g·°C))
     */
    Expression specificHeat(String what, Expression start, Expression end);

    /**
     * {@return this school where a value may have been typed with the run}
     *
     * @param answers what was read for it; asked only where the school needs it
     */
    default WaterHeat with(ConventionPlace.Answers answers) {
        return this;
    }
}

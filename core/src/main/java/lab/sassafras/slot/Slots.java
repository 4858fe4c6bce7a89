package lab.sassafras.slot;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;

/** Slots of every kind, as an experiment declares them. */
public final class Slots {

    private Slots() {}

    /**
     * {@return any number that is simply read}
     *
     * @param key  stable name
     * @param unit of the number
     */
    public static QuantitySlot quantity(String key, BenchUnit unit) {
        return QuantitySlot.of(key, unit, EnumSet.of(Role.READ));
    }

    /**
     * {@return a mass (g), zeroed or by difference}
     *
     * @param key stable name
     */
    public static QuantitySlot mass(String key) {
        return QuantitySlot.of(key, BenchUnit.GRAMS, EnumSet.of(Role.READ, Role.GROSS, Role.TARE));
    }

    /**
     * {@return the mass of a liquid (g): as any mass, or by its volume}
     *
     * @param key stable name
     */
    public static QuantitySlot liquid(String key) {
        return QuantitySlot.of(key, BenchUnit.GRAMS, EnumSet.of(Role.READ, Role.GROSS, Role.TARE, Role.VOLUME));
    }

    /**
     * {@return a temperature (°C)}
     *
     * @param key stable name
     */
    public static QuantitySlot temperature(String key) {
        return QuantitySlot.of(key, BenchUnit.DEGREES_CELSIUS, EnumSet.of(Role.READ, Role.TREND));
    }

    /**
     * {@return a density (g/mL)}
     *
     * @param key stable name
     */
    public static QuantitySlot density(String key) {
        return quantity(key, BenchUnit.GRAMS_PER_MILLILITRE);
    }

    /**
     * {@return a share (%)}
     *
     * @param key stable name
     */
    public static QuantitySlot percent(String key) {
        return quantity(key, BenchUnit.PERCENT);
    }

    /**
     * {@return a specific heat (J/(g·°C))}
     *
     * @param key stable name
     */
    public static QuantitySlot specificHeat(String key) {
        return quantity(key, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    /**
     * {@return a time that passed (s)}
     *
     * @param key stable name
     */
    public static QuantitySlot seconds(String key) {
        return quantity(key, BenchUnit.SECONDS);
    }

    /**
     * {@return a concentration (mol/L)}
     *
     * @param key stable name
     */
    public static QuantitySlot concentration(String key) {
        return quantity(key, BenchUnit.MOLES_PER_LITRE);
    }

    /**
     * {@return one of a few words that must be told}
     *
     * @param key     stable name
     * @param options the answers
     */
    public static Slot choice(String key, String... options) {
        return new ChoiceSlot(key, List.of(options), false);
    }

    /**
     * {@return one of a few words that must be told, of which there were more}
     *
     * @param key     stable name
     * @param options the answers
     * @param earlier answers that are offered no longer, and read where they were given
     */
    public static Slot choice(String key, List<String> options, List<String> earlier) {
        return new ChoiceSlot(key, options, earlier, false);
    }

    /**
     * {@return one of a few words, where anybody knows}
     *
     * @param key     stable name
     * @param options the answers
     */
    public static Slot choiceIfKnown(String key, String... options) {
        return new ChoiceSlot(key, List.of(options), true);
    }

    /**
     * {@return something of the reference shelf, by its key, whose value counts}
     *
     * @param key       stable name
     * @param catalogue the rows it may be filled from
     */
    public static Slot fromShelf(String key, Catalogue catalogue) {
        return new ShelfSlot(key, catalogue, false);
    }

    /**
     * {@return something of the reference shelf, where anybody knows what it is}
     *
     * @param key       stable name
     * @param catalogue the rows it may be filled from
     */
    public static Slot fromShelfIfKnown(String key, Catalogue catalogue) {
        return new ShelfSlot(key, catalogue, true);
    }

    /**
     * {@return a chemical formula}
     *
     * @param key stable name
     */
    public static Slot formula(String key) {
        return new FormulaSlot(key, Optional.empty(), false);
    }

    /**
     * {@return a chemical formula, chosen among what stands left in an equation where that is written already}
     *
     * @param key      stable name
     * @param equation path of the equation
     * @param kind     which of its reagents
     */
    public static Slot reagentOf(String key, String equation, ReagentKind kind) {
        return new FormulaSlot(key, Optional.of(new Slot.ChosenFrom(equation, kind)), false);
    }

    /**
     * {@return a balanced equation}
     *
     * @param key stable name
     */
    public static Slot equation(String key) {
        return new EquationSlot(key, false);
    }

    /**
     * {@return a balanced equation in which something may stand a half time, such as ½ O₂}
     *
     * @param key stable name
     */
    public static Slot equationOfHalves(String key) {
        return new EquationSlot(key, false, true);
    }

    /**
     * {@return a name the bench gives its sample}
     *
     * @param key stable name
     */
    public static Slot sampleName(String key) {
        return new NameSlot(key);
    }

    /**
     * {@return a formula that may be left out}
     *
     * @param key stable name
     */
    public static Slot formulaIfKnown(String key) {
        return new FormulaSlot(key, Optional.empty(), true);
    }

    /**
     * {@return another entry, whose result in this unit is used here where it is told}
     *
     * @param key  stable name
     * @param unit of the number
     */
    public static Slot reference(String key, BenchUnit unit) {
        return new ReferenceSlot(key, unit, true);
    }

    /**
     * {@return a vessel with its constant, where a trial used another than the entry says}
     *
     * @param key stable name
     */
    public static Slot vessel(String key) {
        return new VesselSlot(key);
    }

    /**
     * {@return readings on a clock about a moment of mixing, from which the temperatures of a change are read}
     *
     * @param key stable name
     */
    public static Slot mixing(String key) {
        return new TraceSlot(key, true);
    }

    /**
     * {@return readings on a clock in which nothing is mixed, for what an experiment declares to read from them}
     *
     * @param key stable name
     */
    public static Slot trace(String key) {
        return new TraceSlot(key, false);
    }

    /**
     * {@return something done at a moment, which is kept}
     *
     * @param key stable name
     */
    public static Slot moment(String key) {
        return new MomentSlot(key);
    }
}

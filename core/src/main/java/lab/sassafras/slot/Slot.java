package lab.sassafras.slot;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;

/**
 * A place for one thing the bench tells. Each kind of slot is one class that answers for itself whatever is asked of a
 * slot; nobody else asks which kind it is, and a new kind compiles only once it answers everything.
 */
public abstract class Slot {

    private final String key;
    private final boolean optional;

    /**
     * A slot.
     *
     * @param key      its name within its group
     * @param optional whether an account can be drawn up without it
     */
    protected Slot(String key, boolean optional) {
        this.key = key;
        this.optional = optional;
    }

    /** Its part of the bench page: the closed set of fields a hand can fill. */
    public enum Field {
        /** A number with its unit. */
        NUMBER,
        /** A line of text. */
        WORDS,
        /** One of a few answers, each a button. */
        CHOICE,
        /** One of many answers, in a list. */
        PICK,
        /** A button that marks the moment it is pressed. */
        MOMENT,
        /** Readings on a clock. */
        TRACE
    }

    /** What an answer may name that stands outside the sheet, under an identity of its own. */
    public enum Elsewhere {
        /** A vessel with its constant. */
        VESSEL,
        /** Another entry with its result. */
        ENTRY,
        /** Readings on a clock. */
        TRACE
    }

    /**
     * An answer to choose.
     *
     * @param value what is kept
     * @param words what is shown
     */
    public record Option(String value, String words) {}

    /**
     * A value to propose where nothing is measured.
     *
     * @param value       (bench unit of the slot)
     * @param uncertainty standard uncertainty (bench unit of the slot)
     */
    public record Assumption(double value, double uncertainty) {

        /** Nothing is proposed: whoever takes the value as known has it, and its ±, from somewhere. */
        static final Assumption OPEN = new Assumption(Double.NaN, Double.NaN);

        /** {@return whether there is something to propose} */
        public boolean proposes() {
            return Double.isFinite(value);
        }
    }

    /**
     * A range of ordinary readings.
     *
     * @param low  lower end (bench unit of the slot)
     * @param high upper end (bench unit of the slot)
     */
    public record Range(double low, double high) {

        /**
         * {@return how far outside a value lies, in widths of the range; 0 inside}
         *
         * @param value a reading (bench unit of the slot)
         */
        public double outside(double value) {
            return Math.max(0, Math.max(low - value, value - high)) / Math.max(high - low, Double.MIN_NORMAL);
        }
    }

    /** {@return its name within its group} */
    public final String key() {
        return key;
    }

    /** {@return whether an account can be drawn up without it} */
    public final boolean optional() {
        return optional;
    }

    /** {@return its part of the page} */
    public abstract Field field();

    /** {@return the ways a value may be got} */
    public abstract Set<Role> roles();

    /**
     * {@return unit of the number a value in this role stands for; empty where it stands for none}
     *
     * @param role what the value is to its slot
     */
    public abstract Optional<BenchUnit> unit(Role role);

    /** {@return what to propose where it is not measured; empty where assuming is no way} */
    public abstract Optional<Assumption> assumed();

    /** {@return the range of ordinary readings; empty where nothing is usual} */
    public abstract Optional<Range> usual();

    /**
     * {@return what a reading usually is, in a sentence; empty where nothing is usual}
     *
     * @param setting what surrounds the readings
     */
    public abstract String expectation(Setting setting);

    /**
     * What a typed text says here, whatever else stands on the sheet. It reads what is new and what is stored alike.
     *
     * @param address where it is given
     * @param role    one of the roles of this slot
     * @param given   as typed
     * @param setting what surrounds the readings
     * @return the line it becomes
     * @throws Refused where the text says nothing here
     */
    public abstract Line read(Address address, Role role, GivenValue given, Setting setting);

    /**
     * Refuses what a new value may not be, though a stored one that is so stays readable.
     *
     * @param line    as read
     * @param setting what surrounds the readings
     * @throws Refused where it may not be taken in
     */
    public abstract void admit(Line line, Setting setting);

    /**
     * {@return the number a line stands for with what is known of its error; empty where it stands for none, or for
     * none any more}
     *
     * @param line    as read
     * @param setting what surrounds the readings
     */
    public abstract Optional<Measured> number(Line line, Setting setting);

    /**
     * {@return what is questionable about a line by itself}
     *
     * @param line    as read
     * @param label   what the sheet calls it, with a capital
     * @param setting what surrounds the readings
     */
    public abstract List<Finding> questions(Line line, String label, Setting setting);

    /**
     * {@return a kept text as a person would say it; as it was kept where it cannot be read}
     *
     * @param text    as kept
     * @param telling how to say it
     */
    public abstract String spoken(String text, Telling telling);

    /**
     * {@return answers to choose from; none where the answer is typed}
     *
     * @param words   of the experiment
     * @param path    group and slot, as an experiment declares them
     * @param setting what surrounds the readings
     */
    public abstract List<Option> options(Words words, String path, Setting setting);

    /** {@return what it is a solution of; empty where it is none} */
    public Optional<QuantitySlot.Dissolved> dissolved() {
        return Optional.empty();
    }

    /**
     * The equation whose reagents an answer is chosen from.
     *
     * @param equation path of the equation
     * @param kind     which of its reagents
     */
    public record ChosenFrom(String equation, ReagentKind kind) {}

    /** {@return the reagents it is chosen from; empty where it is typed} */
    public Optional<ChosenFrom> chosenFrom() {
        return Optional.empty();
    }

    /** {@return paths of what a vessel held when this was weighed in it; none where it is weighed alone} */
    public List<String> weighedOnto() {
        return List.of();
    }

    /**
     * {@return common answers to propose while something else may be typed}
     *
     * @param setting what surrounds the readings
     */
    public List<Option> suggestions(Setting setting) {
        return List.of();
    }

    /** {@return what its answer names outside the sheet; empty where the answer says it all} */
    public abstract Optional<Elsewhere> elsewhere();

    /** {@return whether its answer is what the bench calls the sample of its trial} */
    public abstract boolean namesSample();

    /** {@return whether it can be got by weighing twice} */
    public final boolean byDifference() {
        return roles().contains(Role.GROSS);
    }

    /** {@return whether a volume will do in place of it} */
    public final boolean byVolume() {
        return roles().contains(Role.VOLUME);
    }

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
        return new FormulaSlot(key, Optional.of(new ChosenFrom(equation, kind)), false);
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
     * {@return readings on a clock, from which the temperatures of a change are read}
     *
     * @param key stable name
     */
    public static Slot trace(String key) {
        return new TraceSlot(key);
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

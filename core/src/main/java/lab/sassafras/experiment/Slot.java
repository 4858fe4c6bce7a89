package lab.sassafras.experiment;

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
        MOMENT
    }

    /** What an answer may name that stands outside the sheet, under an identity of its own. */
    public enum Elsewhere {
        /** A vessel with its constant. */
        VESSEL,
        /** Another entry with its result. */
        ENTRY
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
    public record Assumption(double value, double uncertainty) {}

    /** Its name within its group. */
    public final String key() {
        return key;
    }

    /** Whether an account can be drawn up without it. */
    public final boolean optional() {
        return optional;
    }

    /** Its part of the page. */
    public abstract Field field();

    /** The ways a value may be got. */
    public abstract Set<Role> roles();

    /** Unit of the number a value in this role stands for; empty where it stands for none. */
    public abstract Optional<BenchUnit> unit(Role role);

    /** What to propose where it is not measured; empty where assuming is no way. */
    public abstract Optional<Assumption> assumed();

    /** What a reading usually is, in a sentence; empty where nothing is usual. */
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
    public abstract Line read(Address address, Role role, Intake.Answer given, Setting setting);

    /**
     * Refuses what a new value may not be, though a stored one that is so stays readable.
     *
     * @param line    as read
     * @param setting what surrounds the readings
     * @throws Refused where it may not be taken in
     */
    public abstract void admit(Line line, Setting setting);

    /** The number a line stands for with what is known of its error; empty where it stands for none, or for none any more. */
    public abstract Optional<Measured> number(Line line, Setting setting);

    /**
     * What is questionable about a line by itself.
     *
     * @param line    as read
     * @param label   what the sheet calls it, with a capital
     * @param setting what surrounds the readings
     */
    public abstract List<Finding> questions(Line line, String label, Setting setting);

    /** A kept text as a person would say it; as it was kept where it cannot be read. */
    public abstract String spoken(String text, Telling telling);

    /** Answers to choose from; none where the answer is typed. */
    public abstract List<Option> options(Words words, String path, Setting setting);

    /** What its answer names outside the sheet; empty where the answer says it all. */
    public abstract Optional<Elsewhere> elsewhere();

    /** Whether its answer is what the bench calls the sample of its trial. */
    public abstract boolean namesSample();

    /** Whether it can be got by weighing twice. */
    public final boolean byDifference() {
        return roles().contains(Role.GROSS);
    }

    /** Whether a volume will do in place of it. */
    public final boolean byVolume() {
        return roles().contains(Role.VOLUME);
    }

    /** Any number that is simply read. */
    public static QuantitySlot quantity(String key, BenchUnit unit) {
        return QuantitySlot.of(key, unit, EnumSet.of(Role.READ));
    }

    /** A mass (g), zeroed or by difference. */
    public static QuantitySlot mass(String key) {
        return QuantitySlot.of(key, BenchUnit.GRAMS, EnumSet.of(Role.READ, Role.GROSS, Role.TARE));
    }

    /** The mass of a liquid (g): as any mass, or by its volume. */
    public static QuantitySlot liquid(String key) {
        return QuantitySlot.of(key, BenchUnit.GRAMS, EnumSet.of(Role.READ, Role.GROSS, Role.TARE, Role.VOLUME));
    }

    /** A temperature (°C). */
    public static QuantitySlot temperature(String key) {
        return quantity(key, BenchUnit.DEGREES_CELSIUS);
    }

    /** A density (g/mL). */
    public static QuantitySlot density(String key) {
        return quantity(key, BenchUnit.GRAMS_PER_MILLILITRE);
    }

    /** A share (%). */
    public static QuantitySlot percent(String key) {
        return quantity(key, BenchUnit.PERCENT);
    }

    /** A specific heat (J/(g·°C)). */
    public static QuantitySlot specificHeat(String key) {
        return quantity(key, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    /** A time that passed (s). */
    public static QuantitySlot seconds(String key) {
        return quantity(key, BenchUnit.SECONDS);
    }

    /** A concentration (mol/L). */
    public static QuantitySlot concentration(String key) {
        return quantity(key, BenchUnit.MOLES_PER_LITRE);
    }

    /** One of a few words that must be told. */
    public static Slot choice(String key, String... options) {
        return new ChoiceSlot(key, List.of(options), false);
    }

    /** One of a few words, where anybody knows. */
    public static Slot choiceIfKnown(String key, String... options) {
        return new ChoiceSlot(key, List.of(options), true);
    }

    /** Something of the reference shelf, by its key, whose value counts. */
    public static Slot fromShelf(String key, Catalogue catalogue) {
        return new ShelfSlot(key, catalogue, false);
    }

    /** Something of the reference shelf, where anybody knows what it is. */
    public static Slot fromShelfIfKnown(String key, Catalogue catalogue) {
        return new ShelfSlot(key, catalogue, true);
    }

    /** A chemical formula. */
    public static Slot formula(String key) {
        return new FormulaSlot(key, false);
    }

    /** A balanced equation. */
    public static Slot equation(String key) {
        return new EquationSlot(key, false);
    }

    /** A name the bench gives its sample. */
    public static Slot sampleName(String key) {
        return new NameSlot(key);
    }

    /** Another entry, whose result in this unit is used here where it is told. */
    public static Slot reference(String key, BenchUnit unit) {
        return new ReferenceSlot(key, unit, true);
    }

    /** A vessel with its constant, where a trial used another than the entry says. */
    public static Slot vessel(String key) {
        return new VesselSlot(key);
    }

    /** Something done at a moment, which is kept. */
    public static Slot moment(String key) {
        return new MomentSlot(key);
    }
}

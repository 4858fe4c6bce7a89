package lab.sassafras.slot;

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
}

package lab.sassafras.experiment;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;

/**
 * How a run is foreseen in which no final temperature is sought: what it is usually done with, and what will be read of
 * it in the end.
 */
public interface Foresight {

    /**
     * One thing that is usually had.
     *
     * @param path of the slot; of a further part with its number, such as {@code part[2]/mass}
     * @param role it has on the sheet
     * @param text as one types it
     * @param unit symbol of its unit; empty for a word
     */
    record Usual(String path, Role role, String text, String unit) {

        /**
         * {@return a number that is read}
         *
         * @param path of the slot
         * @param text as one types it
         * @param unit symbol of its unit
         */
        public static Usual read(String path, String text, String unit) {
            return new Usual(path, Role.READ, text, unit);
        }

        /**
         * {@return a word}
         *
         * @param path of the slot
         * @param text of it
         */
        public static Usual stated(String path, String text) {
            return new Usual(path, Role.STATED, text, "");
        }
    }

    /**
     * What is had.
     *
     * @param amounts     by the path of a slot (bench unit)
     * @param words       by the path of a slot
     * @param setting     what surrounds them
     * @param thermometer it is read on; empty where nobody said
     */
    record Had(
            Map<String, Double> amounts, Map<String, String> words, Setting setting, Optional<Instrument> thermometer) {

        /**
         * {@return an amount (bench unit)}
         *
         * @param path of the slot
         * @throws Refused where there is none
         */
        public double amount(String path) {
            return Optional.ofNullable(amounts.get(path))
                    .orElseThrow(() -> new Refused("Nothing is had at " + path + "."));
        }

        /**
         * {@return a word; empty where there is none}
         *
         * @param path of the slot
         */
        public String word(String path) {
            return words.getOrDefault(path, "");
        }
    }

    /**
     * A reading that is foreseen.
     *
     * @param path of the slot
     * @param text as it will be read
     * @param unit symbol of its unit
     * @param from path of what it is compared with, such as the same before; empty where it is not
     */
    record Reading(String path, String text, String unit, String from) {}

    /**
     * Readings on a clock that are foreseen.
     *
     * @param path  of the slot that names them
     * @param curve in order of time
     * @param from  second from which on they count (s)
     */
    record Timed(String path, List<Bench.Sample> curve, double from) {}

    /**
     * A substance that is used up.
     *
     * @param what   a formula, or its key on the shelf
     * @param name   in words
     * @param grams  of it (g)
     * @param poured whether it is a liquid
     */
    record Used(String what, String name, double grams, boolean poured) {}

    /**
     * What will be read.
     *
     * @param readings the last one first
     * @param timed    on a clock; empty where nothing is
     * @param used     substances that are used up
     * @param by       what all that rests on, in words
     */
    record Seen(List<Reading> readings, Optional<Timed> timed, List<Used> used, String by) {

        /**
         * Keeps copies of what could change.
         *
         * @param readings the last one first
         * @param timed    on a clock; empty where nothing is
         * @param used     substances that are used up
         * @param by       what all that rests on, in words
         */
        public Seen {
            readings = List.copyOf(readings);
            used = List.copyOf(used);
        }
    }

    /**
     * {@return whether it is foreseen with an answer}
     *
     * @param path   of the question
     * @param answer to it
     */
    default boolean foresees(String path, String answer) {
        return true;
    }

    /**
     * {@return whether a hand chooses what is had in a place: a room is as warm as it is}
     *
     * @param path of the slot
     */
    default boolean chosen(String path) {
        return true;
    }

    /** {@return what a bench needs beside instruments, in words} */
    List<String> gear();

    /**
     * {@return what it is usually done with, in the order of the work}
     *
     * @param parts how many parts it has, where it has parts
     */
    List<Usual> usual(int parts);

    /**
     * {@return what will be read of it}
     *
     * @param had what is had
     * @throws Refused in plain words where it is not known
     */
    Seen of(Had had);
}

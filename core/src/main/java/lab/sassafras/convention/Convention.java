package lab.sassafras.convention;

import java.util.List;

/** One way of settling a question. It declares what it needs read, and says where it can make a difference. */
public interface Convention {

    /**
     * What is said of a school.
     *
     * @param key         stable name, for files
     * @param words       as a person would say it, short
     * @param explanation what it does and when it misleads, in a sentence
     */
    record Said(String key, String words, String explanation) {}

    /** {@return what is said of it} */
    Said said();

    /** {@return stable name, for files} */
    default String key() {
        return said().key();
    }

    /** {@return as a person would say it, short} */
    default String words() {
        return said().words();
    }

    /** {@return what it does and when it misleads, in a sentence} */
    default String explanation() {
        return said().explanation();
    }

    /** {@return what must be read for it beyond the usual, in the order of the work} */
    default List<ConventionPlace> places() {
        return List.of();
    }

    /**
     * {@return whether the readings and the vessel could tell it from others, apart from what stands at its own
     * places}
     *
     * @param evidence the readings of the entry
     */
    default boolean applies(Evidence evidence) {
        return true;
    }

    /**
     * {@return whether with these readings it comes to the same as the one in force without asking any further}
     *
     * @param inForce  the one in force
     * @param evidence the readings of the entry
     */
    default boolean comesToSame(Convention inForce, Evidence evidence) {
        return false;
    }
}

package lab.sassafras.convention;

import java.util.List;

/** One way of settling a question. It declares what it needs read, and says where it can make a difference. */
public interface School {

    /**
     * What is said of a school.
     *
     * @param key         stable name, for files
     * @param words       as a person would say it, short
     * @param explanation what it does and when it misleads, in a sentence
     */
    record Said(String key, String words, String explanation) {}

    /** What is said of it. */
    Said said();

    /** Stable name, for files. */
    default String key() {
        return said().key();
    }

    /** As a person would say it, short. */
    default String words() {
        return said().words();
    }

    /** What it does and when it misleads, in a sentence. */
    default String explanation() {
        return said().explanation();
    }

    /** What must be read for it beyond the usual, in the order of the work. */
    default List<SchoolPlace> places() {
        return List.of();
    }

    /** Whether the readings and the vessel could tell it from others, apart from what stands at its own places. */
    default boolean applies(Evidence evidence) {
        return true;
    }

    /** Whether with these readings it comes to the same as the one in force without asking any further. */
    default boolean comesToSame(School inForce, Evidence evidence) {
        return false;
    }
}

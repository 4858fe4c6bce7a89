package lab.sassafras.convention;

/** One way of settling a question. */
public interface School {

    /**
     * What is said of a school.
     *
     * @param key         stable name, for files
     * @param words       as a person would say it, short
     * @param explanation what it does and when it misleads, in a sentence
     */
    record Said(String key, String words, String explanation) {}

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
}

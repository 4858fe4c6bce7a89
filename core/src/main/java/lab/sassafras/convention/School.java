package lab.sassafras.convention;

/** One way of settling a question. */
public interface School {

    /** Stable name, for files. */
    String key();

    /** As a person would say it, short. */
    String words();

    /** What it does and when it misleads, in a sentence. */
    String explanation();
}

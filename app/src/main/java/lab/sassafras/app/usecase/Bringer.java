package lab.sassafras.app.usecase;

/** How what is kept comes here, by which is decided what is asked of it. */
public enum Bringer {
    /** A hand at a page: ticks refuse, doubts ask. */
    ASKED,
    /** A file that tells what was done: ticks and doubts become findings, nothing is refused for them. */
    TELLING,
    /** Readings as they come: recorded always, though no trial may use them without its ticks. */
    PUSHING,
    /** A decision over what stands already, or something of shelf, period or house. */
    DECIDING
}

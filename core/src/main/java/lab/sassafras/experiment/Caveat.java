package lab.sassafras.experiment;

/**
 * A choice that bears on how far the result can be believed.
 *
 * @param path   of the choice
 * @param answer to speak of
 * @param voids  whether a trial with that answer gives no result
 */
public record Caveat(String path, String answer, boolean voids) {

    /**
     * One that leaves the result standing.
     *
     * @param path   group and slot, as an experiment declares them
     * @param answer the answer asked about
     */
    public Caveat(String path, String answer) {
        this(path, answer, false);
    }
}

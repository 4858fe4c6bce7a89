package lab.sassafras.experiment;

/**
 * A choice that bears on how far the result can be believed.
 *
 * @param path   of the choice
 * @param answer to speak of
 * @param voids  whether a trial with that answer gives no result
 */
public record Caveat(String path, String answer, boolean voids) {

    public Caveat(String path, String answer) {
        this(path, answer, false);
    }
}

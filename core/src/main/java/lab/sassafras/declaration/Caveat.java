package lab.sassafras.declaration;

import java.util.Optional;

/**
 * A choice that bears on how far the result can be believed.
 *
 * @param path   of the choice
 * @param answer to speak of
 * @param voids  whether a trial with that answer gives no result
 * @param unless path of what settles it once it is given
 */
public record Caveat(String path, String answer, boolean voids, Optional<String> unless) {

    /**
     * One that leaves the result standing.
     *
     * @param path   group and slot, as an experiment declares them
     * @param answer the answer asked about
     */
    public Caveat(String path, String answer) {
        this(path, answer, false, Optional.empty());
    }

    /**
     * {@return one that leaves a trial without a result}
     *
     * @param path   group and slot, as an experiment declares them
     * @param answer the answer asked about
     */
    public static Caveat voiding(String path, String answer) {
        return new Caveat(path, answer, true, Optional.empty());
    }

    /**
     * {@return the same, of which nothing is said once something else is given}
     *
     * @param settling path of what settles it
     */
    public Caveat unless(String settling) {
        return new Caveat(path, answer, voids, Optional.of(settling));
    }
}

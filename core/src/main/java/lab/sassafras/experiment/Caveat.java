package lab.sassafras.experiment;

/**
 * A choice that bears on how far the result can be believed.
 *
 * @param path   of the choice
 * @param answer to speak of
 */
public record Caveat(String path, String answer) {
}

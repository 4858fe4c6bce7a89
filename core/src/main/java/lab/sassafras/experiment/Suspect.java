package lab.sassafras.experiment;

/**
 * A way this experiment is known to go wrong, as a change of one input. Its words stand under {@code suspect.key}.
 *
 * @param key   its name
 * @param path  the slot that would be wrong
 * @param error true value less recorded value, of a plausible size (bench unit)
 */
public record Suspect(String key, String path, double error) {
}

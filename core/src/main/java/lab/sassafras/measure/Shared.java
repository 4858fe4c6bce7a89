package lab.sassafras.measure;

/**
 * A source of error that several inputs have in common, such as a thermometer's offset.
 *
 * @param key                 identity: the same key is the same source
 * @param label               in words, for the budget
 * @param standardUncertainty of the source itself (its own unit)
 * @param degreesOfFreedom    of that uncertainty; infinite where it is taken as known
 */
public record Shared(String key, String label, double standardUncertainty, double degreesOfFreedom) {}

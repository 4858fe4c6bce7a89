package lab.sassafras.measure;

/**
 * A source of error that several inputs have in common, such as a thermometer's offset.
 *
 * @param key                 identity within its scope: the same key is the same source
 * @param label               in words, for the budget
 * @param standardUncertainty of the source itself (its own unit)
 * @param degreesOfFreedom    of that uncertainty; infinite where it is taken as known
 * @param scope               how far it reaches
 * @param shape               how it is spread
 */
public record Shared(
        String key, String label, double standardUncertainty, double degreesOfFreedom, Scope scope, Shape shape) {

    /**
     * A source spread like a bell.
     *
     * @param key                 identity within its scope: the same key is the same source
     * @param label               in words, for the budget
     * @param standardUncertainty of the source itself (its own unit)
     * @param degreesOfFreedom    of that uncertainty; infinite where it is taken as known
     * @param scope               how far it reaches
     */
    public Shared(String key, String label, double standardUncertainty, double degreesOfFreedom, Scope scope) {
        this(key, label, standardUncertainty, degreesOfFreedom, scope, Shape.NORMAL);
    }

    /**
     * {@return a source shared by whatever draws on it}
     *
     * @param key                 identity
     * @param label               in words, for the budget
     * @param standardUncertainty of the source itself (its own unit)
     * @param degreesOfFreedom    of that uncertainty; infinite where it is taken as known
     */
    public static Shared everywhere(String key, String label, double standardUncertainty, double degreesOfFreedom) {
        return new Shared(key, label, standardUncertainty, degreesOfFreedom, Scope.EVERYWHERE);
    }

    /** Identity alone: the same source under an instrument's new name is the same source. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Shared shared && shared.key.equals(key) && shared.scope == scope;
    }

    @Override
    public int hashCode() {
        return key.hashCode();
    }
}

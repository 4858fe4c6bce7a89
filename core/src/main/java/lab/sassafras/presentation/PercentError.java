package lab.sassafras.presentation;

import lab.sassafras.convention.Convention;
import lab.sassafras.measure.Figures;

/** How a per cent error is written. */
public enum PercentError implements Convention {
    /** With its sign. */
    SIGNED("signed", "signed", "With its sign: a minus says that the result is smaller than the reference.") {
        @Override
        public String written(double percent, Figures figures) {
            return figures.signed(percent, 1) + " %";
        }
    },
    /** Without its sign. */
    ABSOLUTE("absolute", "absolute", "Its size alone, as many textbooks define it.") {
        @Override
        public String written(double percent, Figures figures) {
            return figures.fixed(Math.abs(percent), 1) + " %";
        }
    };

    private final Said said;

    PercentError(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    @Override
    public Said said() {
        return said;
    }

    /**
     * {@return a per cent error written out}
     *
     * @param percent 100 · (result − reference) ÷ reference (%)
     * @param figures how numbers are written
     */
    public abstract String written(double percent, Figures figures);
}

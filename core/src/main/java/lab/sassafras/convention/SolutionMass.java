package lab.sassafras.convention;

import lab.sassafras.expression.Expression;

/** A way of saying which mass warms or cools with the specific heat of water, when something dissolves in it. */
public enum SolutionMass implements School {
    WHOLE("whole", "the whole solution", "Water and what dissolved in it change temperature together, with the specific heat of "
            + "water; right to a few per cent in dilute solutions.") {
        @Override
        public Expression mass(Expression water, Expression solute) {
            return water.plus(solute);
        }
    },
    WATER_ALONE("water", "the water alone", "What dissolved is left out of the mass that changes temperature. Salts in solution do "
            + "take less heat than water, so the truth lies between this and the whole solution.") {
        @Override
        public Expression mass(Expression water, Expression solute) {
            return water;
        }
    };

    private final String key;
    private final String words;
    private final String explanation;

    SolutionMass(String key, String words, String explanation) {
        this.key = key;
        this.words = words;
        this.explanation = explanation;
    }

    /**
     * @param water  (g)
     * @param solute (g)
     * @return the mass that changes temperature (g)
     */
    public abstract Expression mass(Expression water, Expression solute);

    @Override
    public String key() {
        return key;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public String explanation() {
        return explanation;
    }
}

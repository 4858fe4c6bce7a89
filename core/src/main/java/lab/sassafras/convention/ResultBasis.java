package lab.sassafras.convention;

/** What the heat of a process is divided by. */
public enum ResultBasis implements Convention {
    /** Per mole. */
    PER_MOLE("per-mole", "per mole", "By the moles of the limiting reagent, for comparing substances."),
    /** Per gram. */
    PER_GRAM("per-gram", "per gram", "By the grams weighed, where no formula is wanted."),
    /** The heat alone. */
    HEAT("heat", "the heat alone", "What this run released or absorbed, where nothing was weighed to divide it by.");

    private final Said said;

    ResultBasis(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    @Override
    public Said said() {
        return said;
    }
}

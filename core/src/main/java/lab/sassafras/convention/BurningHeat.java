package lab.sassafras.convention;

/** What the heat of a burning under a can is taken to be. */
public enum BurningHeat implements Convention {
    /** As it came to the water. */
    RAW(
            "raw",
            "as it reached water and can",
            "What came to the water, by the grams that burnt; what was lost is explained."),
    /** Corrected by a known fuel under the same can. */
    CORRECTED(
            "corrected",
            "corrected by a known fuel",
            "Divided by the part of its heat that a known fuel brought to the same can. It takes that part to be the same for "
                    + "both fuels, though a sooting flame loses more.");

    private final Said said;

    BurningHeat(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    @Override
    public Said said() {
        return said;
    }
}

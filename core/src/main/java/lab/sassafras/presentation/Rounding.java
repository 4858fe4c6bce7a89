package lab.sassafras.presentation;

import lab.sassafras.convention.Convention;

/** How far a result is written out. */
public enum Rounding implements Convention {
    /** By the uncertainty. */
    UNCERTAINTY("uncertainty", "by the uncertainty", "To the second digit of the ± that stands beside it."),
    /** Significant figures. */
    FIGURES(
            "figures",
            "significant figures",
            "To as many figures as the least exact reading allows: the schoolbook rule.");

    private final Said said;

    Rounding(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    @Override
    public Said said() {
        return said;
    }
}

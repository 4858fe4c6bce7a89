package lab.sassafras.convention;

/** How far a result is written out. */
public enum Rounding implements School {

    UNCERTAINTY("uncertainty", "by the uncertainty",
            "To the second digit of the standard uncertainty."),
    FIGURES("figures", "significant figures",
            "To as many figures as the least exact reading allows: the schoolbook rule.");

    private final String key;
    private final String words;
    private final String explanation;

    Rounding(String key, String words, String explanation) {
        this.key = key;
        this.words = words;
        this.explanation = explanation;
    }

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

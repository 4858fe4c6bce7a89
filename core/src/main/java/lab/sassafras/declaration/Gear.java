package lab.sassafras.declaration;

import java.util.Locale;

/** Gear that benches share, and of which there may be too little for all at once. */
public enum Gear {
    /** What is weighed on. */
    BALANCE("balance", "balances"),
    /** A plate with its bath, hot once it was heated. */
    HOT_PLATE("hot plate", "hot plates"),
    /** A probe that is read on a screen; not counted where each bench has its own thermometer. */
    PROBE("probe", "probes"),
    /** A bomb with its bucket. */
    BOMB("bomb", "bombs");

    private final String word;
    private final String words;

    Gear(String word, String words) {
        this.word = word;
        this.words = words;
    }

    /** {@return the name files and addresses know it by} */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** {@return one of it, as spoken of} */
    public String word() {
        return word;
    }

    /** {@return several of it, as spoken of} */
    public String words() {
        return words;
    }

    /**
     * {@return so many of it, as spoken of}
     *
     * @param many of it
     */
    public String counted(int many) {
        return many + " " + (many == 1 ? word : words);
    }
}

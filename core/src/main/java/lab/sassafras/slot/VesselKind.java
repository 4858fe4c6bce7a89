package lab.sassafras.slot;

import java.util.List;

/**
 * What a vessel is made of, with the largest constant cup and probe can be believed to have. Common practice, no
 * source. An experiment may bring kinds of its own.
 *
 * @param key     stable name, for files
 * @param words   in a sentence, without article
 * @param typical a middling constant, for saying what ignoring it does (J/°C)
 * @param largest the largest constant to believe without asking (J/°C)
 * @param holds   what one holds to its brim (mL)
 */
public record VesselKind(String key, String words, double typical, double largest, double holds) {

    /** What a usual cup holds (mL). Common practice, no source. */
    private static final double CUP = 250;

    /**
     * One that holds what a usual cup does.
     *
     * @param key     stable name, for files
     * @param words   in a sentence, without article
     * @param typical a middling constant (J/°C)
     * @param largest the largest constant to believe without asking (J/°C)
     */
    public VesselKind(String key, String words, double typical, double largest) {
        this(key, words, typical, largest, CUP);
    }

    /** One thin cup. */
    public static final VesselKind FOAM_CUP = new VesselKind("foam-cup", "foam cup", 5, 15);
    /** Two of them. */
    public static final VesselKind NESTED_FOAM_CUPS =
            new VesselKind("nested-foam-cups", "two foam cups, nested", 8, 20);
    /** Glass. */
    public static final VesselKind GLASS_BEAKER = new VesselKind("glass-beaker", "glass beaker", 60, 250);
    /** Metal. */
    public static final VesselKind METAL_CUP = new VesselKind("metal-cup", "metal cup", 60, 400, 350);
    /** Double walls. */
    public static final VesselKind VACUUM_FLASK = new VesselKind("vacuum-flask", "vacuum flask", 50, 200, 500);

    private static final List<VesselKind> STANDARD =
            List.of(FOAM_CUP, NESTED_FOAM_CUPS, GLASS_BEAKER, METAL_CUP, VACUUM_FLASK);

    /** {@return the usual kinds, the likeliest first} */
    public static List<VesselKind> usual() {
        return STANDARD;
    }

    /** {@return as one speaks of any of its kind: with an article, but of two cups without} */
    public String one() {
        return words.startsWith("two ") ? words : "a " + words;
    }

    /**
     * {@return a stand-in for a kind not known here: it keeps what a version that knew it wrote down, and believes any
     * constant}
     *
     * @param key stable name
     */
    public static VesselKind unknown(String key) {
        return new VesselKind(key, "vessel of a kind not known here", 0, Double.MAX_VALUE, Double.MAX_VALUE);
    }
}

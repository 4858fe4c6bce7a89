package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a vessel is made of, with the largest constant cup and probe can be believed to have. Common practice, no
 * source. An experiment may bring kinds of its own ({@link Experiment#vessels}).
 *
 * @param key     stable name, for files
 * @param words   in a sentence, without article
 * @param typical a middling constant, for saying what ignoring it does (J/°C)
 * @param largest the largest constant to believe without asking (J/°C)
 */
public record VesselKind(String key, String words, double typical, double largest) {

    /** One thin cup. */
    public static final VesselKind FOAM_CUP = new VesselKind("foam-cup", "foam cup", 5, 15);
    /** Two of them. */
    public static final VesselKind NESTED_FOAM_CUPS =
            new VesselKind("nested-foam-cups", "two foam cups, nested", 8, 20);
    /** Glass. */
    public static final VesselKind GLASS_BEAKER = new VesselKind("glass-beaker", "glass beaker", 60, 250);
    /** Metal. */
    public static final VesselKind METAL_CUP = new VesselKind("metal-cup", "metal cup", 60, 400);
    /** Double walls. */
    public static final VesselKind VACUUM_FLASK = new VesselKind("vacuum-flask", "vacuum flask", 50, 200);

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

    /** {@return every kind known here: the usual ones, and those experiments bring} */
    public static List<VesselKind> all() {
        return Stream.concat(STANDARD.stream(), Experiments.all().stream().flatMap(each -> each.vessels().stream()))
                .distinct()
                .toList();
    }

    /**
     * {@return the kind of that name}
     *
     * @param key stable name
     */
    public static Optional<VesselKind> find(String key) {
        return all().stream().filter(each -> each.key().equals(key)).findFirst();
    }

    /**
     * {@return the kind of that name, or a stand-in that keeps what a version that knew it wrote down and believes any
     * constant}
     *
     * @param key stable name
     */
    public static VesselKind findOrUnknown(String key) {
        return find(key).orElseGet(() -> new VesselKind(key, "vessel of a kind not known here", 0, Double.MAX_VALUE));
    }
}

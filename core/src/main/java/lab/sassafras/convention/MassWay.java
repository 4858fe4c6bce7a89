package lab.sassafras.convention;

/** A way of getting a mass. Where a mass was got in several ways, the one in force counts; else the last given. */
public enum MassWay implements School {

    AS_GIVEN("as-given", "as it was given last",
            "Zeroed, by difference or by volume, whichever the bench used; where a mass was got twice, the later counts."),
    ZEROED("zeroed", "zeroed",
            "Vessel on, zero pressed, weighed. What is on the pan when zero is pressed must be dry and complete."),
    DIFFERENCE("difference", "by difference",
            "Full less empty: both readings are kept, and an offset of the balance cancels."),
    VOLUME("volume", "volume × density",
            "Read in a cylinder or pipette. Drops that stay behind and the density of hot water come in.");

    private final String key;
    private final String words;
    private final String explanation;

    MassWay(String key, String words, String explanation) {
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

package lab.sassafras.convention;

/** A way of getting a mass. Where a mass was got in several ways, the one in force counts; else the last given. */
public enum MassWay implements Convention {
    /** As it was given last. */
    AS_GIVEN(
            "as-given",
            "as it was given last",
            "Tared, by difference or by volume, whichever the bench used; where a mass was got twice, the later "
                    + "counts."),
    /** Tared. */
    ZEROED(
            "zeroed",
            "tared",
            "Vessel on, tare pressed, weighed. What is on the pan when tare is pressed must be dry and complete."),
    /** By difference. */
    DIFFERENCE(
            "difference",
            "by difference",
            "Full less empty: both readings are kept, and an offset of the balance cancels."),
    /** Volume × density. */
    VOLUME(
            "volume",
            "volume × density",
            "Read in a cylinder or pipette. Drops that stay behind and the density of hot water come in.");

    private final Said said;

    MassWay(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    @Override
    public boolean applies(Evidence evidence) {
        return evidence.got(this);
    }

    @Override
    public boolean comesToSame(Convention inForce, Evidence evidence) {
        return inForce instanceof MassWay other && evidence.sameMasses(this, other);
    }

    @Override
    public Said said() {
        return said;
    }
}

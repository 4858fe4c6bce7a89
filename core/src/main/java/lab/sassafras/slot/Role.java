package lab.sassafras.slot;

/** What one typed value is to its slot. A mass by difference keeps both of its readings, a volume stays a volume. */
public enum Role {
    /** Read directly: a mass after zeroing, a temperature on the thermometer. */
    READ("read"),
    /** The full side of a weighing by difference. */
    GROSS("gross"),
    /** The empty side of a weighing by difference. */
    TARE("tare"),
    /** A volume of a liquid, which becomes a mass by its density. */
    VOLUME("volume"),
    /** Not read but taken as known, with an uncertainty of its own. */
    ASSUMED("assumed"),
    /** A temperature read from the trend of readings on a clock, with the uncertainty the trend has there. */
    TREND("trend"),
    /** A word, a formula, a moment or a reference. */
    STATED("stated");

    private final String key;

    Role(String key) {
        this.key = key;
    }

    /** {@return stable name, for files} */
    public String key() {
        return key;
    }

    /** {@return one of the two readings of a weighing by difference} */
    public boolean half() {
        return this == GROSS || this == TARE;
    }

    /**
     * {@return the role of that name; empty for an unknown one}
     *
     * @param key stable name
     */
    public static java.util.Optional<Role> of(String key) {
        return java.util.Arrays.stream(values())
                .filter(role -> role.key.equals(key))
                .findFirst();
    }
}

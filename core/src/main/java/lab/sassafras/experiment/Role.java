package lab.sassafras.experiment;

/** What one typed value is to its slot. A mass by difference keeps both of its readings. */
public enum Role {
    /** Read directly: a mass after zeroing, a temperature on the thermometer. */
    READ("read"),
    /** The full side of a weighing by difference. */
    GROSS("gross"),
    /** The empty side of a weighing by difference. */
    TARE("tare"),
    /** Not read but taken as known, with an uncertainty of its own. */
    ASSUMED("assumed"),
    /** A word, a formula, a moment or a reference. */
    STATED("stated");

    private final String key;

    Role(String key) {
        this.key = key;
    }

    /** Stable name, for files. */
    public String key() {
        return key;
    }

    public static java.util.Optional<Role> of(String key) {
        return java.util.Arrays.stream(values()).filter(role -> role.key.equals(key)).findFirst();
    }
}

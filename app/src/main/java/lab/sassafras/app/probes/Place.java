package lab.sassafras.app.probes;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Where a probe stands at its bench. */
public enum Place {
    /** In what is measured; one that nobody said anything of may be it, too. */
    CUP("in the calorimeter"),
    BATH("in the bath"),
    OTHER("in the second vessel"),
    ROOM("in the air of the room");

    private final String words;

    Place(String words) {
        this.words = words;
    }

    /** What it is called in a form and in the book. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The same for people. */
    public String words() {
        return words;
    }

    /** {@return the place of that key; empty for none, and for one that a later version knows} */
    public static Optional<Place> of(String key) {
        return Arrays.stream(values()).filter(each -> each.key().equals(key)).findFirst();
    }
}

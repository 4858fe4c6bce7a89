package lab.sassafras.app.usecase;

import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;

/** Why something is changed, in a person's words. */
final class Reason {

    /** Longest reason that is kept. */
    static final int LONGEST = 200;

    private Reason() {}

    /**
     * {@return a reason as it is kept}
     *
     * @param otherwise what is said where none is given
     * @throws Refused where none is given, or it is too long
     */
    static String checked(@Nullable String typed, String otherwise) {
        if (typed == null || typed.isBlank()) {
            throw new Refused(otherwise);
        }
        return Names.checked(typed.strip(), "A reason", LONGEST);
    }

    /**
     * {@return where a value comes from as it is kept; null where nothing is said}
     *
     * @throws Refused where it is too long
     */
    static @Nullable String from(@Nullable String typed) {
        return typed == null || typed.isBlank() ? null : Names.checked(typed.strip(), "Where it comes from", LONGEST);
    }
}

package lab.sassafras.app.bench;

import java.util.Objects;
import java.util.UUID;
import lab.sassafras.app.usecase.KeepObservation;
import org.jspecify.annotations.Nullable;

/**
 * What a form on the run page sends.
 *
 * @param key         identity of what is kept, so that sending it again keeps nothing twice
 * @param at          address it is given for
 * @param role        how it was got
 * @param text        as typed
 * @param unit        symbol of its unit
 * @param instrument  read on, if any
 * @param uncertainty as typed, for an assumed value
 * @param supersedes  what it corrects, if anything
 * @param reason      why that was wrong
 * @param sure        what was questioned and is to be kept as it is
 * @param ago         how long ago it was typed, where it waited in the page (ms)
 */
public record Typed(
        @Nullable UUID key,
        String at,
        String role,
        @Nullable String text,
        @Nullable String unit,
        @Nullable UUID instrument,
        @Nullable String uncertainty,
        @Nullable UUID supersedes,
        @Nullable String reason,
        @Nullable String sure,
        @Nullable Long ago) {

    static final Typed NOTHING = new Typed(null, "", "", "", "", null, "", null, "", null, null);

    /** Whether it only strikes something out. */
    boolean striking() {
        return supersedes != null && words().isEmpty();
    }

    UUID struck() {
        return Objects.requireNonNull(supersedes);
    }

    String words() {
        return text == null ? "" : text.strip();
    }

    UUID identity() {
        return key == null ? UUID.randomUUID() : key;
    }

    /** As the use case takes it; it is sure where somebody was asked about this very value and said that it is so. */
    KeepObservation.Given given() {
        return new KeepObservation.Given(
                identity(),
                at,
                role,
                words(),
                unit,
                instrument,
                uncertainty,
                supersedes,
                reason,
                sure != null && sure.strip().equals(words()),
                ago == null ? 0 : ago);
    }
}

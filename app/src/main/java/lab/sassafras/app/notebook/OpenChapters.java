package lab.sassafras.app.notebook;

import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseCookie;

/**
 * Which chapters of results a browser has open. It is told by the address and else by what was told last, which the
 * browser itself keeps; nothing of it is written in the book.
 *
 * @param keys of those that are open
 */
record OpenChapters(Set<String> keys) {

    /** Name of the cookie. */
    static final String COOKIE = "sassafras-chapters";

    private static final String ALL = "all";
    private static final String NONE = "none";
    private static final Duration KEPT = Duration.ofDays(365);

    OpenChapters {
        keys = Set.copyOf(keys);
    }

    /**
     * What is open.
     *
     * @param told by the address: keys with dots between, {@code all} or {@code none}
     * @param kept by the browser, likewise
     */
    static OpenChapters of(Optional<String> told, @Nullable String kept) {
        return told.or(() -> Optional.ofNullable(kept))
                .map(OpenChapters::read)
                .orElseGet(() -> new OpenChapters(Set.of(Chapter.WORKING.key())));
    }

    private static OpenChapters read(String text) {
        Set<String> named = Set.of(text.split("\\.", Chapter.values().length + 1));
        return new OpenChapters(Arrays.stream(Chapter.values())
                .map(Chapter::key)
                .filter(key -> text.equals(ALL) || named.contains(key))
                .collect(Collectors.toSet()));
    }

    boolean has(String key) {
        return keys.contains(key);
    }

    /** With one opened that was closed, or closed that was open. */
    OpenChapters turned(String key) {
        Set<String> others = new TreeSet<>(keys);
        if (!others.remove(key)) {
            others.add(key);
        }
        return new OpenChapters(others);
    }

    /** As it stands in addresses. */
    String text() {
        return keys.isEmpty() ? NONE : keys.stream().sorted().collect(Collectors.joining("."));
    }

    /** What the browser keeps of it. */
    ResponseCookie cookie() {
        return ResponseCookie.from(COOKIE, text())
                .path("/")
                .httpOnly(true)
                .sameSite("Lax")
                .maxAge(KEPT)
                .build();
    }
}

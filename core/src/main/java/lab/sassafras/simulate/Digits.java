package lab.sassafras.simulate;

import java.util.Optional;

/** Numbers as they are written down wrong. */
final class Digits {

    private Digits() {}

    /** The first two neighbours of the whole digits that differ, exchanged; empty where there are none. */
    static Optional<String> exchanged(String text) {
        int end = text.indexOf('.') < 0 ? text.length() : text.indexOf('.');
        for (int i = 0; i + 1 < end; i++) {
            char one = text.charAt(i);
            char other = text.charAt(i + 1);
            if (Character.isDigit(one) && Character.isDigit(other) && one != other && other != '0') {
                return Optional.of(text.substring(0, i) + other + one + text.substring(i + 2));
            }
        }
        return Optional.empty();
    }
}

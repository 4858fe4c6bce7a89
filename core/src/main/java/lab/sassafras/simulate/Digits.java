package lab.sassafras.simulate;

import java.util.Optional;

/** Numbers as they are written down wrong. */
final class Digits {

    private Digits() {}

    /** Two neighbours that differ, exchanged: of the whole digits where there are such, else of those behind. */
    static Optional<String> exchanged(String text) {
        int end = text.indexOf('.') < 0 ? text.length() : text.indexOf('.');
        return exchanged(text, 0, end).or(() -> exchanged(text, end, text.length()));
    }

    private static Optional<String> exchanged(String text, int from, int to) {
        for (int i = from; i + 1 < to; i++) {
            char one = text.charAt(i);
            char other = text.charAt(i + 1);
            boolean leads = i == 0 && other == '0';
            if (Character.isDigit(one) && Character.isDigit(other) && one != other && !leads) {
                return Optional.of(text.substring(0, i) + other + one + text.substring(i + 2));
            }
        }
        return Optional.empty();
    }
}

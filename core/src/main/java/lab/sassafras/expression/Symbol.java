package lab.sassafras.expression;

/**
 * A letter with a word: the q of the water, the T at the end.
 *
 * @param letter q, m, c, C, T …
 * @param word   what it belongs to; empty for a bare letter
 */
public record Symbol(String letter, String word) {

    /** The letter of a temperature difference. */
    public static final String CHANGE = "ΔT";

    /** Letter of a Gibbs energy, whose sign says nothing of heat. */
    public static final String FREE_ENERGY = "ΔG";

    /**
     * Reads {@code m:hot water}.
     *
     * @param written letter, and after a colon the word
     * @return as read
     */
    public static Symbol of(String written) {
        int colon = written.indexOf(':');
        return colon < 0
                ? new Symbol(written, "")
                : new Symbol(written.substring(0, colon), written.substring(colon + 1));
    }

    /** {@return as plain text} */
    public String text() {
        return word.isEmpty() ? letter : letter + "(" + word + ")";
    }

    /** {@return for LaTeX} */
    public String latex() {
        return Latex.letters(letter) + (word.isEmpty() ? "" : "_{" + Latex.text(word) + "}");
    }
}

package lab.sassafras.expression;

/**
 * A piece of written arithmetic.
 *
 * @param text  without its unit
 * @param level how tightly it holds together
 * @param unit  as written; empty where there is none or the text carries its units
 */
record Phrase(String text, Level level, String unit) {

    /** Loosest first. */
    enum Level {
        SUM,
        PRODUCT,
        NEGATIVE,
        ATOM
    }

    static Phrase atom(String text, String unit) {
        return new Phrase(text, text.startsWith("−") || text.startsWith("-") ? Level.NEGATIVE : Level.ATOM, unit);
    }

    /** Standing alone. */
    String whole() {
        return level == Level.SUM && !unit.isEmpty() ? "(" + text + ") " + unit : spaced(text);
    }

    String asFactor() {
        return spaced(level == Level.SUM ? "(" + text + ")" : text);
    }

    String asLaterFactor() {
        return spaced(level == Level.SUM || level == Level.NEGATIVE ? "(" + text + ")" : text);
    }

    String asDivisor() {
        return level == Level.ATOM ? spaced(text) : level == Level.PRODUCT ? "(" + text + ")" : asLaterFactor();
    }

    /** As a term that is not the first. */
    String asLaterTerm() {
        return level == Level.NEGATIVE || level == Level.SUM || text.startsWith("−") || text.startsWith("-")
                ? "(" + text + ")"
                : text;
    }

    private String spaced(String body) {
        return unit.isEmpty() ? body : body + " " + unit;
    }
}

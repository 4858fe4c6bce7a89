package lab.sassafras.app.record;

import java.util.regex.Pattern;

/** Text in a file that a spreadsheet may open. */
public final class ForSpreadsheets {

    /**
     * What a spreadsheet may take for a formula. A tab or a new line in front does not stop it from looking further.
     */
    private static final Pattern FORMULA = Pattern.compile("(?s)[\\s\\x00]*[=+\\-@\\t\\r\\n].*");

    private static final Pattern NUMBER = Pattern.compile("[+\\-−]?\\d+(?:[.,]\\d+)?");

    private ForSpreadsheets() {}

    /** {@return a text no spreadsheet takes for a formula; a plain number may have its sign} */
    public static String guarded(String text) {
        return FORMULA.matcher(text).matches() && !NUMBER.matcher(text).matches() ? "'" + text : text;
    }
}

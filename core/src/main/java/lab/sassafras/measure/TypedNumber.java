package lab.sassafras.measure;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A number exactly as it was typed, and what it says.
 *
 * @param text     as typed, without surrounding blanks
 * @param value    the number read from it (unit as typed)
 * @param decimals digits after the decimal mark
 */
public record TypedNumber(String text, double value, int decimals) {

    private static final Pattern PLAIN = Pattern.compile("[+\\-−]?\\d+(?:[.,]\\d+)?");
    private static final int LONGEST = 24;

    /**
     * Reads a typed number under one decimal mark.
     *
     * @param typed as typed
     * @param mark  how decimals are written
     * @return as read
     * @throws Refused with a plain message when it is not a plain number written with that mark
     */
    public static TypedNumber read(@Nullable String typed, DecimalMark mark) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty()) {
            throw new Refused("Nothing was typed. Type the reading as the instrument shows it.");
        }
        if (text.length() > LONGEST) {
            throw new Refused("That is longer than any reading. Type at most " + LONGEST + " characters.");
        }
        if (text.chars().filter(c -> c == '.' || c == ',').count() > 1) {
            throw new Refused("There are two decimal marks in “" + text + "”. A reading has one at most.");
        }
        if (text.indexOf(mark.other().sign()) >= 0) {
            throw new Refused("This lab period writes decimals with a " + mark.word() + ". “" + text + "” has a "
                    + mark.other().word() + ", and is not guessed at.");
        }
        if (!PLAIN.matcher(text).matches()) {
            throw new Refused("“" + text + "” is not a plain number. Use digits and one decimal " + mark.word()
                    + ", no letters and no exponent.");
        }
        double value = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
        int at = text.indexOf(mark.sign());
        return new TypedNumber(text, value, at < 0 ? 0 : text.length() - at - 1);
    }

    /** {@return one unit in the last digit typed (unit as typed)} */
    public double lastDigit() {
        return Math.pow(10, -decimals);
    }
}

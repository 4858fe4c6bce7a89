package lab.sassafras.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.regex.Pattern;

/** Numbers as they are shown: rounded here and nowhere before, with the period's decimal mark and a true minus. */
public record Figures(DecimalMark mark) {

    /** With a decimal point, whatever the period writes. */
    public static final Figures POINT = new Figures(DecimalMark.POINT);
    /** Finer than any instrument of the bench: an uncertainty below is the noise of the arithmetic. */
    private static final int MOST_DECIMALS = 6;

    private static final Pattern POINT_BETWEEN = Pattern.compile("(?<=\\d)\\.(?=\\d)");
    private static final String UNKNOWN = "not known";

    /**
     * {@return fixed decimals; a negative count rounds left of the mark}
     *
     * @param value    the number (its own unit)
     * @param decimals digits after the mark; negative left of it
     */
    public String fixed(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return UNKNOWN;
        }
        BigDecimal rounded = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
        return marked((rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString());
    }

    /**
     * {@return as {@link #fixed}, with the sign always printed}
     *
     * @param value    the number (its own unit)
     * @param decimals digits after the mark; negative left of it
     */
    public String signed(double value, int decimals) {
        String text = fixed(value, decimals);
        return value > 0 && text.chars().anyMatch(c -> c >= '1' && c <= '9') ? "+" + text : text;
    }

    /**
     * {@return so many significant figures, written out in full}
     *
     * @param value  the number (its own unit)
     * @param digits how many significant figures
     */
    public String significant(double value, int digits) {
        if (!Double.isFinite(value)) {
            return UNKNOWN;
        }
        BigDecimal rounded = new BigDecimal(value).round(new MathContext(digits, RoundingMode.HALF_UP));
        if (rounded.signum() == 0) {
            return "0";
        }
        return marked(rounded.setScale(Math.max(0, decimalsOf(rounded.doubleValue(), digits)), RoundingMode.HALF_UP)
                .toPlainString());
    }

    /**
     * {@return the value to the last place of two digits of its uncertainty}
     *
     * @param value       the number (its own unit)
     * @param uncertainty standard uncertainty (unit of the value)
     */
    public String byUncertainty(double value, double uncertainty) {
        return fixed(value, decimalsFor(uncertainty));
    }

    /**
     * {@return the uncertainty to two digits}
     *
     * @param uncertainty standard uncertainty (unit of the value)
     */
    public String uncertainty(double uncertainty) {
        return fixed(uncertainty, decimalsFor(uncertainty));
    }

    /**
     * {@return decimals that show two digits of an uncertainty; three when there is none}
     *
     * @param uncertainty standard uncertainty (unit of the value)
     */
    public static int decimalsFor(double uncertainty) {
        if (!(uncertainty > 0) || !Double.isFinite(uncertainty)) {
            return 3;
        }
        double rounded = new BigDecimal(uncertainty)
                .round(new MathContext(2, RoundingMode.HALF_UP))
                .doubleValue();
        return Math.max(0, Math.min(MOST_DECIMALS, decimalsOf(rounded, 2)));
    }

    /**
     * {@return a number from a record, as short as it can be written}
     *
     * @param value the number (its own unit)
     */
    public String plain(double value) {
        return marked(BigDecimal.valueOf(value).stripTrailingZeros().toPlainString());
    }

    /**
     * {@return words with numbers in them, their decimals written with the period's mark}
     *
     * @param words written with a point
     */
    public String sentence(String words) {
        return mark == DecimalMark.POINT ? words : POINT_BETWEEN.matcher(words).replaceAll(String.valueOf(mark.sign()));
    }

    /**
     * {@return the value typed so, with a true minus}
     *
     * @param text as kept
     */
    public String typed(String text) {
        return text.replace('-', '−');
    }

    /**
     * {@return decimals that show so many significant figures of a value; negative left of the mark}
     *
     * @param value  the number (its own unit)
     * @param digits how many significant figures
     */
    public static int decimalsOf(double value, int digits) {
        return digits - 1 - (int) Math.floor(Math.log10(Math.abs(value)) + 1e-12);
    }

    /**
     * {@return digits after the mark at which a number has so many significant figures, or as many more as its
     * uncertainty takes to be written as more than nothing}
     *
     * @param value       the number
     * @param digits      significant figures
     * @param uncertainty of it (unit of the value)
     */
    public static int decimalsOf(double value, int digits, double uncertainty) {
        int decimals = decimalsOf(value, digits);
        boolean shows = uncertainty == 0 || Math.rint(uncertainty * Math.pow(10, decimals)) > 0;
        return shows ? decimals : decimalsOf(uncertainty, 1);
    }

    private String marked(String plain) {
        return plain.replace('.', mark.sign()).replace('-', '−');
    }
}

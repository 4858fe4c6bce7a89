package lab.sassafras.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Numbers as they are shown: rounded here and nowhere before, with the period's decimal mark and a true minus. */
public record Figures(DecimalMark mark) {

    public static final Figures POINT = new Figures(DecimalMark.POINT);
    /** Finer than any instrument of the bench: an uncertainty below is the noise of the arithmetic. */
    private static final int MOST_DECIMALS = 6;

    private static final String UNKNOWN = "not known";

    /** Fixed decimals; a negative count rounds left of the mark. */
    public String fixed(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return UNKNOWN;
        }
        BigDecimal rounded = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
        return marked((rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString());
    }

    /** As {@link #fixed}, with the sign always printed. */
    public String signed(double value, int decimals) {
        String text = fixed(value, decimals);
        return value > 0 && text.chars().anyMatch(c -> c >= '1' && c <= '9') ? "+" + text : text;
    }

    /** So many significant figures, written out in full. */
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

    /** The value to the last place of two digits of its uncertainty. */
    public String byUncertainty(double value, double uncertainty) {
        return fixed(value, decimalsFor(uncertainty));
    }

    /** The uncertainty to two digits. */
    public String uncertainty(double uncertainty) {
        return fixed(uncertainty, decimalsFor(uncertainty));
    }

    /** Decimals that show two digits of an uncertainty; three when there is none. */
    public static int decimalsFor(double uncertainty) {
        if (!(uncertainty > 0) || !Double.isFinite(uncertainty)) {
            return 3;
        }
        double rounded = new BigDecimal(uncertainty)
                .round(new MathContext(2, RoundingMode.HALF_UP))
                .doubleValue();
        return Math.max(0, Math.min(MOST_DECIMALS, decimalsOf(rounded, 2)));
    }

    /** A number from a record, as short as it can be written. */
    public String plain(double value) {
        return marked(BigDecimal.valueOf(value).stripTrailingZeros().toPlainString());
    }

    /** The value typed so, with a true minus. */
    public String typed(String text) {
        return text.replace('-', '−');
    }

    /** Decimals that show so many significant figures of a value; negative left of the mark. */
    public static int decimalsOf(double value, int digits) {
        return digits - 1 - (int) Math.floor(Math.log10(Math.abs(value)) + 1e-12);
    }

    private String marked(String plain) {
        return plain.replace('.', mark.sign()).replace('-', '−');
    }
}

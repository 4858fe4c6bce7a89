package lab.sassafras.measure;

/** How decimals are written in a lab period: one mark, stated, never guessed. */
public enum DecimalMark {
    /** A point. */
    POINT('.', "point"),
    /** A comma. */
    COMMA(',', "comma");

    private final char sign;
    private final String word;

    DecimalMark(char sign, String word) {
        this.sign = sign;
        this.word = word;
    }

    /** {@return the mark itself} */
    public char sign() {
        return sign;
    }

    /** {@return what it is called in a sentence} */
    public String word() {
        return word;
    }

    /** {@return the other mark} */
    public DecimalMark other() {
        return this == POINT ? COMMA : POINT;
    }
}

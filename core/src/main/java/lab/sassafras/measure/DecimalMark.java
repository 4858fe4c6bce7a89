package lab.sassafras.measure;

/** How decimals are written in a lab period: one mark, stated, never guessed. */
public enum DecimalMark {
    POINT('.', "point"),
    COMMA(',', "comma");

    private final char sign;
    private final String word;

    DecimalMark(char sign, String word) {
        this.sign = sign;
        this.word = word;
    }

    public char sign() {
        return sign;
    }

    public String word() {
        return word;
    }

    public DecimalMark other() {
        return this == POINT ? COMMA : POINT;
    }
}

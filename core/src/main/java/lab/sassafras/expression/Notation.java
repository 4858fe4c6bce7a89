package lab.sassafras.expression;

/** How the signs of arithmetic are written: plainly, or for LaTeX. */
enum Notation {
    PLAIN(" × ", " − ", "−") {
        @Override
        String symbol(Symbol symbol) {
            return symbol.text();
        }

        @Override
        String unit(String unit) {
            return unit;
        }

        @Override
        String quotient(Phrase dividend, Phrase divisor) {
            return dividend.asFactor() + " ÷ " + divisor.asDivisor();
        }
    },
    LATEX(" \\times ", " - ", "-") {
        @Override
        String symbol(Symbol symbol) {
            return symbol.latex();
        }

        @Override
        String unit(String unit) {
            return "\\," + Latex.unit(unit);
        }

        @Override
        String quotient(Phrase dividend, Phrase divisor) {
            return "\\frac{" + dividend.whole() + "}{" + divisor.whole() + "}";
        }

        @Override
        String words(String plain) {
            return Latex.text(plain);
        }

        @Override
        String number(String shown) {
            return Latex.number(shown);
        }
    };

    final String times;
    final String minus;
    final String negative;

    Notation(String times, String minus, String negative) {
        this.times = times;
        this.minus = minus;
        this.negative = negative;
    }

    abstract String symbol(Symbol symbol);

    abstract String unit(String unit);

    abstract String quotient(Phrase dividend, Phrase divisor);

    /** Plain words between symbols. */
    String words(String plain) {
        return plain;
    }

    String number(String shown) {
        return shown;
    }
}

package lab.sassafras.presentation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;

/** Formulas and equations as they are printed: counts below the line, charges above it, states beside. */
public final class Typeset {

    private static final Pattern PIECE =
            Pattern.compile("\\^(\\d*[+\\-−])|([+\\-−])$|(?<=[A-Za-z)])(\\d+)|([^\\d^]+|\\d+)");

    private Typeset() {}

    /** Where a piece stands. */
    public enum Place {
        /** On the line. */
        LINE,
        /** Below it, as a count. */
        BELOW,
        /** Above it, as a charge. */
        ABOVE,
        /** Beside it, as a state. */
        STATE
    }

    /**
     * A piece of what is printed.
     *
     * @param text  the signs
     * @param place where they stand
     */
    public record Piece(String text, Place place) {}

    /**
     * {@return a formula in pieces}
     *
     * @param formula as typed
     */
    public static List<Piece> of(ChemicalFormula formula) {
        List<Piece> pieces = new ArrayList<>();
        Matcher piece = PIECE.matcher(formula.text().replace('*', '·'));
        while (piece.find()) {
            Optional<String> charge = Optional.ofNullable(piece.group(1)).or(() -> Optional.ofNullable(piece.group(2)));
            if (charge.isPresent()) {
                pieces.add(new Piece(charge.get().replace('-', '−'), Place.ABOVE));
            } else if (piece.group(3) != null) {
                pieces.add(new Piece(piece.group(3), Place.BELOW));
            } else {
                pieces.addAll(onLine(piece.group(4)));
            }
        }
        return pieces;
    }

    /** A charge of one may stand at the end without a sign before it. */
    private static List<Piece> onLine(String text) {
        char last = text.charAt(text.length() - 1);
        return text.length() > 1 && (last == '+' || last == '-' || last == '−')
                ? List.of(
                        new Piece(text.substring(0, text.length() - 1), Place.LINE),
                        new Piece(last == '+' ? "+" : "−", Place.ABOVE))
                : List.of(new Piece(text, Place.LINE));
    }

    /**
     * {@return an equation in pieces}
     *
     * @param equation balanced
     */
    public static List<Piece> of(ChemicalEquation equation) {
        List<Piece> pieces = new ArrayList<>(side(equation.reagents()));
        pieces.add(new Piece(" → ", Place.LINE));
        pieces.addAll(side(equation.products()));
        return pieces;
    }

    private static List<Piece> side(List<ChemicalEquation.Term> terms) {
        List<Piece> pieces = new ArrayList<>();
        terms.forEach(term -> {
            if (!pieces.isEmpty()) {
                pieces.add(new Piece(" + ", Place.LINE));
            }
            if (term.count() > 1) {
                pieces.add(new Piece(term.count() + " ", Place.LINE));
            }
            pieces.addAll(of(term.formula()));
            pieces.add(new Piece("(" + term.state() + ")", Place.STATE));
        });
        return pieces;
    }
}

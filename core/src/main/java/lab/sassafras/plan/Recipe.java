package lab.sassafras.plan;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hazard;
import lab.sassafras.substance.Stock;

/**
 * How a solution is made, and of what.
 *
 * @param words how
 * @param need  what of it is taken off the shelf; empty where it is not known how it is made
 */
record Recipe(String words, Optional<Prepared.Need> need) {

    /** An ion is weighed out as its usual salt. */
    private static final Map<String, String> SALTS =
            Map.of("Cu^2+", "CuSO4·5H2O", "Ag+", "AgNO3", "Zn^2+", "ZnSO4·7H2O");

    /** Into so much of the water it is given first (a part of the whole). Common practice, no source. */
    private static final double FIRST = 0.6;

    /**
     * {@return how it is made: from a bottle of the shelf that is strong enough, else from what is sold, else from the
     * solid}
     *
     * @param formula       of what is dissolved
     * @param concentration of it (mol/L)
     * @param millilitres   of the solution
     * @param bottles       on the shelf
     * @param figures       how numbers are written
     */
    static Recipe of(String formula, double concentration, double millilitres, List<Bottle> bottles, Figures figures) {
        Optional<Bottle> bottle = bottles.stream()
                .filter(each -> each.strength().isPresent() && each.holds(formula))
                .filter(each -> each.strength().getAsDouble() >= concentration)
                .max(Comparator.comparingDouble(Bottle::amount));
        if (bottle.isPresent()) {
            double strength = bottle.get().strength().getAsDouble();
            return diluted(
                    formula,
                    "the shelf’s " + formula + " (" + figures.plain(strength) + " mol/L)",
                    dilution(concentration, millilitres, strength),
                    millilitres,
                    figures);
        }
        Optional<Stock> stock = Stock.of(formula);
        if (stock.isPresent()) {
            double strength = stock.get().concentration();
            return diluted(
                    formula,
                    stock.get().name() + " (" + figures.significant(strength, 3) + " mol/L; go by the bottle’s label)",
                    dilution(concentration, millilitres, strength),
                    millilitres,
                    figures);
        }
        return ChemicalFormula.of(SALTS.getOrDefault(formula, formula))
                .map(solid -> {
                    double grams = solid(concentration, millilitres, solid.molarMass());
                    return new Recipe(
                            figures.significant(grams, 3) + " g of " + solid.text() + into(millilitres, figures)
                                    + "; stir until it is clear" + (hot(formula) ? ", it grows hot" : "")
                                    + filled(millilitres, figures),
                            Optional.of(new Prepared.Need(solid.text(), grams, "g")));
                })
                .orElseGet(() -> new Recipe("How it is made is not known here.", Optional.empty()));
    }

    private static String into(double millilitres, Figures figures) {
        return " into about " + figures.significant(millilitres * FIRST, 2) + " mL of water";
    }

    private static String filled(double millilitres, Figures figures) {
        return ", cool, then fill up to " + figures.significant(millilitres, 3) + " mL.";
    }

    private static boolean hot(String formula) {
        return Hazard.of(formula)
                .filter(each -> each.acidOrBase() && each.strong())
                .isPresent();
    }

    private static Recipe diluted(String formula, String of, double strong, double millilitres, Figures figures) {
        if (strong > millilitres) {
            return new Recipe("It is stronger than it is sold: how it is made is not known here.", Optional.empty());
        }
        return new Recipe(
                figures.significant(strong, 3) + " mL of " + of + into(millilitres, figures)
                        + order(formula)
                        + filled(millilitres, figures),
                Optional.of(new Prepared.Need(formula, strong, "mL")));
    }

    /** What to mind while it is poured. */
    private static String order(String formula) {
        if (formula.equals("NH3")) {
            return ", under the hood";
        }
        return Hazard.of(formula).filter(each -> each.kind().equals("acid")).isPresent()
                ? ", acid into water, never the other way, a little at a time"
                : ", a little at a time";
    }

    /**
     * {@return how much of a strong solution makes a weaker one (mL)}
     *
     * @param concentration of the weaker (mol/L)
     * @param millilitres   of it
     * @param strong        concentration of the strong one (mol/L)
     */
    static double dilution(double concentration, double millilitres, double strong) {
        return concentration * millilitres / strong;
    }

    /**
     * {@return how much of a solid makes a solution (g)}
     *
     * @param concentration of the solution (mol/L)
     * @param millilitres   of it
     * @param molarMass     of the solid, its water of crystallization in it (g/mol)
     */
    static double solid(double concentration, double millilitres, double molarMass) {
        return concentration * millilitres / 1000 * molarMass;
    }
}

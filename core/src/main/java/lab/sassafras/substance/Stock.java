package lab.sassafras.substance;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.Refused;

/**
 * A reagent as it is sold in strong solution, from memory.
 *
 * @param formula of what is dissolved
 * @param name    in words
 * @param percent of its mass
 * @param density (g/mL)
 */
public record Stock(ChemicalFormula formula, String name, double percent, double density) {

    private static final List<Stock> ALL = Table.rows("stock.csv")
            .map(cell -> new Stock(
                    ChemicalFormula.read(cell[0]), cell[1], Double.parseDouble(cell[2]), Double.parseDouble(cell[3])))
            .toList();

    /**
     * {@return as what a substance is sold in strong solution; empty where it is not}
     *
     * @param formula of it, as typed
     */
    public static Optional<Stock> of(String formula) {
        try {
            ChemicalFormula typed = ChemicalFormula.read(formula);
            return ALL.stream().filter(each -> each.formula.sameAs(typed)).findFirst();
        } catch (Refused none) {
            return Optional.empty();
        }
    }

    /** {@return how strong it is (mol/L)} */
    public double concentration() {
        return 10 * percent * density / formula.molarMass();
    }
}

package lab.sassafras.substance;

import java.util.List;
import java.util.Optional;

/**
 * What a saturated solution in water holds at most, and how dense it is then.
 *
 * @param solute   what is dissolved
 * @param name     in words
 * @param grams    to 100 g of water at 25 °C (g)
 * @param density  of the solution then (g/mL)
 * @param byDegree how much more dissolves for each degree above 25 °C (g)
 * @param source   where it comes from; all from memory
 */
public record Saturation(
        ChemicalFormula solute, String name, double grams, double density, double byDegree, String source) {

    private static final List<Saturation> ALL = Table.rows("saturated.csv")
            .map(cell -> new Saturation(
                    ChemicalFormula.read(cell[0]),
                    cell[1],
                    Double.parseDouble(cell[2]),
                    Double.parseDouble(cell[3]),
                    Double.parseDouble(cell[4]),
                    cell[5]))
            .toList();

    /**
     * {@return what is known of a solute; empty where nothing is}
     *
     * @param solute what dissolves
     */
    public static Optional<Saturation> of(ChemicalFormula solute) {
        return ALL.stream().filter(each -> each.solute.sameAs(solute)).findFirst();
    }

    /**
     * {@return what 100 g of water hold at most (g)}
     *
     * @param temperature of the solution (°C)
     */
    public double gramsAt(double temperature) {
        return Math.max(0, grams + byDegree * (temperature - 25));
    }
}

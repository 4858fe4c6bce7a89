package lab.sassafras.substance;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Relative apparent molar enthalpies at 25 °C: how much the heat of solution at a dilution exceeds that at infinite
 * dilution. Between rows the logarithm of the dilution is interpolated; beyond the most dilute row it falls to nothing
 * with the square root of the concentration, as the limiting law has it.
 */
public final class DilutionHeats {

    private final List<Row> rows;

    DilutionHeats(List<Row> rows) {
        this.rows =
                rows.stream().sorted(Comparator.comparingDouble(Row::waters)).toList();
    }

    /**
     * One solute at one dilution.
     *
     * @param formula     the solute
     * @param waters      moles of water to each mole
     * @param value       heat of solution there less that at infinite dilution (kJ/mol)
     * @param uncertainty standard uncertainty (kJ/mol)
     * @param strength    what one mole in a kilogram adds to the ionic strength (mol/kg for each): 1 for two ions of
     *                    one charge, 3 where one of three has two
     */
    public record Row(ChemicalFormula formula, double waters, double value, double uncertainty, double strength) {}

    /** {@return every row, the most concentrated first} */
    public List<Row> rows() {
        return rows;
    }

    /**
     * {@return what dilution makes of the heat of solution; empty for a solute without rows, or one more concentrated
     * than any}
     *
     * @param solute what is dissolved
     * @param waters moles of water to each mole
     */
    public Optional<Row> at(ChemicalFormula solute, double waters) {
        List<Row> known =
                rows.stream().filter(row -> row.formula().sameAs(solute)).toList();
        if (known.isEmpty() || waters < known.get(0).waters()) {
            return Optional.empty();
        }
        Row last = known.get(known.size() - 1);
        if (waters >= last.waters()) {
            double thinned = Math.sqrt(last.waters() / waters);
            return Optional.of(
                    new Row(solute, waters, last.value() * thinned, last.uncertainty() * thinned, last.strength()));
        }
        int above = 0;
        while (known.get(above).waters() <= waters) {
            above++;
        }
        Row from = known.get(above - 1);
        Row to = known.get(above);
        double part = Math.log(waters / from.waters()) / Math.log(to.waters() / from.waters());
        return Optional.of(new Row(
                solute,
                waters,
                from.value() + part * (to.value() - from.value()),
                Math.max(from.uncertainty(), to.uncertainty()),
                from.strength()));
    }

    /**
     * {@return what a mole of a solute in a kilogram adds to the ionic strength; empty for one without rows}
     *
     * @param solute what is dissolved
     */
    public OptionalDouble strength(ChemicalFormula solute) {
        return rows.stream()
                .filter(row -> row.formula().sameAs(solute))
                .mapToDouble(Row::strength)
                .findFirst();
    }
}

package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.expression.SmoothFunction;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * Density and specific heat of the solutions of one substance in water, by concentration. Beyond the last row there is
 * no value.
 */
public final class SolutionTable {

    private static final List<SolutionTable> ALL = read();

    private final ChemicalFormula solute;
    private final Curve specificHeat;
    private final Curve density;

    /**
     * One concentration.
     *
     * @param percent of mass (%)
     * @param density at 20 °C (g/mL)
     * @param heat    specific heat at 25 °C (J/(g·°C))
     */
    private record Row(double percent, double density, double heat) {

        /** Moles in a litre. */
        double molarity(double molarMass) {
            return 10 * percent * density / molarMass;
        }
    }

    private SolutionTable(ChemicalFormula solute, List<Row> rows) {
        this.solute = solute;
        double molarMass = solute.molarMass();
        double[] percents = rows.stream().mapToDouble(Row::percent).toArray();
        this.specificHeat = new Curve(
                new Symbol("c", solute.text() + " of"),
                BenchUnit.PERCENT,
                BenchUnit.JOULES_PER_GRAM_DEGREE,
                new SplineInterpolator()
                        .interpolate(
                                percents, rows.stream().mapToDouble(Row::heat).toArray()));
        this.density = new Curve(
                new Symbol("ρ", solute.text() + " of"),
                BenchUnit.MOLES_PER_LITRE,
                BenchUnit.GRAMS_PER_MILLILITRE,
                new SplineInterpolator()
                        .interpolate(
                                rows.stream()
                                        .mapToDouble(row -> row.molarity(molarMass))
                                        .toArray(),
                                rows.stream().mapToDouble(Row::density).toArray()));
    }

    private static List<SolutionTable> read() {
        Map<String, List<Row>> rows = Table.rows("solutions.csv")
                .collect(Collectors.groupingBy(
                        cell -> cell[0],
                        java.util.LinkedHashMap::new,
                        Collectors.mapping(
                                cell -> new Row(
                                        Double.parseDouble(cell[1]),
                                        Double.parseDouble(cell[2]),
                                        Double.parseDouble(cell[3])),
                                Collectors.toList())));
        List<SolutionTable> tables = new ArrayList<>();
        rows.forEach((formula, of) -> tables.add(new SolutionTable(ChemicalFormula.read(formula), of)));
        return List.copyOf(tables);
    }

    /** {@return one table for each substance} */
    public static List<SolutionTable> all() {
        return ALL;
    }

    /**
     * {@return the table of a solute; empty where the shelf has none}
     *
     * @param solute without the water of a hydrate
     */
    public static Optional<SolutionTable> of(ChemicalFormula solute) {
        return ALL.stream().filter(each -> each.solute.sameAs(solute)).findFirst();
    }

    /** {@return what is dissolved} */
    public ChemicalFormula solute() {
        return solute;
    }

    /** {@return specific heat at 25 °C (J/(g·°C)) by per cent of mass (%)} */
    public SmoothFunction specificHeat() {
        return specificHeat;
    }

    /** {@return density at 20 °C (g/mL) by concentration (mol/L)} */
    public SmoothFunction density() {
        return density;
    }

    private record Curve(Symbol symbol, BenchUnit argumentUnit, BenchUnit unit, PolynomialSplineFunction spline)
            implements SmoothFunction {

        @Override
        public double value(double argument) {
            return spline.isValidPoint(argument) ? spline.value(argument) : Double.NaN;
        }

        @Override
        public double derivative(double argument) {
            return spline.isValidPoint(argument)
                    ? spline.polynomialSplineDerivative().value(argument)
                    : Double.NaN;
        }
    }
}

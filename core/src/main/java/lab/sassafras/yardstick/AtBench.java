package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.Reference;

/**
 * A reference value of 25 °C carried to the temperature the result belongs to (G. Kirchhoff, 1858). Where the mixture
 * that was formed warms, the process ran before, at the start; where the parts warm each by itself, it ran at the end.
 */
public final class AtBench {

    static final double REFERENCE_TEMPERATURE = 25;
    /** Nearer than this, nothing is carried (°C). */
    private static final double NEAR = 0.5;
    /** Part of what is carried that stays uncertain: heat capacities change with temperature too. No source. */
    private static final double UNSURE = 0.1;

    private final Sheet sheet;
    private final Solution trial;
    private final List<Finding> findings;

    AtBench(Sheet sheet, Solution trial, List<Finding> findings) {
        this.sheet = sheet;
        this.trial = trial;
        this.findings = findings;
    }

    /**
     * {@return temperature the result belongs to (°C): the starts, each weighed by how much heat a degree of it takes,
     * or the end; 25 where nothing warmed}
     */
    double temperature() {
        return temperature(sheet, trial).orElse(REFERENCE_TEMPERATURE);
    }

    /**
     * {@return temperature the result of a trial belongs to (°C); empty where nothing warmed}
     *
     * @param sheet what was read
     * @param trial solved
     */
    public static OptionalDouble temperature(Sheet sheet, Solution trial) {
        boolean atEnd =
                sheet.setting().conventions().in(ConventionQuestion.SOLUTION).reactsAtEnd();
        double weights = 0;
        double sum = 0;
        for (Solution.Posting each : trial.postings()) {
            if (each.from().isPresent() && each.to().isPresent()) {
                double change = each.to().get() - each.from().get();
                double weight = change == 0 ? 0 : Math.abs(each.heat().value() / change);
                weights += weight;
                sum += weight * (atEnd ? each.to().get() : each.from().get());
            }
        }
        return weights > 0 ? OptionalDouble.of(sum / weights) : OptionalDouble.empty();
    }

    /**
     * {@return the value where the run was, as far as the shelf can carry it; what it cannot is said}
     *
     * @param at25     the value at 25 °C (its unit)
     * @param equation the process, balanced
     * @param size     what a kJ of the equation as written is in the unit of the value
     */
    Reference carried(Reference at25, ChemicalEquation equation, double size) {
        double temperature = temperature();
        double away = temperature - REFERENCE_TEMPERATURE;
        if (Math.abs(away) < NEAR) {
            return at25;
        }
        Optional<Double> byDegree = sheet.setting().shelf().formation().changeByDegree(equation);
        String at = sheet.setting().figures().fixed(temperature, 1) + " °C";
        if (byDegree.isEmpty()) {
            findings.add(Finding.note(
                    "reference.temperature",
                    sheet.setting()
                            .figures()
                            .sentence("The reference holds at 25 °C, the result at " + at
                                    + ". The shelf lacks a heat capacity to carry it there; between ions in water the difference "
                                    + "is commonly 0.1 to 0.3 kJ/mol for each degree.")));
            return at25;
        }
        double shift = byDegree.get() * away * size;
        return new Reference(
                at25.key(),
                at25.name() + ", corrected to " + at,
                at25.value() + shift,
                Math.hypot(at25.uncertainty(), UNSURE * shift),
                at25.unit(),
                at25.source(),
                at25.opened());
    }
}

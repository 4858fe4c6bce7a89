package lab.sassafras.yardstick;

import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.ReferenceShelf;

/**
 * A result with where it comes from.
 *
 * @param sheet  what was read
 * @param trial  the first trial of its sample, from 1
 * @param result of the sample (unit of the solved trial)
 * @param solved that trial, or the first that counts
 * @param trials how many count
 */
public record Judged(Sheet sheet, int trial, Estimate result, Solution solved, int trials) {

    /** {@return the handbook its entry is reduced with} */
    public ReferenceShelf shelf() {
        return sheet.setting().shelf();
    }

    /** {@return how its period writes numbers} */
    public Figures figures() {
        return sheet.setting().figures();
    }

    /** {@return what the sample is called; empty where it has no name} */
    public Optional<String> sample() {
        return sheet.experiment().sampleName().flatMap(path -> sheet.stated(path, trial));
    }

    /** {@return unit of the result} */
    public BenchUnit unit() {
        return solved.result().unit();
    }

    /**
     * {@return the formula in a slot; empty while it lacks}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<ChemicalFormula> formula(String path) {
        return sheet.stated(path, trial).map(ChemicalFormula::read);
    }
}

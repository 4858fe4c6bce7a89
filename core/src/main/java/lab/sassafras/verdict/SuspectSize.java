package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression.Input;

/**
 * What a suspected error of a plausible size would do to the result.
 *
 * @param suspect the error
 * @param words   in words
 * @param unit    symbol of the error's unit
 * @param change  the result corrected for the error, less the result as it stands (unit of the result)
 */
public record SuspectSize(Suspect suspect, String words, String unit, double change) {

    /** Every suspect whose input enters this solution. */
    static List<SuspectSize> all(Sheet sheet, Solution solution) {
        return sheet.experiment().suspects().stream()
                .flatMap(suspect -> of(sheet, solution, suspect).stream()).toList();
    }

    private static Optional<SuspectSize> of(Sheet sheet, Solution solution, Suspect suspect) {
        return input(solution, suspect).map(input -> new SuspectSize(suspect,
                sheet.experiment().words().get("suspect." + suspect.key()), input.unit().symbol(),
                shifted(solution, input, suspect.error()) - solution.estimate().value()));
    }

    /** The recorded reading a suspect would change: the first input that stands in its slot. */
    static Optional<Input> input(Solution solution, Suspect suspect) {
        return solution.result().inputs().stream().filter(input -> input.key().replaceAll("\\[\\d+]", "")
                .startsWith(suspect.path() + ".")).findFirst();
    }

    static double shifted(Solution solution, Input input, double error) {
        return new Computation(solution.result(), solution.bindings().shifted(input, error)).value();
    }
}

package lab.sassafras.verdict;

import java.util.ArrayList;
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
 * @param error   true value less recorded value here (that unit)
 * @param change  the result corrected for the error, less the result as it stands (unit of the result)
 */
public record SuspectSize(Suspect suspect, String words, String unit, double error, double change) {

    /** Every suspect whose input enters this solution. */
    static List<SuspectSize> all(Sheet sheet, Solution solution) {
        Computation result = new Computation(solution.result(), solution.bindings());
        List<SuspectSize> sizes = new ArrayList<>();
        for (Suspect suspect : sheet.experiment().suspects()) {
            double error = suspect.error(sheet, solution.account().trial());
            input(result.inputs(), suspect).ifPresent(input -> sizes.add(new SuspectSize(suspect,
                    sheet.experiment().words().get("suspect." + suspect.key()), input.unit().symbol(), error,
                    result.shifted(input, error) - result.value())));
        }
        return sizes;
    }

    /** The recorded reading a suspect would change: the first input that stands in its slot. */
    static Optional<Input> input(Solution solution, Suspect suspect) {
        return input(new Computation(solution.result(), solution.bindings()).inputs(), suspect);
    }

    private static Optional<Input> input(List<Input> inputs, Suspect suspect) {
        int slash = suspect.path().indexOf('/');
        String group = suspect.path().substring(0, slash) + "[";
        String slot = "]" + suspect.path().substring(slash) + ".";
        return inputs.stream().filter(input -> input.key().startsWith(group) && input.key().contains(slot)).findFirst();
    }
}
